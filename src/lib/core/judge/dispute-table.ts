import { showsFace } from '../model/scene-facts';
import { figureOf } from '../figures/record';
import { STEADY_FPS } from '../relations/exposure/flicker';
import type { Act } from '../acts/act';
import { cheapestOf, swapFor } from '../findings/part-candidates';
import { newLine } from '../model/new-line';
import type { GearKind, GearOf } from '../model/gear';
import { priceOf } from '../money/payable-price';
import type { PlanLine, PriceBasis } from '../model/plan';
import type { Pocket } from '../model/pocket';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { Scene } from '../model/scene';
import type { Shelf } from '../model/shelf';
import { widestApertureN } from '../rigs/place-lens';
import type { Judgement } from './judgement';

/** One of the ways practitioners go, and what they say for it. */
export interface Side {
  name: string;
  says: string;
}

export interface DisputeContext {
  project: Project;
  shelf: Shelf;
  judgement: Judgement;
}

/** Something on which practitioners disagree, each with reason. */
export interface DisputeRow {
  question: string;
  sides: readonly Side[];
  /** Where it is decided: in the brief, or in the pocket the part goes into. */
  where: 'brief' | Pocket;
  /** True when something of the project turns on it. */
  arises: (context: DisputeContext) => boolean;
  /** Sides the kit is on; several where its scenes differ or it serves both. */
  standing: (context: DisputeContext) => readonly boolean[];
  /** Where only some of it is on a side, the rest can go over. A part that is of one side needs no other of it. */
  byDegrees?: true;
  /** Ways to go over to a side; the best of them for the whole kit is told. */
  ways: (context: DisputeContext, side: number) => readonly Act[];
}

const together = (acts: readonly Act[]): Act[] =>
  acts.length === 0 ? [] : [acts.length === 1 ? acts[0]! : { type: 'batch', acts: [...acts] }];

const changeScenes = (
  scenes: readonly Scene[],
  patch: (scene: Scene) => Extract<Act, { type: 'change scene' }>['patch'] | undefined
): Act[] =>
  together(
    scenes.flatMap((scene): Act[] => {
      const changed = patch(scene);
      return changed ? [{ type: 'change scene', sceneId: scene.id, patch: changed }] : [];
    })
  );

/** Lines one may still decide on. */
const isOpen = (line: PlanLine) => !line.locked && line.state === 'wanted';

const linesOf = <K extends GearKind>({ judgement }: DisputeContext, kind: K) =>
  judgement.kit.of(kind);

/** Each part of a kind that passes, in the place of the first open line of that kind, or beside what is there. */
function eachInstead<K extends GearKind>(
  context: DisputeContext,
  kind: K,
  passes: (gear: GearOf<K>) => boolean
): Act[] {
  const plan = activePlan(context.project);
  const open = linesOf(context, kind).find(({ line }) => isOpen(line));
  return cheapestOf(context.shelf, context.project, kind, passes).map((gear) => {
    const line = newLine(plan, gear);
    return open ? swapFor(open.line.id)(line) : { type: 'add line', line };
  });
}

const add = <K extends GearKind>(
  context: DisputeContext,
  kind: K,
  passes: (gear: GearOf<K>) => boolean
): Act[] =>
  cheapestOf(context.shelf, context.project, kind, passes).map((gear) => ({
    type: 'add line',
    line: newLine(activePlan(context.project), gear)
  }));

const setBasis = (context: DisputeContext, basis: PriceBasis): Act[] =>
  together(
    context.judgement.money.lines
      .filter(
        ({ line, gear }) =>
          isOpen(line) &&
          line.basis !== basis &&
          gear !== undefined &&
          priceOf(gear, basis) !== undefined
      )
      .map(({ line }): Act => ({ type: 'change line', lineId: line.id, patch: { basis } }))
  );

const inStep = ({ mainsHz }: Project, fps: number) =>
  fps === STEADY_FPS[mainsHz] || fps === 2 * STEADY_FPS[mainsHz];
const isRoom = (scene: Scene) => scene.room !== undefined;
const CROPS_LATER_PX = 3840;
const SMALL_FILES_PX = 1920;
/** From here on lamps count as several. */
const SEVERAL_LAMPS = 3;
/** More than a third of a stop closed counts as stopped down. */
const STOPPED_DOWN = 2 ** (1 / 6);

/** Angles with a lens, a talking face and so an aperture to disagree about. */
const facesFilmed = ({ judgement }: DisputeContext) =>
  judgement.angles.filter(
    ({ rig, angle }) =>
      rig.lens !== undefined && rig.focalLengthMm !== undefined && showsFace(angle)
  );
