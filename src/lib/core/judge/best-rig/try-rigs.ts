import type { GearKind } from '../../model/gear';
import type { Plan, Rig } from '../../model/plan';
import type { Project } from '../../model/project';
import type { Angle, Scene } from '../../model/scene';
import { NO_PART } from '../../model/word-lists';
import type { Allocated } from '../../rigs/allocated';
import type { Kit } from '../../rigs/kit';
import { holdsLamps } from '../../rigs/lamp-stand';
import { placeRig } from '../../rigs/place-rig';
import type { PlacedRig } from '../../rigs/placed-rig';
import type { DifferingAngle, DifferingPlan, NewParts, Placing } from '../incremental';
import { isBetter, type Standing, standingOf } from './standing';
import { type Choice, jobKinds, jobs, linesOf, type WaysFor } from './ways';

export interface BestRig {
  rig: PlacedRig;
  /** Undefined for the usual rig. */
  way: Rig | undefined;
  /** What differs in it from the judgement before, where that was asked to choose it. */
  difference: DifferingAngle | undefined;
}

/** An angle to be rigged with what a kit holds. */
export interface Rigging {
  project: Project;
  plan: Plan;
  kit: Kit;
  scene: Scene;
  angle: Angle;
  /** A judgement of a plan a little different, by which a rig is judged with less work and to the same end. */
  before: DifferingPlan | undefined;
  placing: Placing;
}

/** A rig tried: how it was asked for, and what it leaves for the other angles. */
export interface TriedRig extends BestRig {
  allocated: Allocated;
}

/** Rigs of one angle, tried with what the other angles have left. */
class Trying {
  readonly #standings = new Map<string, Standing>();
  readonly #besideComing: boolean;

  constructor(
    private readonly rigging: Rigging,
    private readonly allocated: Allocated,
    private readonly said: Rig | undefined
  ) {
    this.#besideComing = rigging.placing.besideComing === true;
  }

  rig(way: Rig | undefined): TriedRig {
    const { project, plan, kit, scene, angle } = this.rigging;
    const left = new Map(this.allocated);
    const rig = placeRig(project, plan, kit, scene, angle, left, way ?? this.said);
    return { rig, difference: undefined, way, allocated: left };
  }

  /** What is chosen by a rig, to which one more choice is added. */
  baseOf({ way }: TriedRig): Rig {
    const { scene, angle } = this.rigging;
    return way ?? { ...this.said, sceneId: scene.id, angleId: angle.id };
  }

  waysOf(waysFor: WaysFor, { rig }: TriedRig): Choice[] {
    return waysFor(rig, this.said, this.allocated);
  }

