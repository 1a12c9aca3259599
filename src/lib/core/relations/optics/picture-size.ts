import { mustBeBeyondFocalLength, mustBePositive } from '../argument';

/**
 * How much of the world fits across one side of the picture: side·(d − f)/f (thin lens).
 *
 * @param sideMm width or height of the picture area in use, mm
 * @param focalLengthMm mm
 * @param distanceM from the lens's front principal point to the subject, m, beyond the focal length
 * @returns metres at the subject
 * @example pictureSizeM(23.5, 28, 1.1) // 0.900
 */
export function pictureSizeM(sideMm: number, focalLengthMm: number, distanceM: number): number {
  mustBePositive('sideMm', sideMm);
  mustBeBeyondFocalLength('distanceM', distanceM, focalLengthMm);
  return (sideMm * (distanceM - focalLengthMm / 1000)) / focalLengthMm;
}

/**
 * The focal length that fits a wanted size across one side of the picture: w·d/(W + w).
 *
 * @param sideMm width or height of the picture area in use, mm
 * @param wantedM size at the subject, m
 * @param distanceM lens to subject, m
 * @returns mm
 * @example focalLengthForSizeMm(23.5, 1.0, 1.1) // 25.3
 */
export function focalLengthForSizeMm(sideMm: number, wantedM: number, distanceM: number): number {
  mustBePositive('sideMm', sideMm);
  mustBePositive('wantedM', wantedM);
  mustBePositive('distanceM', distanceM);
  return (sideMm * distanceM) / (wantedM + sideMm / 1000);
}

/**
 * The distance at which a focal length fits a wanted size: f·(W + w)/w, in metres.
 * The zoom one owns becomes a measuring stick: what it reads tells where to stand.
 *
 * @example distanceForSizeM(23.5, 28, 0.9) // 1.100
 */
export function distanceForSizeM(sideMm: number, focalLengthMm: number, wantedM: number): number {
  mustBePositive('sideMm', sideMm);
  mustBePositive('focalLengthMm', focalLengthMm);
  mustBePositive('wantedM', wantedM);
  return (focalLengthMm * (wantedM + sideMm / 1000)) / sideMm;
}

/**
 * Size on the sensor against the thing itself: m = f/(d − f).
 *
 * @param distanceM lens to subject, m
 * @returns ratio
 * @throws RelationError when the subject stands nearer than the focal length
 * @example magnification(50, 0.4) // 0.143
 */
export function magnification(focalLengthMm: number, distanceM: number): number {
  mustBeBeyondFocalLength('distanceM', distanceM, focalLengthMm);
  return focalLengthMm / (distanceM * 1000 - focalLengthMm);
}
