import { mustBePositive, mustLieBetween, mustNotBeNegative } from '../argument';

/** What a card holds of what its label says, file system and all. */
export const USABLE_OF_LABEL = 0.98;

/**
 * Size of a recording: Mb/s ÷ 8 × s ÷ 1000, sound included in the rate.
 *
 * @returns GB (decimal)
 * @example recordingGb(100, 90) // 67.5
 */
export function recordingGb(bitRateMbps: number, minutes: number): number {
  mustBePositive('bitRateMbps', bitRateMbps);
  mustNotBeNegative('minutes', minutes);
  return (bitRateMbps / 8) * ((minutes * 60) / 1000);
}

/**
 * Minutes a card takes: label × 0.98 × (1 − margin) over the rate.
 *
 * @param marginShare kept free for the swap, 0 to 0.9
 * @returns minutes
 * @example cardMinutes(128, 100) // 167
 */
export function cardMinutes(labelGb: number, bitRateMbps: number, marginShare = 0): number {
  mustNotBeNegative('labelGb', labelGb);
  mustBePositive('bitRateMbps', bitRateMbps);
  mustLieBetween('marginShare', marginShare, 0, 0.9);
  return (labelGb * USABLE_OF_LABEL * (1 - marginShare)) / recordingGb(bitRateMbps, 1);
}
