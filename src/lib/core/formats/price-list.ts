import Papa from 'papaparse';
import { fullName, type GearItem } from '../model/gear';
import type { PriceBasis } from '../model/plan';
import type { PriceObservation } from '../model/price-observation';
import { priceBases } from '../model/word-lists';
import { minorPerMajor } from '../money/format';
import { readAmount } from '../reading/amount';
import { MeasureError } from '../reading/measure';
import { FORMULA_CELL } from './csv-file';
import type { ColumnMatch, RefusedRow } from './csv-columns';
import type { Fault } from './faults';

/** The columns of a price list, each with the other words it is known by. */
export const priceListColumns = [
  { key: 'id', name: 'part id', words: ['id', 'gear', 'gearid', 'sku'] },
  { key: 'maker', name: 'maker', words: ['brand', 'manufacturer', 'make'] },
  { key: 'model', name: 'model', words: ['name', 'part', 'item', 'product'] },
  { key: 'basis', name: 'new or used', words: ['basis', 'condition', 'state'] },
  { key: 'price', name: 'price', words: ['amount', 'cost', 'pricenew', 'each'] },
  { key: 'currency', name: 'currency', words: ['pricecurrency', 'money'] },
  { key: 'day', name: 'day seen', words: ['date', 'day', 'priceday', 'seen'] },
  { key: 'source', name: 'source', words: ['shop', 'seller', 'pricesource', 'where'] },
  { key: 'until', name: 'deal ends', words: ['until', 'ends', 'pricenewuntil'] }
] as const;
type PriceColumn = (typeof priceListColumns)[number]['key'];

const plain = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');

/** A first guess at what each column is. */
export function guessPriceColumns(headers: readonly string[]): ColumnMatch[] {
  const byWord = new Map<string, PriceColumn>();
  for (const { key, name, words } of priceListColumns)
    for (const word of [name, ...words]) byWord.set(plain(word), key);
  const taken = new Set<string>();
  return headers.map((header) => {
    const key = byWord.get(plain(header)) ?? byWord.get(plain(header.replace(/\(.*?\)/g, '')));
    if (key === undefined || taken.has(key)) return undefined;
    taken.add(key);
    return key;
  });
}

/** Prices as CSV (RFC 4180), in major units with their currency beside them. */
export function writePriceList(
  observations: readonly PriceObservation[],
  gearById: ReadonlyMap<string, GearItem>
): string {
  return `${Papa.unparse(
    {
      fields: priceListColumns.map(({ name }) => name),
      data: observations.map(
        ({ gearId, basis, priceMinor, currency, date, source, dealEnds = '' }) => {
          const gear = gearById.get(gearId);
          const perMajor = minorPerMajor(currency);
          return [
            gearId,
            gear?.maker ?? '',
            gear?.model ?? '',
            basis,
            (priceMinor / perMajor).toFixed(Math.log10(perMajor)),
            currency,
            date,
            source,
            dealEnds
          ];
        }
      )
    },
    { escapeFormulae: FORMULA_CELL, newline: '\r\n' }
  )}\r\n`;
}

export interface PriceListReading {
  observations: PriceObservation[];
  refused: RefusedRow[];
}

export interface PriceListDefaults {
  /** Of amounts that do not say theirs. */
  currency: string;
  day: string;
  source: string;
}

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const isDay = (text: string): boolean =>
  DAY.test(text) && new Date(`${text}T00:00:00Z`).toISOString().startsWith(text);
const dayOrThrow = (text: string): string => {
  // A day that no calendar has makes an invalid date, which cannot be written out.
  if (!DAY.test(text) || Number.isNaN(Date.parse(`${text}T00:00:00Z`)) || !isDay(text))
    throw new MeasureError(`“${text.slice(0, 40)}” is not a day; write it as 2026-11-29.`);
  return text;
};

function basisOf(text: string): PriceBasis {
  if (text === '') return 'new';
  const word = priceBases.find((basis) => basis === text.toLowerCase());
  if (!word) throw new MeasureError(`“${text.slice(0, 40)}” is neither new nor used.`);
  return word;
}

/** Reads rows by matched columns. Nothing is taken here: what is refused is shown first, and why. */
export function readPriceRows(
  headers: readonly string[],
  rows: readonly (readonly string[])[],
  columns: readonly ColumnMatch[],
  gear: readonly GearItem[],
  defaults: PriceListDefaults
): PriceListReading {
  const byId = new Map(gear.map((gear) => [gear.id, gear]));
  const byName = new Map(gear.map((gear) => [plain(fullName(gear)), gear]));
  const observations: PriceObservation[] = [];
  const refused: RefusedRow[] = [];
  for (const [index, row] of rows.entries()) {
    const cell = (key: PriceColumn) => {
      const column = columns.indexOf(key);
      return column < 0 ? '' : (row[column] ?? '').trim();
    };
    const faults: Fault[] = [];
    const read = <T>(key: PriceColumn, reader: () => T): T | undefined => {
      try {
        return reader();
      } catch (error) {
        if (!(error instanceof MeasureError)) throw error;
        faults.push({
          field: headers[columns.indexOf(key)] ?? key,
          says: error.message.replace(/\.$/, '')
        });
        return undefined;
      }
    };
    const part = read(cell('id') === '' ? 'model' : 'id', () => {
      const found =
        cell('id') === ''
          ? byName.get(plain(`${cell('maker')} ${cell('model')}`))
          : byId.get(cell('id'));
      if (found) return found;
      const said = cell('id') || `${cell('maker')} ${cell('model')}`.trim();
      throw new MeasureError(
        said === ''
          ? 'names no part'
          : `“${said.slice(0, 60)}” is not a part of the shelf; add the part first or correct the name.`
      );
    });
    const basis = read('basis', () => basisOf(cell('basis')));
    const amount = read('price', () => {
      const stated = cell('currency').toUpperCase();
      if (stated !== '' && !/^[A-Z]{3}$/.test(stated))
        throw new MeasureError(`“${stated.slice(0, 40)}” is not a currency code such as GBP.`);
      const found = readAmount(cell('price'), stated || defaults.currency);
      if (found.said && stated !== '' && found.currency !== stated)
        throw new MeasureError(
          `“${cell('price')}” is in ${found.currency}, and its row says ${stated}.`
        );
      return found;
    });
    const date = read('day', () => dayOrThrow(cell('day') || defaults.day));
    const dealEnds = read('until', () =>
      cell('until') === '' ? undefined : dayOrThrow(cell('until'))
    );
    if (faults.length > 0 || !part || !basis || !amount || date === undefined) {
      refused.push({ line: index + 2, faults });
      continue;
    }
    observations.push({
      gearId: part.id,
      basis,
      priceMinor: amount.minor,
      currency: amount.currency,
      date,
      source: (cell('source') || defaults.source).slice(0, 200),
      ...(dealEnds === undefined ? {} : { dealEnds })
    });
  }
  return { observations, refused };
}
