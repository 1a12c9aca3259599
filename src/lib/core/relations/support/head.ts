import { mustBePositive, mustNotBeNegative } from '../argument';
import { GRAVITY } from './gravity';

/**
 * Moment a load exerts about the plate of a head once it leans over: mass × g × height over the plate. A
 * head's rating is also such a moment, at the height its payload is given for.
 *
 * @param massKg mass of the load, or the payload
 * @param heightMm height of its middle over the plate
 * @returns newton metres
 * @example headMomentNm(1.3, 60) // 0.765
 */
export function headMomentNm(massKg: number, heightMm: number): number {
  mustNotBeNegative('massKg', massKg);
  mustBePositive('heightMm', heightMm);
  return massKg * GRAVITY * (heightMm / 1000);
}

/**
 * What is asked of a head against what it may bear: as a weight or as a moment, whichever is worse.
 *
 * @returns 1 at the rating
 * @example headShare(1.3, 4, 1.403, 2.158) // 0.65: light enough, and twice as high as it is rated for
 */
export function headShare(
  loadKg: number,
  payloadKg: number,
  momentNm: number,
  ratedNm: number
): number {
  mustNotBeNegative('loadKg', loadKg);
  mustNotBeNegative('momentNm', momentNm);
  mustBePositive('payloadKg', payloadKg);
  mustBePositive('ratedNm', ratedNm);
  return Math.max(loadKg / payloadKg, momentNm / ratedNm);
}
