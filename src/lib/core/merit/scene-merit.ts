import type { FigureRecord } from '../figures/record';
import type { PlacedRig } from '../rigs/placed-rig';
import { type Axis, axes, type AxisScore, scoreAxis } from './axes';

/** Merit of a scene between 0 and 100; `low` is what comparisons use. */
export interface SceneMerit {
  sceneId: string;
  low: number;
  high: number;
  /** The axis that holds it back most; undefined when none does by more than a breath. */
  heldBackBy: Axis | undefined;
  axes: Partial<Record<Axis, AxisScore>>;
  /** No `stop` stands in it. */
  works: boolean;
}

/** An axis is said to hold a scene back once its pull reaches this many points. */
const HOLDS_BACK_FROM_POINTS = 8;

/**
 * Axes into one number: ½·weighted mean + ½·min over axes of [100 − (wᵢ/w_max)(100 − aᵢ)]. A
 * lopsided kit does not hide its weak side: sound 10 and the rest 95 gives about 42; all 70 gives 70.
 */
export function combineAxes(
  points: Partial<Record<Axis, number>>,
  weights: Readonly<Record<Axis, number>>
): { merit: number; worst: Axis | undefined; pull: number } {
  let weightSum = 0;
  let sum = 0;
  let heaviest = 0;
  for (const axis of axes) {
    if (points[axis] === undefined) continue;
    weightSum += weights[axis];
    sum += weights[axis] * points[axis];
    if (weights[axis] > heaviest) heaviest = weights[axis];
  }
  if (weightSum === 0) return { merit: 0, worst: undefined, pull: 0 };
  let least = Infinity;
  let worst: Axis | undefined;
  for (const axis of axes) {
    if (points[axis] === undefined) continue;
    const pulled = 100 - (weights[axis] / heaviest) * (100 - points[axis]);
    if (pulled < least) {
      least = pulled;
      worst = axis;
    }
  }
  const mean = sum / weightSum;
  return { merit: 0.5 * mean + 0.5 * least, worst, pull: mean - least };
}

/** The worst angle speaks for each axis: a scene is as good as what it shows at its weakest. */
export function scoreScene<A extends { rig: PlacedRig; record: FigureRecord }>(
  angles: readonly A[],
  scoreOf: (axis: Axis, angle: A) => AxisScore | undefined = (axis, { rig, record }) =>
    scoreAxis(axis, rig, record)
): Partial<Record<Axis, AxisScore>> {
  const scores: Partial<Record<Axis, AxisScore>> = {};
  for (const axis of axes) {
    for (const angle of angles) {
      const score = scoreOf(axis, angle);
      if (score && (!scores[axis] || score.low < scores[axis].low)) scores[axis] = score;
    }
  }
  return scores;
}

export function meritOfScene(
  sceneId: string,
  scores: Partial<Record<Axis, AxisScore>>,
  weights: Readonly<Record<Axis, number>>,
  works: boolean
): SceneMerit {
  const lows: Partial<Record<Axis, number>> = {};
  const highs: Partial<Record<Axis, number>> = {};
  for (const axis of axes) {
    const score = scores[axis];
    if (!score) continue;
    lows[axis] = score.low;
    highs[axis] = score.high;
  }
  const low = combineAxes(lows, weights);
  return {
    sceneId,
    low: low.merit,
    high: combineAxes(highs, weights).merit,
    heldBackBy: low.pull >= HOLDS_BACK_FROM_POINTS ? low.worst : undefined,
    axes: scores,
    works
  };
}
