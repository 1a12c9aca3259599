import { formatISO } from 'date-fns';
import type { Project } from '../core/model/project';

/** The day on this clock, as YYYY-MM-DD: a deal that ends today has not ended just because it is tomorrow elsewhere. */
export const dayHere = (now: Date): string => formatISO(now, { representation: 'date' });

/** The project with today's date, for prices that age and deals that end. What is kept carries no day. */
export function asOfToday(project: Project): Project {
  return { ...project, pricesAsOf: dayHere(new Date()) };
}
