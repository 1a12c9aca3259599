import type { PriceObservation } from '../model/price-observation';

/** The same part seen in the same place on the same day: the later one stands. */
export const sameSight = (a: PriceObservation, b: PriceObservation): boolean =>
  a.gearId === b.gearId && a.basis === b.basis && a.date === b.date && a.source === b.source;
