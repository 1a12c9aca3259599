import { isRecorded, isFlown } from '../../model/scene-facts';
import { lampStandOf } from '../../rigs/lamp-stand';
import {
  type BodyGear,
  fullName,
  type GearKind,
  type LampGear,
  type SupportGear
} from '../../model/gear';
import { mates } from '../../model/mating';
import { portsFor } from '../../model/ports-by-role';
import type { Project } from '../../model/project';
import type { CameraPlace, Scene } from '../../model/scene';
import { makeShelf } from '../../model/shelf';
import { PAYLOAD_WARN_SHARE } from '../../relations/support/payload';
import { countPieces, type KitPart } from '../../rigs/kit';
import { micPlacesFor } from '../../rigs/place-mic';
import { mountOf } from '../../rigs/place-lens';
import { hearsVoice, type PlacedRig } from '../../rigs/placed-rig';
import { supportsByPlace } from '../../rigs/places';
import type { Held, PlanContext, PlanFindingRow, Proposal } from '../finding';
import { cheapestOf } from '../part-candidates';

interface MissingRole {
  kind: GearKind;
  title: string;
  why: string;
  sceneNames: string[];
  sceneIds: string[];
  /** Made only when someone asks. */
  proposals: () => Proposal[];
  comesAlong?: true;
  /** Another angle filmed at once lacks it: a second body is proposed with its own lens and support. */
  ofSecondAngle?: true;
  /** Without it hardly anything of the scene is judged. */
  hides?: true;
}

const noSupport: Readonly<Record<CameraPlace, string>> = {
  hand: 'Nothing to hold the camera by',
  overhead: 'Nothing holds the camera above',
  'extension pole': 'No extension pole or grip',
  tabletop: 'Nothing to stand the camera on',
  tripod: 'Nothing to stand the camera on',
  ceiling: 'Nothing holds the camera from the ceiling',
  'monitor edge': 'Nothing holds the camera on the monitor',
  chest: 'Nothing carries the camera on the chest',
  handlebar: 'Nothing holds the camera on the handlebar',
  'in the air': 'Nothing flies'
};

/** Where the camera is, as the sentence about its support begins. */
const standsWhere: Readonly<Record<CameraPlace, string>> = {
  hand: 'is held in the hand',
  overhead: 'looks down from above',
  'extension pole': 'is held out on an extension pole',
  tabletop: 'stands on the tabletop',
  tripod: 'stands on the floor',
  ceiling: 'hangs from the ceiling',
  'monitor edge': 'sits on the edge of the monitor',
  chest: 'is worn on the chest',
  handlebar: 'rides on the handlebar',
  'in the air': 'flies'
};

/** A lamp that is not in use runs all the same once it has the battery it takes. */
const takesBattery = ({ form, batteryType }: LampGear): boolean =>
  form !== 'practical' && batteryType !== undefined;

const slotsOf = ({ gear }: KitPart<BodyGear>): string[] =>
  portsFor(gear, 'card').map(({ type }) => type);

/** Cameras that film at once and record on the same kind of card, more than there are cards of it. */
function cardsShort({ kit, body, bodiesAtOnce }: PlacedRig): boolean {
  if (!body || body.gear.internalStorageGb !== undefined) return false;
  const slots = slotsOf(body);
  const sharing = bodiesAtOnce.filter(
    (part) =>
      part.gear.internalStorageGb === undefined &&
      slotsOf(part).some((slot) => slots.includes(slot))
  );
  return countPieces(kit.of('card'), ({ cardKind }) => slots.includes(cardKind)) < sharing.length;
}

const COMMON_THREAD = '1/4-20';

