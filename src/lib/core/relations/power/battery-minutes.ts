import { mustBePositive, mustLieBetween, mustNotBeNegative, RelationError } from '../argument';

/** What an aged battery, or one of another maker, still gives; editable. */
export const AGED_HEALTH = 0.85;

/** Below this nobody should promise anything of a battery. */
export const COLDEST_C = -20;

/** Share of its energy a battery gives in the cold; linear between. Estimates. */
const coldShares = [
  { celsius: COLDEST_C, share: 0.5 },
  { celsius: -10, share: 0.65 },
  { celsius: 0, share: 0.8 },
  { celsius: 20, share: 1 }
] as const;

/**
 * Share of its energy a lithium battery gives at a temperature: 1.0 at 20 °C and above, 0.8 at 0,
 * 0.65 at −10, 0.5 at −20, linear between.
 *
 * @throws RelationError below −20 °C, where nobody should promise anything
 * @example coldShare(10) // 0.9
 */
export function coldShare(celsius: number): number {
  if (!(celsius >= COLDEST_C) || celsius === Infinity) {
    throw new RelationError('celsius', celsius, 'must be −20 °C or warmer');
  }
  if (celsius >= 20) return 1;
  const above = coldShares.findIndex((point) => point.celsius > celsius);
  const low = coldShares[above - 1]!;
  const high = coldShares[above]!;
  return (
    low.share + ((high.share - low.share) * (celsius - low.celsius)) / (high.celsius - low.celsius)
  );
}

/**
 * Minutes a battery runs a device: 60·Wh·health·cold ÷ W.
 *
 * @param health 1 new, 0.85 aged or another maker's
 * @returns minutes
 * @example batteryMinutes(16, 1, 1, 6.4) // 150
 */
export function batteryMinutes(
  energyWh: number,
  health: number,
  cold: number,
  drawW: number
): number {
  mustNotBeNegative('energyWh', energyWh);
  mustLieBetween('health', health, 0, 1);
  mustLieBetween('cold', cold, 0, 1);
  mustBePositive('drawW', drawW);
  return (60 * energyWh * health * cold) / drawW;
}

/**
 * Energy from charge: mAh × nominal V ÷ 1000.
 *
 * @example wattHours(20_000, 3.7) // 74
 */
export function wattHours(milliampHours: number, nominalV: number): number {
  mustNotBeNegative('milliampHours', milliampHours);
  mustBePositive('nominalV', nominalV);
  return (milliampHours * nominalV) / 1000;
}
