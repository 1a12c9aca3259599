import { againstNeed, figureWords } from '../figures/figure-words';
import type { FigureUnit } from '../figures/rows';
import type { Act } from '../acts/act';
import { filmingDays, type FilmingDay } from '../supplies/filming-days';
import {
  isPlenty,
  type SharedSupplies,
  shareOut,
  type SuppliesAndNeeds
} from '../supplies/shared-supplies';
import type { Held, PlanContext, SettingProposal, Severity } from './finding';

/** A day whose supplies do not suffice, shared out as fairly as can be. */
export interface ShortDay {
  day: FilmingDay;
  shared: SharedSupplies;
  /** Those that get less than they need, the least served first. */
  short: SharedSupplies['consumers'];
}

/**
 * Days on which some part gets less of what it lives on than it needs. In a scene that shares its day with none,
 * what a part lacks by itself is told there.
 */
export function shortDays(
  { rigs }: Pick<PlanContext, 'rigs'>,
  suppliesOf: (day: FilmingDay) => SuppliesAndNeeds,
  isToldAlone: (lineId: string, day: FilmingDay) => boolean
): ShortDay[] {
  const found: ShortDay[] = [];
  for (const day of filmingDays(rigs)) {
    const supplies = suppliesOf(day);
    if (supplies.consumers.length === 0) continue;
    // One part in one scene shares with nobody.
    if (supplies.consumers.length === 1 && day.scenes.length === 1) continue;
    if (isPlenty(supplies.consumers, supplies.stores)) continue;
    const shared = shareOut(supplies.consumers, supplies.stores);
    const short = shared?.consumers
      .filter(({ share, part }) => share < 1 - ROUNDING && !isToldAlone(part.line.id, day))
      .sort((a, b) => a.share - b.share);
    if (shared && short && short.length > 0) found.push({ day, shared, short });
  }
  return found;
}
const ROUNDING = 1e-6;

/** Where it is: a scene by its name, several as one day. */
const dayWords = ({ scenes }: FilmingDay): string =>
  scenes.length === 1
    ? scenes[0]!.name
    : `One day, ${scenes.map(({ name }) => name).join(' and ')}`;

/** What is told of a day: of one part by name, with all that fall short. */
export function heldOfDay(
  { day, shared, short }: ShortDay,
  least: ShortDay['short'][number],
  { severity, unit, gets }: { severity: Severity; unit: 'Wh' | 'GB'; gets: string }
): Held {
  return {
    severity,
    about: aboutDay(day),
    lineIds: short.map(({ part }) => part.line.id),
    sceneIds: day.scenes.map(({ id }) => id),
    has: least.got,
    needs: least.need,
    unit,
    title: () =>
      `${dayWords(day)}: ${least.part.gear.model} ${gets} ${againstNeed(least.got, least.need, unit)}`,
    why: () => sharingWords(shared, unit)
  };
}

/** Tells the findings of days apart. */
export const aboutDay = ({ scenes }: FilmingDay): string => `day of ${scenes[0]!.id}`;

/** Who takes what, and what there is. */
function sharingWords({ consumers, stores }: SharedSupplies, unit: FigureUnit): string {
  const who = consumers.map(
    ({ part, got, need, share }) =>
      `${part.gear.model} ${share >= 1 ? `all its ${figureWords(need, unit)}` : `${figureWords(got, unit)} of ${figureWords(need, unit)}`}`
  );
  const what = stores
    .filter(({ reaches, amount }) => reaches.size > 0 && amount! > 0)
    .map(({ name, amount }) => `${name} (${figureWords(amount!, unit)})`);
  return `${what.length > 0 ? `There ${what.length > 1 || stores[0]!.name.includes('×') ? 'are' : 'is'} ${list(what)}. ` : ''}Each used once and the least served first, ${list(who)} ${who.length > 1 ? 'are' : 'is'} what can be had. In which order the scenes come is not looked at.`;
}

const list = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** Each scene but the longest on a day of its own, where several share one. */
export function daysApart({ scenes }: FilmingDay): SettingProposal[] {
  if (scenes.length < 2) return [];
  return scenes.map(({ id, name }) => ({
    label: `Film ${name} on a day of its own`,
    act: { type: 'change scene', sceneId: id, patch: { day: undefined } } satisfies Act
  }));
}
