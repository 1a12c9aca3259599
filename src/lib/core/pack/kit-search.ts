import { applyAct } from '../acts/apply-act';
import { type HowToPlace, trackJudgement } from '../judge/incremental';
import type { Judgement } from '../judge/judgement';
import { activePlan } from '../model/active-plan';
import type { GearItem } from '../model/gear';
import type { Project } from '../model/project';
import {
  bestWithin,
  boundKits,
  type BoundStep,
  boundsOfScenes,
  MOST_RIGS,
  type SceneBounds,
  worthOf
} from './bound/kit-bound';
import { broughtWithin, grafted, pairsAbove } from './graft';
import { type FrontKit, KitFront } from './kit-front';
import { spendableOf } from './front-steps';
import { keepsLimits } from './limits';
import { neighboursOf } from './neighbours';
import { promisingKits } from './promising-kits';
import { beginnings, settled } from './beginnings';
import type { PackFrame } from './pack-rules';
import { UnlikeKits } from './unlike-kits';
import { compareWorth, filmsAll, judged, kitOf, type PackedKit, withKit } from './packed-kit';

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
/**
 * Kits of each set of bodies are followed by themselves for a while, or what is best at first hides what is better once
 * it is mended: so many looks round each, then the better half twice as far, until none is left. It is looked for the
 * best within these shares of the budget.
 */
const LOOKS_OF_A_CAMP = 1;
const SHARES_OF_BUDGET = [1, 0.5] as const;
/** So many rigs of body, lens and support are bounded in a few seconds; on a larger shelf that comes last. */
const MOST_RIGS_TO_BEGIN_WITH = 10_000;
/** So often what came out better is looked at again for other rigs. */
const GRAFTING_ROUNDS = 4;
/** The search ends with so many kits two changes from the best, and as many again whenever one is better. */
const TWO_CHANGES_AWAY = 1500;
/** Told of after so many kits. */
const TOLD_EVERY = 60;
/** A part that made no kit better in so many looks round is left out of most. */
const HOPELESS_AFTER = 4;
/** Every so many looks round nothing is left out. */
const WHOLE_LOOK_EVERY = 6;

const bodiesOf = ({ kit }: Judgement): string =>
  kit
    .of('body')
    .map(({ gear }) => gear.id)
    .sort()
    .join(BETWEEN_BODIES);
const BETWEEN_BODIES = '|';

/** Looks in a row in which a part made no kit better. */
type Idle = Map<string, number>;

/** Kits nothing beats among those with the same bodies; what is idle elsewhere may help here. */
interface Camp {
  front: KitFront;
  idle: Idle;
}

/** Looks for the best kits, one look round after the other; the same project gives the same kits. */
export class KitSearch {
  readonly #front = new KitFront();
  /** By their bodies. */
  readonly #camps = new Map<string, Camp>();
  readonly #idle: Idle = new Map();
  readonly #unlike: UnlikeKits;
  #bound: readonly BoundStep[] | undefined;
  #judged = 0;
  #expanded = 0;
  #told = 0;

  constructor(readonly frame: PackFrame) {
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
    for (const kit of beginnings(this.frame)) {
      this.#take(kit);
      yield this.progress(false);
    }
  }

