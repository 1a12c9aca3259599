import { type FigureRecord, known, unknown } from '../figures/record';
import { type FigureId, figureIndex } from '../figures/table';
import type { FindingRow } from '../findings/finding';
import type { PlacedRig } from '../rigs/placed-rig';
import {
  type Axis,
  axes,
  axisCurves,
  axisOfCode,
  type Curve,
  type CurvePoints,
  GOOD_POINTS,
  WEAKENS_LOSS
} from './axis-curves';

/** Straight lines between the points, flat past either end. */
export function pointsOn(curve: CurvePoints, figure: number): number {
  const first = curve[0]!;
  const last = curve[curve.length - 1]!;
  if (figure <= first[0]) return first[1];
  if (figure >= last[0]) return last[1];
  let index = 1;
  while (curve[index]![0] < figure) index += 1;
  const from = curve[index - 1]!;
  const to = curve[index]!;
  return from[1] + ((to[1] - from[1]) * (figure - from[0])) / (to[0] - from[0]);
}

/** What a figure adds to an axis, above or below good; low and high differ while it is unknown. */
export interface AxisPart {
  figure: FigureId;
  value: number | undefined;
  low: number;
  high: number;
}

/** Points of an axis in one angle; low and high differ while something is unknown. */
export interface AxisScore {
  axis: Axis;
  /** The angle that was judged: its figures are what the points stand on. */
  angleId: string;
  low: number;
  high: number;
}

/**
 * What the figures of an axis come to before its findings: good, plus the rise (the mean; of endurance the
 * least), less all losses. Below zero where much is lost.
 */
export interface AxisSum {
  low: number;
  high: number;
}

/** A curve made ready: where its figure stands in the record, and how low and high its points can be. */
interface PreparedCurve {
  figure: FigureId;
  place: number;
  points: CurvePoints;
  least: number;
  most: number;
  wanted: Curve['wanted'];
}

const prepared = Object.fromEntries(
  axes.map((axis) => [
    axis,
    axisCurves[axis].map(({ figure, points, wanted }): PreparedCurve => {
      const ends = points.map(([, value]) => value);
      return {
        figure,
        place: figureIndex[figure],
        points,
        least: Math.min(...ends),
        most: Math.max(...ends),
        wanted
      };
    })
  ])
) as Record<Axis, PreparedCurve[]>;

const isWanted = ({ wanted }: Pick<Curve, 'wanted'>, rig: PlacedRig): boolean =>
  wanted === undefined || wanted(rig);

/** Places in the record of the figures an axis is made of. */
export function figuresOfAxis(axis: Axis): readonly number[] {
  return placesOfAxis[axis];
}
const placesOfAxis = Object.fromEntries(
  axes.map((axis) => [axis, prepared[axis].map(({ place }) => place)])
) as Record<Axis, number[]>;

/** Which of an axis's figures are judged at all in a rig. */
export function wantsOfAxis(axis: Axis, rig: PlacedRig): readonly boolean[] {
  return prepared[axis].map((curve) => isWanted(curve, rig));
}

/** Figures nobody can work out yet that leave the points of an axis open. */
export function unknownsOfAxis(axis: Axis, rig: PlacedRig, record: FigureRecord): FigureId[] {
  return prepared[axis]
    .filter((curve) => record.states[curve.place] === unknown && isWanted(curve, rig))
    .map(({ figure }) => figure);
}

/** Adds up the figures of an axis in an angle; `undefined` when it has nothing to judge there. */
export function sumAxis(axis: Axis, rig: PlacedRig, record: FigureRecord): AxisSum | undefined {
  const low = new Sum();
  const high = new Sum();
  for (const curve of prepared[axis]) {
    if (!isWanted(curve, rig)) continue;
    const least = lowOf(curve, record);
    low.add(least);
    high.add(highOf(curve, record, least));
  }
  if (low.count === 0) return undefined;
  return { low: low.points(axis), high: high.points(axis) };
}

/** What points by figure come to on an axis, one of each figure that is judged there. */
export function sumOfPoints(axis: Axis, points: readonly number[]): number {
  const sum = new Sum();
  for (const point of points) sum.add(point);
  return sum.points(axis);
}

class Sum {
  count = 0;
  private rise = 0;
  private leastRise = Infinity;
  private loss = 0;

  add(points: number): void {
    this.count += 1;
    const rise = Math.max(0, points);
    this.rise += rise;
    if (rise < this.leastRise) this.leastRise = rise;
    this.loss += Math.max(0, -points);
  }

  points(axis: Axis): number {
    const rise = axis === 'endurance' ? this.leastRise : this.rise / this.count;
    return GOOD_POINTS + rise - this.loss;
  }
}

/** Below this what is lost counts a quarter, so that mending still shows. */
const FAINT_BELOW = 20;
const FAINT_SHARE = 0.25;

/** Points between 0 and 100 for what the figures of an axis come to. */
export function axisPoints(sum: number): number {
  return sum >= FAINT_BELOW
    ? Math.min(100, sum)
    : Math.max(0, FAINT_BELOW - (FAINT_BELOW - sum) * FAINT_SHARE);
}

/** Points by axis; an axis that loses nothing is left out. */
export type AxisLosses = Partial<Record<Axis, number>>;

/** What findings that weaken an angle take off each axis, beside those a curve tells already. */
export function lossesByFinding(
  rig: PlacedRig,
  rows: readonly Pick<FindingRow, 'code' | 'ownCause'>[]
): AxisLosses {
  const losses: AxisLosses = {};
  for (const row of rows) {
    const axis = axisOfCode[row.code];
    if (axis !== undefined && !isToldByCurve(axis, row, rig))
      losses[axis] = (losses[axis] ?? 0) + WEAKENS_LOSS;
  }
  return losses;
}

const isToldByCurve = (
  axis: Axis,
  { code, ownCause }: Pick<FindingRow, 'code' | 'ownCause'>,
  rig: PlacedRig
): boolean =>
  ownCause !== true &&
  axisCurves[axis].some((curve) => curve.tells?.includes(code) === true && isWanted(curve, rig));

function lowOf({ place, points, least }: PreparedCurve, record: FigureRecord): number {
  return record.states[place] === known ? pointsOn(points, record.values[place]!) : least;
}

/** What is missing altogether is as bad as it can be; what is unknown may be anything. */
function highOf({ place, most }: PreparedCurve, record: FigureRecord, low: number): number {
  return record.states[place] === unknown ? most : low;
}

/** What the points of an axis are made of, figure by figure. */
export function partsOfAxis(axis: Axis, rig: PlacedRig, record: FigureRecord): AxisPart[] {
  return prepared[axis]
    .filter((curve) => isWanted(curve, rig))
    .map((curve) => {
      const low = lowOf(curve, record);
      return {
        figure: curve.figure,
        value: record.states[curve.place] === known ? record.values[curve.place] : undefined,
        low,
        high: highOf(curve, record, low)
      };
    });
}
