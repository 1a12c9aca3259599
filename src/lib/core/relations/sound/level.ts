import { mustBeFinite, mustBePositive } from '../argument';
import type { Voice } from '../../model/scene';

/** A level with nothing in it: adds no power to a sum. */
export const NO_LEVEL = Number.NEGATIVE_INFINITY;

/** Voice at one metre in dB(A). */
export const voiceLevelAt1mDbA = { normal: 60, raised: 66, loud: 72 } as const satisfies Record<
  Exclude<Voice, 'none'>,
  number
>;

/**
 * Direct sound at a distance: L₁ − 20·log10 d.
 *
 * @param levelAt1mDb at one metre, dB
 * @returns dB
 * @example levelAtDistanceDb(60, 0.35) // 69.1
 */
export function levelAtDistanceDb(levelAt1mDb: number, distanceM: number): number {
  mustBeFinite('levelAt1mDb', levelAt1mDb);
  mustBePositive('distanceM', distanceM);
  return levelAt1mDb - 20 * Math.log10(distanceM);
}

/**
 * Levels added in power: 10·log10 Σ 10^(L/10). Levels of nothing (−∞) add nothing.
 *
 * @example powerSumDb(30, 30) // 33.0
 */
export function powerSumDb(...levelsDb: number[]): number {
  let power = 0;
  for (let index = 0; index < levelsDb.length; index++) {
    const level = levelsDb[index]!;
    if (level === NO_LEVEL) continue;
    mustBeFinite('levelDb', level);
    power += 10 ** (level / 10);
  }
  return power === 0 ? NO_LEVEL : 10 * Math.log10(power);
}
