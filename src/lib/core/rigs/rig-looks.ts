import { type GearKind, gearKindNames } from '../model/gear';
import type { Project } from '../model/project';
import type { Kit, KitPart } from './kit';
import type { PlacedLamp, PlacedRig, RigProject, UsedLens } from './placed-rig';

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
    }
  };
  return {
    looks,
    rig: new Proxy(rig, {
      get(target, key) {
        if (key === 'kit') return kit;
        if (key === 'connections' || key === 'sceneParts') return undefined;
        if (key in cornerBit) looks.corners |= cornerBit[key as Corner];
        else Object.assign(looks, everything);
        return target[key as keyof PlacedRig];
      },
      set: () => true
    })
  };
}

/** Kinds of which two bags hold other parts, pieces or lines, and whether they differ at all. */
export function bagChanges(before: Kit, after: Kit): Looks {
  let kinds = 0;
  for (const kind of gearKindNames)
    if (!sameParts(before.of(kind), after.of(kind))) kinds |= kindBit[kind];
  return { corners: sameParts(before.parts, after.parts) ? 0 : cornerBit.bag, kinds };
}

/** Everything in which a rig differs from what it was, given in what the bags and projects differ. */
export function rigChanges(
  before: PlacedRig,
  after: PlacedRig,
  bags: Looks,
  sameBrief: boolean
): Looks {
  let differs = bags.corners;
  for (const corner of corners)
    if (corner !== 'bag' && !sameCorner[corner](before, after, sameBrief))
      differs |= cornerBit[corner];
  return { corners: differs, kinds: bags.kinds };
}

type Same = (before: PlacedRig, after: PlacedRig, sameBrief: boolean) => boolean;

const identical =
  (corner: Exclude<Corner, 'bag'>): Same =>
  (before, after) =>
    before[corner] === after[corner];
const partOf =
  (corner: 'body' | 'mic' | 'coverPart' | 'support' | 'boom' | 'filter'): Same =>
  (before, after) =>
    samePart(before[corner], after[corner]);

const sameCorner: Record<Exclude<Corner, 'bag'>, Same> = {
  project: (_before, _after, sameBrief) => sameBrief,
  scene: identical('scene'),
  angle: identical('angle'),
  said: identical('said'),
  index: identical('index'),
  body: partOf('body'),
  bodiesAtOnce: (before, after) => sameParts(before.bodiesAtOnce, after.bodiesAtOnce),
  mode: identical('mode'),
  lens: (before, after) => sameLens(before.lens, after.lens),
  focalLengthMm: identical('focalLengthMm'),
  apertureN: identical('apertureN'),
  mic: partOf('mic'),
  micPlace: identical('micPlace'),
  cover: identical('cover'),
  coverPart: partOf('coverPart'),
  keyLamp: (before, after) => sameLamp(before.keyLamp, after.keyLamp),
  fillLamp: (before, after) => sameLamp(before.fillLamp, after.fillLamp),
  support: partOf('support'),
  boom: partOf('boom'),
  filter: partOf('filter'),
  filterFits: identical('filterFits'),
  hasSocket: identical('hasSocket')
};

function samePart(before: KitPart | undefined, after: KitPart | undefined): boolean {
  return before?.line === after?.line && before?.gear === after?.gear;
}

function sameParts(before: readonly KitPart[], after: readonly KitPart[]): boolean {
  if (before.length !== after.length) return false;
  for (let at = 0; at < before.length; at++) if (!samePart(before[at], after[at])) return false;
  return true;
}

function sameLens(before: UsedLens | undefined, after: UsedLens | undefined): boolean {
  if (before === undefined || after === undefined) return before === after;
  for (const key in before)
    if (before[key as keyof UsedLens] !== after[key as keyof UsedLens]) return false;
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
  if (before === after) return true;
  return saysAll(before, after) && saysAll(after, before);
}

function saysAll(one: Project, other: Project): boolean {
  for (const key in one)
    if (!(key in notOfTheRig) && one[key as keyof Project] !== other[key as keyof Project])
      return false;
  return true;
}
const notOfTheRig: Record<Exclude<keyof Project, keyof RigProject>, true> = {
  plans: true,
  activePlanId: true,
  ownGear: true,
  dismissed: true
};
