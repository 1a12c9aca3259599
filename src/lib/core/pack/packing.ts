import { applyAct } from '../acts/apply-act';
import { settleAll } from '../judge/settle-all';
import type { Judgement } from '../judge/judgement';
import { activePlan } from '../model/active-plan';
import type { GearItem } from '../model/gear';
import { newLine } from '../model/new-line';
import type { Project } from '../model/project';
import { MOST_MINOR } from '../model/limits';
import type { Shelf } from '../model/shelf';
import { boundingKits, type BoundStep } from './bound/kit-bound';
import { type FrontKit, KitFront } from './kit-front';
import { spendableOf } from './front-steps';
import { neighboursOf } from './neighbours';
import { bareProject, frameOf, noRules, type PackFrame, type PackRules } from './pack-rules';
import { UnlikeKits } from './unlike-kits';
import {
  compareWorth,
  filmsAll,
  judged,
  keepsLimits,
  kitOf,
  type PackedKit,
  withKit
} from './packed-kit';

/** How far a search has come. */
export interface PackProgress {
  /** Kits nothing found so far beats, cheapest first. */
  front: readonly PackedKit[];
  /** Whole kits judged. */
  judged: number;
  /** Kits whose every neighbour was looked at, and those still to be looked at. */
  expanded: number;
  waiting: number;
  /** Nothing is left that it would look at: the best kit of each slice was looked round from, the others were trimmed. */
  isDone: boolean;
  /**
   * What no kit can be worth more than, by what is spent; undefined until it is worked out, where it was not asked
   * for, and where the shelf is too large for it.
   */
  bound: readonly BoundStep[] | undefined;
  /** Good kits within the budget that differ from each other in what they rest on, the best first. */
  unlike: readonly PackedKit[];
}

/** The front is looked at in so many slices of money, so that no end of it waits for the other. */
const SLICES = 80;
/** Bodies a kit is begun with. Thorough is all of a shelf as it ships: with four, kits up to six points better were missed at some spends. */
const BEGINNINGS = { thorough: 40, quick: 4 } as const;
/** Where nothing within the budget films all, it is looked so much further than the cheapest that does. */
const PAST_THE_CHEAPEST = 1.1;
/** Told of after so many kits. */
const TOLD_EVERY = 60;
/** A part that made no kit better in so many looks round is left out of most. */
const HOPELESS_AFTER = 4;
/** Every so many looks round nothing is left out. */
const WHOLE_LOOK_EVERY = 6;

/**
 * Searches for the kits nothing beats, at every spend up to a quarter past the budget. Begins from the plan, from what
 * stays, and from what stays with each of a few bodies; then looks at everything one change away from the kits of the
 * front, slice of money by slice, until none is better. What comes out has been judged whole by the same judge as any
 * plan. It is the best that was found; last it is bounded what any kit can be worth, so that a person knows how far
 * the best can be from it.
 *
 * @param thorough whether that is asked for, and every body begun with; a first kit comes sooner without
 */
export function* packing(
  given: Project,
  whole: Shelf,
  rules: PackRules = noRules,
  thorough = true
): Generator<PackProgress, PackProgress, void> {
  const beginnings = thorough ? BEGINNINGS.thorough : BEGINNINGS.quick;
  let search = new Search(frameOf(given, whole, rules), beginnings);
  yield* search.begin();
  if (!search.filmsAll) {
    // Nothing within reach films all of it: what the cheapest that does costs is what a person has to know.
    const further = new Search(frameOf(given, whole, rules, MOST_MINOR), beginnings);
    yield* further.begin();
    const upTo = further.cheapestThatFilms;
    if (upTo !== undefined) {
      search = new Search(
        frameOf(given, whole, rules, Math.round(upTo * PAST_THE_CHEAPEST)),
        beginnings
      );
      yield* search.begin();
    }
  }
  yield* search.run();
  if (thorough) yield* search.bound();
  return search.progress(true);
}

