import { addMonths, formatISO, parseISO, startOfMonth } from 'date-fns';
import type { Project } from '../model/project';

/** Money there is on a day. */
export interface Saved {
  day: string;
  minor: number;
}

/** Savings that take longer than this are never. */
const MOST_MONTHS = 600;

/** Money as it comes in: what is there, what is put aside on each first of a month, and what comes once. */
export type ComingIn = Pick<Project, 'inHandMinor' | 'savedPerMonthMinor' | 'incomes'>;

/** Each day on which money comes in, with what there is from then on; the first is today. */
export function* comingIn(
  { inHandMinor = 0, savedPerMonthMinor = 0, incomes = [] }: ComingIn,
  today: string
): Generator<Saved, void> {
  const once = [...incomes].sort((a, b) => (a.date < b.date ? -1 : 1));
  let place = 0;
  let minor = inHandMinor;
  // What was to come by today is in hand already, or never came.
  while (place < once.length && once[place]!.date <= today) place += 1;
  yield { day: today, minor };
  const first = startOfMonth(parseISO(today));
  for (let month = 1; month <= MOST_MONTHS; month++) {
    const day = formatISO(addMonths(first, month), { representation: 'date' });
    for (; place < once.length && once[place]!.date < day; place++) {
      minor += once[place]!.amountMinor;
      yield { day: once[place]!.date, minor };
    }
    minor += savedPerMonthMinor;
    for (; place < once.length && once[place]!.date === day; place++)
      minor += once[place]!.amountMinor;
    yield { day, minor };
  }
}

/**
 * The day on which there is so much money: today if it is in hand, else a first of a month, when what is put aside
 * comes in, or the day of an income; undefined where fifty years do not bring it.
 *
 * @param today YYYY-MM-DD
 */
export function dayReached(
  neededMinor: number,
  coming: ComingIn,
  today: string
): string | undefined {
  for (const { day, minor } of comingIn(coming, today)) if (minor >= neededMinor) return day;
  return undefined;
}
