import { type GearKind, gearKindNames } from '../model/gear';
import type { Project } from '../model/project';
import { type Kit, type KitPart, nothingKept } from './kit';
import {
  nothingFound,
  type PlacedLamp,
  type PlacedRig,
  type RigProject,
  type UsedLens
} from './placed-rig';

/**
 * What something looked at, or what differs, in a rig: its corners and the kinds of the bag, a bit
 * each. A row that looked at nothing that differs says what it said before.
 */
export interface Looks {
  corners: number;
  kinds: number;
}

/** Corners of a rig; `bag` is all of it, in order. The kit itself is looked at kind by kind. */
const corners = [
  'project',
  'scene',
  'angle',
  'said',
  'index',
  'body',
  'bodiesAtOnce',
  'mode',
  'lens',
  'focalLengthMm',
  'apertureN',
  'mic',
  'micPlace',
  'cover',
  'coverPart',
  'keyLamp',
  'fillLamp',
  'support',
  'head',
  'boom',
  'filter',
  'filterFits',
  'hasSocket',
  'bag'
] as const satisfies readonly (keyof PlacedRig | 'bag')[];
type Corner = (typeof corners)[number];

const cornerBit = Object.fromEntries(corners.map((corner, at) => [corner, 1 << at])) as Record<
  Corner,
  number
>;
const kindBit = Object.fromEntries(gearKindNames.map((kind, at) => [kind, 1 << at])) as Record<
  GearKind,
  number
>;
const everything: Looks = { corners: (1 << corners.length) - 1, kinds: -1 };

export function touch(looked: Looks, differs: Looks): boolean {
  return (looked.corners & differs.corners) !== 0 || (looked.kinds & differs.kinds) !== 0;
}

/**
 * A rig that notes what is looked at. What a rig keeps once found (its connections, the parts of the
 * scene) is found anew, so that what they look at counts as looked at.
 */
export function watchRig(rig: PlacedRig): { rig: PlacedRig; looks: Looks } {
  const looks: Looks = { corners: 0, kinds: 0 };
  const kit: Kit = {
    get parts() {
      looks.corners |= cornerBit.bag;
      return rig.kit.parts;
    },
    of: (kind) => {
      looks.kinds |= kindBit[kind];
      return rig.kit.of(kind);
    },
    byLine: (lineId) => {
      const part = rig.kit.byLine(lineId);
      // As long as its kind is as it was, so is the part; that there is none, any new line may change.
      if (part) looks.kinds |= kindBit[part.gear.kind];
      else if (lineId !== undefined) looks.corners |= cornerBit.bag;
      return part;
    },
    kept: nothingKept()
  };
  const kept = nothingFound();
  return {
    looks,
    rig: new Proxy(rig, {
      get(target, key) {
        if (key === 'kit') return kit;
        if (key === 'kept') return kept;
        if (key in cornerBit) looks.corners |= cornerBit[key as Corner];
        else Object.assign(looks, everything);
        return target[key as keyof PlacedRig];
      }
    })
  };
}

/** Kinds of which two bags hold other parts, pieces or lines, and whether they differ at all. */
export function bagChanges({ parts: before }: Kit, { parts: after }: Kit): Looks {
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
  for (let at = first; at < before.length - last; at++) kinds |= kindBit[before[at]!.gear.kind];
  for (let at = first; at < after.length - last; at++) kinds |= kindBit[after[at]!.gear.kind];
  return { corners: kinds === 0 ? 0 : cornerBit.bag, kinds };
}

/**
 * Everything in which a rig differs from what it was, given in what the bags and projects differ. Corner by
 * corner and without a loop: it is asked for every angle of every part that is tried.
 */
export function rigChanges(
  before: PlacedRig,
  after: PlacedRig,
  bags: Looks,
  sameBrief: boolean
): Looks {
  const differs = (corner: Corner, same: boolean): number => (same ? 0 : cornerBit[corner]);
  return {
    corners:
      bags.corners |
      differs('project', sameBrief) |
      differs('scene', before.scene === after.scene) |
      differs('angle', before.angle === after.angle) |
      differs('said', before.said === after.said) |
      differs('index', before.index === after.index) |
      differs('body', samePart(before.body, after.body)) |
      differs('bodiesAtOnce', sameParts(before.bodiesAtOnce, after.bodiesAtOnce)) |
      differs('mode', before.mode === after.mode) |
      differs('lens', sameLens(before.lens, after.lens)) |
      differs('focalLengthMm', before.focalLengthMm === after.focalLengthMm) |
      differs('apertureN', before.apertureN === after.apertureN) |
      differs('mic', samePart(before.mic, after.mic)) |
      differs('micPlace', before.micPlace === after.micPlace) |
      differs('cover', before.cover === after.cover) |
      differs('coverPart', samePart(before.coverPart, after.coverPart)) |
      differs('keyLamp', sameLamp(before.keyLamp, after.keyLamp)) |
      differs('fillLamp', sameLamp(before.fillLamp, after.fillLamp)) |
      differs('support', samePart(before.support, after.support)) |
      differs('head', samePart(before.head, after.head)) |
      differs('boom', samePart(before.boom, after.boom)) |
      differs('filter', samePart(before.filter, after.filter)) |
      differs('filterFits', before.filterFits === after.filterFits) |
      differs('hasSocket', before.hasSocket === after.hasSocket),
    kinds: bags.kinds
  };
}

function samePart(before: KitPart | undefined, after: KitPart | undefined): boolean {
  return before?.line === after?.line && before?.gear === after?.gear;
}

function sameParts(before: readonly KitPart[], after: readonly KitPart[]): boolean {
  if (before.length !== after.length) return false;
  for (let at = 0; at < before.length; at++) if (!samePart(before[at], after[at])) return false;
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
    before?.angleDeg === after?.angleDeg
  );
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
  units: true,
  mainsHz: true,
  school: true,
  limitMinor: true,
  reserveMinor: true,
  pocketLimitsMinor: true,
  itemLimitMinor: true,
  carriedLimitKg: true,
  setUpLimitMin: true,
  switchLimit: true,
  ownWeights: true,
  pricesAsOf: true,
  rules: true,
  scenes: true
} satisfies Record<keyof RigProject, true>) as (keyof RigProject)[];