/** Looks for the best kits, one look round after the other; the same project gives the same kits. */
class Search {
  readonly #front = new KitFront();
  readonly #idle = new Map<string, number>();
  readonly #unlike: UnlikeKits;
  #bound: readonly BoundStep[] | undefined;
  #judged = 0;
  #expanded = 0;
  #told = 0;

  constructor(
    readonly frame: PackFrame,
    private readonly beginnings: number
  ) {
    this.#unlike = new UnlikeKits(frame);
  }

  get #filming() {
    return this.#front.all.find(({ kit }) => filmsAll(kit.merit))?.kit;
  }

  get filmsAll(): boolean {
    return this.#filming !== undefined;
  }

  get cheapestThatFilms(): number | undefined {
    return this.#filming?.priceMinor;
  }

  progress(isDone: boolean): PackProgress {
    return {
      front: this.#front.all.map(({ kit }) => kit),
      judged: this.#judged,
      expanded: this.#expanded,
      waiting: this.#front.all.filter(({ isExpanded }) => !isExpanded).length,
      isDone,
      bound: this.#bound,
      unlike: isDone
        ? this.#unlike.chosen(this.#front.bestFor(spendableOf(this.frame.project)))
        : []
    };
  }

  *begin(): Generator<PackProgress, void, void> {
    const { frame } = this;
    this.#take(frame.project);
    yield this.progress(false);
    const bare = bareProject(frame);
    this.#take(bare);
    this.#take(this.#settled(bare));
    yield this.progress(false);
    for (const body of this.#promisingBodies(bare)) {
      const begun = applyAct(bare, {
        type: 'add line',
        line: { ...newLine(activePlan(bare), body), basis: frame.basisOf(body) }
      });
      this.#take(begun);
      this.#take(this.#settled(begun));
      yield this.progress(false);
    }
  }

  /** Bounds what any kit can be worth. */
  *bound(): Generator<PackProgress, void, void> {
    const bounding = boundingKits(this.frame);
    let step = bounding.next();
    for (; step.done !== true; step = bounding.next()) yield this.progress(false);
    this.#bound = step.value;
  }

  /** The cheapest ways found to make it film all that must be filmed. */
  #settled(project: Project): Project {
    const { act } = settleAll(project, this.frame.shelf);
    const settled = act ? applyAct(project, act) : project;
    // What a remedy would change in the brief is not the packer's to change.
    return settled.scenes === project.scenes ? settled : project;
  }

  /** One body of each mount and the best beside them, by what the kit would be worth with it alone. */
  #promisingBodies(bare: Project): GearItem[] {
    const { frame } = this;
    const before = judged(bare, frame.shelf);
    const begun = frame.parts.body.map((body) => {
      const after = judged(
        applyAct(bare, {
          type: 'add line',
          line: { ...newLine(activePlan(bare), body), basis: frame.basisOf(body) }
        }),
        frame.shelf
      );
      this.#judged += 1;
      return { body, merit: after.merit, minor: frame.priceOf(body)! };
    });
    if (before.kit.of('body').length > 0 && frame.parts.body.length === 0) return [];
    const best = [...begun].sort(
      (one, other) =>
        other.merit.onceSettledHundredths - one.merit.onceSettledHundredths ||
        one.minor - other.minor
    );
    const chosen = new Set<GearItem>();
    const cheapest = [...begun].sort((one, other) => one.minor - other.minor)[0];
    if (cheapest) chosen.add(cheapest.body);
    const mounts = new Set<string>();
    for (const { body } of best) {
      const mount = body.ports.find(({ role }) => role === 'lens')?.type ?? 'none';
      if (mounts.size === mounts.add(mount).size && chosen.size >= this.beginnings) continue;
      chosen.add(body);
      if (chosen.size > this.beginnings) break;
    }
    return [...chosen];
  }

  /** Judges a kit whole and puts it on the front where it belongs. */
  #take(project: Project): boolean {
    const now = judged(project, this.frame.shelf);
    this.#judged += 1;
    if (now.money.firmMinor > this.frame.mostMinor) return false;
    if (!this.frame.respects(activePlan(project).lines) || !keepsLimits(this.frame.project, now))
      return false;
    this.#unlike.note(project, now);
    return this.#front.add(kitOf(project, now));
  }

  *run(): Generator<PackProgress, void, void> {
    for (let look = 0; ; look++) {
      const next = this.#next(look);
      if (!next) break;
      next.isExpanded = true;
      const project = withKit(this.frame.project, next.kit);
      const before = judged(project, this.frame.shelf);
      yield* this.#lookRound(project, before, look % WHOLE_LOOK_EVERY === 0);
      this.#expanded += 1;
      yield this.progress(false);
    }
    yield* this.#trim();
  }

  /** Of every kit of the front, parts without which it is as good are left out. */
  *#trim(): Generator<PackProgress, void, void> {
    for (;;) {
      const next = this.#front.all.find(({ isExpanded }) => !isExpanded);
      if (!next) return;
      next.isExpanded = true;
      const project = withKit(this.frame.project, next.kit);
      for (const line of next.kit.lines)
        if (!this.frame.isFixed(line))
          this.#take(applyAct(project, { type: 'remove line', lineId: line.id }));
      yield this.progress(false);
    }
  }

  *#lookRound(
    project: Project,
    before: Judgement,
    whole: boolean
  ): Generator<PackProgress, void, void> {
    const { frame } = this;
    const isWanted = ({ id }: GearItem) => whole || (this.#idle.get(id) ?? 0) < HOPELESS_AFTER;
    const helped = new Set<string>();
    const tried = new Set<string>();
    for (const { project: kit, judgement, gearId } of neighboursOf(
      project,
      before,
      frame,
      isWanted
    )) {
      this.#judged += 1;
      if (gearId !== undefined) {
        tried.add(gearId);
        if (compareWorth(judgement.merit, before.merit) > 0) helped.add(gearId);
      }
      const { firmMinor } = judgement.money;
      this.#unlike.note(kit, judgement);
      if (
        firmMinor <= frame.mostMinor &&
        this.#front.admits({ priceMinor: firmMinor, merit: judgement.merit })
      )
        this.#take(kit);
      if (++this.#told % TOLD_EVERY === 0) yield this.progress(false);
    }
    for (const id of tried) this.#idle.set(id, helped.has(id) ? 0 : (this.#idle.get(id) ?? 0) + 1);
  }

  /** The best kit of a slice of money that was not looked round from; the slices take turns. */
  #next(look: number): FrontKit | undefined {
    // Every other look is round the best within the budget: that is what a person waits for.
    if (look % 2 === 0) {
      const spendable = spendableOf(this.frame.project);
      const best = this.#front.all.filter(({ kit }) => kit.priceMinor <= spendable).at(-1);
      if (best && !best.isExpanded) return best;
    }
    const { mostMinor } = this.frame;
    const sliceOf = (priceMinor: number) =>
      Math.min(SLICES - 1, Math.floor((SLICES * priceMinor) / Math.max(1, mostMinor)));
    const bestBySlice = new Map<number, FrontKit>();
    for (const one of this.#front.all) bestBySlice.set(sliceOf(one.kit.priceMinor), one);
    for (let turn = 0; turn < SLICES; turn++) {
      // From the dear end down: what is good there is good with less.
      const one = bestBySlice.get(SLICES - 1 - ((look + turn) % SLICES));
      if (one && !one.isExpanded) return one;
    }
    return undefined;
  }
}

/** Searches to the end, or until so many kits were judged; the bound comes last. */
export function pack(
  given: Project,
  whole: Shelf,
  rules: PackRules = noRules,
  { mostJudged = Infinity, thorough = true }: { mostJudged?: number; thorough?: boolean } = {}
): PackProgress {
  const search = packing(given, whole, rules, thorough);
  for (;;) {
    const step = search.next();
    if (step.done === true || step.value.judged >= mostJudged) return step.value;
  }
}
