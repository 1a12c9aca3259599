import { greatest } from 'd3-array';
import { type FigureId, figureIndex } from '../../figures/table';
import { type FigureRecord, figureSet, type FigureSet, known } from '../../figures/record';
import { type Axis, axisCurves } from '../../merit/axis-curves';
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
import { hearsVoice } from '../../rigs/placed-rig';
import type { LeanRigs, ReckonedRig, Way } from './lean-rigs';
import { JointPrices } from './joint-prices';
import { type Bound, HalfWorths, Steps } from './steps';
import { type Supplies, suppliesFor } from './supply-bound';
import { mostLasting, NOT_JUDGED, RigWorth } from './rig-worth';

/** A bound with the parts it rests on. */
export interface RigBound extends Bound {
  /** In the order they were chosen; a lamp that is key and fill stands there twice. */
  lines: readonly PlanLine[];
  /** The line of a microphone that hangs from a boom arm, which is not among the lines. */
  onBoomArm: string | undefined;
}

/** A body, and what a scene filmed with it can be worth: the dearer the better, each step above the one before. */
export interface BodyBound {
  bodyId: string;
  bodyLineId: string;
  bodyMinor: number;
  /** By what is spent, the body too, as if the scene were alone and everything that lasts cost nothing. */
  alone: readonly RigBound[];
  /** The same with what powers, records and copies paid. */
  supplied: readonly Bound[];
  /** For each lens with each lamps the best within the budget, supplies paid: what can be worth most first. */
  pairs: readonly RigBound[];
  /** By this scene's share of what is spent beside the body: a part that several scenes can use is shared by them. */
  shared: readonly Bound[];
  /** The same with its share of what powers, records and copies. */
  suppliedShare: readonly Bound[];
}

/** Shares are rounded down to so much, for thirds of prices make as many shares as there are rigs. */
const SHARES_MINOR = 20;

/** So many pairs of lens and lamps are kept of each body. */
const MOST_PAIRS = 40;

/** In how many scenes a line can be used, by its id. */
export type ScenesUsing = ReadonlyMap<string, number>;

/**
 * What one scene can be worth at most with each body, by what is spent on body, lens, support, microphone and lamps.
 *
 * Every axis is taken at its best on its own: each reads only some of these (light the lens and the lamps, sound the
 * microphone, steadiness lens and support, ease all of them, endurance and safety net the body), in a kit that holds
 * nothing that is in the way and, for what lasts, everything there is, or what can be had for so much. Of what joins
 * and holds only that is paid without which the scene is stopped; nothing weakens. So no kit that is not stopped can be
 * worth more, and most are worth less.
 */
export function* boundsOfScene(
  project: Project,
  rigs: LeanRigs,
  scenesUsing: ScenesUsing,
  budgetMinor: number
): Generator<BodyBound | undefined, void, void> {
  const scenes = project.scenes.length;
  const handled = pricedBy(rigs, scenesUsing, scenes);
  const joints = new JointPrices(rigs);
  const lamps = lampsOf(rigs, handled);
  const knots = knotsOf(lamps);
  for (const body of rigs.bodies()) {
    const alone = new Steps<readonly Way[]>();
    const pairs: (Bound & { of: readonly Way[] })[] = [];
    const [beforeSupplies, beforeShares] = [new HalfWorths(), new HalfWorths()];
    const lenses = rigs.lenses(body);
    const mics = micsFor(rigs, joints, body, lenses, handled);
    const supplies = lenses[0] ? suppliesBeside(rigs, body, lenses[0]) : [];
    const worth = new RigWorth(
      weightsOf(project),
      mics.some(({ gains }) => gains[0] !== NOT_JUDGED)
    );
    const everything = mostLasting(supplies);
    const supportsHeld = supportsFor(rigs, joints, body);
    const beside: LensBeside[] = [];
    for (const way of lenses) {
      const lensMinor = joints.lensOn(body, way);
      beside.push(lensBeside(rigs, body, way, lensMinor, supportsHeld, knots, handled));
      yield undefined;
    }
    for (const lens of undominated(beside)) {
      const lit = undominated(lamps.map((lamp) => lampThrough(lens, lamp, knots)));
      const supports = undominated(lens.supports);
      for (const lamp of lit) {
        let pair = { priceMinor: 0, merit: 0, of: [] as Way[] };
        for (const support of supports)
          for (const mic of mics) {
            const ease = easeOf(lens.start, support.handling, lamp.handling, mic.handling);
            worth.of(mic.gains[0]!, lamp.gains[0]!, lens.gains[0]!, support.gains[0]!, ease);
            const merit = worth.with(everything);
            const price = lens.priceMinor + support.priceMinor + lamp.priceMinor + mic.priceMinor;
            const dear = body.priceMinor + price;
            const ways = () => [lens.ways, support.ways, lamp.ways, mic.ways].flat();
            if (alone.isNew(dear, merit)) alone.add(dear, merit, ways());
            beforeSupplies.add(dear, worth);
            const share = lens.shareMinor + support.shareMinor + lamp.shareMinor + mic.shareMinor;
            beforeShares.add(SHARES_MINOR * Math.floor(share / SHARES_MINOR), worth);
            if (merit <= pair.merit || dear > budgetMinor) continue;
            const paid = worth.within(budgetMinor - dear, supplies);
            if (paid > pair.merit) pair = { priceMinor: dear, merit: paid, of: ways() };
          }
        if (pair.merit > 0) pairs.push(pair);
      }
      pairs.sort((a, b) => b.merit - a.merit);
      pairs.length = Math.min(pairs.length, MOST_PAIRS);
    }
    yield {
      bodyId: body.lines[0]!.gearId,
      bodyLineId: body.choice.bodyLineId!,
      bodyMinor: body.priceMinor,
      alone: alone.all.map((step) => boundOf(body, step)),
      pairs: pairs.map((pair) => boundOf(body, pair)),
      supplied: beforeSupplies.suppliedBy(supplies, worth, 1),
      shared: beforeShares.suppliedBy([everything], worth, scenes),
      suppliedShare: beforeShares.suppliedBy(supplies, worth, scenes)
    };
  }
}

