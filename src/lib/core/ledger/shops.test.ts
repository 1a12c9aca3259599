import { describe, expect, it } from 'vitest';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { withObservation } from '../money/price-history';
import { breaksAt, observationOf, quoteOf, shops } from './shops';

const days = Array.from({ length: 120 }, (_, index) =>
  new Date(Date.UTC(2026, 10, 1) + index * 86_400_000).toISOString().slice(0, 10)
);
const plover = catalogue.byId.get('dunmarrow-plover')!;

describe('the simulated shops', () => {
  it('answer the same question the same, and move from day to day', () => {
    expect(quoteOf(plover, 'corner', '2026-11-29')).toEqual(
      quoteOf(plover, 'corner', '2026-11-29')
    );
    const prices = days.map((day) => quoteOf(plover, 'corner', day).priceMinor);
    expect(new Set(prices).size).toBeGreaterThan(40);
  });

  it('stay near the likely price, are on sale some weeks and sold out some days', () => {
    for (const { id, basis, dearBy } of shops) {
      let sales = 0;
      let out = 0;
      for (const gear of catalogue.items.slice(0, 60)) {
        const likely = (basis === 'used' ? gear.priceUsed : gear.priceNew)?.likely;
        for (const day of days) {
          const { priceMinor, saleEnds } = quoteOf(gear, id, day);
          if (likely === undefined) {
            expect(priceMinor).toBeUndefined();
            continue;
          }
          if (priceMinor === undefined) out += 1;
          else if (saleEnds === undefined)
            // Within a little more than six per cent of what this shop usually asks.
            expect(Math.abs(priceMinor / (likely * dearBy) - 1)).toBeLessThan(0.065);
          else {
            sales += 1;
            expect(priceMinor).toBeLessThan(likely * dearBy);
            expect(saleEnds >= day).toBe(true);
            expect(Date.parse(saleEnds) - Date.parse(day)).toBeLessThan(7 * 86_400_000);
          }
        }
      }
      expect(sales).toBeGreaterThan(50);
      expect(out).toBeGreaterThan(50);
    }
  });

  it('break a line now and then, never three times', () => {
    const broken = days.filter((day) => breaksAt('dunmarrow-plover', 'parcel', day, 1)).length;
    expect(broken).toBeGreaterThan(5);
    expect(broken).toBeLessThan(40);
    expect(days.some((day) => breaksAt('dunmarrow-plover', 'parcel', day, 3))).toBe(false);
  });

  it('leave a price with its day, its source and the end of its sale', () => {
    const quote = {
      ...quoteOf(plover, 'parcel', '2026-11-29'),
      priceMinor: 12_345,
      saleEnds: '2026-12-02'
    };
    expect(withObservation(plover, observationOf(quote)!).priceNew).toEqual({
      likely: 12_345,
      currency: 'GBP',
      date: '2026-11-29',
      source: 'parcel house',
      dealEnds: '2026-12-02'
    });
    expect(withObservation(plover, observationOf(quote)!).priceUsed).toEqual(plover.priceUsed);
  });
});
