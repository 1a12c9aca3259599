import { mustBePositive } from '../argument';

/** Difference in mired: below `seen` nobody notices, above `strong` it cannot be balanced away. */
export const MIRED_DIFFERENCE = { seen: 15, strong: 40 } as const;

/**
 * Distance between two colour temperatures in mired, 10⁶/K each.
 *
 * @example miredDifference(4000, 5600) // 71
 */
export function miredDifference(kelvinA: number, kelvinB: number): number {
  mustBePositive('kelvinA', kelvinA);
  mustBePositive('kelvinB', kelvinB);
  return Math.abs(1e6 / kelvinA - 1e6 / kelvinB);
}
