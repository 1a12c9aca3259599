import { activePlan } from '../../model/active-plan';
import { pocketOf } from '../../model/gear';
import type { Plan, PlanLine } from '../../model/plan';
import { pockets } from '../../model/pocket';
import type { Project } from '../../model/project';
import type { Scene } from '../../model/scene';
import { spendableOf } from '../front-steps';
import { bareProject, type PackFrame } from '../pack-rules';
import { judged } from '../packed-kit';
import { LeanRigs } from './lean-rigs';
import { type BodyBound, boundsOfScene } from './scene-bound';
import type { Bound } from './steps';

/** For at most so much in all no kit is worth more than so many hundredths of a point, as kits compare. */
export interface BoundStep {
  upToMinor: number;
  hundredths: number;
}

/** What no kit for at most so much can be worth more than; unknown past what was looked at. */
export const boundFor = (steps: readonly BoundStep[], mostMinor: number): number | undefined =>
  steps.find(({ upToMinor }) => upToMinor >= mostMinor)?.hundredths;

/** Money is counted in so many steps, prices rounded down: what a step is too cheap by only widens the bound. */
const MONEY_STEPS = 800;
/** Rigs of body, lens and support in all scenes past which bounding takes more than a minute: then nothing is said. */
export const MOST_RIGS = 30_000;

/**
 * Bounds what kits of a frame can be worth, by the lesser of two: each scene as if the whole budget were its own, and
 * all of them out of one budget, where a part that several scenes can use costs each of them its share. The scenes
 * film with one body, or each with another and those are paid too. Nothing is left out of the space: any number of
 * bodies, lenses, lamps, anything that joins.
 *
 * @param perScene what each scene can be worth, of `boundsOfScenes`
 */
export function boundKits(frame: PackFrame, perScene: SceneBounds): BoundStep[] {
  const { project } = frame;
  const paidMinor = judged(bareProject(frame), frame.shelf).money.firmMinor;
  const prices = new Map<string, number>();
  for (const { bodyLineId, bodyMinor } of perScene.flat()) prices.set(bodyLineId, bodyMinor);
  const dearest = Math.max(0, frame.mostMinor - paidMinor);
  const stepMinor = Math.max(1, dearest / MONEY_STEPS);
  const sharesOf = (
    bounds: readonly (readonly BodyBound[])[],
    stepsOf: (own: BodyBound) => readonly Bound[],
    bodyMinor: (own: BodyBound) => number
  ) =>
    sharedBest(
      shareOf(project),
      bounds.map((all) =>
        all.flatMap((bound) =>
          stepsOf(bound).map(({ priceMinor, merit }) => ({
            steps: Math.floor((priceMinor + bodyMinor(bound)) / stepMinor),
            merit
          }))
        )
      )
    );
  const cheapestBeside = (bodyLineId: string): number =>
    Math.min(...[...prices].flatMap(([id, minor]) => (id === bodyLineId ? [] : minor)));

  const withOne = [...prices].map(([id, minor]) => {
    const bounds = perScene.map((all) => all.filter(({ bodyLineId }) => bodyLineId === id));
    return {
      minor,
      bounds,
      shared: sharesOf(
        bounds,
        ({ suppliedShare }) => suppliedShare,
        () => 0
      )
    };
  });
  const withAny = sharesOf(
    perScene,
    ({ shared }) => shared,
    ({ bodyMinor }) => bodyMinor / perScene.length
  );

  const hundredthsFor = (mostMinor: number): number => {
    const free = Math.min(mostMinor - paidMinor, dearest);
    const stepsIn = (minor: number) => Math.min(MONEY_STEPS, Math.ceil(minor / stepMinor));
    // Several bodies: of each scene's own the price, and the cheapest of the others', or of its supplies, which may
    // come with another body.
    const several = perScene.map((all) =>
      Math.max(
        0,
        ...all.map((bound) =>
          Math.min(
            bestWithin(bound.alone, free - cheapestBeside(bound.bodyLineId)),
            bestWithin(bound.supplied, free)
          )
        )
      )
    );
    let best = free < 0 ? 0 : Math.min(worthOf(project, several), withAny[stepsIn(free)]!);
    for (const { minor, bounds, shared } of withOne) {
      if (minor > free) continue;
      const alone = bounds.map((all) =>
        Math.max(0, ...all.map((bound) => bestWithin(bound.supplied, free)))
      );
      best = Math.max(best, Math.min(worthOf(project, alone), shared[stepsIn(free - minor)]!));
    }
    return Math.round(100 * best);
  };
  // Of equal ones the dearest, then what a little more brings.
  const steps: BoundStep[] = [];
  for (let step = 0; step <= MONEY_STEPS; step++) {
    const upToMinor = paidMinor + Math.floor(step * stepMinor);
    const hundredths = hundredthsFor(upToMinor);
    if (steps.at(-1)?.hundredths === hundredths) steps.at(-1)!.upToMinor = upToMinor;
    else steps.push({ upToMinor, hundredths });
  }
  return steps;
}

