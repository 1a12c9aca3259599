import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { useInScene } from '../acts/use-in-scene';
import type { Finding } from '../findings/finding';
import { swapFor } from '../findings/part-candidates';
import { basisFor, payableMinor } from '../money/payable-price';
import { newLine } from '../model/new-line';
import { compareKits, type KitMerit } from '../merit/kit-merit';
import { describeKind, type GearItem, pocketOf } from '../model/gear';
import type { Plan, PlanLine, PriceBasis } from '../model/plan';
import type { Pocket } from '../model/pocket';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { Shelf } from '../model/shelf';
import { judgePlan } from './judge-plan';
import type { Judgement } from './judgement';
import { type CompletedKit, completeKit } from './complete-kit';
import { partsOfScene } from '../figures/handling-rows';
import { lampStandOf } from '../rigs/lamp-stand';
import { trackJudgement } from './incremental';
import { pocketFigures, type SceneFigure } from './pocket-figures';
import { type FindingChange, whatChanges } from './what-changes';

/** How a part comes in: in the place of what does its job now, beside it, or for one scene alone. */
export type WayOfTaking =
  { how: 'replace' } | { how: 'add' } | { how: 'use in scene'; sceneId: string };

export const REPLACE: WayOfTaking = { how: 'replace' };

/** One part of a pocket, judged as if it were taken into the whole kit. */
export interface Candidate {
  gear: GearItem;
  basis: PriceBasis;
  /** In the plan now. */
  packed: boolean;
  /** The line it would take the place of. */
  replaces: string | undefined;
  /** The part and the joins it needs, at what they really cost here. */
  trueCostMinor: number;
  joins: string[];
  firmMinor: number;
  remainingMinor: number;
  merit: KitMerit;
  settles: FindingChange[];
  /** Of what it settles, the titles that are gone as soon as what it replaces is out, whatever comes in. */
  settledByEmptyPlace: string[];
  breaks: FindingChange[];
  act: Act | undefined;
  /** What the pocket is chosen by, scene by scene; a scene in which it means nothing has none. */
  figures: (SceneFigure | undefined)[];
  /**
   * What the kit is worth with it against what it is worth now, all stops settled, hundredths of a point. What
   * cannot be used gains nothing from what it pushed out.
   */
  gainHundredths: number;
  group: CandidateGroup;
  /** Why no scene can use it; empty where one does. */
  unusable: string;
}

/** By one rule, in this order: what cannot be used, what would block a scene, what is over the limit, the rest. */
export const candidateGroups = ['within', 'over', 'blocks', 'unusable'] as const;
export type CandidateGroup = (typeof candidateGroups)[number];

/** Findings that say that a part goes nowhere here. */
const GOES_NOWHERE: ReadonlySet<string> = new Set(['L1', 'B3', 'A11', 'S5', 'T3', 'P7']);

/** Kinds of which a scene uses the one that makes it best; of the others all there is counts. */
const placedKinds: ReadonlySet<string> = new Set([
  'body',
  'lens',
  'microphone',
  'support',
  'lamp',
  'filter',
  'windscreen'
]);

function isUsed({ angles }: Judgement, gear: GearItem, lineId: string): boolean {
  if (!placedKinds.has(gear.kind)) return true;
  return angles.some(({ rig, record }) => {
    const { dim, bright } = record.exposures;
    const filters = [dim, bright].flatMap((solved) =>
      solved?.plan.filter
        ? (rig.densityFilters[solved.task.filters.indexOf(solved.plan.filter)] ?? [])
        : []
    );
    return (
      partsOfScene(rig).some(({ line }) => line.id === lineId) ||
      filters.some(({ line }) => line.id === lineId) ||
      lampStandOf(rig)?.line.id === lineId
    );
  });
}

/** Why no scene can use a part; empty where one does. */
function whyUnusable(
  { judgement: after, leftOpen }: CompletedKit,
  gear: GearItem,
  lineId: string
): string {
  const goesNowhere = ({ code, severity, lineIds }: Finding) =>
    severity === 'stop' && GOES_NOWHERE.has(code) && lineIds?.includes(lineId) === true;
  const used = isUsed(after, gear, lineId);
  const stuck = after.findings.find(goesNowhere) ?? (used ? undefined : leftOpen.find(goesNowhere));
  if (stuck) return `${stuck.title()}. ${stuck.why()}`;
  if (used) return '';
  return gear.kind === 'body' && gear.form === 'drone'
    ? 'No scene is filmed from the air, so it would stay in the bag.'
    : 'No scene is better for it, so it would stay in the bag.';
}

