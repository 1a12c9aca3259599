import { mustBePositive } from '../argument';

/** Difference in mired: below `seen` nobody notices, above `strong` it cannot be balanced away. */
export const MIRED_DIFFERENCE = { seen: 15, strong: 40 } as const;

/** Colour of daylight as cameras are set to it, and about what comes through a window. */
export const DAYLIGHT_K = 5600;

/** Light of another colour is seen on the face from this share of all the light on, three stops below it; an estimate. */
export const SHARE_SEEN = 1 / 8;

/**
 * The least distance in mired between a fixed colour and a lamp that can be set to any from one to another.
 *
 * @example leastMiredDifference(4000, 2700, 6500) // 0
 */
export function leastMiredDifference(fixedK: number, fromK: number, toK: number): number {
  return miredDifference(fixedK, Math.min(toK, Math.max(fromK, fixedK)));
}

/**
 * The least distance in mired between two lamps that can each be set to any colour from one to another.
 *
 * @example leastMiredBetween([2700, 3200], [5600, 6500]) // 134
 */
export function leastMiredBetween(
  a: readonly [fromK: number, toK: number],
  b: readonly [fromK: number, toK: number]
): number {
  const [from, to] = [Math.max(a[0], b[0]), Math.min(a[1], b[1])];
  return from <= to ? 0 : miredDifference(from, to);
}

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
