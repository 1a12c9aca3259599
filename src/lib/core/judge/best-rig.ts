import { computeFigures } from '../figures/record';
import { memoOf, memoOn } from '../memo';
import type { Shelf } from '../model/shelf';
import { missingIn } from '../findings/money/missing-parts';
import { angleFindings, judgesOfAngle } from '../findings/table';
import type { FindingRow, Severity } from '../findings/finding';
import { axes, type Axis } from '../merit/axis-curves';
import { axisPoints, lossesByFinding, sumAxis } from '../merit/axis-scores';
import { combineAxes } from '../merit/scene-merit';
import { weightsOf } from '../merit/schools';
import type { GearItem } from '../model/gear';
import type { Plan, Rig } from '../model/plan';
import { NO_PART } from '../model/word-lists';
import type { Project } from '../model/project';
import type { Angle, Scene } from '../model/scene';
import { type Allocated, isFree } from '../rigs/allocated';
import { type Kit, type KitPart, makeKit } from '../rigs/kit';
import { lampsFor } from '../rigs/place-lamps';
import { lensMounts, mountOf } from '../rigs/place-lens';
import { micPlacesFor } from '../rigs/place-mic';
import { bodiesFor, overridesOf, placeRig } from '../rigs/place-rig';
import type { PlacedRig } from '../rigs/placed-rig';
import { supportsByPlace } from '../rigs/places';
import type { DifferingAngle, DifferingPlan } from './incremental';

/** What may be chosen for a rig: the part of a job, by its line. */
type Choice = Partial<Rig>;

/**
 * Puts a kit in place for every angle, each with the parts of the kit that make it best: fewest stops, then
 * merit. What the person has fixed stands. Job by job (body, lens, support, microphone, lamps), each way
 * tried beside what is chosen for the others.
 */
export function placeBestRigs(
  project: Project,
  plan: Plan,
  kit: Kit,
  before?: DifferingPlan
): BestRig[] {
  const rigs: BestRig[] = [];
  for (const scene of project.scenes) {
    const allocated: Allocated = new Map();
    for (const angle of scene.angles)
      rigs.push(placeBest({ project, plan, kit, scene, angle, before }, allocated));
  }
  return rigs;
}

/** What was chosen for an angle, as plain data: it passes from one thread to another. */
export interface ChosenRig {
  sceneId: string;
  angleId: string;
  /** Undefined for the usual rig. */
  way: Rig | undefined;
}

/** What is chosen for every angle of a project's plan. */
export function chooseRigs(project: Project, plan: Plan, shelf: Shelf): ChosenRig[] {
  return placeBestRigs(project, plan, makeKit(plan, shelf)).map(({ rig, way }) => ({
    sceneId: rig.scene.id,
    angleId: rig.angle.id,
    way
  }));
}

/**
 * Remembers what was chosen elsewhere for this very project, so that judging it here takes it up instead of
 * choosing again.
 */
export function rememberRigs(
  project: Project,
  plan: Plan,
  shelf: Shelf,
  chosen: readonly ChosenRig[]
): void {
  const kit = makeKit(plan, shelf);
  for (const scene of project.scenes) {
    const allocated: Allocated = new Map();
    for (const angle of scene.angles) {
      const one = chosen.find(
        ({ sceneId, angleId }) => sceneId === scene.id && angleId === angle.id
      );
      if (!one) break;
      const said = overridesOf(plan, scene, angle);
      remember(angle, keyOf(project, scene, kit, said, plan, allocated), one.way);
      placeRig(project, plan, kit, scene, angle, allocated, one.way ?? said);
    }
  }
}

export interface BestRig {
  rig: PlacedRig;
  /** Undefined for the usual rig. */
  way: Rig | undefined;
  /** What differs in it from the judgement before, where that was asked to choose it. */
  difference: DifferingAngle | undefined;
}

