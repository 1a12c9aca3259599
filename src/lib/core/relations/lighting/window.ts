import { mustBePositive, mustLieBetween } from '../argument';

/**
 * Light of a window: E = π·L·τ·R²/(d² + R²), the window taken as a disc of the same area. The sky
 * changes, so it is always a range: asked at the luminance of its dim and of its bright end.
 *
 * @param skyLuminanceCdM2 overcast about 2 000, bright cloud about 8 000
 * @param transmittance of the glass and what hangs before it, 0 to 1
 * @param radiusM √(area/π)
 * @returns lux facing the window
 * @example windowIlluminanceLx(2000, 0.8, 0.6, 1.5) // 693
 */
export function windowIlluminanceLx(
  skyLuminanceCdM2: number,
  transmittance: number,
  radiusM: number,
  distanceM: number
): number {
  mustBePositive('skyLuminanceCdM2', skyLuminanceCdM2);
  mustLieBetween('transmittance', transmittance, 0, 1);
  mustBePositive('radiusM', radiusM);
  mustBePositive('distanceM', distanceM);
  return (
    (Math.PI * skyLuminanceCdM2 * transmittance * radiusM ** 2) / (distanceM ** 2 + radiusM ** 2)
  );
}
