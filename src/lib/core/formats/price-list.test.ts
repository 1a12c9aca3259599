import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { readCsvText } from './csv-file';
import { guessPriceColumns, readPriceRows, writePriceList } from './price-list';

const DEFAULTS = { currency: 'GBP', day: '2026-11-29', source: 'prices.csv' };

function read(text: string) {
  const parsed = readCsvText(text);
  if (!parsed.ok) throw new Error(parsed.says);
  return readPriceRows(
    parsed.headers,
    parsed.rows,
    guessPriceColumns(parsed.headers),
    catalogue.items,
    DEFAULTS
  );
}

describe('a price list', () => {
  it('goes out and comes in again the same, whatever it holds', () => {
    const day = fc
      .integer({ min: 0, max: 4000 })
      .map((days) => new Date(Date.UTC(2020, 0, 1 + days)).toISOString().slice(0, 10));
    fc.assert(
      fc.property(
        fc.array(
          fc.record(
            {
              gearId: fc.constantFrom(...catalogue.items.map(({ id }) => id)),
              basis: fc.constantFrom('new' as const, 'used' as const),
              priceMinor: fc.nat(10_000_000),
              currency: fc.constantFrom('GBP', 'EUR', 'JPY', 'KWD'),
              date: day,
              source: fc
                .string({ minLength: 1, maxLength: 60 })
                .map((text) => text.trim())
                .filter((text) => text !== '' && !/^['\uFEFF]/.test(text)),
              dealEnds: day
            },
            { requiredKeys: ['gearId', 'basis', 'priceMinor', 'currency', 'date', 'source'] }
          ),
          { minLength: 1, maxLength: 12 }
        ),
        (observations) => {
          const back = read(writePriceList(observations, catalogue.byId));
          expect(back.refused).toEqual([]);
          expect(back.observations).toEqual(observations);
        }
      ),
      { numRuns: 100 }
    );
  });

  it('names parts by maker and model too, and takes what is left out from the file and the day', () => {
    const { observations } = read('Brand;Item;Cost\nDUNMARROW;plover;"119,50"\n');
    expect(observations).toEqual([
      {
        gearId: 'dunmarrow-plover',
        basis: 'new',
        priceMinor: 11_950,
        currency: 'GBP',
        date: '2026-11-29',
        source: 'prices.csv'
      }
    ]);
  });

  it.each([
    ['id,price\nno-such-part,12\n', /no-such-part/],
    ['id,price\n,12\n', /names no part/],
    ['id,price\ndunmarrow-plover,\n', /not an amount/],
    ['id,price\ndunmarrow-plover,-4\n', /not a price/],
    ['id,price,currency\ndunmarrow-plover,€4,GBP\n', /is in EUR/],
    ['id,price,currency\ndunmarrow-plover,4,pounds\n', /not a currency code/],
    ['id,price,date\ndunmarrow-plover,4,2026-02-30\n', /not a day/],
    ['id,price,until\ndunmarrow-plover,4,soon\n', /not a day/],
    ['id,price,condition\ndunmarrow-plover,4,mint\n', /neither new nor used/]
  ])('refuses a row with a sentence that says what and where: %j', (text, says) => {
    const { observations, refused } = read(text);
    expect(observations).toEqual([]);
    expect(refused[0]!.line).toBe(2);
    expect(refused[0]!.faults[0]!.says).toMatch(says);
  });
});