function groupOf(
  unusable: string,
  breaks: readonly FindingChange[],
  remainingMinor: number
): CandidateGroup {
  if (unusable !== '') return 'unusable';
  if (breaks.some(({ severity }) => severity === 'stop')) return 'blocks';
  return remainingMinor < 0 ? 'over' : 'within';
}

function replacedLine(
  lines: readonly PlanLine[],
  gear: GearItem,
  shelf: Shelf
): PlanLine | undefined {
  const job = describeKind(gear).job?.(gear);
  if (job === undefined) return undefined;
  return lines.find((line) => {
    if (line.locked || line.state === 'owned' || line.state === 'returned' || line.step === 'later')
      return false;
    const there = shelf.byId.get(line.gearId);
    return there !== undefined && describeKind(there).job?.(there) === job;
  });
}

/** What came along with a line: in the plan now, and not before. */
function joinsOf(after: Judgement, before: Plan, taken: PlanLine): string[] {
  return after.money.lines
    .filter(({ line }) => line.id !== taken.id && !before.lines.some(({ id }) => id === line.id))
    .map(({ line, gear }) => gear?.model ?? line.gearId);
}

/** What goes away when a line does, and nothing takes its place. */
function settledByRemoving(project: Project, shelf: Shelf, before: Judgement, lineId: string) {
  const changed = applyAct(project, { type: 'remove line', lineId });
  return whatChanges(before, judgePlan(changed, activePlan(changed), shelf)).settles;
}

/** The kit as it is and what is asked of a pocket's parts; what leaving a place empty settles is worked out once. */
class Asking {
  readonly #emptyPlaces = new Map<string, FindingChange[]>();
  constructor(
    readonly project: Project,
    readonly shelf: Shelf,
    readonly before: Judgement,
    readonly way: WayOfTaking
  ) {}

  settledByEmptying(lineId: string): FindingChange[] {
    let settled = this.#emptyPlaces.get(lineId);
    if (!settled) {
      settled = settledByRemoving(this.project, this.shelf, this.before, lineId);
      this.#emptyPlaces.set(lineId, settled);
    }
    return settled;
  }

  /** What makes one scene use a line of the plan. */
  useOf(line: PlanLine, gear: GearItem): Act | undefined {
    const { way } = this;
    if (way.how !== 'use in scene') return undefined;
    const scene = this.project.scenes.find(({ id }) => id === way.sceneId);
    return scene && useInScene(scene, line, gear);
  }
}

/** One part judged as if it were taken into the whole kit. */
export function judgeCandidate(
  project: Project,
  shelf: Shelf,
  before: Judgement,
  gear: GearItem,
  way: WayOfTaking = REPLACE
): Candidate {
  return judgeAsked(new Asking(project, shelf, before, way), gear);
}

