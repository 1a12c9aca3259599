import { mustBePositive, RelationError } from '../argument';
import { EARS_BEHIND_M, NOSE_IN_FRONT_M } from './depth-in-focus';

/** A nearer nose looks larger: from here worth a note, from there a warning. */
export const NEAR_STRETCH = { note: 1.25, warn: 1.34 } as const;
/** Off the axis a face is pulled outwards: warn beyond. */
export const EDGE_STRETCH_WARN = 1.15;

/**
 * How much larger the nose is drawn than the ears: (d + 0.10)/(d − 0.04). It follows from the
 * distance alone, whatever the focal length.
 *
 * @example nearStretch(0.45) // 1.341
 */
export function nearStretch(distanceM: number): number {
  if (!(distanceM > NOSE_IN_FRONT_M) || distanceM === Infinity) {
    throw new RelationError(
      'distanceM',
      distanceM,
      `must be finite and above ${NOSE_IN_FRONT_M} m`
    );
  }
  return (distanceM + EARS_BEHIND_M) / (distanceM - NOSE_IN_FRONT_M);
}

/**
 * How much a face is pulled outwards at a place off the axis: 1/cos θ, tan θ = offset/f.
 *
 * @param offsetMm distance from the picture's centre on the sensor, mm
 * @example edgeStretch(18, 24) // 1.25
 */
export function edgeStretch(offsetMm: number, focalLengthMm: number): number {
  mustBePositive('focalLengthMm', focalLengthMm);
  if (!(offsetMm >= 0)) throw new RelationError('offsetMm', offsetMm, 'must be zero or more');
  return Math.hypot(1, offsetMm / focalLengthMm);
}
