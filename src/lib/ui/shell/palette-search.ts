import { makeWordSearch } from '../search/word-search';
import type { PaletteEntry } from './palette-entries';

/** At most so many acts, findings and views: a shelf of parts must not bury what can be done about them. */
const MOST_BEFORE_PARTS = 4;

/** Entries by name, by what stands beside it and by the field's other words for a part. */
export function paletteSearch(entries: readonly PaletteEntry[], most: number) {
  const search = makeWordSearch(
    entries,
    ({ name }) => name,
    ({ detail, alsoCalled }) => `${detail} ${alsoCalled ?? ''}`
  );
  return (typed: string): PaletteEntry[] | undefined => {
    const found = search(typed, { passOver: true });
    if (!found) return undefined;
    const isPart = ({ group }: PaletteEntry) => group === 'part';
    const first = found.filter((entry) => !isPart(entry)).slice(0, MOST_BEFORE_PARTS);
    return [...first, ...found.filter(isPart)].slice(0, most);
  };
}
