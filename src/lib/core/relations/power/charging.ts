import { mustBePositive, mustNotBeNegative } from '../argument';

/**
 * Hours to fill a battery in one bay: 1.4·Wh ÷ W per bay.
 *
 * @example chargingHours(16, 8) // 2.8
 */
export function chargingHours(energyWh: number, wattsPerBay: number): number {
  mustBePositive('energyWh', energyWh);
  mustBePositive('wattsPerBay', wattsPerBay);
  return (1.4 * energyWh) / wattsPerBay;
}

/**
 * Batteries that are full in the morning when nobody gets up to change them: one a bay, and only those the bay
 * fills in time. Unlike batteries and unlike bays are matched so that the most fill.
 *
 * @param energiesWh of the batteries to be filled
 * @param baysW watts each bay gives
 * @param hours the chargers are left alone
 * @returns count
 * @example batteriesFilled([16, 16, 7], [6, 2.5], 8) // 2
 */
export function batteriesFilled(
  energiesWh: readonly number[],
  baysW: readonly number[],
  hours: number
): number {
  mustNotBeNegative('hours', hours);
  const waiting = energiesWh.toSorted((a, b) => a - b);
  let filled = 0;
  // The weakest bay takes the smallest battery: whatever it cannot fill no other battery would suit better.
  for (const watts of baysW.toSorted((a, b) => a - b)) {
    if (filled === waiting.length) break;
    if (chargingHours(waiting[filled]!, watts) <= hours) filled += 1;
  }
  return filled;
}
