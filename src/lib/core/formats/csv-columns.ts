import { slug } from '../model/slug';
import { impliedPorts, type GearKind, gearKindNames, type GearItem } from '../model/gear';
import { fieldNames, wholeSheet } from '../model/gear/spec-sheet';
import { stateAt } from '../model/gear/stated-at';
import { readAmount } from '../reading/amount';
import { MeasureError, readMeasure } from '../reading/measure';
import { structuredCells } from './csv-cells';
import type { Fault } from './faults';
import { checkGear } from './gear-check';
import { renamedKeys, renamedWords } from './names-of-version-1';

/** Longer files are refused whole. */
export const CSV_MOST_ROWS = 20_000;

/** A column of a spreadsheet and the field it is taken for; undefined leaves it out. */
export type ColumnMatch = string | undefined;

/** Fields a shelf row may fill besides those of its kind. */
export const csvCommonFields = [
  'kind',
  'maker',
  'model',
  'id',
  'price new',
  'price new low',
  'price new high',
  'price new until',
  'price currency',
  'price day',
  'price source',
  'price used',
  'price used low',
  'price used high',
  'price used until',
  'price used currency',
  'price used day',
  'price used source',
  'quantity',
  'owned'
] as const;

/** The columns of the two prices of a part. */
export const priceColumns = [
  {
    field: 'priceNew',
    likely: 'price new',
    low: 'price new low',
    high: 'price new high',
    until: 'price new until',
    currency: 'price currency',
    day: 'price day',
    source: 'price source'
  },
  {
    field: 'priceUsed',
    likely: 'price used',
    low: 'price used low',
    high: 'price used high',
    until: 'price used until',
    currency: 'price used currency',
    day: 'price used day',
    source: 'price used source'
  }
] as const;

/** Every field a column can be matched to, with the name people know it by. */
export const csvFields: readonly { key: string; name: string }[] = [
  ...csvCommonFields.map((key) => ({ key, name: key })),
  ...[...new Set(gearKindNames.flatMap((kind) => wholeSheet(kind).map(({ key }) => key)))].map(
    (key) => ({ key, name: fieldNames[key] ?? key })
  ),
  ...structuredCells.map(({ key, name }) => ({ key, name }))
];

const plain = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '');
/** Units and notes in brackets say how a column is written, not what it is. */
const bare = (header: string) => plain(header.replace(/\(.*?\)|\[.*?\]|,.*$/g, ''));

/** A first guess at what each column is, by our names, keys and a few common other words. */
export function guessColumns(headers: readonly string[]): ColumnMatch[] {
  const byWord = new Map<string, string>();
  for (const { key, name } of csvFields) {
    byWord.set(plain(key), key);
    if (!byWord.has(plain(name))) byWord.set(plain(name), key);
  }
  for (const [word, key] of Object.entries({
    cell: 'batteryType',
    brand: 'maker',
    manufacturer: 'maker',
    name: 'model',
    type: 'kind',
    price: 'price new',
    mass: 'massG',
    weight: 'massG',
    aperture: 'apertureWideN',
    filtersize: 'filterThreadMm',
    capacity: 'capacityGb',
    energy: 'energyWh',
    source: 'price source',
    date: 'price day',
    qty: 'quantity',
    count: 'quantity',
    have: 'owned',
    own: 'owned'
  })) {
    if (!byWord.has(word)) byWord.set(word, key);
  }
  // Spreadsheets written before the fields had the names of the trade.
  for (const [old, key] of Object.entries(renamedKeys))
    if (!byWord.has(plain(old))) byWord.set(plain(old), key);
  const used = new Set<string>();
  return headers.map((header) => {
    const key = byWord.get(bare(header)) ?? byWord.get(plain(header));
    if (key === undefined || used.has(key)) return undefined;
    used.add(key);
    return key;
  });
}

export interface RefusedRow {
  /** Line of the file, the header being 1. */
  line: number;
  faults: Fault[];
}

/** How a row stands in the plan, where the file says so. */
export interface CsvLine {
  gearId: string;
  quantity: number;
  owned: boolean;
}

