import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { type GearItem, gearKindNames } from '../model/gear';
import { sameGear } from './compare-projects';
import { guessColumns, readGearRows } from './csv-columns';
import { readCsvText, writeShelfCsv } from './csv-file';
import { faultSentence } from './faults';

/** Written as a spreadsheet and read again with the columns as they are guessed. */
function outAndIn(items: readonly GearItem[]): { gear: GearItem[]; faults: string[] } {
  const csv = readCsvText(writeShelfCsv(items));
  if (!csv.ok) throw new Error(csv.says);
  const columns = guessColumns(csv.headers);
  expect(csv.headers.filter((_, index) => columns[index] === undefined)).toEqual([]);
  const { gear, refused } = readGearRows(csv.headers, csv.rows, columns, {
    currency: 'GBP',
    day: '2026-11-25',
    source: 'a list',
    kind: undefined
  });
  return { gear, faults: refused.flatMap(({ faults }) => faults.map(faultSentence)) };
}

const plain = (items: readonly GearItem[]) => JSON.parse(JSON.stringify(items)) as unknown;

describe('the shelf as a spreadsheet', () => {
  it.each(gearKindNames)('holds everything of every %s, out and in again', (kind) => {
    const items = catalogue.ofKind(kind);
    const { gear, faults } = outAndIn(items);
    expect(faults).toEqual([]);
    expect(gear).toEqual(plain(items));
  });

  it('holds how many of each a plan has and what is owned', () => {
    const items = catalogue.ofKind('battery').slice(0, 3);
    const lines = [
      { gearId: items[0]!.id, quantity: 2, state: 'owned' },
      { gearId: items[1]!.id, quantity: 3, state: 'wanted' }
    ] as const;
    const csv = readCsvText(writeShelfCsv(items, lines));
    if (!csv.ok) throw new Error(csv.says);
    const read = (rows: string[][]) =>
      readGearRows(csv.headers, rows, guessColumns(csv.headers), {
        currency: 'GBP',
        day: '2026-11-25',
        source: 'a list',
        kind: undefined
      });
    const { gear, lines: back } = read(csv.rows);
    expect(gear).toEqual(plain(items));
    // Read back, they are the shelf's own: nothing would be put in their place.
    gear.forEach((part, index) => expect(sameGear(part, items[index]!)).toBe(true));
    expect(sameGear({ ...gear[0]!, massG: 1 }, items[0]!)).toBe(false);
    expect(back).toEqual([
      { gearId: items[0]!.id, quantity: 2, owned: true },
      { gearId: items[1]!.id, quantity: 3, owned: false }
    ]);
    const spoilt = (text: string) =>
      read([csv.rows[0]!.map((cell, index) => (csv.headers[index] === 'quantity' ? text : cell))]);
    for (const wrong of ['many', '-1', '1.5', '100'])
      expect(spoilt(wrong).refused[0]!.faults[0]!.says).toMatch(/is not a quantity; write 0 to 99/);
    expect(spoilt('4 x').lines[0]!.quantity).toBe(4);
  });

  it('holds any mixture of parts with any figures left out', () => {
    const anyPart = fc
      .tuple(
        fc.nat(catalogue.items.length - 1),
        fc.array(fc.nat(30), { maxLength: 6 }),
        fc.constantFrom('GBP', 'EUR', 'JPY')
      )
      .map(([item, leftOut, currency]) => {
        const part = structuredClone(catalogue.items[item]!) as unknown as Record<string, unknown>;
        const mayGo = Object.keys(part).filter(
          (key) => !['id', 'kind', 'maker', 'model', 'ports', 'modes', 'fitsForms'].includes(key)
        );
        for (const place of leftOut) delete part[mayGo[place % mayGo.length]!];
        const price = part.priceNew as { currency: string; low?: number } | undefined;
        if (price) price.currency = currency;
        return part as unknown as GearItem;
      });
    fc.assert(
      fc.property(
        fc.uniqueArray(anyPart, { maxLength: 12, minLength: 1, selector: ({ id }) => id }),
        (items) => {
          const { gear, faults } = outAndIn(items);
          // What a part cannot do without is refused with a sentence; the rest comes back equal.
          if (faults.length === 0) expect(gear).toEqual(plain(items));
          else for (const says of faults) expect(says).toMatch(/\.$/);
        }
      ),
      { numRuns: 300 }
    );
  });

  it('says how a port, a mode and a size are written when they are written otherwise', () => {
    const csv = 'kind,maker,model,ports,recording modes,size mm\nbody,m,x,three holes,fast,big\n';
    const text = readCsvText(csv);
    if (!text.ok) throw new Error(text.says);
    const { refused } = readGearRows(text.headers, text.rows, guessColumns(text.headers), {
      currency: 'GBP',
      day: '2026-11-25',
      source: 'a list',
      kind: undefined
    });
    const says = refused[0]!.faults.map(faultSentence).join(' ');
    expect(says).toContain('“three holes” is not a port; write its use');
    expect(says).toContain('“fast” is not a recording mode; write such as');
    expect(says).toContain('“big” is not a size; write width × height × depth');
  });

  it('keeps the currency an amount is written in', () => {
    const rows = [
      ['649,00 €', 'EUR', 64_900],
      ['89.90 EUR', 'EUR', 8_990],
      ['£1,299', 'GBP', 129_900],
      ['1299', 'GBP', 129_900]
    ] as const;
    for (const [written, currency, likely] of rows) {
      const text = readCsvText(`kind;maker;model;use;price\nsmall item;m;x;tape;${written}\n`);
      if (!text.ok) throw new Error(text.says);
      const { gear } = readGearRows(text.headers, text.rows, guessColumns(text.headers), {
        currency: 'GBP',
        day: '2026-11-25',
        source: 'a list',
        kind: undefined
      });
      expect(gear[0]!.priceNew, written).toMatchObject({ currency, likely });
    }
  });
});
