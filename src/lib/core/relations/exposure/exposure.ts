import { mustBePositive, mustNotBeNegative } from '../argument';

/** Reflected and incident meters agree on this constant for a matte face at E lux. */
const INCIDENT_CONSTANT = 250;

/**
 * Sensitivity a setting needs: 250·N²/(t·E), good to ± ½ stop. No light needs an unbounded one.
 *
 * @param illuminanceLx at the face, facing the lens
 * @returns ISO, Infinity in the dark
 * @example isoNeeded(3.5, 1 / 50, 200) // 766
 */
export function isoNeeded(apertureN: number, shutterS: number, illuminanceLx: number): number {
  mustBePositive('apertureN', apertureN);
  mustBePositive('shutterS', shutterS);
  mustNotBeNegative('illuminanceLx', illuminanceLx);
  return (INCIDENT_CONSTANT * apertureN ** 2) / (shutterS * illuminanceLx);
}

/**
 * Illuminance a setting needs: 250·N²/(t·S).
 *
 * @returns lux at the face
 * @example illuminanceNeededLx(3.5, 1 / 50, 766) // 200
 */
export function illuminanceNeededLx(apertureN: number, shutterS: number, iso: number): number {
  mustBePositive('apertureN', apertureN);
  mustBePositive('shutterS', shutterS);
  mustBePositive('iso', iso);
  return (INCIDENT_CONSTANT * apertureN ** 2) / (shutterS * iso);
}

/**
 * Neutral density that brings a scene down to the lowest sensitivity:
 * log2(E·t·S/(250·N²)), never below zero.
 *
 * @returns stops
 * @example neutralDensityStops(1.8, 1 / 50, 100_000, 100) // 7.9
 */
export function neutralDensityStops(
  apertureN: number,
  shutterS: number,
  illuminanceLx: number,
  baseIso: number
): number {
  mustBePositive('baseIso', baseIso);
  const needed = isoNeeded(apertureN, shutterS, illuminanceLx);
  return Math.max(0, Math.log2(baseIso / needed));
}

/**
 * Stops of a filter factor: ND1000 is 9.97.
 *
 * @example stopsFromFactor(1000) // 9.97
 */
export function stopsFromFactor(factor: number): number {
  mustBePositive('factor', factor);
  return Math.log2(factor);
}

/**
 * Stops of an optical density: 0.30 a stop.
 *
 * @example stopsFromDensity(0.9) // 2.99
 */
export function stopsFromDensity(density: number): number {
  mustNotBeNegative('density', density);
  return density / Math.log10(2);
}

/**
 * Sensitivity a body's pictures bear before noise shows, from the area in use: 6400·(w·h)/729.
 * An engineering estimate, editable on the part.
 *
 * @example highestUsableIso(23.5, 13.22) // 2 727
 */
export function highestUsableIso(widthMm: number, heightMm: number): number {
  mustBePositive('widthMm', widthMm);
  mustBePositive('heightMm', heightMm);
  return (6400 * widthMm * heightMm) / 729;
}

/**
 * Effective aperture for light when a T-number's transmittance is known: N/√τ.
 *
 * @example transmissionN(2.8, 0.81) // 3.11
 */
export function transmissionN(apertureN: number, transmittance: number): number {
  mustBePositive('apertureN', apertureN);
  mustBePositive('transmittance', transmittance);
  return apertureN / Math.sqrt(transmittance);
}

/**
 * Close up, light falls by (1 + m)²: the factor for magnification m.
 *
 * @example closeUpFactor(0.5) // 2.25
 */
export function closeUpFactor(magnification: number): number {
  mustNotBeNegative('magnification', magnification);
  return (1 + magnification) ** 2;
}
