import { mustBePositive, mustNotBeNegative, RelationError } from '../argument';
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
 * Where a face stands that is drawn with a given nose to ears: the inverse, d = (0.10 + 0.04·s)/(s − 1).
 *
 * @param stretch above 1
 * @returns metres
 * @example distanceForNearStretchM(1.25) // 0.6
 */
export function distanceForNearStretchM(stretch: number): number {
  mustBeStretched(stretch);
  return (EARS_BEHIND_M + NOSE_IN_FRONT_M * stretch) / (stretch - 1);
}

/**
 * How far off a face has to be that stands beside the axis, to be pulled outwards no more than is warned of:
 * the inverse of 1/cos θ with tan θ = offset/d.
 *
 * @param offsetM from the axis to the middle of the face, m
 * @example distanceForEdgeStretchM(0.65, 1.15) // 1.14
 */
export function distanceForEdgeStretchM(
  offsetM: number,
  stretch: number = EDGE_STRETCH_WARN
): number {
  mustBePositive('offsetM', offsetM);
  mustBeStretched(stretch);
  return offsetM / Math.sqrt(stretch ** 2 - 1);
}

/**
 * How much a face is pulled outwards at a place off the axis: 1/cos θ, tan θ = offset/f.
 *
 * @param offsetMm distance from the picture's centre on the sensor, mm
 * @example edgeStretch(18, 24) // 1.25
 */
export function edgeStretch(offsetMm: number, focalLengthMm: number): number {
  mustBePositive('focalLengthMm', focalLengthMm);
  mustNotBeNegative('offsetMm', offsetMm);
  return Math.hypot(1, offsetMm / focalLengthMm);
}

function mustBeStretched(stretch: number): void {
  if (!(stretch > 1) || stretch === Infinity)
    throw new RelationError('stretch', stretch, 'must be finite and above 1');
}
