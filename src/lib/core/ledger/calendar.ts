import ical, { ICalCalendarMethod } from 'ical-generator';
import { addDays, parseISO } from 'date-fns';
import type { MoneyDay } from './steps';

/**
 * The days money depends on as a calendar file (iCalendar, RFC 5545): whole days, each with an id of its own that
 * stays when the file is made anew, so that a calendar takes up the change.
 *
 * @param made the moment it is made
 */
export function calendarOf(
  name: string,
  projectId: string,
  days: readonly MoneyDay[],
  made: Date
): string {
  const calendar = ical({ name, method: ICalCalendarMethod.PUBLISH });
  calendar.prodId({ company: 'Hearty Satchel', product: 'ledger', language: 'EN' });
  for (const { day, what } of days) {
    const start = parseISO(day);
    calendar.createEvent({
      id: `${projectId}-${day}-${what.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
      start,
      end: addDays(start, 1),
      allDay: true,
      stamp: made,
      summary: what[0]!.toUpperCase() + what.slice(1)
    });
  }
  return calendar.toString();
}