  /** Begins with what the bound rests on, too, where that is known in a few seconds. */
  *beginFromBound(): Generator<PackProgress, void, void> {
    yield* this.#boundScenes(MOST_RIGS_TO_BEGIN_WITH);
    if (!this.#perScene) return;
    for (const kit of promisingKits(this.frame, this.#perScene)) {
      this.#take(settled(this.frame, kit));
      yield this.progress(false);
    }
  }

  *#boundScenes(mostRigs: number): Generator<PackProgress, void, void> {
    const bounding = boundsOfScenes(this.frame, mostRigs);
    let step = bounding.next();
    for (; step.done !== true; step = bounding.next()) yield this.progress(false);
    this.#perScene = step.value;
  }
  #perScene: SceneBounds | undefined;

  /** Bounds what any kit can be worth. */
  *bound(): Generator<PackProgress, void, void> {
    if (!this.#perScene) yield* this.#boundScenes(MOST_RIGS);
    if (this.#perScene) this.#bound = boundKits(this.frame, this.#perScene);
  }

  /** Judges a kit whole and puts it on the front where it belongs. */
  #take(project: Project): boolean {
    const now = judged(project, this.frame.shelf);
    this.#judged += 1;
    if (now.money.firmMinor > this.frame.mostMinor) return false;
    if (!this.frame.respects(activePlan(project).lines) || !keepsLimits(this.frame, now))
      return false;
    this.#unlike.note(project, now);
    const kit = kitOf(project, now);
    const bodies = bodiesOf(now);
    const camp = this.#camps.get(bodies) ?? { front: new KitFront(), idle: new Map() };
    if (bodies !== '') this.#camps.set(bodies, camp);
    camp.front.add(kit);
    return this.#front.add(kit);
  }

  /**
   * Follows the kits of each set of bodies that can be worth more than the best found, the better half of them further
   * and further.
   */
  *followCamps(
    mostJudged: number,
    shares: readonly number[] = SHARES_OF_BUDGET,
    isFollowed: (bodies: string) => boolean = () => true
  ): Generator<PackProgress, void, void> {
    for (const share of shares) {
      const mostMinor = share * spendableOf(this.frame.project);
      const bestOf = ({ front }: Camp) => front.bestFor(mostMinor);
      let camps = [...this.#camps].filter(([bodies]) => isFollowed(bodies));
      for (let looks = LOOKS_OF_A_CAMP; camps.length > 0 && this.#judged < mostJudged; looks *= 2) {
        camps = camps.filter(
          ([bodies, camp]) => bestOf(camp) && this.#canBeBest(bodies, mostMinor)
        );
        for (const [, camp] of camps)
          for (let look = 0; look < looks; look++) {
            const next = camp.front.unexpandedFor(mostMinor);
            if (!next || this.#judged >= mostJudged) break;
            yield* this.#expand(next, false, camp);
          }
        camps = camps
          .sort(([, former], [, other]) =>
            compareWorth(bestOf(other)!.merit, bestOf(former)!.merit)
          )
          .slice(0, Math.floor(camps.length / 2));
      }
    }
  }

  /** Whether kits with such bodies can be worth more than the best found for as much, as far as it is bounded. */
  #canBeBest(bodies: string, mostMinor: number): boolean {
    const best = this.#front.bestFor(mostMinor);
    if (!best || !this.#perScene || !filmsAll(best.merit)) return true;
    const those = new Set(bodies.split(BETWEEN_BODIES));
    const most = this.#perScene.map((all) =>
      Math.max(
        0,
        ...all
          .filter((bound) => those.has(bound.bodyId))
          .map((bound) => bestWithin(bound.alone, mostMinor))
      )
    );
    return 100 * worthOf(this.frame.project, most) > best.merit.meritHundredths;
  }

  *#expand(next: FrontKit, whole: boolean, camp?: Camp): Generator<PackProgress, void, void> {
    next.isExpanded = true;
    const project = withKit(this.frame.project, next.kit);
    const before = judged(project, this.frame.shelf);
    yield* this.#lookRound(project, before, whole, camp);
    this.#expanded += 1;
    yield this.progress(false);
  }

  /**
   * Puts into the best kit, scene by scene, the rigs that may be worth more, of the same body and of others beside it,
   * and looks round from what comes out better, until nothing does.
   */
  *graft(): Generator<PackProgress, void, void> {
    const { frame } = this;
    const spendable = spendableOf(frame.project);
    for (let round = 0; round < GRAFTING_ROUNDS; round++) {
      const best = this.#front.bestFor(spendable);
      if (!best || !this.#perScene || !filmsAll(best.merit)) return;
      const project = withKit(frame.project, best);
      const before = judged(project, frame.shelf);
      const tracked = trackJudgement(project, before);
      const known = new Set(this.#camps.keys());
      for (const [index, { id }] of project.scenes.entries()) {
        const angle = before.angles.find(({ scene }) => scene.id === id)!;
        const now = before.merit.scenes.find(({ sceneId }) => sceneId === id)?.low ?? 0;
        for (const pair of pairsAbove(now, this.#perScene[index]!, angle.rig.body?.gear.id)) {
          const kit = grafted(tracked, project, before, frame, angle, pair);
          this.#take(kit);
          const within = broughtWithin(kit, frame);
          if (within) this.#take(within);
          yield this.progress(false);
        }
      }
      // Another body comes into its own with the batteries and cards it takes.
      yield* this.followCamps(Infinity, [1], (bodies) => !known.has(bodies));
      if (this.#front.bestFor(spendable) === best) return;
      yield* this.run(Infinity);
    }
  }

  /** Looks round the kits of the front, until none is left or so many kits were judged. */
  *run(mostJudged: number): Generator<PackProgress, void, void> {
    for (let look = 0; this.#judged < mostJudged; look++) {
      const next = this.#next(look);
      if (!next) break;
      yield* this.#expand(next, look % WHOLE_LOOK_EVERY === 0);
    }
  }

  /**
   * Looks round the neighbours of the best kit, the best of them first, though none of them is better: some changes pay
   * only two at a time, such as a light that takes the clamp of a camera which then stands on a tripod. Every kit is put
   * in place at its best.
   */
  *lookTwice(): Generator<PackProgress, void, void> {
    const { frame } = this;
    const spendable = spendableOf(frame.project);
    for (;;) {
      const best = this.#front.bestFor(spendable);
      if (!best) return;
      const project = withKit(frame.project, best);
      const before = judged(project, frame.shelf);
      const neighbours = [...neighboursOf(project, before, frame)].sort((former, other) =>
        compareWorth(other.judgement.merit, former.judgement.merit)
      );
      this.#judged += neighbours.length;
      const mostJudged = this.#judged + TWO_CHANGES_AWAY;
      for (const { project: kit, judgement } of neighbours) {
        if (this.#judged >= mostJudged) break;
        yield* this.#lookRound(kit, judgement, true, undefined, 'best');
      }
      if (this.#front.bestFor(spendable) === best) return;
      yield* this.run(Infinity);
    }
  }

  /** Of every kit of the front, parts without which it is as good are left out. */
  *trim(): Generator<PackProgress, void, void> {
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
    whole: boolean,
    camp?: Camp,
    howToPlace?: HowToPlace
  ): Generator<PackProgress, void, void> {
    const { frame } = this;
    const idle = camp?.idle ?? this.#idle;
    const isWanted = ({ id }: GearItem) => whole || (idle.get(id) ?? 0) < HOPELESS_AFTER;
    const helped = new Set<string>();
    const tried = new Set<string>();
    for (const { project: kit, judgement, gearId } of neighboursOf(
      project,
      before,
      frame,
      isWanted,
      howToPlace
    )) {
      this.#judged += 1;
      if (gearId !== undefined) {
        tried.add(gearId);
        if (compareWorth(judgement.merit, before.merit) > 0) helped.add(gearId);
      }
      const { firmMinor } = judgement.money;
      this.#unlike.note(kit, judgement);
      const seen = { priceMinor: firmMinor, merit: judgement.merit };
      if (
        firmMinor <= frame.mostMinor &&
        (this.#front.admits(seen) || camp?.front.admits(seen) === true)
      )
        this.#take(kit);
      if (++this.#told % TOLD_EVERY === 0) yield this.progress(false);
    }
    for (const id of tried) idle.set(id, helped.has(id) ? 0 : (idle.get(id) ?? 0) + 1);
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
    for (const kit of this.#front.all) bestBySlice.set(sliceOf(kit.kit.priceMinor), kit);
    for (let turn = 0; turn < SLICES; turn++) {
      // From the dear end down: what is good there is good with less.
      const kit = bestBySlice.get(SLICES - 1 - ((look + turn) % SLICES));
      if (kit && !kit.isExpanded) return kit;
    }
    return undefined;
  }
}
