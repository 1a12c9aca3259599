import { cardsFor, batteriesFor } from '../figures/endurance-rows';
import { partsOfScene } from '../figures/handling-rows';
import { hasUse } from '../figures/heat-rows';
import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { minutesWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { setUpMinutes } from '../rigs/places';
import type { KitPart } from '../rigs/kit';
import type { PlacedRig } from '../rigs/placed-rig';
import type { AngleContext, AngleFindingRow, Proposal, SettingProposal } from './finding';
import { addOne, leaveOut, oneMoreOf, swapTo } from './part-candidates';

/** More switches than this are forgotten, unless a person says otherwise. */
export const SWITCHES_REMEMBERED = 6;

/** Parts one can leave at home and still film. */
function spareable(rig: PlacedRig): KitPart[] {
  const parts: KitPart[] = [...rig.kit.of('monitor'), ...rig.kit.of('recorder')];
  const fill = rig.fillLamp?.part;
  if (fill && fill.line.id !== rig.keyLamp?.part.line.id) parts.unshift(fill);
  return parts.filter(({ line }) => !line.locked);
}

const leaveSpareable = ({ rig }: AngleContext): SettingProposal[] =>
  spareable(rig).map(({ line, gear }) => leaveOut(line, gear.model));

/** Parts of which there is one, that are cheap to have twice, and that stop the day when they fail. */
function singles(
  rig: PlacedRig
): { name: string; double: (context: AngleContext) => Proposal[] }[] {
  const list: ReturnType<typeof singles> = [];
  const body = rig.body!.gear;
  const batteries =
    (body.batteriesIncluded ?? 0) +
    batteriesFor(rig).reduce((sum, { line }) => sum + line.quantity, 0);
  if (body.batteryType !== undefined && batteries === 1)
    list.push({
      name: 'one battery',
      double: (context) => [
        addOne(context, 'battery', (gear) => gear.batteryType === body.batteryType)
      ]
    });
  const cards = cardsFor(rig);
  const pieces = cards.reduce((sum, { line }) => sum + line.quantity, 0);
  if (pieces === 1)
    list.push({
      name: 'one card',
      double: () => [{ label: `One more ${cards[0]!.gear.model}`, act: oneMoreOf(cards[0]!.line) }]
    });
  return list;
}

/** What is worn, made at home or sticks out, and is used in this scene. */
function frail(rig: PlacedRig): { part: KitPart; says: string } | undefined {
  for (const part of partsOfScene(rig)) {
    if (part.line.worn === true) return { part, says: 'is worn' };
    if (part.gear.ownMade === true) return { part, says: 'is made at home' };
    if (
      part.gear.kind === 'lens' &&
      part.gear.protrudingFront === true &&
      !hasUse(rig, 'lens cover')
    )
      return { part, says: 'has a front element that sticks out, and no cover' };
  }
  for (const part of batteriesFor(rig))
    if (part.line.worn === true) return { part, says: 'is worn' };
  return undefined;
}

/** What the day hangs on: minutes, memory and single parts. */
export const relianceFindings: AngleFindingRow[] = [
  {
    code: 'W1',
    family: 'whole',
    scope: 'angle',
    about: 'set-up takes longer than wanted',
    reads: [],
    judge: (rig, record) => {
      const minutes = figureAt(record, figureIndex.setUp);
      const limit = rig.project.setUpLimitMin;
      if (limit === undefined || minutes === undefined || minutes <= limit) return undefined;
      return {
        severity: 'warn',
        figure: 'setUp',
        has: minutes,
        needs: limit,
        unit: 'min',
        title: () => `${rig.scene.name}: ${minutesWords(minutes)} to the first take`,
        why: () =>
          `You said ${minutesWords(limit)} at most. The parts of this scene take about that long to stand up; what takes longest is ${slowest(rig)}.`
      };
    },
    propose: (context) => [
      ...leaveSpareable(context),
      {
        label: `Allow ${minutesWords(Math.ceil(figureAt(context.record, figureIndex.setUp)!))}`,
        act: {
          type: 'set project',
          patch: { setUpLimitMin: Math.ceil(figureAt(context.record, figureIndex.setUp)!) }
        }
      }
    ]
  },
  {
    code: 'W2',
    family: 'whole',
    scope: 'angle',
    about: 'too many switches to remember',
    reads: [],
    judge: (rig, record) => {
      const switches = figureAt(record, figureIndex.switches);
      const limit = rig.project.switchLimit ?? SWITCHES_REMEMBERED;
      if (switches === undefined || switches <= limit) return undefined;
      return {
        severity: 'note',
        figure: 'switches',
        has: switches,
        needs: limit,
        unit: 'count',
        title: () => `${rig.scene.name}: ${switches} switches before every take`,
        why: () =>
          `Camera, lamps and microphones each have one that can be left off; past ${limit} one is forgotten sooner or later. One multiple socket that turns everything on is the old remedy.`
      };
    },
    propose: (context) => {
      const { rig, record } = context;
      return [
        ...leaveSpareable(context),
        ...(rig.mic?.gear.hasSwitch
          ? [
              swapTo(
                context,
                'microphone',
                rig.mic.line.id,
                (gear) => gear.hasSwitch === false && gear.form === rig.mic!.gear.form
              )
            ]
          : []),
        {
          label: `Trust yourself with ${figureAt(record, figureIndex.switches)!}`,
          act: {
            type: 'set project',
            patch: { switchLimit: figureAt(record, figureIndex.switches)! }
          }
        }
      ];
    }
  },
  {
    code: 'W3',
    family: 'whole',
    scope: 'angle',
    about: 'one part whose failure stops the day',
    reads: [],
    judge: (rig) => {
      if (rig.scene.onceOnly !== true || !rig.body) return undefined;
      const alone = singles(rig);
      if (alone.length === 0) return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.body.line.id],
        has: 1,
        needs: 2,
        unit: 'count',
        title: () => `${rig.scene.name} hangs on ${alone.map(({ name }) => name).join(' and ')}`,
        why: () => 'It cannot be filmed again, and what costs little to have twice is there once.'
      };
    },
    propose: (context) => {
      const ways = singles(context.rig).map(({ double }) => double(context));
      const both = ways.length > 1 ? bothOf(ways) : [];
      return [...both, ...ways.flat()];
    }
  },
  {
    code: 'W5',
    family: 'whole',
    scope: 'angle',
    about: 'a worn, home-made or protruding part the day depends on',
    reads: [],
    judge: (rig) => {
      const weak = rig.body && frail(rig);
      if (!weak) return undefined;
      return {
        severity: 'note',
        about: weak.part.line.id,
        lineIds: [weak.part.line.id],
        title: () => `${rig.scene.name} depends on ${weak.part.gear.model}`,
        why: () =>
          `${fullName(weak.part.gear)} ${weak.says}. It may do for years; have a second way ready. Mains wiring made at home is for licensed people to look at.`
      };
    },
    propose: (context) => {
      const { part, says } = frail(context.rig)!;
      return [
        ...(says.includes('cover')
          ? [addOne(context, 'small item', (gear) => gear.use === 'lens cover')]
          : []),
        ...(part.line.worn === true
          ? [
              {
                label: 'It has been mended',
                act: {
                  type: 'change line' as const,
                  lineId: part.line.id,
                  patch: { worn: undefined }
                }
              }
            ]
          : []),
        swapTo(context, part.gear.kind, part.line.id, (gear) => gear.id !== part.gear.id)
      ];
    }
  }
];

/** Two doublings in one act, where both are plain. */
function bothOf(ways: readonly Proposal[][]): Proposal[] {
  const first = ways[0]![0]!;
  const second = ways[1]![0]!;
  if (!('parts' in first) || 'parts' in second) return [];
  return [
    {
      parts: first.parts,
      label: (gear) => `${first.label(gear)} and ${second.label.toLowerCase()}`,
      act: (line) => ({ type: 'batch', acts: [{ type: 'add line', line }, second.act] })
    }
  ];
}

function slowest(rig: PlacedRig): string {
  const minutes = (part: KitPart) =>
    part.gear.kind === 'support'
      ? setUpMinutes[part.gear.form]
      : part.gear.kind === 'lamp'
        ? setUpMinutes.lamp
        : 0;
  const [most] = [...partsOfScene(rig)].sort((a, b) => minutes(b) - minutes(a));
  return most ? fullName(most.gear) : 'the camera';
}
