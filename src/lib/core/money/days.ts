import { differenceInCalendarDays, parseISO } from 'date-fns';

/** Prices older than this are looked at again before one pays, unless the project says otherwise. */
export const STALE_AFTER_DAYS = 90;
/** A deal that ends within this many days is spoken of. */
export const DEAL_SOON_DAYS = 14;

/**
 * Whole days from one day to another, both as YYYY-MM-DD; negative when the second is earlier.
 *
 * @example daysBetween('2026-11-01', '2026-11-25') // 24
 */
export function daysBetween(from: string, to: string): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from));
}
