import { formatISO, subDays, parseISO } from 'date-fns';
import type { Project } from '../model/project';
import type { MoneyDay } from './steps';

/**
 * The evenings round every day of filming that has a date: charging before it, copying after it. Scenes of one day
 * share its evening; where they state several dates each date has its own.
 *
 * @param today YYYY-MM-DD; what is past is left out
 */
export function shootEvenings({ scenes }: Pick<Project, 'scenes'>, today: string): MoneyDay[] {
  const byDate = new Map<string, string[]>();
  for (const { filmedOn, day, name } of scenes) {
    const date =
      filmedOn ??
      scenes.find((scene) => day !== undefined && scene.day === day && scene.filmedOn)?.filmedOn;
    if (date !== undefined) byDate.set(date, [...(byDate.get(date) ?? []), name]);
  }
  return [...byDate]
    .flatMap(([date, names]): MoneyDay[] => [
      {
        day: formatISO(subDays(parseISO(date), 1), { representation: 'date' }),
        what: `evening: charge everything and format the cards for ${names.join(' and ')}`
      },
      { day: date, what: `film ${names.join(' and ')}; in the evening copy the cards twice` }
    ])
    .filter(({ day }) => day >= today)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}
