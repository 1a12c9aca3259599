import { greatest } from 'd3-array';
import { type FigureId, figureIndex } from '../../figures/table';
import { type FigureRecord, figureSet, type FigureSet, known } from '../../figures/record';
import { type Axis, axes, axisCurves } from '../../merit/axis-curves';
import {
  axisPoints,
  figuresOfAxis,
  pointsOn,
  sumAxis,
  sumOfPoints,
  wantsOfAxis
} from '../../merit/axis-scores';
import { weightsOf } from '../../merit/schools';
import type { PlanLine } from '../../model/plan';
import type { Project } from '../../model/project';
import { NO_PART } from '../../model/word-lists';
import type { LeanRigs, ReckonedRig, Way } from './lean-rigs';

/** For so much money a scene can be worth so much and no more. */
export interface Bound {
  priceMinor: number;
  merit: number;
}

/** A bound with the parts it rests on. */
export interface RigBound extends Bound {
  /** In the order they were chosen; a lamp that is key and fill stands there twice. */
  lines: readonly PlanLine[];
}

/** A body, and what a scene filmed with it can be worth: the dearer the better, each step above the one before. */
export interface BodyBound {
  bodyId: string;
  bodyLineId: string;
  bodyMinor: number;
  /** By what is spent, the body too, as if the scene were alone. */
  alone: readonly RigBound[];
  /** By this scene's share of what is spent beside the body: a part that several scenes can use is shared by them. */
  shared: readonly Bound[];
}

/** In how many scenes a line can be used, by its id. */
export type ScenesUsing = ReadonlyMap<string, number>;

/**
 * What one scene can be worth at most with each body, by what is spent on body, lens, support, microphone and lamps.
 *
 * Every axis is taken at its best on its own: each reads only some of these (light the lens and the lamps, sound the
 * microphone, steadiness lens and support, ease all of them, endurance and safety net the body), in a kit that holds
 * nothing that is in the way and, for what lasts, everything there is. What joins, powers and stores costs nothing;
 * nothing weakens. So no kit can be worth more, and most are worth less.
 */
export function* boundsOfScene(
  project: Project,
  rigs: LeanRigs,
  scenesUsing: ScenesUsing
): Generator<BodyBound | undefined, void, void> {
  const handled = pricedBy(rigs, scenesUsing);
  const worth = worthBy(weightsOf(project));
  const lamps = lampsOf(rigs, handled);
  const knots = knotsOf(lamps);
  for (const body of rigs.bodies()) {
    const [alone, shared] = [new Steps<readonly Way[]>(), new Steps()];
    const lenses = rigs.lenses(body);
    const mics = micsFor(rigs, body, lenses, handled);
    const lasting = lenses[0] && lastingOf(rigs, body, lenses[0]);
    const beside: LensBeside[] = [];
    for (const way of lenses) {
      beside.push(lensBeside(rigs, body, way, knots, handled));
      yield undefined;
    }
    for (const lens of undominated(beside)) {
      const lit = undominated(lamps.map((lamp) => lampThrough(lens, lamp, knots)));
      const supports = undominated(lens.supports);
      for (const support of supports)
        for (const lamp of lit)
          for (const mic of mics) {
            const ease = easeOf(lens.start, support.handling, lamp.handling, mic.handling);
            const merit = worth(
              mic.gains[0]!,
              lamp.gains[0]!,
              lens.gains[0]!,
              support.gains[0]!,
              ease,
              lasting!
            );
            const price = lens.priceMinor + support.priceMinor + lamp.priceMinor + mic.priceMinor;
            const dear = body.priceMinor + price;
            if (alone.isNew(dear, merit))
              alone.add(dear, merit, [lens.ways, support.ways, lamp.ways, mic.ways].flat());
            shared.add(
              lens.shareMinor + support.shareMinor + lamp.shareMinor + mic.shareMinor,
              merit,
              undefined
            );
          }
    }
    yield {
      bodyId: body.lines[0]!.gearId,
      bodyLineId: body.choice.bodyLineId!,
      bodyMinor: body.priceMinor,
      alone: alone.all.map(({ priceMinor, merit, of }) => ({
        priceMinor,
        merit,
        lines: [body, ...of].flatMap(({ lines }) => lines)
      })),
      shared: shared.all
    };
  }
}