/** An angle to be rigged with what a kit holds. */
interface Rigging {
  project: Project;
  plan: Plan;
  kit: Kit;
  scene: Scene;
  angle: Angle;
  /** A judgement of a plan a little different, by which a rig is judged with less work and to the same end. */
  before: DifferingPlan | undefined;
}

function placeBest(rigging: Rigging, allocated: Allocated): BestRig {
  const { project, plan, kit, scene, angle, before } = rigging;
  const said = overridesOf(plan, scene, angle);
  const key = keyOf(project, scene, kit, said, plan, allocated);
  const remembered = choicesOf(angle).get(key);
  if (remembered !== undefined) {
    const rig = placeRig(project, plan, kit, scene, angle, allocated, remembered ?? said);
    return { rig, way: remembered ?? undefined, difference: undefined };
  }
  const rigBefore = before?.howToPlace === 'as before' ? before.rigBefore(angle) : undefined;
  // What was said and is not any more must not be kept.
  const kept =
    rigBefore && rigBefore.overrides === said
      ? keepParts(rigging, allocated, said, rigBefore)
      : undefined;
  const chosen = kept ?? chooseParts(rigging, allocated, said);
  if (!kept) remember(angle, key, chosen.way);
  for (const [lineId, pieces] of chosen.allocated) allocated.set(lineId, pieces);
  return chosen;
}

/** A rig tried: how it was asked for, and what it leaves for the other angles. */
interface TriedRig extends BestRig {
  allocated: Allocated;
}

/** Rigs of one angle, tried with what the other angles have left. */
class Trying {
  readonly #standings = new Map<string, Standing>();

  constructor(
    private readonly rigging: Rigging,
    private readonly allocated: Allocated,
    private readonly said: Rig | undefined
  ) {}

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
      const one = this.rig({ ...base, ...way });
      one.difference = this.rigging.before?.angle(one.rig, undefined);
      const name = nameOfRig(one.rig);
      let standing = this.#standings.get(name);
      if (!standing) this.#standings.set(name, (standing = standingOf(one.rig, one.difference)));
      if (!bestStanding || isBetter(standing, bestStanding)) {
        first = one;
        bestStanding = standing;
      }
    }
    return first!;
  }
}

/** The rig with every job done best. */
function chooseParts(rigging: Rigging, allocated: Allocated, said: Rig | undefined): TriedRig {
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
  return best;
}

/** The rig of before; where a part of it is gone its job is done best, and elsewhere only what is new is tried. */
function keepParts(
  rigging: Rigging,
  allocated: Allocated,
  said: Rig | undefined,
  before: PlacedRig
): TriedRig {
  const { kit, scene, angle } = rigging;
  const had = new Set(before.kit.parts.map(({ line }) => line.id));
  const isThere = (lineId: string) => lineId === NO_PART || kit.byLine(lineId) !== undefined;
  const isNew = (lineId: string) => lineId !== NO_PART && !had.has(lineId);
  const choices = [...choicesIn(before)];
  // With another body another lens may be the right one.
  if (before.body && !isThere(before.body.line.id)) choices[0] = choices[1] = {};
  const trying = new Trying(rigging, allocated, said);
  let best = trying.rig(
    Object.assign({}, ...choices, said, { sceneId: scene.id, angleId: angle.id }) as Rig
  );
  for (const [job, waysFor] of jobs.entries()) {
    const choice = choices[job]!;
    const isKept = Object.keys(choice).length > 0 && linesOf(choice).every(isThere);
    const ways = trying.waysOf(waysFor, best);
    const open = isKept ? ways.filter((way) => linesOf(way).some(isNew)) : ways;
    if (open.length === 0) continue;
    const ofBodies = job === 0;
    const tries = ofBodies ? open.map((way) => ({ ...way, lensLineId: said?.lensLineId })) : open;
    if (isKept) tries.push(ofBodies ? { ...choices[1], ...choice } : choice);
    best = trying.bestOf(tries, trying.baseOf(best));
    if (ofBodies && best.rig.body?.line.id !== before.body?.line.id) choices[1] = {};
  }
  return best;
}

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

