import type { Project } from '../core/model/project';

/** The day on this clock, as YYYY-MM-DD: a deal that ends today has not ended just because it is tomorrow elsewhere. */
export function dayHere(now: Date): string {
  const two = (number: number) => String(number).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** The project with today's date, for prices that age and deals that end. What is kept carries no day. */
export function asOfToday(project: Project): Project {
  return { ...project, pricesAsOf: dayHere(new Date()) };
}