/** Nothing to judge there. */
const NOT_JUDGED = -Infinity;

/**
 * As axes are combined: half the weighted mean, half the least of what each pulls. Asked a million times, so it
 * makes no object.
 */
function worthBy(weights: Readonly<Record<Axis, number>>) {
  const said = axes.map((axis) => weights[axis]);
  const alike = axes.map(() => 1);
  const combined = (points: readonly number[], own: readonly number[]): number => {
    let [weightSum, sum, heaviest, least] = [0, 0, 0, Infinity];
    for (let at = 0; at < points.length; at++) {
      if (points[at] === NOT_JUDGED) continue;
      weightSum += own[at]!;
      sum += own[at]! * points[at]!;
      heaviest = Math.max(heaviest, own[at]!);
    }
    if (weightSum === 0) return combined(points, alike);
    for (let at = 0; at < points.length; at++)
      if (points[at] !== NOT_JUDGED)
        least = Math.min(least, 100 - (own[at]! / heaviest) * (100 - points[at]!));
    return 0.5 * (sum / weightSum) + 0.5 * least;
  };
  const points = axes.map(() => 0.5);
  return (
    sound: number,
    light: number,
    picture: number,
    steady: number,
    ease: number,
    { endurance, safety }: Lasting
  ): number => {
    points[0] = sound;
    points[1] = light;
    points[2] = picture;
    points[3] = steady;
    points[4] = endurance;
    points[5] = ease;
    points[6] = safety;
    return combined(points, said);
  };
}

/** What a body comes to with everything there is to power it, to record on and to copy to. */
interface Lasting {
  endurance: number;
  safety: number;
}

function lastingOf(rigs: LeanRigs, body: Way, lens: Way): Lasting {
  const supplied = rigs.suppliedRig(forLasting, body, lens, bare.support, bare.mic, bare.lamps);
  return { endurance: pointsOf('endurance', supplied), safety: pointsOf('safety net', supplied) };
}

function pointsOf(axis: Axis, { rig, record }: ReckonedRig): number {
  const sum = sumAxis(axis, rig, record);
  return sum ? axisPoints(sum.low) : NOT_JUDGED;
}

const valueOf = ({ states, values }: FigureRecord, id: FigureId): number =>
  states[figureIndex[id]] === known ? values[figureIndex[id]]! : 0;

/** A way to do a job with what it brings; more of each is better, and less money. */
interface Weighed {
  ways: readonly Way[];
  priceMinor: number;
  shareMinor: number;
  gains: readonly number[];
}

/** What handling a rig takes: the less the better. */
type Handling = readonly [massKg: number, minutes: number, switches: number];
interface Handled extends Weighed {
  handling: Handling;
}
const handlingFigures = ['rigMass', 'setUp', 'switches'] as const satisfies readonly FigureId[];

/** What is looked at of each kind of rig: thousands are reckoned, and all figures take several times as long. */
const figuresFor = (wanted: readonly Axis[], ids: readonly FigureId[] = []): FigureSet =>
  figureSet([
    ...wanted.flatMap((axis) => figuresOfAxis(axis)),
    ...ids.map((id) => figureIndex[id])
  ]);
const forHandling = figuresFor([], handlingFigures);
const forHolding = figuresFor(['steadiness'], handlingFigures);
const forSound = figuresFor(['sound'], handlingFigures);
const forLamps = figuresFor([], [...handlingFigures, 'ownLight', 'keySoftness']);
const forExposure = figuresFor([], ['exposureCost']);
const forPicture = figuresFor(['picture']);
const forLasting = figuresFor(['endurance', 'safety net']);

const handlingOf = ({ record }: ReckonedRig): Handling =>
  handlingFigures.map((id) => valueOf(record, id)) as unknown as Handling;

