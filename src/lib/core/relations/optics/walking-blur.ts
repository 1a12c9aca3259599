import { mustBePositive, mustNotBeNegative } from '../argument';

/**
 * How far a point smears while the camera turns at ω: ω·t·f ÷ pixel pitch. Stabilising the frame
 * afterwards does not take it away.
 *
 * @param turnDegPerS camera rotation, degrees per second
 * @returns pixels
 * @example walkingBlurPx(5, 1 / 50, 16, 22.3, 3840) // 4.8
 */
export function walkingBlurPx(
  turnDegPerS: number,
  shutterS: number,
  focalLengthMm: number,
  widthInUseMm: number,
  pixelsAcross: number
): number {
  mustNotBeNegative('turnDegPerS', turnDegPerS);
  mustBePositive('shutterS', shutterS);
  mustBePositive('focalLengthMm', focalLengthMm);
  mustBePositive('widthInUseMm', widthInUseMm);
  mustBePositive('pixelsAcross', pixelsAcross);
  const pitchMm = widthInUseMm / pixelsAcross;
  return (((turnDegPerS * Math.PI) / 180) * shutterS * focalLengthMm) / pitchMm;
}
