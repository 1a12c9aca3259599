import { mustBeFinite, mustBePositive, mustNotBeNegative, RelationError } from '../argument';

/** The boom keeps this far above the edge of the picture. */
const CLEAR_OF_FRAME_M = 0.05;

/**
 * Mouth to a boomed microphone just out of frame: √(x² + y²) with
 * y = h + (y_top − h)(d − x)/d + 0.05. The tighter the framing, the nearer the microphone.
 *
 * @param topAboveMouthM top edge of the picture above the mouth, in the plane of the face
 * @param lensDistanceM lens to face
 * @param inFrontM how far in front of the mouth the microphone hangs
 * @param lensAboveMouthM height of the lens above the mouth; may be negative
 * @returns metres
 * @example boomDistanceM(0.33, 1, 0.25, 0) // 0.39
 */
export function boomDistanceM(
  topAboveMouthM: number,
  lensDistanceM: number,
  inFrontM: number,
  lensAboveMouthM: number
): number {
  mustNotBeNegative('topAboveMouthM', topAboveMouthM);
  mustBePositive('lensDistanceM', lensDistanceM);
  mustNotBeNegative('inFrontM', inFrontM);
  mustBeFinite('lensAboveMouthM', lensAboveMouthM);
  if (inFrontM >= lensDistanceM) {
    throw new RelationError('inFrontM', inFrontM, 'must be less than the distance to the lens');
  }
  const upM =
    lensAboveMouthM +
    ((topAboveMouthM - lensAboveMouthM) * (lensDistanceM - inFrontM)) / lensDistanceM +
    CLEAR_OF_FRAME_M;
  return Math.hypot(inFrontM, upM);
}

/**
 * How far in front of the mouth the boom is nearest: x = k·a/(1 + k²), a = y_top + 0.05,
 * k = (y_top − h)/d. Zero when the frame's edge slopes the other way.
 *
 * @returns metres
 * @example nearestBoomForwardM(0.33, 1, 0) // 0.113
 */
export function nearestBoomForwardM(
  topAboveMouthM: number,
  lensDistanceM: number,
  lensAboveMouthM: number
): number {
  mustNotBeNegative('topAboveMouthM', topAboveMouthM);
  mustBePositive('lensDistanceM', lensDistanceM);
  mustBeFinite('lensAboveMouthM', lensAboveMouthM);
  const slope = (topAboveMouthM - lensAboveMouthM) / lensDistanceM;
  return Math.max(0, (slope * (topAboveMouthM + CLEAR_OF_FRAME_M)) / (1 + slope ** 2));
}
