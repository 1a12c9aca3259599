import { fullName, type GearKind, type LampGear } from '../model/gear';
import { portsFor } from '../model/ports-by-role';
import type { Scene } from '../model/scene';
import { countPieces, lampStandOf } from '../rigs/kit';
import { micPlacesFor } from '../rigs/place-mic';
import { mountOf } from '../rigs/place-rig';
import { hearsVoice } from '../rigs/placed-rig';
import { supportsByPlace } from '../rigs/places';
import type { Held, PlanContext, PlanFindingRow, Proposal } from './finding';
import { cheapestOf } from './part-candidates';

interface MissingRole {
  kind: GearKind;
  title: string;
  why: string;
  sceneNames: string[];
  sceneIds: string[];
  /** Made only when someone asks. */
  proposals: () => Proposal[];
  comesAlong?: true;
}

/** A lamp that is not in use runs all the same once it has the cell it takes. */
const wantsCell = ({ form, cellType }: LampGear): boolean =>
  form !== 'practical' && cellType !== undefined;

/** What no scene can do without, and the kit does not have. */
function missingRoles({ rigs, kit, shelf, project }: PlanContext): MissingRole[] {
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
          rig.index === 0 ? 'There is no body in the bag.' : 'Two angles at once need two bodies.',
        proposals: () => add('body')
      }));
      continue;
    }
    if (!rig.lens) {
      const mount = mountOf(body);
      miss('lens', scene, () => ({
        kind: 'lens',
        title: `No lens for ${body.gear.model}`,
        why:
          mount === undefined
            ? `Nobody states which lenses ${fullName(body.gear)} takes, and none is in the bag.`
            : `${fullName(body.gear)} takes ${mount} lenses and none is in the bag.`,
        proposals: () =>
          mount === undefined ? [] : add('lens', (gear: { mount: string }) => gear.mount === mount)
      }));
    }
    if (hearsVoice(rig) && !rig.mic) {
      const unusable = kit.of('microphone').length > 0;
      miss('microphone', scene, () => ({
        kind: 'microphone',
        title: unusable ? 'No microphone that goes here' : 'Nothing carries the voice',
        why: unusable
          ? 'The microphones in the bag have no place in this scene.'
          : 'There is no microphone in the bag.',
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
      const slots = portsFor(body.gear, 'card').map(({ type }) => type);
      miss('card', scene, () => ({
        kind: 'card',
        title: 'Nothing to record on',
        why: `${fullName(body.gear)} records to ${slots.join(' or ')} and no card is in the bag.`,
        proposals: () => add('card', (gear: { cardKind: string }) => slots.includes(gear.cardKind))
      }));
    }
    const { cellType } = body.gear;
    const powered =
      body.gear.internalCellWh !== undefined ||
      (body.gear.cellsIncluded ?? 0) > 0 ||
      countPieces(kit.of('cell'), (gear) => gear.cellType === cellType) > 0 ||
      (rig.hasSocket &&
        countPieces(kit.of('mains block'), (gear) => gear.cellType === cellType) > 0) ||
      (body.gear.runsFromUsb === true && kit.of('bank').length > 0);
    if (!powered) {
      miss('cell', scene, () => ({
        kind: 'cell',
        title: `No power for ${body.gear.model}`,
        why: `${fullName(body.gear)} runs from ${cellType ?? 'a cell'} and none is in the bag.`,
        proposals: () => add('cell', (gear: { cellType: string }) => gear.cellType === cellType)
      }));
    }
    if (!rig.support && rig.index === 0 && angle.cameraPlace !== 'hand') {
      const forms: readonly string[] = supportsByPlace[angle.cameraPlace];
      miss(`support ${angle.cameraPlace}`, scene, () => ({
        kind: 'support',
        title:
          angle.cameraPlace === 'above'
            ? 'Nothing holds the camera above'
            : angle.cameraPlace === 'stick'
              ? 'No stick to hold'
              : 'Nothing to stand the camera on',
        why: `The camera ${angle.cameraPlace === 'above' ? 'looks down from above' : angle.cameraPlace === 'stick' ? 'is held out on a stick' : `stands on the ${angle.cameraPlace}`} and the bag holds nothing for that.`,
        proposals: () => add('support', (gear: { form: string }) => forms.includes(gear.form))
      }));
    }
    if (scene.room && scene.lightSource === 'lamps' && !rig.keyLamp) {
      const idle = kit.of('lamp').find(({ gear }) => wantsCell(gear))?.gear;
      if (idle)
        miss('lamp cell', scene, () => ({
          comesAlong: true,
          kind: 'cell',
          title: `No power for ${idle.model}`,
          why: `It runs from ${idle.cellType} here and none is in the bag.`,
          proposals: () =>
            add('cell', (gear: { cellType: string }) => gear.cellType === idle.cellType)
        }));
      else
        miss('lamp', scene, () => ({
          kind: 'lamp',
          title: 'No lamp that runs here',
          why: 'This scene makes its own light and no lamp in the bag can run there.',
          proposals: () => add('lamp')
        }));
    }
    if (rig.keyLamp && rig.keyLamp.part.gear.form !== 'bulb' && lampStandOf(kit) === undefined) {
      miss('light stand', scene, () => ({
        comesAlong: true,
        kind: 'support',
        title: 'The lamp has no stand',
        why: `${fullName(rig.keyLamp!.part.gear)} needs something to stand on.`,
        proposals: () => add('support', (gear: { form: string }) => gear.form === 'light stand')
      }));
    }
  }
  // Cells nobody can fill again.
  for (const body of kit.of('body')) {
    const { cellType } = body.gear;
    if (cellType === undefined) continue;
    const fits = ({ gear }: { gear: { cellType?: string } }) => gear.cellType === cellType;
    // A body that is charged over USB fills the cells of any other that takes the same.
    const fillsItself = kit.of('body').some((one) => fits(one) && one.gear.runsFromUsb === true);
    if (fillsItself || !kit.of('cell').some(fits) || kit.of('charger').some(fits)) continue;
    miss(`charger ${cellType}`, { id: '', name: 'every day' }, () => ({
      comesAlong: true,
      kind: 'charger',
      title: `Nothing fills the ${cellType} cells`,
      why: `${body.gear.model} cannot be charged over USB and no charger is in the bag.`,
      proposals: () => add('charger', (gear: { cellType: string }) => gear.cellType === cellType)
    }));
  }
  return [...roles.values()];
}

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
        why: () => `${role.why} Needed for ${role.sceneNames.join(', ')}.`
      })),
    propose: (context, held) =>
      missingRoles(context)
        .find((role) => roleKey(role) === held.about)
        ?.proposals() ?? []
  }
];