/** What a part adds to handling. */
const added = (before: Handling, after: ReckonedRig): Handling =>
  handlingOf(after).map((now, at) => Math.max(0, now - before[at]!)) as unknown as Handling;

type Handle = (ways: readonly Way[], gains: readonly number[], handling: Handling) => Handled;

/** Some ways together with what they bring, priced in full and by the scenes that can share each part. */
function pricedBy({ priceOf }: LeanRigs, scenesUsing: ScenesUsing): Handle {
  return (ways, gains, handling) => {
    let [priceMinor, shareMinor] = [0, 0];
    for (const { lines } of ways)
      for (const line of lines) {
        const price = priceOf(line);
        priceMinor += price;
        shareMinor += price / (scenesUsing.get(line.id) ?? 1);
      }
    return {
      ways,
      priceMinor,
      shareMinor,
      gains: [...gains, ...handling.map((one) => -one)],
      handling
    };
  };
}

const curveOf = (axis: Axis, figure: FigureId) =>
  axisCurves[axis].find((curve) => curve.figure === figure)!.points;
const easeCurves = handlingFigures.map((id) => curveOf('ease', id));

/** Asked a million times, so it makes no list of its own. */
function easeOf(start: Handling, support: Handling, lamps: Handling, mic: Handling): number {
  for (let at = 0; at < easeCurves.length; at++)
    easePoints[at] = pointsOn(easeCurves[at]!, start[at]! + support[at]! + lamps[at]! + mic[at]!);
  return axisPoints(sumOfPoints('ease', easePoints));
}
const easePoints: number[] = handlingFigures.map(() => 0.5);

const noWay = { lines: [], priceMinor: 0 };
const bare = {
  support: { choice: { supportLineId: NO_PART }, ...noWay },
  mic: { choice: { micLineId: NO_PART }, ...noWay },
  lamps: { choice: { keyLampLineId: NO_PART }, ...noWay }
} as const satisfies Record<string, Way>;

/** A key and a fill: their light and how soft the key is are the same whatever they are filmed with. */
interface Lamps extends Handled {
  way: Way;
  lux: number;
  softness: number;
}

/** Lamps that light more, softer, with less ado or for less than others. */
function lampsOf(rigs: LeanRigs, handled: Handle): Lamps[] {
  // Any body that films will do: what a lamp gives is the same for all of them.
  const body = rigs.bodies().find((one) => rigs.lenses(one).length > 0);
  const lens = body && rigs.lenses(body)[0];
  if (!lens) return [];
  const beside = (lamp: Way) => rigs.rig(forLamps, body, lens, bare.support, bare.mic, lamp);
  const start = handlingOf(beside(bare.lamps));
  return undominated(
    rigs.lamps().map((way) => {
      const lit = beside(way);
      const [lux, softness] = [valueOf(lit.record, 'ownLight'), valueOf(lit.record, 'keySoftness')];
      const one = handled([way], [lux, softness], added(start, lit));
      return { ...one, way, lux, softness };
    })
  );
}

const MOST_KNOTS = 8;

/** A few of the lamps, darkest first: the others are taken to light as the next brighter one of these does. */
function knotsOf(lamps: readonly Lamps[]): Lamps[] {
  const sorted = [...lamps].sort((one, other) => one.lux - other.lux);
  if (sorted.length <= MOST_KNOTS) return sorted;
  return Array.from(
    { length: MOST_KNOTS },
    (_, at) => sorted[Math.round((at * (sorted.length - 1)) / (MOST_KNOTS - 1))]!
  );
}

/** A lens on a body; what it brings beside the lamps and on the supports there are. */
interface LensBeside extends Weighed {
  start: Handling;
  supports: Handled[];
  /** Points of exposure at each knot; softness has none where it is not asked for. */
  exposure: number[];
  asksForSoftness: boolean;
}

