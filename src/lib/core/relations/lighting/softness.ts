import { mustBePositive, mustNotBeNegative } from '../argument';

/** Angle a source fills, and the word for the edge of its shadow. Each begins at its figure. */
export const softnessWords = [
  { fromDeg: 30, word: 'very soft' },
  { fromDeg: 15, word: 'soft' },
  { fromDeg: 5, word: 'firm' },
  { fromDeg: 0, word: 'hard' }
] as const;

export function softnessWord(degrees: number): (typeof softnessWords)[number]['word'] {
  return softnessWords.find(({ fromDeg }) => degrees >= fromDeg)?.word ?? 'hard';
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