const widest = ({ rig }: Judgement['angles'][number]) =>
  widestApertureN(rig.lens!, rig.focalLengthMm!);
const isStoppedDown = (angle: Judgement['angles'][number]) =>
  (figureOf(angle.record, 'aperture') ?? 0) > widest(angle) * STOPPED_DOWN;

const micsUsed = ({ judgement }: DisputeContext) =>
  judgement.angles.flatMap(({ rig }) => (rig.mic ? [rig.mic.gear] : []));
const talksInRoom = ({ judgement }: DisputeContext) =>
  judgement.angles.filter(
    ({ scene, rig }) => rig.index === 0 && scene.voice !== 'none' && isRoom(scene)
  );
const roomMicForms = ['dynamic', 'condenser', 'short shotgun'] as const;

/** Places where practitioners disagree, in the order one meets them. */
export const disputes = {
  'frame rate': {
    question: 'A rate in step with the mains, or one rate everywhere?',
    byDegrees: true,
    sides: [
      {
        name: 'in step with the mains',
        says: 'Lamps pulse with the mains: 25 and 50 under 50 Hz, 30 and 60 under 60 Hz never band.'
      },
      {
        name: 'one rate everywhere',
        says: 'All scenes cut together, and a shutter chosen for the lamps keeps them steady at any rate.'
      }
    ],
    where: 'brief',
    arises: ({ project }) => project.scenes.length > 0,
    standing: ({ project }) => [
      project.scenes.filter(isRoom).every(({ fps }) => inStep(project, fps)),
      project.scenes.every(({ fps }) => fps === project.scenes[0]!.fps)
    ],
    ways: ({ project }, side) =>
      side === 0
        ? changeScenes(project.scenes.filter(isRoom), ({ fps }) =>
            inStep(project, fps)
              ? undefined
              : { fps: STEADY_FPS[project.mainsHz] * (fps > 40 ? 2 : 1) }
          )
        : [...new Set(project.scenes.map(({ fps }) => fps))].flatMap((fps) =>
            changeScenes(project.scenes, (scene) => (scene.fps === fps ? undefined : { fps }))
          )
  },
  resolution: {
    question: 'More pixels to crop from later, or small files?',
    byDegrees: true,
    sides: [
      {
        name: '3840 across',
        says: 'One frame gives two framings, and what is filmed today still serves in years.'
      },
      {
        name: '1920 across',
        says: 'A quarter of the card, the drive and the waiting, and few viewers see the difference.'
      }
    ],
    where: 'brief',
    arises: ({ project }) => project.scenes.length > 0,
    standing: ({ project }) => [
      project.scenes.some(({ pixelsAcross }) => pixelsAcross >= CROPS_LATER_PX),
      project.scenes.some(({ pixelsAcross }) => pixelsAcross < CROPS_LATER_PX)
    ],
    ways: ({ project }, side) =>
      changeScenes(project.scenes, ({ pixelsAcross }) =>
        side === 0
          ? pixelsAcross >= CROPS_LATER_PX
            ? undefined
            : { pixelsAcross: CROPS_LATER_PX }
          : pixelsAcross < CROPS_LATER_PX
            ? undefined
            : { pixelsAcross: SMALL_FILES_PX }
      )
  },
  colour: {
    question: 'A fixed colour temperature, or automatic?',
    sides: [
      {
        name: 'fixed',
        says: 'A take keeps its colour from end to end, and all takes match in the cut.'
      },
      {
        name: 'automatic',
        says: 'It follows you from shade to lamp, and one thing less is forgotten.'
      }
    ],
    where: 'brief',
    // Nothing is bought or placed otherwise: the settings of each scene say the fixed value.
    arises: ({ judgement }) => judgement.angles.some(({ rig }) => rig.body !== undefined),
    standing: () => [true, false],
    ways: () => []
  },
  'new or used': {
    question: 'New, or used?',
    byDegrees: true,
    sides: [
      {
        name: 'new',
        says: 'Whole batteries, whole shutter, a guarantee, and a price that is what it is.'
      },
      {
        name: 'used',
        says: 'The first owner has paid the loss; what is left buys the sound and the light.'
      }
    ],
    where: 'brief',
    arises: ({ judgement }) =>
      judgement.money.lines.some(({ line, gear }) => isOpen(line) && gear?.priceUsed !== undefined),
    standing: ({ judgement }) =>
      (['new', 'used'] as const).map((basis) =>
        judgement.money.lines.some(
          ({ line, inKit }) => inKit && isOpen(line) && line.basis === basis
        )
      ),
    ways: (context, side) => setBasis(context, side === 0 ? 'new' : 'used')
  },
  aperture: {
    question: 'Widest open, or a stop down?',
    byDegrees: true,
    sides: [
      {
        name: 'widest open',
        says: 'Most light and the softest background: it is what one paid for.'
      },
      {
        name: 'a stop down',
        says: 'Nose and ears are sharp together, and a step back does not lose the face.'
      }
    ],
    where: 'lens',
    arises: (context) => facesFilmed(context).length > 0,
    standing: (context) => {
      const filmed = facesFilmed(context);
      return [filmed.some((one) => !isStoppedDown(one)), filmed.some(isStoppedDown)];
    },
    ways: (context, side) =>
      together(
        facesFilmed(context)
          .filter((one) => isStoppedDown(one) === (side === 0))
          .map((one): Act => ({
            type: 'set rig',
            sceneId: one.scene.id,
            angleId: one.angle.id,
            patch: {
              apertureN:
                side === 0
                  ? undefined
                  : Math.min(
                      Math.round(widest(one) * Math.SQRT2 * 10) / 10,
                      one.rig.lens!.apertureSmallestN ?? Infinity
                    )
            }
          }))
      )
  },
  'lens kind': {
    question: 'A fast fixed lens, or a slower stabilised zoom?',
    sides: [
      {
        name: 'fast fixed',
        says: 'Two stops more light for the money, a softer wall behind you, less on the arm.'
      },
      {
        name: 'stabilised zoom',
        says: 'It frames any room, stabilises the hand-held shot, and shows which fixed lens to buy next.'
      }
    ],
    where: 'lens',
    arises: ({ judgement }) =>
      judgement.angles.some(({ rig }) => rig.body !== undefined && rig.lens?.builtIn !== true),
    standing: ({ judgement }) => {
      const used = judgement.angles.flatMap(({ rig }) => (rig.lens?.gear ? [rig.lens.gear] : []));
      return [
        used.some((lens) => lens.focalLengthMinMm === lens.focalLengthMaxMm),
        used.some((lens) => lens.focalLengthMinMm < lens.focalLengthMaxMm)
      ];
    },
    ways: (context, side) =>
      eachInstead(context, 'lens', (lens) =>
        side === 0
          ? lens.focalLengthMinMm === lens.focalLengthMaxMm
          : lens.focalLengthMinMm < lens.focalLengthMaxMm && lens.stabilised === true
      )
  },
  'switch on the microphone': {
    question: 'A microphone without a switch, or a better one with it?',
    sides: [
      {
        name: 'no switch',
        says: 'What cannot be left off is never left off; a silent take is a lost day.'
      },
      {
        name: 'with a switch',
        says: 'The better capsule is worth a habit, and the pre-roll list carries the switch.'
      }
    ],
    where: 'sound',
    arises: (context) => micsUsed(context).length > 0,
    standing: (context) => [
      micsUsed(context).some(({ hasSwitch }) => hasSwitch === false),
      micsUsed(context).some(({ hasSwitch }) => hasSwitch === true)
    ],
    ways: (context, side) =>
      eachInstead(context, 'microphone', ({ hasSwitch }) => hasSwitch === (side === 1))
  },
  'microphone in a room': {
    question: 'Dynamic, condenser or short shotgun in a room nobody has treated?',
    sides: [
      {
        name: 'dynamic',
        says: 'Spoken into at a hand’s breadth it hears the mouth and hardly the room.'
      },
      {
        name: 'condenser',
        says: 'It hears the voice in full; hang a blanket or two and come near.'
      },
      {
        name: 'short shotgun',
        says: 'It stays out of the picture, just above the frame, and takes less of the sides.'
      }
    ],
    where: 'sound',
    arises: (context) => talksInRoom(context).some(({ scene }) => scene.room!.feel !== 'treated'),
    standing: (context) =>
      roomMicForms.map((form) =>
        talksInRoom(context).some(({ rig }) => rig.mic?.gear.form === form)
      ),
    ways: (context, side) => {
      const isForm = ({ form }: GearOf<'microphone'>) => form === roomMicForms[side];
      // A voice outdoors may need the one that is there: beside it as well as in its place.
      return [...eachInstead(context, 'microphone', isForm), ...add(context, 'microphone', isForm)];
    }
  },
  'window light': {
    question: 'The light of the window, or blocked out and lamps?',
    byDegrees: true,
    sides: [
      { name: 'window', says: 'Large, soft and free; film while it lasts.' },
      {
        name: 'lamps',
        says: 'The same at noon, at night and for the second take; cloth over the window.'
      }
    ],
    where: 'light',
    arises: ({ project }) => project.scenes.some(isRoom),
    standing: ({ project }) =>
      (['window', 'lamps'] as const).map((source) =>
        project.scenes.some((scene) => isRoom(scene) && scene.lightSource === source)
      ),
    ways: ({ project }, side) => {
      const lightSource = side === 0 ? 'window' : 'lamps';
      return changeScenes(project.scenes, (scene) =>
        isRoom(scene) && scene.lightSource !== lightSource ? { lightSource } : undefined
      );
    }
  },
  lamps: {
    question: 'One big lamp near by, or three?',
    sides: [
      {
        name: 'one, near',
        says: 'Near, a large lamp is soft and falls off behind you; one thing to carry and to place.'
      },
      {
        name: 'three',
        says: 'Key, fill and a light behind lift you off the wall and look the same every time.'
      }
    ],
    where: 'light',
    arises: ({ project }) => project.scenes.some(({ lightSource }) => lightSource === 'lamps'),
    standing: (context) => {
      const pieces = linesOf(context, 'lamp').reduce((sum, { line }) => sum + line.quantity, 0);
      return [pieces > 0 && pieces < SEVERAL_LAMPS, pieces >= SEVERAL_LAMPS];
    },
    ways: (context, side) => {
      const lamps = linesOf(context, 'lamp');
      if (side === 0) {
        const strongest = Math.max(...lamps.map(({ gear }) => gear.illuminanceAt1mLx ?? 0));
        return together(
          lamps
            .filter(({ gear, line }) => isOpen(line) && (gear.illuminanceAt1mLx ?? 0) < strongest)
            .map(({ line }): Act => ({ type: 'remove line', lineId: line.id }))
        );
      }
      const plan = activePlan(context.project);
      const [fill] = cheapestOf(
        context.shelf,
        context.project,
        'lamp',
        (lamp) => lamp.form !== 'practical' && lamp.runsFromMains === true
      );
      const [behind] = cheapestOf(
        context.shelf,
        context.project,
        'lamp',
        ({ form }) => form === 'practical'
      );
      if (!fill || !behind) return [];
      const line = newLine(plan, fill);
      const grown = { ...plan, lines: [...plan.lines, line] };
      return together([
        { type: 'add line', line },
        { type: 'add line', line: newLine(grown, behind) }
      ]);
    }
  },
  'whose batteries': {
    question: 'The maker’s own batteries, or another’s?',
    byDegrees: true,
    sides: [
      { name: 'the maker’s', says: 'They hold what they say and the body counts them down truly.' },
      {
        name: 'another’s',
        says: 'Two for the price of one; count on less in each, and on their own charger.'
      }
    ],
    where: 'power',
    arises: (context) => linesOf(context, 'battery').length > 0,
    standing: (context) =>
      [false, true].map((other) =>
        linesOf(context, 'battery').some(({ gear }) => (gear.otherMaker === true) === other)
      ),
    ways: (context, side) => {
      const plan = activePlan(context.project);
      const acts = linesOf(context, 'battery')
        .filter(({ gear, line }) => isOpen(line) && (gear.otherMaker === true) !== (side === 1))
        .flatMap(({ gear, line }) => {
          const [other] = cheapestOf(
            context.shelf,
            context.project,
            'battery',
            (battery) =>
              battery.batteryType === gear.batteryType &&
              (battery.otherMaker === true) === (side === 1)
          );
          return other
            ? [swapFor(line.id)({ ...newLine(plan, other), quantity: line.quantity })]
            : [];
        });
      // Each on its own: their new lines are named alike.
      return acts;
    }
  },
  'live picture': {
    question: 'A capture device, or the camera over USB?',
    sides: [
      {
        name: 'capture device',
        says: 'Full picture at the full rate, any body with a clean output, and it stays when the body goes.'
      },
      {
        name: 'over USB',
        says: 'One cable, nothing to buy; good enough for a call, if the body can and keeps cool.'
      }
    ],
    where: 'accessories',
    arises: ({ project }) => project.scenes.some(({ live }) => live),
    standing: (context) => {
      const captured = linesOf(context, 'capture device').length > 0;
      return [
        captured,
        !captured && linesOf(context, 'body').some(({ gear }) => gear.usbVideo === true)
      ];
    },
    ways: (context, side) =>
      side === 0
        ? add(context, 'capture device', () => true)
        : together(
            linesOf(context, 'capture device')
              .filter(({ line }) => isOpen(line))
              .map(({ line }): Act => ({ type: 'remove line', lineId: line.id }))
          )
  }
} as const satisfies Record<string, DisputeRow>;
export type DisputeId = keyof typeof disputes;
