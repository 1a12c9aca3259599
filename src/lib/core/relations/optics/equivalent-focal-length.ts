import { mustBePositive } from '../argument';

/** Long side of the full-frame still area every equivalent is measured against. */
export const FULL_FRAME_LONG_SIDE_MM = 36;

/**
 * The focal length that would frame the same on full frame: f·36/(long side in use).
 *
 * @param focalLengthMm mm, above zero
 * @param longSideMm long side of the picture area in use, mm
 * @returns mm
 * @example equivalentFocalLengthMm(13, 22.3) // 21.0
 */
export function equivalentFocalLengthMm(focalLengthMm: number, longSideMm: number): number {
  mustBePositive('focalLengthMm', focalLengthMm);
  mustBePositive('longSideMm', longSideMm);
  return (focalLengthMm * FULL_FRAME_LONG_SIDE_MM) / longSideMm;
}

/**
 * The focal length a stated full-frame equivalent stands for: the inverse of `equivalentFocalLengthMm`.
 *
 * @param equivalentMm mm, above zero
 * @param longSideMm long side of the sensor's still area, mm
 * @returns mm
 * @example focalLengthOfEquivalentMm(24, 9.8) // 6.53
 */
export function focalLengthOfEquivalentMm(equivalentMm: number, longSideMm: number): number {
  mustBePositive('equivalentMm', equivalentMm);
  mustBePositive('longSideMm', longSideMm);
  return (equivalentMm * longSideMm) / FULL_FRAME_LONG_SIDE_MM;
}