const linesOf = ({ micPlace: _, ...lines }: Choice): string[] =>
  Object.values(lines).flatMap((lineId) => (lineId === undefined ? [] : String(lineId)));

const ROUNDS = 2;

/** Rigs of one angle and one kit with equal names are equal: what else is in them follows from these. */
const nameOfRig = ({ body, lens, support, mic, micPlace, keyLamp, fillLamp }: PlacedRig): string =>
  `${body?.line.id} ${lens?.lineId} ${support?.line.id} ${mic?.line.id} ${micPlace} ${keyLamp?.part.line.id} ${fillLamp?.part.line.id}`;

/** By what the parts are, not by their place in the list, so that of two alike ways the same is taken in any order. */
function inOrder(ways: readonly Choice[], kit: Kit): Choice[] {
  const nameOf = (way: Choice) =>
    Object.entries(way)
      .map(([job, one]) => `${job} ${kit.byLine(String(one))?.gear.id ?? String(one)}`)
      .join();
  return ways
    .map((way) => ({ way, name: nameOf(way) }))
    .sort((one, other) => (one.name < other.name ? -1 : one.name > other.name ? 1 : 0))
    .map(({ way }) => way);
}

/** Ways a job can be done with what the kit holds, the usual one among them; none where the person has said it. */
type WaysFor = (usual: PlacedRig, said: Rig | undefined, allocated: Allocated) => Choice[];

const free = <G extends GearItem>(parts: readonly KitPart<G>[], allocated: Allocated) =>
  parts.filter((part) => isFree(part, allocated));
const no: Choice[] = [];

const jobs: readonly WaysFor[] = [
  ({ kit, angle }, said, allocated) =>
    said?.bodyLineId !== undefined
      ? no
      : bodiesFor(kit, angle, said, allocated).map(({ line }) => ({ bodyLineId: line.id })),

  ({ kit, body }, said, allocated) => {
    if (said?.lensLineId !== undefined || !body || body.gear.builtInLens) return no;
    const mount = mountOf(body);
    return free(kit.of('lens'), allocated)
      .filter(({ gear }) => lensMounts(kit, { builtIn: false, gear }, mount))
      .map(({ line }) => ({ lensLineId: line.id }));
  },

  ({ kit, angle }, said, allocated) => {
    if (said?.supportLineId !== undefined) return no;
    const forms: readonly string[] = supportsByPlace[angle.cameraPlace];
    const ways: Choice[] = free(kit.of('support'), allocated)
      .filter(({ gear }) => forms.includes(gear.form))
      .map(({ line }) => ({ supportLineId: line.id }));
    // In the hand one may hold the camera itself.
    if (ways.length > 0 && angle.cameraPlace === 'hand') ways.push({ supportLineId: NO_PART });
    return ways;
  },

  ({ kit, scene, index }, said) => {
    if (index > 0 || scene.voice === 'none' || said?.micLineId === NO_PART) return no;
    return kit.of('microphone').flatMap(({ line, gear }) =>
      said?.micLineId !== undefined && said.micLineId !== line.id
        ? []
        : micPlacesFor(kit, scene, gear)
            .filter((place) => said?.micPlace === undefined || said.micPlace === place)
            .map((micPlace) => ({ micLineId: line.id, micPlace }))
    );
  },

  ({ kit, scene, hasSocket }, said) => {
    if (said?.keyLampLineId !== undefined || said?.lamps !== undefined) return no;
    const lamps = lampsFor(kit, scene, hasSocket);
    if (lamps.length < 2) return no;
    const lines = [...new Set(lamps.map(({ line }) => line.id))];
    const ways = lines.flatMap((keyLampLineId): Choice[] => [
      { keyLampLineId, fillLampLineId: NO_PART },
      ...lines
        .filter((other) => other !== keyLampLineId || isTwice(lamps, other))
        .map((fillLampLineId) => ({ keyLampLineId, fillLampLineId }))
    ]);
    const fill = said?.fillLampLineId;
    return fill === undefined ? ways : ways.filter((way) => way.fillLampLineId === fill);
  }
];

