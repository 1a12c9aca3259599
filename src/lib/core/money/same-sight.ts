import type { PriceObservation } from '../model/price-observation';

/** The same part seen in the same place on the same day: the later one stands. */
export const sameSight = (one: PriceObservation, other: PriceObservation): boolean =>
  one.gearId === other.gearId &&
  one.basis === other.basis &&
  one.date === other.date &&
  one.source === other.source;
