import { type FigureRecord, known, unknown } from '../figures/record';
import { type FigureId, figureIndex } from '../figures/table';
import type { PlacedRig } from '../rigs/placed-rig';
import { type Axis, axes, axisCurves, type CurvePoints } from './axis-curves';

/** Points fall or rise this little past the ends, so that no two kits tie because both are off the chart. */
const END_SLOPE_POINTS = 1;

/** Straight lines between the points, a gentle slope past either end. */
export function pointsOn(curve: CurvePoints, figure: number): number {
  const first = curve[0]!;
  const last = curve[curve.length - 1]!;
  const rises = last[1] >= first[1] ? 1 : -1;
  if (figure <= first[0]) {
    const beyond = first[0] - figure;
    return (
      first[1] -
      rises *
        END_SLOPE_POINTS *
        (beyond === Infinity ? 1 : beyond / (beyond + Math.abs(last[0] - first[0])))
    );
  }
  if (figure >= last[0]) {
    const beyond = figure - last[0];
    return (
      last[1] +
      rises *
        END_SLOPE_POINTS *
        (beyond === Infinity ? 1 : beyond / (beyond + Math.abs(last[0] - first[0])))
    );
  }
  let at = 1;
  while (curve[at]![0] < figure) at += 1;
  const from = curve[at - 1]!;
  const to = curve[at]!;
  return from[1] + ((to[1] - from[1]) * (figure - from[0])) / (to[0] - from[0]);
}

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

function ends(curve: CurvePoints): { least: number; most: number } {
  const a = curve[0]![1];
  const b = curve[curve.length - 1]![1];
  return { least: Math.min(a, b) - END_SLOPE_POINTS, most: Math.max(a, b) + END_SLOPE_POINTS };
}

/** ½·mean + ½·worst, so that one bad figure is felt; endurance takes the worst alone. */
function together(axis: Axis, sum: number, worst: number, count: number): number {
  const points = axis === 'endurance' ? worst : 0.5 * (sum / count) + 0.5 * worst;
  return Math.min(100, Math.max(0, points));
}

/** A curve made ready: where its figure stands in the record, and how low and high its points can be. */
interface PreparedCurve {
  figure: FigureId;
  at: number;
  points: CurvePoints;
  least: number;
  most: number;
  wanted: ((rig: PlacedRig) => boolean) | undefined;
}

const prepared = Object.fromEntries(
  axes.map((axis) => [
    axis,
    axisCurves[axis].map(({ figure, points, wanted }): PreparedCurve => {
      const { least, most } = ends(points);
      return {
        figure,
        at: figureIndex[figure],
        points,
        least,
        most,
        wanted
      };
    })
  ])
) as Record<Axis, PreparedCurve[]>;

const isWanted = ({ wanted }: PreparedCurve, rig: PlacedRig): boolean =>
  wanted === undefined || wanted(rig);

/** Places in the record of the figures an axis is made of. */
export function figuresOfAxis(axis: Axis): readonly number[] {
  return placesOfAxis[axis];
}
const placesOfAxis = Object.fromEntries(
  axes.map((axis) => [axis, prepared[axis].map(({ at }) => at)])
) as Record<Axis, number[]>;

/** Which of an axis's figures are judged at all in a rig. */
export function wantsOfAxis(axis: Axis, rig: PlacedRig): readonly boolean[] {
  return prepared[axis].map((curve) => isWanted(curve, rig));
}

/** Figures nobody can work out yet that leave the points of an axis open. */
export function unknownsOfAxis(axis: Axis, rig: PlacedRig, record: FigureRecord): FigureId[] {
  return prepared[axis]
    .filter((curve) => record.states[curve.at] === unknown && isWanted(curve, rig))
    .map(({ figure }) => figure);
}

/** Points of an axis in an angle; `undefined` when it has nothing to judge there. */
export function scoreAxis(axis: Axis, rig: PlacedRig, record: FigureRecord): AxisScore | undefined {
  const curves = prepared[axis];
  let count = 0;
  let lowSum = 0;
  let lowWorst = Infinity;
  let highSum = 0;
  let highWorst = Infinity;
  for (let i = 0; i < curves.length; i++) {
    const curve = curves[i]!;
    if (!isWanted(curve, rig)) continue;
    const low = lowOf(curve, record);
    const high = highOf(curve, record, low);
    count += 1;
    lowSum += low;
    highSum += high;
    if (low < lowWorst) lowWorst = low;
    if (high < highWorst) highWorst = high;
  }
  if (count === 0) return undefined;
  return {
    axis,
    angleId: rig.angle.id,
    low: together(axis, lowSum, lowWorst, count),
    high: together(axis, highSum, highWorst, count)
  };
}

function lowOf({ at, points, least }: PreparedCurve, record: FigureRecord): number {
  return record.states[at] === known ? pointsOn(points, record.values[at]!) : least;
}

/** What is missing altogether is as bad as it can be; what is unknown may be anything. */
function highOf({ at, most }: PreparedCurve, record: FigureRecord, low: number): number {
  return record.states[at] === unknown ? most : low;
}

/** What the points of an axis are made of, figure by figure. */
export function partsOfAxis(axis: Axis, rig: PlacedRig, record: FigureRecord): AxisPart[] {
  return prepared[axis]
    .filter((curve) => isWanted(curve, rig))
    .map((curve) => {
      const low = lowOf(curve, record);
      return {
        figure: curve.figure,
        value: record.states[curve.at] === known ? record.values[curve.at] : undefined,
        low,
        high: highOf(curve, record, low)
      };
    });
}