function judgeAsked(asking: Asking, gear: GearItem): Candidate {
  const { project, shelf, before, way } = asking;
  const plan = activePlan(project);
  const there = plan.lines.find(
    (line) => line.gearId === gear.id && line.step !== 'later' && line.state !== 'returned'
  );
  const basis: PriceBasis = there?.basis ?? basisFor(project, gear);
  if (there) {
    const use = asking.useOf(there, gear);
    const used = use && applyAct(project, use);
    const after = used ? judgePlan(used, activePlan(used), shelf) : before;
    const statement = before.money.lines.find(({ line }) => line.id === there.id);
    return {
      gear,
      basis,
      packed: true,
      replaces: there.id,
      trueCostMinor: statement?.firmMinor ?? 0,
      joins: [],
      firmMinor: before.money.firmMinor,
      remainingMinor: before.money.remainingMinor,
      merit: after.merit,
      ...(used ? whatChanges(before, after) : { settles: [], breaks: [] }),
      settledByEmptyPlace: [],
      act: use,
      figures: pocketFigures(pocketOf(gear), after, project.units),
      gainHundredths: after.merit.onceSettledHundredths - before.merit.onceSettledHundredths,
      group: groupOf('', [], after.money.remainingMinor),
      unusable: ''
    };
  }
  const replaced = way.how === 'replace' ? replacedLine(plan.lines, gear, shelf) : undefined;
  const line: PlanLine = { ...newLine(plan, gear), basis, quantity: replaced?.quantity ?? 1 };
  const use = asking.useOf(line, gear);
  const add: Act = { type: 'add line', line };
  const take: Act = replaced
    ? swapFor(replaced.id)(line)
    : use
      ? { type: 'batch', acts: [add, use] }
      : add;
  const changed = applyAct(project, take);
  const completed = completeKit(trackJudgement(project, before), changed, shelf);
  const { acts, judgement: after } = completed;
  const replacedCost = replaced
    ? (before.money.lines.find((statement) => statement.line.id === replaced.id)?.firmMinor ?? 0)
    : 0;
  const changes = whatChanges(before, after);
  const emptied = new Set(
    replaced && changes.settles.length > 0
      ? asking.settledByEmptying(replaced.id).map(({ title }) => title)
      : []
  );
  const unusable = whyUnusable(completed, gear, line.id);
  const gain = after.merit.onceSettledHundredths - before.merit.onceSettledHundredths;
  return {
    gear,
    basis,
    packed: false,
    replaces: replaced?.id,
    trueCostMinor: after.money.firmMinor - before.money.firmMinor + replacedCost,
    joins: acts.length === 0 ? [] : joinsOf(after, plan, line),
    firmMinor: after.money.firmMinor,
    remainingMinor: after.money.remainingMinor,
    merit: after.merit,
    ...changes,
    settledByEmptyPlace: changes.settles.flatMap(({ title }) => (emptied.has(title) ? title : [])),
    act: acts.length > 0 ? { type: 'batch', acts: [take, ...acts] } : take,
    figures: pocketFigures(pocketOf(gear), after, project.units),
    gainHundredths: unusable === '' ? gain : Math.min(0, gain),
    group: groupOf(unusable, changes.breaks, after.money.remainingMinor),
    unusable
  };
}

/** Packed parts first, then those whose price lies nearest to theirs. */
function nearestFirst(
  parts: readonly GearItem[],
  project: Project,
  shelf: Shelf,
  pocket: Pocket
): GearItem[] {
  const packed = activePlan(project)
    .lines.map((line) => shelf.byId.get(line.gearId))
    .filter((gear): gear is GearItem => gear !== undefined && pocketOf(gear) === pocket);
  const inBag = new Set(packed.map(({ id }) => id));
  const price = (gear: GearItem) => payableMinor(project, gear) ?? 0;
  const around = Math.max(0, ...packed.map(price));
  const off = (gear: GearItem) => (inBag.has(gear.id) ? -1 : Math.abs(price(gear) - around));
  return [...parts].sort((a, b) => off(a) - off(b) || (a.id < b.id ? -1 : 1));
}

/** Group by group, the best kit first; among equals the cheaper. */
export const bestFirst = (a: Candidate, b: Candidate) =>
  candidateGroups.indexOf(a.group) - candidateGroups.indexOf(b.group) ||
  compareKits(b.merit, a.merit) ||
  b.merit.onceSettledHundredths - a.merit.onceSettledHundredths ||
  a.trueCostMinor - b.trueCostMinor ||
  (a.gear.id < b.gear.id ? -1 : 1);

/** Every part of the shelf that belongs into a pocket, judged in the whole kit, best first. */
export function judgeCandidates(
  project: Project,
  shelf: Shelf,
  pocket: Pocket,
  way: WayOfTaking = REPLACE
): Candidate[] {
  return [...judgingCandidates(project, shelf, pocket, way)].sort(bestFirst);
}

/**
 * The same part by part, for a worker that has other things to do between: those nearest in price to
 * what is packed come first.
 *
 * @param isWanted by place in that order; another worker judges the others
 */
export function* judgingCandidates(
  project: Project,
  shelf: Shelf,
  pocket: Pocket,
  way: WayOfTaking = REPLACE,
  isWanted: (index: number) => boolean = () => true
): Generator<Candidate, void, void> {
  const before = judgePlan(project, activePlan(project), shelf);
  const parts = shelf.items.filter((gear) => pocketOf(gear) === pocket);
  const asking = new Asking(project, shelf, before, way);
  for (const [index, gear] of nearestFirst(parts, project, shelf, pocket).entries())
    if (isWanted(index)) yield judgeAsked(asking, gear);
}