function boundOf(body: Way, { priceMinor, merit, of }: Bound & { of: readonly Way[] }): RigBound {
  return {
    priceMinor,
    merit,
    lines: [body, ...of].flatMap(({ lines }) => lines),
    onBoomArm: of.find(({ choice }) => choice.micPlace === 'boom arm')?.choice.micLineId
  };
}

function suppliesBeside(rigs: LeanRigs, body: Way, lens: Way): Supplies[] {
  const beside = (figures: FigureSet, mic: Way) =>
    rigs.suppliedRig(figures, body, lens, bare.support, mic, bare.lamps);
  // A microphone that records is one recording more, whatever it feeds.
  const recording = rigs
    .mics()
    .find((way) => rigs.partOf('microphone', way)?.gear.recordsItself === true);
  const { record } = beside(forRecordings, recording ?? bare.mic);
  return suppliesFor(rigs, beside(forLasting, bare.mic), valueOf(record, 'recordings'));
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
const forLasting = figuresFor(
  ['endurance', 'safety net'],
  ['bodyDraw', 'coldShare', 'recordedAway', 'longestTake', 'bitRate']
);
const forRecordings = figuresFor([], ['recordings']);

const handlingOf = ({ record }: ReckonedRig): Handling =>
  handlingFigures.map((id) => valueOf(record, id)) as unknown as Handling;

/** What a part adds to handling. */
const added = (before: Handling, after: ReckonedRig): Handling =>
  handlingOf(after).map((now, index) => Math.max(0, now - before[index]!)) as unknown as Handling;

type Handle = (
  ways: readonly Way[],
  gains: readonly number[],
  handling: Handling,
  /** What joins or holds them costs at least; every scene can use that. */
  besideMinor?: number
) => Handled;

/** Some ways together with what they bring, priced in full and by the scenes that can share each part. */
function pricedBy({ priceOf }: LeanRigs, scenesUsing: ScenesUsing, scenes: number): Handle {
  return (ways, gains, handling, besideMinor = 0) => {
    let [priceMinor, shareMinor] = [besideMinor, besideMinor / scenes];
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
      gains: [...gains, ...handling.map((each) => -each)],
      handling
    };
  };
}

const curveOf = (axis: Axis, figure: FigureId) =>
  axisCurves[axis].find((curve) => curve.figure === figure)!.points;
const easeCurves = handlingFigures.map((id) => curveOf('ease', id));

/** Asked a million times, so it makes no list of its own. */
function easeOf(start: Handling, support: Handling, lamps: Handling, mic: Handling): number {
  for (let index = 0; index < easeCurves.length; index++)
    easePoints[index] = pointsOn(
      easeCurves[index]!,
      start[index]! + support[index]! + lamps[index]! + mic[index]!
    );
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
  const body = rigs.bodies().find((way) => rigs.lenses(way).length > 0);
  const lens = body && rigs.lenses(body)[0];
  if (!lens) return [];
  const beside = (lamp: Way) => rigs.rig(forLamps, body, lens, bare.support, bare.mic, lamp);
  const start = handlingOf(beside(bare.lamps));
  const standMinor = rigs.cheapestStandMinor();
  return undominated(
    whereAny(
      rigs.lamps().map((way) => {
        const lit = beside(way);
        const { record } = lit;
        const [lux, softness] = [valueOf(record, 'ownLight'), valueOf(record, 'keySoftness')];
        const key = lit.rig.keyLamp?.part.gear;
        const heldMinor = key && key.form !== 'bulb' ? standMinor : 0;
        const lamps = handled([way], [lux, softness], added(start, lit), heldMinor);
        return { ...lamps, way, lux, softness };
      }),
      ({ way }) => !rigs.needsLamp || way.lines.length > 0
    )
  );
}

const MOST_KNOTS = 8;