  /** The way in which the angle stands best; of two alike ways the first. */
  bestOf(ways: readonly Choice[], base: Rig): TriedRig {
    let first: TriedRig | undefined;
    let bestStanding: Standing | undefined;
    for (const way of inOrder(ways, this.rigging.kit)) {
      const tried = this.rig({ ...base, ...way });
      tried.difference = this.rigging.before?.angle(tried.rig, undefined);
      const name = nameOfRig(tried.rig);
      let standing = this.#standings.get(name);
      if (!standing)
        this.#standings.set(
          name,
          (standing = standingOf(tried.rig, tried.difference, this.#besideComing))
        );
      if (!bestStanding || isBetter(standing, bestStanding)) {
        first = tried;
        bestStanding = standing;
      }
    }
    return first!;
  }
}

/** The rig with every job done best. */
export function chooseParts(
  rigging: Rigging,
  allocated: Allocated,
  said: Rig | undefined
): TriedRig {
  const trying = new Trying(rigging, allocated, said);
  let best = trying.rig(undefined);
  /** Jobs decided since something was chosen anew; when all are, deciding again would come out the same. */
  let stands = 0;
  // A second time where several jobs had a choice: the first was made beside the usual parts, not beside the best.
  for (let round = 0; round < ROUNDS && stands < jobs.length; round++)
    for (const waysFor of jobs) {
      if (stands === jobs.length) break;
      const ways = trying.waysOf(waysFor, best);
      stands += 1;
      if (ways.length < 2) continue;
      const before = nameOfRig(best.rig);
      best = trying.bestOf(ways, trying.baseOf(best));
      if (nameOfRig(best.rig) !== before) stands = 1;
    }
  const together = supportsWithLamps(trying, best);
  return together.length > 0 ? trying.bestOf(together, trying.baseOf(best)) : best;
}

/**
 * What holds the camera and what lights, chosen at once: the camera on a clamp leaves the lamp without one, so each by
 * itself stays as it is.
 */
function supportsWithLamps(trying: Trying, best: TriedRig): Choice[] {
  const supports = trying.waysOf(jobs[jobKinds.indexOf('support')]!, best);
  const isHolder = ({ supportLineId }: Choice) =>
    supportLineId !== undefined && holdsLamps(best.rig.kit.byLine(supportLineId)?.gear);
  if (supports.length < 2 || !supports.some(isHolder)) return [];
  const lamps = trying.waysOf(jobs[jobKinds.indexOf('lamp')]!, best);
  return lamps.length < 2
    ? []
    : supports.flatMap((support) => lamps.map((lit) => ({ ...support, ...lit })));
}

/** The rig of before; where a part of it is gone its job is done best, and elsewhere only what is new is tried. */
export function keepParts(
  rigging: Rigging,
  allocated: Allocated,
  said: Rig | undefined,
  before: PlacedRig,
  { lineIds, kinds }: NewParts
): TriedRig {
  const { kit, scene, angle } = rigging;
  const isThere = (lineId: string) => lineId === NO_PART || kit.byLine(lineId) !== undefined;
  const isNew = (lineId: string) => lineIds.has(lineId);
  const choices = choicesIn(before).map((choice, job) =>
    saidFields[job]!.every((field) => said?.[field] === before.overrides?.[field]) ? choice : {}
  );
  // With another body another lens may be the right one.
  if (before.body && !isThere(before.body.line.id)) choices[0] = {};
  if (linesOf(choices[0]!).length === 0) choices[1] = {};
  const trying = new Trying(rigging, allocated, said);
  let best = trying.rig(
    Object.assign({}, ...choices, said, { sceneId: scene.id, angleId: angle.id }) as Rig
  );
  for (const [job, waysFor] of jobs.entries()) {
    const choice = choices[job]!;
    const lines = linesOf(choice);
    const isKept = lines.length > 0 && lines.every(isThere);
    const kind = jobKinds[job]!;
    const isTurned = turnedBy[kind].some((other) => kinds.has(other));
    if (isKept && kind !== 'microphone' && !kinds.has(kind) && !isTurned) continue;
    const ways = trying.waysOf(waysFor, best);
    if (isTurned && ways.length < 2 && isKept) continue;
    const open =
      isKept && !isTurned
        ? ways.filter((way) => linesOf(way).some(isNew) || kinds.has(holderAt[way.micPlace ?? '']!))
        : ways;
    if (open.length === 0) continue;
    const ofBodies = job === 0;
    const tries = ofBodies ? open.map((way) => ({ ...way, lensLineId: said?.lensLineId })) : open;
    if (isKept) tries.push(ofBodies ? { ...choices[1], ...choice } : choice);
    best = trying.bestOf(tries, trying.baseOf(best));
    if (ofBodies && best.rig.body?.line.id !== before.body?.line.id) choices[1] = {};
  }
  return best;
}

/** What is said of each job: where that is another than before, nothing of it is kept. */
const saidFields: readonly (readonly (keyof Choice)[])[] = [
  ['bodyLineId'],
  ['lensLineId'],
  ['supportLineId'],
  ['micLineId', 'micPlace'],
  ['keyLampLineId', 'fillLampLineId', 'lamps']
];

/**
 * Kinds of part by which another part of the kit may become the best at a job: a body by the battery it had too little
 * of, a lens by the filter it darkens with, a lamp by the stand it lacked.
 */
const turnedBy = {
  body: ['battery', 'card', 'power bank', 'mains adapter', 'charger'],
  lens: ['filter', 'step-up ring', 'mount adapter'],
  support: ['head'],
  microphone: [],
  lamp: ['battery', 'support']
} as const satisfies Record<(typeof jobKinds)[number], readonly GearKind[]>;

/** With what kind of part a place for a microphone opens. */
const holderAt: Readonly<Partial<Record<string, GearKind>>> = {
  'boom arm': 'support',
  'side arm': 'thread adapter'
};

/** What a rig has chosen, job by job; nothing where it has none, so that the first to come is taken. */
const choicesIn = ({
  angle,
  body,
  lens,
  support,
  mic,
  micPlace,
  keyLamp,
  fillLamp
}: PlacedRig): readonly Choice[] => [
  body ? { bodyLineId: body.line.id } : {},
  lens && !lens.builtIn ? { lensLineId: lens.lineId } : {},
  support
    ? { supportLineId: support.line.id }
    : angle.cameraPlace === 'hand'
      ? { supportLineId: NO_PART }
      : {},
  mic && micPlace ? { micLineId: mic.line.id, micPlace } : {},
  keyLamp
    ? { keyLampLineId: keyLamp.part.line.id, fillLampLineId: fillLamp?.part.line.id ?? NO_PART }
    : {}
];

const ROUNDS = 2;

/** Rigs of one angle and one kit with equal names are equal: what else is in them follows from these. */
const nameOfRig = ({ body, lens, support, mic, micPlace, keyLamp, fillLamp }: PlacedRig): string =>
  `${body?.line.id} ${lens?.lineId} ${support?.line.id} ${mic?.line.id} ${micPlace} ${keyLamp?.part.line.id} ${fillLamp?.part.line.id}`;

/** By what the parts are, not by their place in the list, so that of two alike ways the same is taken in any order. */
function inOrder(ways: readonly Choice[], kit: Kit): Choice[] {
  const nameOf = (way: Choice) =>
    Object.entries(way)
      .map(([job, named]) => `${job} ${kit.byLine(String(named))?.gear.id ?? String(named)}`)
      .join();
  return ways
    .map((way) => ({ way, name: nameOf(way) }))
    .sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0))
    .map(({ way }) => way);
}
