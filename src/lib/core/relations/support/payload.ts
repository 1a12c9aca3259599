import { mustBePositive, mustNotBeNegative } from '../argument';

/** Above this share of a rating a support is strained. */
export const PAYLOAD_WARN_SHARE = 2 / 3;
/** Masses on sheets and kitchen scales are no finer than this: on the edge nobody is warned. */
const MEASURED_WITHIN = 0.01;

/**
 * The least rating that bears a load without strain: the inverse of the warning.
 *
 * @example payloadNeededKg(1.9) // 2.85
 */
export function payloadNeededKg(loadKg: number): number {
  mustNotBeNegative('loadKg', loadKg);
  return loadKg / PAYLOAD_WARN_SHARE;
}

/**
 * `stop` above the rating, `warn` above two thirds of it.
 *
 * @example payloadVerdict(1.9, 2.5) // 'warn'
 */
export function payloadVerdict(loadKg: number, ratingKg: number): 'fine' | 'warn' | 'stop' {
  mustNotBeNegative('loadKg', loadKg);
  mustBePositive('ratingKg', ratingKg);
  return loadKg > ratingKg
    ? 'stop'
    : loadKg > ratingKg * PAYLOAD_WARN_SHARE * (1 + MEASURED_WITHIN)
      ? 'warn'
      : 'fine';
}