/** A few of the lamps, darkest first: the others are taken to light as the next brighter one of these does. */
function knotsOf(lamps: readonly Lamps[]): Lamps[] {
  const sorted = [...lamps].sort((a, b) => a.lux - b.lux);
  if (sorted.length <= MOST_KNOTS) return sorted;
  return Array.from(
    { length: MOST_KNOTS },
    (_, index) => sorted[Math.round((index * (sorted.length - 1)) / (MOST_KNOTS - 1))]!
  );
}

/** Those a scene can be filmed with; all, where it cannot be filmed with any. */
function whereAny<T>(all: readonly T[], films: (way: T) => boolean): readonly T[] {
  const those = all.filter(films);
  return those.length > 0 ? those : all;
}

/** A support, and what joins a body to it. */
interface SupportHeld {
  way: Way;
  joinedMinor: number;
}

function supportsFor(rigs: LeanRigs, joints: JointPrices, body: Way): readonly SupportHeld[] {
  const supports = rigs.supports().map((way) => ({ way, joinedMinor: joints.held(body, way) }));
  return whereAny(
    supports,
    ({ way, joinedMinor }) =>
      Number.isFinite(joinedMinor) && (way.lines.length > 0 || !rigs.needsSupport(body))
  ).map(({ way, joinedMinor }) => ({
    way,
    joinedMinor: Number.isFinite(joinedMinor) ? joinedMinor : 0
  }));
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
  joinedMinor: number,
  supportsHeld: readonly SupportHeld[],
  knots: readonly Lamps[],
  handled: Handle
): LensBeside {
  const alone = rigs.rig(forHandling, body, way, bare.support, bare.mic, bare.lamps);
  const start = handlingOf(alone);
  const supports = supportsHeld.map(({ way: support, joinedMinor: heldMinor }) => {
    const held = rigs.rig(forHolding, body, way, support, bare.mic, bare.lamps);
    return handled([support], [pointsOf('steadiness', held)], added(start, held), heldMinor);
  });
  const costs = curveOf('light', 'exposureCost');
  const worst = Math.min(...costs.map(([, points]) => points));
  const exposure = knots.map((lamps) => {
    const { record } = rigs.litRig(forExposure, body, way, bare.support, bare.mic, lamps.way);
    const isKnown = record.states[figureIndex.exposureCost] === known;
    return isKnown ? pointsOn(costs, valueOf(record, 'exposureCost')) : worst;
  });
  return {
    ...handled([way], [], start, Number.isFinite(joinedMinor) ? joinedMinor : 0),
    gains: [
      pointsOf(
        'picture',
        rigs.mirroredRig(forPicture, body, way, bare.support, bare.mic, bare.lamps)
      ),
      ...start.map((each) => -each),
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
  const index = knots.findIndex(({ lux }) => lux >= lamps.lux);
  const points = [lens.exposure[index]!];
  if (lens.asksForSoftness) points.push(pointsOn(curveOf('light', 'keySoftness'), lamps.softness));
  const light = axisPoints(sumOfPoints('light', points));
  return { ...lamps, gains: [light, ...lamps.handling.map((each) => -each)] };
}

const isOnCamera = ({ choice }: Way) =>
  choice.micPlace === 'shoe' || choice.micPlace === 'side arm';

/** Microphones beside a body, into it or into a recorder, with the lens that is least in their way. */
function micsFor(
  rigs: LeanRigs,
  joints: JointPrices,
  body: Way,
  lenses: readonly Way[],
  handled: Handle
): Handled[] {
  const mics = rigs.mics();
  const beside = (lens: Way, mic: Way, recorder: Way = bare.mic) =>
    rigs.rig(forSound, body, lens, bare.support, recorder, mic, bare.lamps);
  const near = mics.find(isOnCamera) ?? mics[0]!;
  const lens = greatest(lenses, (way) => pointsOf('sound', beside(way, near)));
  if (!lens) return [];
  const start = handlingOf(beside(lens, bare.mic));
  const ways = mics.flatMap((mic) =>
    rigs.recorders().map((recorder) => {
      const heard = beside(lens, mic, recorder);
      return { ways: [mic, recorder], heard, joinedMinor: joints.heard(heard.rig) };
    })
  );
  const filming = whereAny(
    ways,
    ({ heard: { rig }, joinedMinor }) =>
      Number.isFinite(joinedMinor) && (!hearsVoice(rig) || rig.hearsByBody || rig.mic !== undefined)
  );
  return undominated(
    filming.map(({ ways: together, heard, joinedMinor }) =>
      handled(
        together,
        [pointsOf('sound', heard)],
        added(start, heard),
        (Number.isFinite(joinedMinor) ? joinedMinor : 0) + rigs.cheapestHolderMinor(together[0]!)
      )
    )
  );
}

/** What is no better in anything and no cheaper than another goes. */
function undominated<W extends Weighed>(ways: readonly W[]): W[] {
  const kept: W[] = [];
  for (const way of [...ways].sort((a, b) => a.priceMinor - b.priceMinor)) {
    const beats = (other: W) =>
      other.shareMinor <= way.shareMinor &&
      other.gains.every((gain, index) => gain >= way.gains[index]!);
    if (kept.some(beats)) continue;
    kept.push(way);
  }
  return kept;
}
