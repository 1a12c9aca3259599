import { mustBePositive, RelationError } from '../argument';

/**
 * Distance from the front principal point when the tape was held at the sensor mark:
 * d = (s + √(s² − 4fs))/2. Lenses breathe: say ± 3 %.
 *
 * @param sensorDistanceM sensor mark to subject, m, at least four focal lengths
 * @param focalLengthMm mm
 * @returns metres
 * @example distanceFromSensorMarkM(1, 25) // 0.974
 */
export function distanceFromSensorMarkM(sensorDistanceM: number, focalLengthMm: number): number {
  mustBePositive('sensorDistanceM', sensorDistanceM);
  mustBePositive('focalLengthMm', focalLengthMm);
  const f = focalLengthMm / 1000;
  const discriminant = sensorDistanceM * sensorDistanceM - 4 * f * sensorDistanceM;
  if (discriminant < 0) {
    throw new RelationError(
      'sensorDistanceM',
      sensorDistanceM,
      'must be at least four focal lengths'
    );
  }
  return (sensorDistanceM + Math.sqrt(discriminant)) / 2;
}
