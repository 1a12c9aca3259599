import { mustBePositive, mustLieBetween, mustNotBeNegative } from '../argument';

/** Angle a source fills: from here on its shadows are firm, soft, and past this very soft. */
export const SOFTNESS_DEG = { firm: 5, soft: 15, verySoft: 30 } as const;

/**
 * The word for the edge of its shadows: below 5° hard, to 15 firm, to 30 soft, past that very soft.
 *
 * @example softnessWord(41) // 'very soft'
 */
export function softnessWord(degrees: number): 'hard' | 'firm' | 'soft' | 'very soft' {
  mustLieBetween('degrees', degrees, 0, 180);
  if (degrees > SOFTNESS_DEG.verySoft) return 'very soft';
  if (degrees >= SOFTNESS_DEG.soft) return 'soft';
  return degrees >= SOFTNESS_DEG.firm ? 'firm' : 'hard';
}

/**
 * Softness: the angle the source fills as the face sees it, 2·atan(R/d).
 *
 * @returns degrees
 * @example softnessDeg(0.3, 0.8) // 41
 */
export function softnessDeg(radiusM: number, distanceM: number): number {
  mustNotBeNegative('radiusM', radiusM);
  mustBePositive('distanceM', distanceM);
  return (2 * Math.atan(radiusM / distanceM) * 180) / Math.PI;
}