/** Scene by scene what it can be worth with each body. */
export type SceneBounds = readonly (readonly BodyBound[])[];

/**
 * What each scene can be worth; of what the person has said of a part only where the part stays.
 *
 * @returns undefined where the shelf is too large to go through
 */
export function* boundsOfScenes(
  frame: PackFrame,
  mostRigs = MOST_RIGS
): Generator<void, SceneBounds | undefined, void> {
  const { project, shelf } = frame;
  const said = activePlan(project).rigs;
  const left = activePlan(bareProject(frame)).rigs;
  const now = judged(project, shelf).money.lines;
  const priceOf = (line: PlanLine): number => {
    if (frame.isFixed(line)) return 0;
    const gear = shelf.byId.get(line.gearId);
    const stated = (gear && frame.priceOf(gear)) ?? 0;
    const own = now.find((statement) => statement.line.id === line.id);
    return own ? Math.min(stated, own.firmMinor / Math.max(1, own.line.quantity)) : stated;
  };
  const bare = judged(bareProject(frame), shelf).money;
  // In a pocket whose limit is passed by what stays nothing more is bought.
  const isAllowed = (lines: readonly PlanLine[]): boolean =>
    pockets.every((pocket) => {
      const { limitMinor, firmMinor } = bare.pockets[pocket];
      if (limitMinor === undefined) return true;
      const bought = lines.filter((line) => {
        const gear = shelf.byId.get(line.gearId);
        return gear !== undefined && pocketOf(gear) === pocket && !frame.isFixed(line);
      });
      const sumMinor = bought.reduce((sum, line) => sum + priceOf(line), 0);
      return bought.length === 0 || firmMinor + sumMinor <= limitMinor;
    });
  const isSaid = (rigs: Plan['rigs'], { id }: Scene) => rigs.some(({ sceneId }) => sceneId === id);
  const rigs = project.scenes.map((scene) =>
    (isSaid(said, scene) && said.length > left.length ? [said, left] : [left]).map(
      (how) => new LeanRigs(frame, scene, how, priceOf, isAllowed)
    )
  );
  const size = rigs.flat().reduce((sum, ways) => sum + ways.size, 0);
  if (size > mostRigs) return undefined;
  const scenesUsing = new Map<string, number>();
  for (const ways of rigs)
    for (const id of new Set(ways.flatMap((way) => [...way.usable()])))
      scenesUsing.set(id, (scenesUsing.get(id) ?? 0) + 1);
  const budgetMinor = spendableOf(project) - bare.firmMinor;
  const bounds: BodyBound[][] = [];
  for (const ways of rigs) {
    const ofScene: BodyBound[] = [];
    for (const way of ways)
      for (const bound of boundsOfScene(project, way, scenesUsing, budgetMinor)) {
        if (bound) ofScene.push(bound);
        yield;
      }
    bounds.push(ofScene);
  }
  return bounds;
}

/** What a scene can be worth for at most so much. */
export const bestWithin = (steps: readonly Bound[], mostMinor: number): number => {
  let best = 0;
  for (const { priceMinor, merit } of steps)
    if (priceMinor <= mostMinor && merit > best) best = merit;
  return best;
};

/** Each scene's share of the merit, as kits are judged. */
function shareOf({ scenes }: Project): number[] {
  const sum = scenes.reduce((all, { sharePercent }) => all + sharePercent, 0);
  return scenes.map(({ sharePercent }) => (sum > 0 ? sharePercent / sum : 1 / scenes.length));
}

/** What scenes of such worth come to together. */
export const worthOf = (project: Project, merits: readonly number[]): number =>
  shareOf(project).reduce((sum, share, index) => sum + share * merits[index]!, 0);

/** Best sum of merits for at most so many steps of money in all, by the number of steps. */
function sharedBest(
  shares: readonly number[],
  scenes: readonly (readonly { steps: number; merit: number }[])[]
): number[] {
  let best: number[] = new Array<number>(MONEY_STEPS + 1).fill(0);
  for (const [scene, options] of scenes.entries()) {
    const next = new Array<number>(MONEY_STEPS + 1).fill(0);
    for (const { steps, merit } of bestFirst(options))
      for (let money = steps; money <= MONEY_STEPS; money++)
        next[money] = Math.max(next[money]!, best[money - steps]! + shares[scene]! * merit);
    best = next.map((worth, money) => Math.max(worth, best[money]!));
  }
  return best;
}

/** Options no other is both as cheap and as good as. */
function bestFirst<O extends { steps: number; merit: number }>(options: readonly O[]): O[] {
  const kept: O[] = [];
  for (const option of [...options].sort((a, b) => a.steps - b.steps || b.merit - a.merit))
    if (kept.length === 0 || option.merit > kept[kept.length - 1]!.merit) kept.push(option);
  return kept;
}