const isTwice = (lamps: readonly KitPart[], lineId: string): boolean =>
  lamps.filter(({ line }) => line.id === lineId).length > 1;

/** How well an angle stands: what stops it counts before what it is worth. */
interface Standing {
  stops: number;
  merit: number;
}

/** Differences below this are none; the part that comes first stays. */
const EQUAL_MERIT = 1e-6;

const isBetter = (one: Standing, other: Standing): boolean =>
  one.stops !== other.stops ? one.stops < other.stops : one.merit > other.merit + EQUAL_MERIT;

/** What was chosen lately for an angle, by all that the choice depends on; null where nothing was to be chosen. */
const choicesOf = memoOf((_angle: Angle) => new Map<string, Rig | null>());
const MOST_REMEMBERED = 2000;

function remember(angle: Angle, key: string, way: Rig | undefined): void {
  const known = choicesOf(angle);
  if (known.size >= MOST_REMEMBERED) known.clear();
  known.set(key, way ?? null);
}

/** A number for each object, so that a kit of the same parts has the same key. */
const numberOf = memoOf((_one: object): number => ++lastNumber);
let lastNumber = 0;

const kitKey = memoOn((kit: Kit): string =>
  kit.parts
    .map(({ line, gear }) => `${line.id}*${line.quantity}${line.worn ? '!' : ''}${numberOf(gear)}`)
    .join()
);

function keyOf(
  { school, ownWeights, mainsHz, switchLimit, setUpLimitMin }: Project,
  scene: Scene,
  kit: Kit,
  said: Rig | undefined,
  plan: Plan,
  allocated: Allocated
): string {
  const taken = allocated.size === 0 ? '' : [...allocated].join();
  // Bodies of the other angles are placed by what is said of those.
  const others = scene.angles.length > 1 ? numberOf(plan.rigs) : 0;
  return `${numberOf(scene)} ${said ? numberOf(said) : 0} ${others} ${school} ${ownWeights ? numberOf(ownWeights) : 0} ${mainsHz} ${switchLimit} ${setUpLimitMin} ${taken} ${kitKey(kit)}`;
}

/**
 * Judges one angle by itself, without words: its stops, and its merit with all they cost settled.
 *
 * @param difference what differs from a rig judged before, whose other rows and figures stand
 */
function standingOf(rig: PlacedRig, difference: DifferingAngle | undefined): Standing {
  const record = difference?.record ?? computeFigures([rig])[0]!;
  const weakening: FindingRow[] = [];
  let stops = missingIn(rig);
  const count = (row: FindingRow, severity: Severity | undefined) => {
    if (severity === 'stop') stops += 1;
    else if (severity === 'warn') weakening.push(row);
  };
  if (difference)
    for (const { finding } of difference.standing) count(finding.row, finding.severity);
  for (const at of difference?.reached ?? allRows) {
    const row = angleFindings[at]!;
    const unchanged = difference?.unchanged(at);
    if (unchanged) {
      count(row, unchanged.finding?.severity);
      continue;
    }
    const unknownsBefore = record.unknownReads;
    const held = judgesOfAngle[at]!(rig, record);
    if (held) count(row, held.severity);
    else if (record.unknownReads > unknownsBefore && row.onlyNotes !== true) weakening.push(row);
  }
  const losses = lossesByFinding(rig, weakening);
  const points: Partial<Record<Axis, number>> = {};
  for (const axis of axes) {
    const sum = difference ? difference.sum(axis, record) : sumAxis(axis, rig, record);
    if (sum) points[axis] = axisPoints(sum.low - (losses[axis] ?? 0));
  }
  return { stops, merit: combineAxes(points, weightsOf(rig.project)).merit };
}

const allRows = judgesOfAngle.map((_, at) => at);
