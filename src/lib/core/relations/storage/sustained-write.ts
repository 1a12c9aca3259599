import { mustBePositive } from '../argument';
import type { SpeedClass } from '../../model/gear/card';

/** Sustained write each class promises, megabytes a second. */
export const speedClassMBps = {
  V6: 6,
  V10: 10,
  V30: 30,
  V60: 60,
  V90: 90,
  U1: 10,
  U3: 30
} as const satisfies Record<SpeedClass, number>;

/** Room above the rate a card should have, for peaks. */
export const WRITE_HEADROOM = 1.1;

/**
 * Megabytes a second from megabits: ÷ 8. The label's read speed says nothing about this.
 *
 * @example megabytesPerSecond(240) // 30
 */
export function megabytesPerSecond(bitRateMbps: number): number {
  mustBePositive('bitRateMbps', bitRateMbps);
  return bitRateMbps / 8;
}

/**
 * The least class that writes a mode with room for peaks: the inverse of the warning.
 *
 * @example classNeededMBps(240) // 33
 */
export function classNeededMBps(bitRateMbps: number): number {
  return megabytesPerSecond(bitRateMbps) * WRITE_HEADROOM;
}

/**
 * `stop` when the mode writes faster than the class promises, `warn` when it leaves less than a
 * tenth of room, `fine` otherwise.
 *
 * @example sustainedWriteVerdict(240, 30) // 'warn'
 */
export function sustainedWriteVerdict(
  bitRateMbps: number,
  classMBps: number
): 'fine' | 'warn' | 'stop' {
  mustBePositive('classMBps', classMBps);
  const needs = megabytesPerSecond(bitRateMbps);
  return needs > classMBps ? 'stop' : needs * WRITE_HEADROOM > classMBps ? 'warn' : 'fine';
}
