import { asStatedGear } from '../money/priced-shelf';
import Papa from 'papaparse';
import type { GearItem } from '../model/gear';
import { sheetOf } from '../model/gear/spec-sheet';
import { valueAt } from '../model/gear/stated-at';
import type { PlanLine } from '../model/plan';
import { minorPerMajor } from '../money/format';
import { structuredCells } from './csv-cells';
import { CSV_MOST_ROWS, priceColumns } from './csv-columns';

/**
 * Cells a spreadsheet would run as formulas, numbers excepted: they are made text. Blanks and control
 * signs before the sign are skipped by some, and full-width signs are read as plain ones.
 */
export const FORMULA_CELL = /^(?!-?\d+(?:\.\d+)?$)(?:[\t\r\n]|[\s\p{Cc}\p{Cf}]*[=+\-@＝＋－＠])/u;

export type CsvText =
  { ok: true; headers: string[]; rows: string[][] } | { ok: false; says: string };

/** Splits a CSV text (RFC 4180): with or without BOM, `;` or `,` or tab, quoted as needed. */
export function readCsvText(text: string): CsvText {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t', '|']
  });
  const broken = parsed.errors.find((error) => error.type === 'Quotes');
  if (broken)
    return {
      ok: false,
      says: `Line ${(broken.row ?? 0) + 1} has a quotation mark that is not closed; close it and try again.`
    };
  const [headers, ...rows] = parsed.data;
  if (!headers || rows.length === 0)
    return { ok: false, says: 'The file holds no rows below its heading line.' };
  if (rows.length > CSV_MOST_ROWS)
    return {
      ok: false,
      says: `The file has ${rows.length} rows; at most ${CSV_MOST_ROWS} are read at once. Split it.`
    };
  // An apostrophe that keeps a spreadsheet from running a cell is not part of its text.
  return {
    ok: true,
    headers: headers.map((header) => header.trim()),
    rows: rows.map((row) =>
      row.map((cell) =>
        FORMULA_CELL.test(cell.slice(1)) && cell.startsWith("'") ? cell.slice(1) : cell
      )
    )
  };
}

/**
 * The shelf as CSV, a column for every field any of its parts has.
 *
 * @param lines those of the plan: where given, how many of each part it holds and whether one owns it
 */
export function writeShelfCsv(
  shown: readonly GearItem[],
  lines?: readonly Pick<PlanLine, 'gearId' | 'quantity' | 'state'>[]
): string {
  const standingOf = (gear: GearItem) => {
    if (!lines) return [];
    const own = lines.filter(({ gearId, state }) => gearId === gear.id && state !== 'returned');
    const quantity = own.reduce((sum, line) => sum + line.quantity, 0);
    return [quantity, own.some(({ state }) => state === 'owned') ? 'yes' : 'no'];
  };
  const items = shown.map(asStatedGear);
  const keys = [...new Set(items.flatMap((gear) => sheetOf(gear).map(({ key }) => key)))];
  const structured = structuredCells.filter(
    ({ key, onlyRead }) => !onlyRead && items.some((gear) => valueAt(gear, key) !== undefined)
  );
  const amount = (minor: number | undefined, price: GearItem['priceNew']) => {
    if (minor === undefined || !price) return '';
    const perMajor = minorPerMajor(price.currency);
    return (minor / perMajor).toFixed(Math.log10(perMajor));
  };
  const pricesOf = (gear: GearItem) =>
    priceColumns.flatMap(({ field }) => {
      const price = gear[field];
      return [
        amount(price?.likely, price),
        amount(price?.low, price),
        amount(price?.high, price),
        price?.dealEnds ?? '',
        price?.currency ?? '',
        price?.date ?? '',
        price?.source ?? ''
      ];
    });
  const cell = (value: unknown) =>
    value === undefined || value === null
      ? ''
      : value === true
        ? 'yes'
        : value === false
          ? 'no'
          : String(value as string | number);
  return `${Papa.unparse(
    {
      fields: [
        'kind',
        'maker',
        'model',
        'id',
        ...(lines ? ['quantity', 'owned'] : []),
        ...priceColumns.flatMap(({ likely, low, high, until, currency, day, source }) => [
          likely,
          low,
          high,
          until,
          currency,
          day,
          source
        ]),
        ...keys,
        ...structured.map(({ key }) => key)
      ],
      data: items.map((gear) => [
        gear.kind,
        gear.maker,
        gear.model,
        gear.id,
        ...standingOf(gear),
        ...pricesOf(gear),
        ...keys.map((key) => cell(valueAt(gear, key))),
        ...structured.map(({ key, write }) => {
          const value = valueAt(gear, key);
          return value === undefined ? '' : write(value);
        })
      ])
    },
    { escapeFormulae: FORMULA_CELL, newline: '\r\n' }
  )}\r\n`;
}
