import { mustBePositive, mustNotBeNegative, RelationError } from '../argument';

/**
 * Minutes to carry a day's files off: Σ GB ÷ the slowest of read, cable and write.
 *
 * @example offloadMinutes(117.5, [90]) // 21.8
 */
export function offloadMinutes(gigabytes: number, speedsMBps: readonly number[]): number {
  mustNotBeNegative('gigabytes', gigabytes);
  if (speedsMBps.length === 0)
    throw new RelationError('speedsMBps', 0, 'must hold at least one speed');
  for (const speed of speedsMBps) mustBePositive('speedsMBps', speed);
  return (gigabytes * 1000) / Math.min(...speedsMBps) / 60;
}
