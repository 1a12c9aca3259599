import {
  mustBeBeyondFocalLength,
  mustBePositive,
  mustNotBeNegative,
  RelationError
} from '../argument';

/** Blur as a share of the picture's long side: from here on softened, soft, and past this melted. */
export const BLUR_PERCENT = { softened: 0.3, soft: 1, melted: 2.5 } as const;

/**
 * Below 0.3 % readable, to 1 softened, to 2.5 soft, past that melted.
 *
 * @example blurWord(1.28) // 'soft'
 */
export function blurWord(percent: number): 'readable' | 'softened' | 'soft' | 'melted' {
  mustNotBeNegative('percent', percent);
  if (percent > BLUR_PERCENT.melted) return 'melted';
  if (percent >= BLUR_PERCENT.soft) return 'soft';
  return percent >= BLUR_PERCENT.softened ? 'softened' : 'readable';
}

/**
 * Diameter on the sensor of the disc a point at D becomes while focused at d:
 * f²/N·|D − d|/(D·(d − f)); D = Infinity gives f²/(N(d − f)). Works for foregrounds too.
 *
 * @param planeM lens to the blurred thing, m, may be Infinity
 * @returns mm
 * @example blurDiscMm(28, 1.4, 1.1, 2.6) // 0.301
 */
export function blurDiscMm(
  focalLengthMm: number,
  apertureN: number,
  distanceM: number,
  planeM: number
): number {
  mustBePositive('apertureN', apertureN);
  mustBeBeyondFocalLength('distanceM', distanceM, focalLengthMm);
  if (!(planeM > 0)) throw new RelationError('planeM', planeM, 'must be above zero');
  const beyondMm = distanceM * 1000 - focalLengthMm;
  const share = planeM === Infinity ? 1 : Math.abs(planeM - distanceM) / planeM;
  return ((focalLengthMm ** 2 / apertureN) * share) / beyondMm;
}

/**
 * The blur disc as a percentage of the long side in use.
 *
 * @example backgroundBlurPercent(28, 1.4, 1.1, 2.6, 23.5) // 1.28
 */
export function backgroundBlurPercent(
  focalLengthMm: number,
  apertureN: number,
  distanceM: number,
  planeM: number,
  longSideMm: number
): number {
  mustBePositive('longSideMm', longSideMm);
  return (100 * blurDiscMm(focalLengthMm, apertureN, distanceM, planeM)) / longSideMm;
}

/**
 * Largest f-number that still blurs a plane by a share of the long side: blur falls as one over it.
 *
 * @returns f-number, 0 where the plane is in focus and no aperture blurs it
 * @example apertureForBlurN(28, 1.1, 2.6, 23.5, 1.28) // 1.4
 */
export function apertureForBlurN(
  focalLengthMm: number,
  distanceM: number,
  planeM: number,
  longSideMm: number,
  percent: number
): number {
  mustBePositive('percent', percent);
  return backgroundBlurPercent(focalLengthMm, 1, distanceM, planeM, longSideMm) / percent;
}

/**
 * Detail at the blurred plane finer than this vanishes: (f/N)·|D − d|/d.
 *
 * @returns mm at that plane
 * @example vanishingDetailMm(28, 1.4, 1.1, 2.6) // 27.3
 */
export function vanishingDetailMm(
  focalLengthMm: number,
  apertureN: number,
  distanceM: number,
  planeM: number
): number {
  mustBePositive('focalLengthMm', focalLengthMm);
  mustBePositive('apertureN', apertureN);
  mustBePositive('distanceM', distanceM);
  mustBePositive('planeM', planeM);
  return ((focalLengthMm / apertureN) * Math.abs(planeM - distanceM)) / distanceM;
}