/** Supports that bear the camera, or all where none is stated to; first those it goes on as it is. */
function supportsFor(
  { body, kit, lens }: PlacedRig,
  supports: readonly SupportGear[]
): SupportGear[] {
  const lensG = lens && !lens.builtIn ? kit.byLine(lens.lineId)?.gear.massG : 0;
  const kg = ((body?.gear.massG ?? 0) + (lensG ?? 0)) / 1000;
  const bearing = supports.filter(
    ({ payloadKg }) => payloadKg === undefined || payloadKg * PAYLOAD_WARN_SHARE >= kg
  );
  const feet = body ? portsFor(body.gear, 'stands') : [];
  const joinsIn = (gear: SupportGear) => {
    const carrying = portsFor(gear, 'carries');
    if (carrying.some((over) => feet.some((foot) => mates(foot, over)))) return 0;
    return carrying.some(({ type }) => type === COMMON_THREAD) ? 1 : 2;
  };
  return [...(bearing.length > 0 ? bearing : supports)].sort((a, b) => joinsIn(a) - joinsIn(b));
}

/** What no scene can do without, and the kit does not have. */
function missingRoles({
  rigs,
  kit,
  shelf,
  project
}: Pick<PlanContext, 'rigs' | 'kit' | 'shelf'> & {
  project: Pick<Project, 'currency'>;
}): MissingRole[] {
  const roles = new Map<string, MissingRole>();
  const miss = (
    key: string,
    scene: Pick<Scene, 'id' | 'name'>,
    role: () => Omit<MissingRole, 'sceneNames' | 'sceneIds'>
  ) => {
    const have = roles.get(key) ?? { ...role(), sceneNames: [], sceneIds: [] };
    if (!have.sceneIds.includes(scene.id)) {
      have.sceneIds.push(scene.id);
      have.sceneNames.push(scene.name);
    }
    roles.set(key, have);
  };
  const add = (kind: GearKind, passes?: (gear: never) => boolean): Proposal[] => [
    {
      parts: cheapestOf(shelf, project, kind, passes as never),
      label: (gear) => `Add ${gear.model}`
    }
  ];
  for (const rig of rigs) {
    const { scene, body, angle } = rig;
    if (!body) {
      if (isFlown(angle)) {
        miss('drone', scene, () => ({
          kind: 'body',
          hides: true,
          title: 'Nothing that flies',
          why: 'The camera is in the air here and no drone is in the kit.',
          proposals: () => add('body', ({ form }: BodyGear) => form === 'drone')
        }));
        continue;
      }
      miss(rig.index === 0 ? 'body' : 'second body', scene, () => ({
        kind: 'body',
        hides: true,
        title: rig.index === 0 ? 'Nothing to film with' : 'Nothing to film the second angle with',
        why:
          rig.index === 0 ? 'There is no body in the kit.' : 'Two angles at once need two bodies.',
        proposals: () => add('body', ({ form }: BodyGear) => form !== 'drone')
      }));
      continue;
    }
    const second = rig.index > 0;
    const alongWithBody = second ? ({ comesAlong: true, ofSecondAngle: true } as const) : {};
    if (!rig.lens) {
      const mount = mountOf(body);
      miss(second ? 'second lens' : 'lens', scene, () => ({
        ...alongWithBody,
        kind: 'lens',
        hides: true,
        title: second
          ? `No lens for ${body.gear.model} at the second angle`
          : `No lens for ${body.gear.model}`,
        why:
          mount === undefined
            ? `It is not stated which lenses ${fullName(body.gear)} takes, and none is in the kit.`
            : `${fullName(body.gear)} takes ${mount} lenses and none is ${second ? 'left for it' : 'in the kit'}.`,
        proposals: () =>
          mount === undefined ? [] : add('lens', (gear: { mount: string }) => gear.mount === mount)
      }));
    }
    if (hearsVoice(rig) && !rig.mic && !rig.hearsByBody) {
      const unusable = kit.of('microphone').length > 0;
      miss('microphone', scene, () => ({
        kind: 'microphone',
        title: unusable ? 'No microphone that goes here' : 'Nothing carries the voice',
        why: unusable
          ? 'The microphones in the kit have no place in this scene.'
          : 'There is no microphone in the kit.',
        proposals: () => [
          {
            parts: cheapestOf(
              shelf,
              project,
              'microphone',
              (gear) => micPlacesFor(kit, scene, gear).length > 0
            ),
            label: (gear) => `Add ${gear.model}`
          }
        ]
      }));
    }
    const recorded = isRecorded(scene);
    if (recorded && kit.of('card').length === 0 && body.gear.internalStorageGb === undefined) {
      const slots = slotsOf(body);
      miss('card', scene, () => ({
        // A further body that is added brings its card, as it brings its lens.
        ...(kit.of('body').length > 1 || isFlown(angle) ? ({ comesAlong: true } as const) : {}),
        kind: 'card',
        title: 'Nothing to record on',
        why: `${fullName(body.gear)} records to ${slots.join(' or ')} and no card is in the kit.`,
        proposals: () => add('card', (gear: { cardKind: string }) => slots.includes(gear.cardKind))
      }));
    } else if (recorded && second && cardsShort(rig))
      miss('second card', scene, () => ({
        comesAlong: true,
        ofSecondAngle: true,
        kind: 'card',
        title: 'No card left for the second camera',
        why: `${fullName(body.gear)} films at the same time and needs a card of its own.`,
        proposals: () =>
          add('card', ({ cardKind }: { cardKind: string }) => slotsOf(body).includes(cardKind))
      }));
    const { batteryType } = body.gear;
    const powered =
      body.gear.internalBatteryWh !== undefined ||
      (body.gear.batteriesIncluded ?? 0) > 0 ||
      countPieces(kit.of('battery'), (gear) => gear.batteryType === batteryType) > 0 ||
      (rig.hasSocket &&
        countPieces(kit.of('mains adapter'), (gear) => gear.batteryType === batteryType) > 0) ||
      (body.gear.runsFromUsb === true && kit.of('power bank').length > 0);
    if (!powered) {
      miss('battery', scene, () => ({
        kind: 'battery',
        title: `No power for ${body.gear.model}`,
        why: `${fullName(body.gear)} runs from ${batteryType ?? 'a battery'} and none is in the kit.`,
        proposals: () =>
          add('battery', (gear: { batteryType: string }) => gear.batteryType === batteryType)
      }));
    }
    const forms: readonly string[] = supportsByPlace[angle.cameraPlace];
    // A support that was named for the scene has to be one that holds the camera there.
    const holds = rig.support !== undefined && forms.includes(rig.support.gear.form);
    // What flies, and stands on its own feet, is held by nothing.
    if (!holds && angle.cameraPlace !== 'hand' && body.gear.form !== 'drone') {
      miss(`${second ? 'second ' : ''}support ${angle.cameraPlace}`, scene, () => ({
        ...alongWithBody,
        kind: 'support',
        title: `${noSupport[angle.cameraPlace]}${second ? ' at the second angle' : ''}`,
        why: `The camera ${standsWhere[angle.cameraPlace]} and ${rig.support ? `${fullName(rig.support.gear)} is not made for that` : `the kit has nothing ${second ? 'left ' : ''}for that`}.`,
        proposals: () => [
          {
            parts: supportsFor(
              rig,
              cheapestOf(shelf, project, 'support', ({ form }) => forms.includes(form))
            ),
            label: (gear) => `Add ${gear.model}`
          }
        ]
      }));
    }
    if (scene.room && scene.lightSource === 'lamps' && !rig.keyLamp) {
      const idle = kit.of('lamp').find(({ gear }) => takesBattery(gear))?.gear;
      if (idle)
        miss('lamp battery', scene, () => ({
          comesAlong: true,
          kind: 'battery',
          title: `No power for ${idle.model}`,
          why: `It runs from ${idle.batteryType} here and none is in the kit.`,
          proposals: () =>
            add('battery', (gear: { batteryType: string }) => gear.batteryType === idle.batteryType)
        }));
      else
        miss('lamp', scene, () => ({
          kind: 'lamp',
          title: 'No lamp that runs here',
          why: 'This scene makes its own light and no lamp in the kit can run there.',
          proposals: () => add('lamp')
        }));
    }
    if (rig.keyLamp && rig.keyLamp.part.gear.form !== 'bulb' && lampStandOf(rig) === undefined) {
      miss('light stand', scene, () => ({
        comesAlong: true,
        kind: 'support',
        title: 'The lamp has no stand',
        why: `${fullName(rig.keyLamp!.part.gear)} needs something to stand on.`,
        proposals: () => add('support', (gear: { form: string }) => gear.form === 'light stand')
      }));
    }
  }
  // Batteries nobody can fill again.
  for (const body of kit.of('body')) {
    const { batteryType } = body.gear;
    if (batteryType === undefined) continue;
    const fits = ({ gear }: { gear: { batteryType?: string } }) => gear.batteryType === batteryType;
    // A body that is charged over USB fills the batteries of any other that takes the same.
    const fillsItself = kit.of('body').some((part) => fits(part) && part.gear.runsFromUsb === true);
    if (fillsItself || !kit.of('battery').some(fits) || kit.of('charger').some(fits)) continue;
    miss(`charger ${batteryType}`, { id: '', name: 'every day' }, () => ({
      comesAlong: true,
      kind: 'charger',
      title: `Nothing fills the ${batteryType} batteries`,
      why: `${body.gear.model} cannot be charged over USB and no charger is in the kit.`,
      proposals: () =>
        add('charger', (gear: { batteryType: string }) => gear.batteryType === batteryType)
    }));
  }
  return [...roles.values()];
}