export interface CsvReading {
  gear: GearItem[];
  lines: CsvLine[];
  refused: RefusedRow[];
}

export interface CsvDefaults {
  currency: string;
  day: string;
  source: string;
  /** Taken where the file has no kind column. */
  kind: GearKind | undefined;
}

/** Reads rows by matched columns. Nothing is taken here: the caller shows what is refused and why first. */
export function readGearRows(
  headers: readonly string[],
  rows: readonly (readonly string[])[],
  columns: readonly ColumnMatch[],
  defaults: CsvDefaults
): CsvReading {
  const reading = readingGearRows(headers, rows, columns, defaults);
  for (;;) {
    const step = reading.next();
    if (step.done) return step.value;
  }
}

/** So many rows are read before it is told how far it has come. */
const ROWS_AT_ONCE = 50;

/** The same in slices, each telling the share done, for a worker that can be stopped. */
export function* readingGearRows(
  headers: readonly string[],
  rows: readonly (readonly string[])[],
  columns: readonly ColumnMatch[],
  defaults: CsvDefaults
): Generator<number, CsvReading, void> {
  const gear: GearItem[] = [];
  const lines: CsvLine[] = [];
  const refused: RefusedRow[] = [];
  const ids = new Set<string>();
  /** The last number given to an id, so that a thousand equal names are not counted through a thousand times. */
  const numbers = new Map<string, number>();
  for (const [index, row] of rows.entries()) {
    if (index % ROWS_AT_ONCE === ROWS_AT_ONCE - 1) yield index / rows.length;
    const faults: Fault[] = [];
    const cell = (key: string) => {
      const column = columns.indexOf(key);
      return column < 0 ? '' : (row[column] ?? '').trim();
    };
    const columnName = (key: string) => headers[columns.indexOf(key)] ?? key;
    const kindWord = cell('kind') || defaults.kind || '';
    const kind = wordOf(gearKindNames, 'kind', kindWord);
    if (!kind)
      faults.push({
        field: columnName('kind'),
        says: `says “${kindWord.slice(0, 40)}”; it must be one of: ${gearKindNames.join(', ')}`
      });
    for (const key of ['maker', 'model'])
      if (!cell(key)) faults.push({ field: columnName(key), says: 'is empty; a part needs it' });
    const part: Record<string, unknown> = {
      kind,
      maker: cell('maker'),
      model: cell('model')
    };
    for (const columnsOfPrice of priceColumns) {
      if (!cell(columnsOfPrice.likely)) continue;
      const stated = cell(columnsOfPrice.currency).toUpperCase();
      if (stated !== '' && !/^[A-Z]{3}$/.test(stated)) {
        faults.push({
          field: columnName(columnsOfPrice.currency),
          says: `says “${stated.slice(0, 40)}”; write a three-letter currency code such as GBP`
        });
        continue;
      }
      let currency = stated || defaults.currency;
      const amount = (key: string): number | undefined => {
        if (!cell(key)) return undefined;
        try {
          const read = readAmount(cell(key), currency);
          if (read.said && stated !== '' && read.currency !== stated)
            throw new MeasureError(
              `“${cell(key)}” is in ${read.currency}, and its row says ${stated}.`
            );
          // What the likely price is written in holds for the low and the high one.
          if (key === columnsOfPrice.likely) ({ currency } = read);
          else if (read.currency !== currency)
            throw new MeasureError(
              `“${cell(key)}” is in ${read.currency}, and the price is in ${currency}.`
            );
          return read.minor;
        } catch (error) {
          if (!(error instanceof MeasureError)) throw error;
          faults.push({ field: columnName(key), says: error.message.replace(/\.$/, '') });
          return undefined;
        }
      };
      const likely = amount(columnsOfPrice.likely);
      const price: Record<string, unknown> = {
        likely,
        low: amount(columnsOfPrice.low),
        high: amount(columnsOfPrice.high),
        currency,
        date: cell(columnsOfPrice.day) || cell('price day') || defaults.day,
        source: cell(columnsOfPrice.source) || cell('price source') || defaults.source,
        dealEnds: cell(columnsOfPrice.until) || undefined
      };
      part[columnsOfPrice.field] = Object.fromEntries(
        Object.entries(price).filter(([, value]) => value !== undefined)
      );
    }
    for (const { key, read } of structuredCells) {
      const text = cell(key);
      if (!text) continue;
      try {
        part[key] = read(text);
      } catch (error) {
        if (!(error instanceof MeasureError)) throw error;
        faults.push({ field: columnName(key), says: error.message.replace(/\.$/, '') });
      }
    }
    for (const { key, ask } of kind ? wholeSheet(kind) : []) {
      const text = cell(key);
      if (!text) continue;
      try {
        let value: unknown = text;
        if (ask.type === 'number') value = readMeasure(text, ask.unit);
        else if (ask.type === 'yes/no') value = readYesNo(text);
        else if (ask.type === 'word') value = wordOf(ask.words, key, text) ?? text;
        stateAt(part, key, value);
      } catch (error) {
        if (!(error instanceof MeasureError)) throw error;
        faults.push({ field: columnName(key), says: error.message.replace(/\.$/, '') });
      }
    }
    const standing = (key: 'quantity' | 'owned', read: () => void) => {
      if (!cell(key)) return;
      try {
        read();
      } catch (error) {
        if (!(error instanceof MeasureError)) throw error;
        faults.push({ field: columnName(key), says: error.message.replace(/\.$/, '') });
      }
    };
    let quantity: number | undefined;
    let owned = false;
    standing('quantity', () => (quantity = readQuantity(cell('quantity'))));
    standing('owned', () => (owned = readYesNo(cell('owned'))));
    if (faults.length === 0 && kind) {
      const wanted =
        cell('id') || slug(`${String(part.maker)} ${String(part.model)}`) || `row-${index + 2}`;
      let id = wanted;
      let number = numbers.get(wanted) ?? 2;
      for (; ids.has(id); number++) id = `${wanted}-${number}`;
      numbers.set(wanted, number);
      part.id = id;
      if (kind === 'body') part.modes ??= [];
      if (kind === 'windscreen') part.fitsForms ??= [];
      part.ports ??= impliedPorts(kind, part);
      faults.push(
        ...checkGear(part, '').map((fault) => ({
          ...fault,
          field: fieldNames[fault.field.replace(/^\./, '')] ?? fault.field.replace(/^\./, '')
        }))
      );
    }
    if (faults.length > 0) refused.push({ line: index + 2, faults });
    else {
      ids.add(String(part.id));
      gear.push(part as unknown as GearItem);
      // None of it and not owned: the row is of the shelf only.
      if (owned || (quantity ?? 0) > 0)
        lines.push({ gearId: String(part.id), quantity: Math.max(1, quantity ?? 1), owned });
    }
  }
  return { gear, lines, refused };
}

/** A word of a closed list however it is written, by its older name too. */
function wordOf<Word extends string>(
  words: readonly Word[],
  field: string,
  text: string
): Word | undefined {
  const older = renamedWords[field];
  const word = text.toLowerCase();
  // “__proto__” is a word like any other.
  const named = older && Object.hasOwn(older, word) ? older[word]! : text;
  return words.find((word) => plain(word) === plain(named));
}

/** The most of one part a plan holds. */
const MOST_OF_ONE = 99;

function readQuantity(text: string): number {
  const count = Number(text.replace(/\s*[x×]$|^[x×]\s*/i, ''));
  if (!Number.isInteger(count) || count < 0 || count > MOST_OF_ONE)
    throw new MeasureError(`“${text.slice(0, 40)}” is not a quantity; write 0 to ${MOST_OF_ONE}.`);
  return count;
}

function readYesNo(text: string): boolean {
  if (/^(yes|y|true|1|ja|oui|si|✓|x)$/i.test(text)) return true;
  if (/^(no|n|false|0|nein|non|✗|-)$/i.test(text)) return false;
  throw new MeasureError(`“${text.slice(0, 40)}” is neither yes nor no.`);
}
