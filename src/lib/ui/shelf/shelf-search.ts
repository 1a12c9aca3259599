import { fullName, type GearItem, type GearKind, gearKinds, pocketOf } from '../../core/model/gear';
import type { Pocket } from '../../core/model/pocket';
import { partGist } from '../chooser/candidate-words';

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

/** A part with the words it is found by, prepared once. */
export interface ShelfEntry {
  gear: GearItem;
  found: string;
  pocket: Pocket;
  mount: string | undefined;
}

/** Letters without their marks, so that “Cote” finds “Côte”. */
export const plainWords = (text: string) =>
  text
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase();

export function mountOfPart(gear: GearItem): string | undefined {
  if (gear.kind === 'lens') return gear.mount;
  return gear.kind === 'body' ? gear.ports.find((port) => port.role === 'lens')?.type : undefined;
}

/** What else people call a kind or form of part. */
const synonyms: Readonly<Record<string, string>> = {
  'lavalier wired': 'lapel clip-on',
  'lavalier wireless': 'lapel clip-on radio',
  'on-camera': 'shotgun',
  battery: 'cell accumulator',
  'power bank': 'battery pack',
  'mains adapter': 'dummy battery power supply',
  'small item': 'accessory',
  card: 'memory card SD',
  drone: 'quadcopter',
  action: 'action camera',
  computer: 'laptop',
  'thread adapter': 'screw spigot',
  windscreen: 'deadcat wind cover',
  'light stand': 'tripod stand',
  filter: 'ND'
};

function synonymsOf(gear: GearItem): string {
  const form = 'form' in gear ? String(gear.form) : '';
  return [synonyms[gear.kind], synonyms[form]].filter(Boolean).join(' ');
}

export function makeEntries(items: readonly GearItem[]): ShelfEntry[] {
  return items
    .map((gear) => ({
      gear,
      found: plainWords(
        `${fullName(gear)} ${gearKinds[gear.kind].name} ${partGist(gear)} ${synonymsOf(gear)}`
      ),
      pocket: pocketOf(gear),
      mount: mountOfPart(gear)
    }))
    .sort((a, b) => (a.found < b.found ? -1 : 1));
}

/** How parts stand to the open project, by their ids. */
export interface ShelfStanding {
  owned: ReadonlySet<string>;
  own: ReadonlySet<string>;
  inBag: ReadonlySet<string>;
}

/** The parts that pass, in the order of the entries. */
export function filterShelf(
  entries: readonly ShelfEntry[],
  shelfFilter: ShelfFilter,
  { owned, own, inBag }: ShelfStanding
): ShelfEntry[] {
  const words = plainWords(shelfFilter.words).split(/\s+/).filter(Boolean);
  return entries.filter(
    ({ gear, found, pocket, mount }) =>
      (shelfFilter.pocket === undefined || pocket === shelfFilter.pocket) &&
      (shelfFilter.kind === undefined || gear.kind === shelfFilter.kind) &&
      (shelfFilter.mount === '' || mount === shelfFilter.mount) &&
      (shelfFilter.mostMinor === undefined ||
        (gear.priceNew !== undefined && gear.priceNew.likely <= shelfFilter.mostMinor)) &&
      (!shelfFilter.ownedOnly || owned.has(gear.id)) &&
      (!shelfFilter.ownOnly || own.has(gear.id)) &&
      (!shelfFilter.inBagOnly || inBag.has(gear.id)) &&
      words.every((word) => found.includes(word))
  );
}
