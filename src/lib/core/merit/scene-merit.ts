import type { AxisScore } from './axis-scores';
import { type Axis, axes } from './axis-curves';

/** Points of a scene by axis; an axis with nothing to judge there has none. */
export type SceneScores = Record<Axis, AxisScore | undefined>;

export const noScores: Readonly<SceneScores> = {
  sound: undefined,
  light: undefined,
  picture: undefined,
  steadiness: undefined,
  endurance: undefined,
  ease: undefined,
  'safety net': undefined
};

/** The axes that have something to judge, in their order. */
export function judgedAxes(scores: SceneScores): AxisScore[] {
  return axes.flatMap((axis) => scores[axis] ?? []);
}

/** Merit of a scene between 0 and 100; `low` is what comparisons use. */
export interface SceneMerit {
  sceneId: string;
  low: number;
  high: number;
  /** The axis that holds it back most; undefined when none does by more than a breath. */
  heldBackBy: Axis | undefined;
  axes: SceneScores;
  /** No `stop` stands in it. */
  works: boolean;
}

/** An axis is said to hold a scene back once its pull reaches this many points. */
const HOLDS_BACK_FROM_POINTS = 8;

/** The axes that have something to judge, with their points and weights place by place. */
interface Weighed {
  axes: Axis[];
  points: number[];
  weights: number[];
}

/**
 * Axes into one number: ½·weighted mean + ½·min over axes of [100 − (wᵢ/w_max)(100 − aᵢ)]. A
 * lopsided kit does not hide its weak side: sound 10 and the rest 95 gives about 42; all 70 gives 70.
 * Where none of the judged axes weighs anything they count alike.
 */
export function combineAxes(
  points: Partial<Record<Axis, number>>,
  weights: Readonly<Record<Axis, number>>
): { merit: number; worst: Axis | undefined; pull: number } {
  const judged = axes.filter((axis) => points[axis] !== undefined);
  return combine({
    axes: judged,
    points: judged.map((axis) => points[axis]!),
    weights: judged.map((axis) => weights[axis])
  });
}

function combine({ axes: judged, points, weights: said }: Weighed) {
  const weights = said.some((weight) => weight > 0) ? said : said.map(() => 1);
  let weightSum = 0;
  let sum = 0;
  let heaviest = 0;
  for (let index = 0; index < points.length; index++) {
    const weight = weights[index]!;
    weightSum += weight;
    sum += weight * points[index]!;
    if (weight > heaviest) heaviest = weight;
  }
  if (weightSum === 0) return { merit: 0, worst: undefined, pull: 0 };
  let least = Infinity;
  let worst: Axis | undefined;
  for (let index = 0; index < points.length; index++) {
    const pulled = 100 - (weights[index]! / heaviest) * (100 - points[index]!);
    if (pulled < least) {
      least = pulled;
      worst = judged[index];
    }
  }
  const mean = sum / weightSum;
  return { merit: 0.5 * mean + 0.5 * least, worst, pull: mean - least };
}

export function meritOfScene(
  sceneId: string,
  scores: SceneScores,
  weights: Readonly<Record<Axis, number>>,
  works: boolean
): SceneMerit {
  const judged: Axis[] = [];
  const lows: number[] = [];
  const highs: number[] = [];
  const own: number[] = [];
  for (const axis of axes) {
    const score = scores[axis];
    if (!score) continue;
    judged.push(axis);
    lows.push(score.low);
    highs.push(score.high);
    own.push(weights[axis]);
  }
  const low = combine({ axes: judged, points: lows, weights: own });
  const isCertain = lows.every((points, index) => points === highs[index]);
  return {
    sceneId,
    low: low.merit,
    high: isCertain ? low.merit : combine({ axes: judged, points: highs, weights: own }).merit,
    heldBackBy: low.pull >= HOLDS_BACK_FROM_POINTS ? low.worst : undefined,
    axes: scores,
    works
  };
}