/**
 * How many parts a rig cannot do without, of those the kit does not have.
 *
 * @param besideComing without those that come along with what is proposed, as a stand comes with its lamp
 */
export const missingIn = (rig: PlacedRig, besideComing: boolean): number =>
  missingRoles({ rigs: [rig], kit: rig.kit, project: rig.project, shelf: emptyShelf }).filter(
    ({ sceneIds, comesAlong, ofSecondAngle }) =>
      sceneIds[0] === rig.scene.id &&
      !(besideComing && comesAlong === true && ofSecondAngle !== true)
  ).length;
const emptyShelf = makeShelf();

const roleKey = (role: MissingRole) => `${role.kind}: ${role.title}`;

const isSecondSupport = ({ kind, ofSecondAngle }: MissingRole): boolean =>
  kind === 'support' && ofSecondAngle === true;

/** A row that tells some of the parts without which a scene cannot be filmed at all. */
const missingRow = (
  row: Pick<PlanFindingRow, 'code' | 'family' | 'about'>,
  tells: (role: MissingRole) => boolean
): PlanFindingRow => ({
  ...row,
  scope: 'plan',
  mayComeAlong: true,
  judge: (context) =>
    missingRoles(context)
      .filter(tells)
      .map((role): Held => ({
        severity: 'stop',
        has: 0,
        needs: 1,
        unit: 'count',
        about: roleKey(role),
        lineIds: [],
        sceneIds: role.sceneIds,
        ...(role.comesAlong ? { comesAlong: true } : {}),
        ...(role.hides ? { hides: true } : {}),
        title: () => role.title,
        why: () => `${role.why} Needed for ${[...new Set(role.sceneNames)].join(', ')}.`
      })),
  propose: (context, held) =>
    missingRoles(context)
      .find((role) => tells(role) && roleKey(role) === held.about)
      ?.proposals() ?? []
});

/** S6, M7. */
export const missingFindings: PlanFindingRow[] = [
  missingRow(
    { code: 'S6', family: 'support', about: 'the second angle has no support' },
    isSecondSupport
  ),
  missingRow(
    { code: 'M7', family: 'money', about: 'a needed part is not in the list' },
    (role) => !isSecondSupport(role)
  )
];
