import { mustBeFinite, mustBePositive, RelationError } from '../argument';

/** What a cage and a fan make of the rise in temperature; estimates. */
export const heatRelief = { cage: 0.85, fan: 0.5 } as const;

/**
 * Minutes until a body reaches its heat limit: −τ·ln(1 − (T_lim − T_amb)/ΔT).
 *
 * @param finalRiseK rise it would come to in the end
 * @param timeConstantMin τ
 * @returns minutes; Infinity when the limit is never reached
 * @example heatMinutes(60, 25, 46.2, 21.1) // 30
 */
export function heatMinutes(
  limitC: number,
  ambientC: number,
  finalRiseK: number,
  timeConstantMin: number
): number {
  mustBeFinite('limitC', limitC);
  mustBeFinite('ambientC', ambientC);
  mustBePositive('finalRiseK', finalRiseK);
  mustBePositive('timeConstantMin', timeConstantMin);
  const share = (limitC - ambientC) / finalRiseK;
  if (share >= 1) return Infinity;
  return share <= 0 ? 0 : -timeConstantMin * Math.log(1 - share);
}

/**
 * One known time fixes the rise once a time constant is assumed: ΔT = (T_lim − T_amb)/(1 − e^(−t/τ)).
 * Bodies differ in τ, so it is asked at both ends of a range.
 *
 * @example heatRiseFromTime(60, 25, 30, 21.1) // 46.1 K
 */
export function heatRiseFromTime(
  limitC: number,
  ambientC: number,
  minutes: number,
  timeConstantMin: number
): number {
  mustBeFinite('limitC', limitC);
  mustBeFinite('ambientC', ambientC);
  mustBePositive('minutes', minutes);
  mustBePositive('timeConstantMin', timeConstantMin);
  if (!(ambientC < limitC))
    throw new RelationError('ambientC', ambientC, 'must be below the limit');
  return (limitC - ambientC) / (1 - Math.exp(-minutes / timeConstantMin));
}

/**
 * Two known times at two temperatures fix the rise and the time constant.
 *
 * @example heatFromTwo(60, { ambientC: 25, minutes: 30 }, { ambientC: 40, minutes: 12 }) // 46.2 K, 21.1 min
 */
export function heatFromTwo(
  limitC: number,
  cool: { ambientC: number; minutes: number },
  warm: { ambientC: number; minutes: number }
): { finalRiseK: number; timeConstantMin: number } {
  mustBeFinite('limitC', limitC);
  mustBeFinite('cool.ambientC', cool.ambientC);
  mustBePositive('cool.minutes', cool.minutes);
  mustBePositive('warm.minutes', warm.minutes);
  if (
    !(warm.ambientC > cool.ambientC) ||
    !(warm.minutes < cool.minutes) ||
    !(warm.ambientC < limitC)
  ) {
    throw new RelationError(
      'warm.ambientC',
      warm.ambientC,
      'must be warmer, below the limit, and reach it sooner'
    );
  }
  const ratio = (rise: number) =>
    Math.log(1 - (limitC - cool.ambientC) / rise) / Math.log(1 - (limitC - warm.ambientC) / rise) -
    cool.minutes / warm.minutes;
  // The rise lies just above what the cool day needs; the ratio falls steadily from there.
  let low = (limitC - cool.ambientC) * (1 + 1e-9);
  let high = (limitC - cool.ambientC) * 1e4;
  if (ratio(high) > 0)
    throw new RelationError(
      'cool.minutes',
      cool.minutes,
      'does not go with the other time: no heat curve passes both'
    );
  for (let step = 0; step < 200; step++) {
    const middle = (low + high) / 2;
    if (ratio(middle) > 0) low = middle;
    else high = middle;
  }
  const finalRiseK = (low + high) / 2;
  return {
    finalRiseK,
    timeConstantMin: -cool.minutes / Math.log(1 - (limitC - cool.ambientC) / finalRiseK)
  };
}
