import { lampStandOf } from '../../rigs/lamp-stand';
import { type BodyGear, fullName, type GearKind, type LampGear } from '../../model/gear';
import { portsFor } from '../../model/ports-by-role';
import type { Project } from '../../model/project';
import type { CameraPlace, Scene } from '../../model/scene';
import { makeShelf } from '../../model/shelf';
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
}

const noSupport: Readonly<Record<CameraPlace, string>> = {
  hand: 'Nothing to hold the camera by',
  overhead: 'Nothing holds the camera above',
  'extension pole': 'No extension pole or grip',
  tabletop: 'Nothing to stand the camera on',
  tripod: 'Nothing to stand the camera on'
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
    (one) =>
      one.gear.internalStorageGb === undefined && slotsOf(one).some((slot) => slots.includes(slot))
  );
  return countPieces(kit.of('card'), ({ cardKind }) => slots.includes(cardKind)) < sharing.length;
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
      miss(rig.index === 0 ? 'body' : 'second body', scene, () => ({
        kind: 'body',
        title: rig.index === 0 ? 'Nothing to film with' : 'Nothing to film the second angle with',
        why:
          rig.index === 0 ? 'There is no body in the kit.' : 'Two angles at once need two bodies.',
        proposals: () => add('body')
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
    if (kit.of('card').length === 0 && body.gear.internalStorageGb === undefined) {
      const slots = slotsOf(body);
      miss('card', scene, () => ({
        kind: 'card',
        title: 'Nothing to record on',
        why: `${fullName(body.gear)} records to ${slots.join(' or ')} and no card is in the kit.`,
        proposals: () => add('card', (gear: { cardKind: string }) => slots.includes(gear.cardKind))
      }));
    } else if (second && cardsShort(rig))
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
        why: `The camera ${angle.cameraPlace === 'overhead' ? 'looks down from above' : angle.cameraPlace === 'extension pole' ? 'is held out on an extension pole' : `stands on the ${angle.cameraPlace}`} and ${rig.support ? `${fullName(rig.support.gear)} is not made for that` : `the kit has nothing ${second ? 'left ' : ''}for that`}.`,
        proposals: () => add('support', (gear: { form: string }) => forms.includes(gear.form))
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
    const fillsItself = kit.of('body').some((one) => fits(one) && one.gear.runsFromUsb === true);
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

/** How many parts a rig cannot do without, of those the kit does not have. */
export const missingIn = (rig: PlacedRig): number =>
  missingRoles({ rigs: [rig], kit: rig.kit, project: rig.project, shelf: emptyShelf }).filter(
    ({ sceneIds, comesAlong, ofSecondAngle }) =>
      sceneIds[0] === rig.scene.id && (comesAlong !== true || ofSecondAngle === true)
  ).length;
const emptyShelf = makeShelf();

const roleKey = (role: MissingRole) => `${role.kind}: ${role.title}`;

/** Parts without which a scene cannot be filmed at all. */
export const missingFindings: PlanFindingRow[] = [
  {
    code: 'M7',
    family: 'money',
    scope: 'plan',
    about: 'a needed part is not in the list',
    mayComeAlong: true,
    judge: (context) =>
      missingRoles(context).map((role): Held => ({
        severity: 'stop',
        has: 0,
        needs: 1,
        unit: 'count',
        about: roleKey(role),
        lineIds: [],
        sceneIds: role.sceneIds,
        ...(role.comesAlong ? { comesAlong: true } : {}),
        title: () => role.title,
        why: () => `${role.why} Needed for ${[...new Set(role.sceneNames)].join(', ')}.`
      })),
    propose: (context, held) =>
      missingRoles(context)
        .find((role) => roleKey(role) === held.about)
        ?.proposals() ?? []
  }
];