function lensBeside(
  rigs: LeanRigs,
  body: Way,
  way: Way,
  knots: readonly Lamps[],
  handled: Handle
): LensBeside {
  const alone = rigs.rig(forHandling, body, way, bare.support, bare.mic, bare.lamps);
  const start = handlingOf(alone);
  const supports = rigs.supports().map((support) => {
    const held = rigs.rig(forHolding, body, way, support, bare.mic, bare.lamps);
    return handled([support], [pointsOf('steadiness', held)], added(start, held));
  });
  const costs = curveOf('light', 'exposureCost');
  const worst = Math.min(...costs.map(([, points]) => points));
  const exposure = knots.map((lamps) => {
    const { record } = rigs.litRig(forExposure, body, way, bare.support, bare.mic, lamps.way);
    const isKnown = record.states[figureIndex.exposureCost] === known;
    return isKnown ? pointsOn(costs, valueOf(record, 'exposureCost')) : worst;
  });
  return {
    ...handled([way], [], start),
    gains: [
      pointsOf(
        'picture',
        rigs.mirroredRig(forPicture, body, way, bare.support, bare.mic, bare.lamps)
      ),
      ...start.map((one) => -one),
      ...exposure,
      ...supports.flatMap(({ gains }) => gains)
    ],
    start,
    supports,
    exposure,
    asksForSoftness: wantsOfAxis('light', alone.rig)[1] === true
  };
}

function lampThrough(lens: LensBeside, lamps: Lamps, knots: readonly Lamps[]): Handled {
  // As bright as the next brighter knot.
  const at = knots.findIndex(({ lux }) => lux >= lamps.lux);
  const points = [lens.exposure[at]!];
  if (lens.asksForSoftness) points.push(pointsOn(curveOf('light', 'keySoftness'), lamps.softness));
  const light = axisPoints(sumOfPoints('light', points));
  return { ...lamps, gains: [light, ...lamps.handling.map((one) => -one)] };
}

const isOnCamera = ({ choice }: Way) =>
  choice.micPlace === 'shoe' || choice.micPlace === 'side arm';

/** Microphones beside a body, into it or into a recorder, with the lens that is least in their way. */
function micsFor(rigs: LeanRigs, body: Way, lenses: readonly Way[], handled: Handle): Handled[] {
  const mics = rigs.mics();
  const beside = (lens: Way, mic: Way, recorder: Way = bare.mic) =>
    rigs.rig(forSound, body, lens, bare.support, recorder, mic, bare.lamps);
  const near = mics.find(isOnCamera) ?? mics[0]!;
  const lens = greatest(lenses, (one) => pointsOf('sound', beside(one, near)));
  if (!lens) return [];
  const start = handlingOf(beside(lens, bare.mic));
  return undominated(
    mics.flatMap((mic) =>
      rigs.recorders().map((recorder) => {
        const heard = beside(lens, mic, recorder);
        return handled([mic, recorder], [pointsOf('sound', heard)], added(start, heard));
      })
    )
  );
}

/** What is no better in anything and no cheaper than another goes. */
function undominated<W extends Weighed>(ways: readonly W[]): W[] {
  const kept: W[] = [];
  for (const way of [...ways].sort((one, other) => one.priceMinor - other.priceMinor)) {
    const beats = (one: W) =>
      one.shareMinor <= way.shareMinor && one.gains.every((gain, at) => gain >= way.gains[at]!);
    if (kept.some(beats)) continue;
    kept.push(way);
  }
  return kept;
}

/** Best merit by money, each step dearer and better than the one before, and what it is of. */
class Steps<Of = undefined> {
  readonly #best = new Map<number, { merit: number; of: Of }>();

  /** Whether so much for so much is better than what was added for the same. */
  isNew(priceMinor: number, merit: number): boolean {
    const before = this.#best.get(priceMinor);
    return before === undefined || before.merit < merit;
  }

  add(priceMinor: number, merit: number, of: Of): void {
    if (this.isNew(priceMinor, merit)) this.#best.set(priceMinor, { merit, of });
  }

  get all(): (Bound & { of: Of })[] {
    const steps: (Bound & { of: Of })[] = [];
    for (const [priceMinor, { merit, of }] of [...this.#best].sort(([one], [other]) => one - other))
      if (steps.length === 0 || merit > steps[steps.length - 1]!.merit)
        steps.push({ priceMinor, merit, of });
    return steps;
  }
}
