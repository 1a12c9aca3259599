import { differenceInMonths, parseISO } from 'date-fns';
import type { OwnedPiece } from '../model/owned-piece';

/** Whole months from one day to another, YYYY-MM-DD both; none where the first is the later one. */
export const monthsSince = (since: string, today: string): number =>
  Math.max(0, differenceInMonths(parseISO(today), parseISO(since)));

/** @example ageWords(27) // 2 years 3 months */
export function ageWords(months: number): string {
  if (months < 1) return 'under a month';
  const counted = (count: number, unit: string) => `${count} ${unit}${count === 1 ? '' : 's'}`;
  const years = Math.floor(months / 12);
  return [
    ...(years > 0 ? [counted(years, 'year')] : []),
    ...(months % 12 > 0 ? [counted(months % 12, 'month')] : [])
  ].join(' ');
}

/** The day on which the oldest piece of each part was bought, as far as it was written down. */
export function boughtDays(pieces: readonly OwnedPiece[]): Map<string, string> {
  const days = new Map<string, string>();
  for (const { gearId, boughtOn } of pieces)
    if (boughtOn !== undefined && boughtOn < (days.get(gearId) ?? '~')) days.set(gearId, boughtOn);
  return days;
}
