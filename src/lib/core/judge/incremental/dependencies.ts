import { type GearKind, gearKindNames } from '../../model/gear';
import { freshMemory } from '../../memo';
import type { Project } from '../../model/project';
import type { Kit, KitPart } from '../../rigs/kit';
import type {
  FurtherLamp,
  PlacedLamp,
  PlacedRig,
  RigProject,
  UsedLens
} from '../../rigs/placed-rig';

/**
 * What a computation read of a rig, or what differs between two rigs: fields of the rig and kinds of part
 * in the kit, one bit each. A row that read nothing that differs finds what it found before.
 */
export interface Dependencies {
  fields: number;
  kinds: number;
}

/** Fields of a rig; `parts` is the whole kit, in order. The kit itself is read kind by kind. */
const fields = [
  'project',
  'scene',
  'angle',
  'overrides',
  'index',
  'body',
  'bodiesAtOnce',
  'mode',
  'lens',
  'focalLengthMm',
  'mic',
  'micPlace',
  'hearsByBody',
  'cover',
  'coverPart',
  'keyLamp',
  'fillLamp',
  'furtherLamps',
  'support',
  'head',
  'boom',
  'filter',
  'filterFits',
  'densityFilters',
  'hasSocket',
  'parts'
] as const satisfies readonly (keyof PlacedRig | 'parts')[];
type Field = (typeof fields)[number];

const fieldBit = Object.fromEntries(fields.map((field, index) => [field, 1 << index])) as Record<
  Field,
  number
>;
const kindBit = Object.fromEntries(
  gearKindNames.map((kind, index) => [kind, 1 << index])
) as Record<GearKind, number>;
const everything: Dependencies = { fields: (1 << fields.length) - 1, kinds: -1 };

/** True when something that was read differs. */
export function overlaps(read: Dependencies, differs: Dependencies): boolean {
  return (read.fields & differs.fields) !== 0 || (read.kinds & differs.kinds) !== 0;
}

/**
 * A rig that notes what is read of it. What was remembered of it (its connections, the parts of the scene)
 * is found anew, so that what they read counts as read.
 */
export function trackRig(rig: PlacedRig): { rig: PlacedRig; read: Dependencies } {
  const read: Dependencies = { fields: 0, kinds: 0 };
  const kit: Kit = {
    get parts() {
      read.fields |= fieldBit.parts;
      return rig.kit.parts;
    },
    of: (kind) => {
      read.kinds |= kindBit[kind];
      return rig.kit.of(kind);
    },
    byLine: (lineId) => {
      const part = rig.kit.byLine(lineId);
      // As long as its kind is as it was, so is the part; that there is none, any new line may change.
      if (part) read.kinds |= kindBit[part.gear.kind];
      else if (lineId !== undefined) read.fields |= fieldBit.parts;
      return part;
    },
    memory: freshMemory()
  };
  const memory = freshMemory();
  return {
    read,
    rig: new Proxy(rig, {
      get(target, key) {
        if (key === 'kit') return kit;
        if (key === 'memory') return memory;
        if (key in fieldBit) read.fields |= fieldBit[key as Field];
        else Object.assign(read, everything);
        return target[key as keyof PlacedRig];
      }
    })
  };
}

/** Kinds of which two kits hold other parts, pieces or lines, and whether they differ at all. */
export function kitDifferences({ parts: before }: Kit, { parts: after }: Kit): Dependencies {
  let first = 0;
  while (first < before.length && first < after.length && samePart(before[first], after[first]))
    first += 1;
  let last = 0;
  while (
    last < before.length - first &&
    last < after.length - first &&
    samePart(before[before.length - 1 - last], after[after.length - 1 - last])
  )
    last += 1;
  let kinds = 0;
  for (let index = first; index < before.length - last; index++)
    kinds |= kindBit[before[index]!.gear.kind];
  for (let index = first; index < after.length - last; index++)
    kinds |= kindBit[after[index]!.gear.kind];
  return { fields: kinds === 0 ? 0 : fieldBit.parts, kinds };
}

/**
 * Everything in which a rig differs from what it was, given in what the kits and projects differ. Field by
 * field and without a loop: it is asked for every angle of every part that is tried.
 */
