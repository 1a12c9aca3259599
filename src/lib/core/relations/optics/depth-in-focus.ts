import { mustBeBeyondFocalLength, mustBePositive, RelationError } from '../argument';

/** Picture diagonal over this is the largest dot that still looks like a point. */
export const SHARPNESS_DIVISORS = { 'seen as usual': 1500, 'seen large in 4K': 3000 } as const;
/** The tip of the nose stands this far in front of the eyes. */
export const NOSE_IN_FRONT_M = 0.04;
/** The ears stand this far behind the eyes. */
export const EARS_BEHIND_M = 0.1;

/**
 * Circle of confusion: picture diagonal ÷ 1500, or ÷ 3000 where it is seen large in 4K.
 *
 * @returns mm
 * @example circleOfConfusionMm(23.5, 13.21875) // 0.018
 */
export function circleOfConfusionMm(
  widthMm: number,
  heightMm: number,
  divisor: number = SHARPNESS_DIVISORS['seen as usual']
): number {
  mustBePositive('widthMm', widthMm);
  mustBePositive('heightMm', heightMm);
  mustBePositive('divisor', divisor);
  return Math.hypot(widthMm, heightMm) / divisor;
}

/**
 * Hyperfocal distance H = f²/(N·c) + f: focused there, everything from H/2 on is sharp.
 *
 * @returns metres
 * @example hyperfocalDistanceM(28, 4, 0.018) // 10.92
 */
export function hyperfocalDistanceM(
  focalLengthMm: number,
  apertureN: number,
  circleMm: number
): number {
  mustBePositive('focalLengthMm', focalLengthMm);
  mustBePositive('apertureN', apertureN);
  mustBePositive('circleMm', circleMm);
  return (focalLengthMm ** 2 / (apertureN * circleMm) + focalLengthMm) / 1000;
}

/**
 * Near limit of focus d(H − f)/(H + d − 2f).
 *
 * @returns metres from the lens
 * @example nearLimitM(2, 10.92, 28) // 1.69
 */
export function nearLimitM(distanceM: number, hyperfocalM: number, focalLengthMm: number): number {
  mustBeBeyondFocalLength('distanceM', distanceM, focalLengthMm);
  mustBePositive('hyperfocalM', hyperfocalM);
  const f = focalLengthMm / 1000;
  return (distanceM * (hyperfocalM - f)) / (hyperfocalM + distanceM - 2 * f);
}

/**
 * Far limit of focus d(H − f)/(H − d); Infinity once d reaches H.
 *
 * @returns metres from the lens
 * @example farLimitM(2, 10.92, 28) // 2.44
 */
export function farLimitM(distanceM: number, hyperfocalM: number, focalLengthMm: number): number {
  mustBeBeyondFocalLength('distanceM', distanceM, focalLengthMm);
  mustBePositive('hyperfocalM', hyperfocalM);
  const f = focalLengthMm / 1000;
  return distanceM >= hyperfocalM
    ? Infinity
    : (distanceM * (hyperfocalM - f)) / (hyperfocalM - distanceM);
}

/**
 * The widest aperture that still keeps a plane at D sharp while focused at d:
 * N = f²·|D − d|/(c·D·(d − f)).
 *
 * @returns f-number; 0 when the plane is the plane of focus
 * @example apertureForPlaneN(20, 0.7, 0.66, 0.01706) // 2.1
 */
export function apertureForPlaneN(
  focalLengthMm: number,
  distanceM: number,
  planeM: number,
  circleMm: number
): number {
  mustBeBeyondFocalLength('distanceM', distanceM, focalLengthMm);
  mustBePositive('planeM', planeM);
  mustBePositive('circleMm', circleMm);
  const distanceMm = distanceM * 1000;
  const planeMm = planeM * 1000;
  return (
    (focalLengthMm ** 2 * Math.abs(planeMm - distanceMm)) /
    (circleMm * planeMm * (distanceMm - focalLengthMm))
  );
}

/**
 * The widest aperture at which nose tip and ears are both sharp with the eyes in focus.
 *
 * @example apertureForFaceN(20, 0.7, 0.01706) // 4.3
 */
export function apertureForFaceN(
  focalLengthMm: number,
  distanceM: number,
  circleMm: number
): number {
  if (!(distanceM > NOSE_IN_FRONT_M)) {
    throw new RelationError(
      'distanceM',
      distanceM,
      `must leave room for a nose, ${NOSE_IN_FRONT_M} m`
    );
  }
  return Math.max(
    apertureForPlaneN(focalLengthMm, distanceM, distanceM - NOSE_IN_FRONT_M, circleMm),
    apertureForPlaneN(focalLengthMm, distanceM, distanceM + EARS_BEHIND_M, circleMm)
  );
}

/**
 * Focus distance and aperture for a row of people between n and F:
 * focus 2nF/(n + F); N ≥ f²(F − n)/(c(2nF − f(n + F))).
 *
 * @example focusForRow(25.1, 2, 2.5, 0.018) // focus 2.22 m
 */
export function focusForRow(
  focalLengthMm: number,
  nearestM: number,
  farthestM: number,
  circleMm: number
): { focusM: number; apertureN: number } {
  mustBeBeyondFocalLength('nearestM', nearestM, focalLengthMm);
  mustBePositive('circleMm', circleMm);
  if (!(farthestM >= nearestM) || farthestM === Infinity) {
    throw new RelationError(
      'farthestM',
      farthestM,
      'must be finite and no nearer than the nearest'
    );
  }
  const n = nearestM * 1000;
  const F = farthestM * 1000;
  return {
    focusM: (2 * n * F) / (n + F) / 1000,
    apertureN: (focalLengthMm ** 2 * (F - n)) / (circleMm * (2 * n * F - focalLengthMm * (n + F)))
  };
}

/** Light at this wavelength sets where stopping down stops helping. */
const GREEN_LIGHT_MM = 0.00055;

/**
 * Diffraction cap: stopping down further than c/(2.44·λ) softens the whole picture.
 *
 * @returns f-number
 * @example diffractionCapN(0.018) // 13.4
 */
export function diffractionCapN(circleMm: number): number {
  mustBePositive('circleMm', circleMm);
  return circleMm / (2.44 * GREEN_LIGHT_MM);
}
