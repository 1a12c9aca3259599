import type { DensityFilter } from './exposure-task';

/**
 * The filters an angle can choose from, as a number: figures are numbers, and two angles with filters of the
 * same stops, colour and mass have the same exposure plan. Sets that differ are few, so that each is kept.
 */
const sets: (readonly DensityFilter[])[] = [[]];
const numberOf = new Map<string, number>([['', 0]]);

export function filterSetOf(filters: readonly DensityFilter[]): number {
  if (filters.length === 0) return 0;
  const key = filters
    .map(({ stopsMin, stopsMax, castMired, massG }) =>
      [stopsMin, stopsMax, castMired, massG].join()
    )
    .join(';');
  let number = numberOf.get(key);
  if (number === undefined) {
    number = sets.length;
    sets.push(filters.map((filter) => ({ ...filter })));
    numberOf.set(key, number);
  }
  return number;
}

export const filtersOfSet = (number: number): readonly DensityFilter[] => sets[number] ?? [];

/** The set in words, for who asks why: "ND 6, ND 2–9". */
export const filterSetWords = (number: number): string =>
  filtersOfSet(number)
    .map(({ stopsMin, stopsMax }) =>
      stopsMin === stopsMax ? `ND ${stopsMax}` : `ND ${stopsMin}–${stopsMax}`
    )
    .join(', ') || 'none';