export function rigDifferences(
  before: PlacedRig,
  after: PlacedRig,
  kits: Dependencies,
  sameBrief: boolean
): Dependencies {
  const differs = (field: Field, same: boolean): number => (same ? 0 : fieldBit[field]);
  return {
    fields:
      kits.fields |
      differs('project', sameBrief) |
      differs('scene', before.scene === after.scene) |
      differs('angle', before.angle === after.angle) |
      differs('overrides', before.overrides === after.overrides) |
      differs('index', before.index === after.index) |
      differs('body', samePart(before.body, after.body)) |
      differs('bodiesAtOnce', sameParts(before.bodiesAtOnce, after.bodiesAtOnce)) |
      differs('mode', before.mode === after.mode) |
      differs('lens', sameLens(before.lens, after.lens)) |
      differs('focalLengthMm', before.focalLengthMm === after.focalLengthMm) |
      differs('mic', samePart(before.mic, after.mic)) |
      differs('micPlace', before.micPlace === after.micPlace) |
      differs('hearsByBody', before.hearsByBody === after.hearsByBody) |
      differs('cover', before.cover === after.cover) |
      differs('coverPart', samePart(before.coverPart, after.coverPart)) |
      differs('keyLamp', sameLamp(before.keyLamp, after.keyLamp)) |
      differs('fillLamp', sameLamp(before.fillLamp, after.fillLamp)) |
      differs('furtherLamps', sameLamps(before.furtherLamps, after.furtherLamps)) |
      differs('support', samePart(before.support, after.support)) |
      differs('head', samePart(before.head, after.head)) |
      differs('boom', samePart(before.boom, after.boom)) |
      differs('filter', samePart(before.filter, after.filter)) |
      differs('filterFits', before.filterFits === after.filterFits) |
      differs('densityFilters', sameParts(before.densityFilters, after.densityFilters)) |
      differs('hasSocket', before.hasSocket === after.hasSocket),
    kinds: kits.kinds
  };
}

function samePart(before: KitPart | undefined, after: KitPart | undefined): boolean {
  return before?.line === after?.line && before?.gear === after?.gear;
}

function sameParts(before: readonly KitPart[], after: readonly KitPart[]): boolean {
  if (before.length !== after.length) return false;
  for (let index = 0; index < before.length; index++)
    if (!samePart(before[index], after[index])) return false;
  return true;
}

const lensFields = Object.keys({
  lineId: true,
  name: true,
  builtIn: true,
  gear: true,
  focalLengthMinMm: true,
  focalLengthMaxMm: true,
  apertureWideN: true,
  apertureTeleN: true,
  apertureSmallestN: true,
  minimumFocusDistanceM: true,
  stabilised: true
} satisfies Record<keyof UsedLens, true>) as (keyof UsedLens)[];

function sameLens(before: UsedLens | undefined, after: UsedLens | undefined): boolean {
  if (before === undefined || after === undefined) return before === after;
  // A lens that comes off is all that its part says; one that does not may be another body's.
  if (before.gear !== undefined)
    return before.gear === after.gear && before.lineId === after.lineId;
  for (const key of lensFields) if (before[key] !== after[key]) return false;
  return true;
}

function sameLamp(before: PlacedLamp | undefined, after: PlacedLamp | undefined): boolean {
  return (
    samePart(before?.part, after?.part) &&
    before?.distanceM === after?.distanceM &&
    before?.angleDeg === after?.angleDeg &&
    before?.standLineId === after?.standLineId
  );
}

function sameLamps(before: readonly FurtherLamp[], after: readonly FurtherLamp[]): boolean {
  if (before.length !== after.length) return false;
  for (let index = 0; index < before.length; index++)
    if (!sameLamp(before[index], after[index]) || before[index]!.role !== after[index]!.role)
      return false;
  return true;
}

/** Of what a project says besides its plans and parts, nothing differs. */
export function sameBrief(before: Project, after: Project): boolean {
  if (before !== after)
    for (const field of fieldsOfBrief) if (before[field] !== after[field]) return false;
  return true;
}

const fieldsOfBrief = Object.keys({
  id: true,
  name: true,
  currency: true,
  rates: true,
  units: true,
  mainsHz: true,
  school: true,
  limitMinor: true,
  reserveMinor: true,
  pocketLimitsMinor: true,
  inHandMinor: true,
  savedPerMonthMinor: true,
  itemLimitMinor: true,
  staleAfterDays: true,
  carriedLimitKg: true,
  setUpLimitMin: true,
  switchLimit: true,
  ownWeights: true,
  pricesAsOf: true,
  rules: true,
  scenes: true
} satisfies Record<keyof RigProject, true>) as (keyof RigProject)[];
