import { fullName, type GearItem, type GearKind, pocketOf } from '../../core/model/gear';
import type { Pocket } from '../../core/model/pocket';
import { partDetail } from '../search/part-search';
import { makeWordSearch, plainWords, type WordSearch } from '../search/word-search';

/** What the shelf is narrowed to. */
export interface ShelfFilter {
  words: string;
  pocket: Pocket | undefined;
  kind: GearKind | undefined;
  mount: string;
  mostMinor: number | undefined;
  /** Only what one has already. */
  ownedOnly: boolean;
  /** Only what one has entered or corrected oneself. */
  ownOnly: boolean;
  inBagOnly: boolean;
}

export const noFilter: ShelfFilter = {
  words: '',
  pocket: undefined,
  kind: undefined,
  mount: '',
  mostMinor: undefined,
  ownedOnly: false,
  ownOnly: false,
  inBagOnly: false
};

/** A part with what it is narrowed by, prepared once. */
export interface ShelfEntry {
  gear: GearItem;
  pocket: Pocket;
  mount: string | undefined;
}

export function mountOfPart(gear: GearItem): string | undefined {
  if (gear.kind === 'lens') return gear.mount;
  return gear.kind === 'body' ? gear.ports.find((port) => port.role === 'lens')?.type : undefined;
}

/** The shelf prepared for narrowing and for search by words. */
export interface ShelfIndex {
  /** By name. */
  entries: readonly ShelfEntry[];
  search: WordSearch<ShelfEntry>;
}

export function indexShelf(items: readonly GearItem[]): ShelfIndex {
  const entries = items
    .map((gear) => ({
      gear,
      name: plainWords(fullName(gear)),
      pocket: pocketOf(gear),
      mount: mountOfPart(gear)
    }))
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  return {
    entries,
    search: makeWordSearch(
      entries,
      ({ gear }) => fullName(gear),
      ({ gear }) => partDetail(gear)
    )
  };
}

/** How parts stand to the open project, by their ids. */
export interface ShelfStanding {
  owned: ReadonlySet<string>;
  own: ReadonlySet<string>;
  inBag: ReadonlySet<string>;
}

/** The parts that pass: by name, or the best found first where words were typed. */
export function filterShelf(
  { entries, search }: ShelfIndex,
  shelfFilter: ShelfFilter,
  { owned, own, inBag }: ShelfStanding
): ShelfEntry[] {
  return (search(shelfFilter.words) ?? entries).filter(
    ({ gear, pocket, mount }) =>
      (shelfFilter.pocket === undefined || pocket === shelfFilter.pocket) &&
      (shelfFilter.kind === undefined || gear.kind === shelfFilter.kind) &&
      (shelfFilter.mount === '' || mount === shelfFilter.mount) &&
      (shelfFilter.mostMinor === undefined ||
        (gear.priceNew !== undefined && gear.priceNew.likely <= shelfFilter.mostMinor)) &&
      (!shelfFilter.ownedOnly || owned.has(gear.id)) &&
      (!shelfFilter.ownOnly || own.has(gear.id)) &&
      (!shelfFilter.inBagOnly || inBag.has(gear.id))
  );
}
