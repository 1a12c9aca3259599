import { describe, expect, it } from 'vitest';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import type { PriceObservation } from '../model/price-observation';
import { priceHistory, ringingAlerts, withObservation } from './price-history';

const demo = demoProject();
const shelf = shelfOf(demo);
const plover = shelf.byId.get('dunmarrow-plover')!;
const seen = (date: string, priceMinor: number, more: Partial<PriceObservation> = {}) => ({
  gearId: plover.id,
  basis: 'new' as const,
  priceMinor,
  currency: 'GBP',
  date,
  source: 'corner counter',
  ...more
});
const noting = (...observations: PriceObservation[]) =>
  applyAct(demo, { type: 'note prices', observations });

describe('the history of a price', () => {
  it('runs from the oldest sight to the newest, with the price that is planned with', () => {
    const project = noting(
      seen('2026-11-20', 12_800),
      seen('2026-08-02', 13_900),
      seen('2026-11-21', 9_000, { basis: 'used' })
    );
    const own = plover.priceNew!;
    expect(
      priceHistory(project, plover, 'new').map(({ date, ownMinor }) => [date, ownMinor])
    ).toEqual(
      [
        ['2026-08-02', 13_900],
        [own.date, own.likely],
        ['2026-11-20', 12_800]
      ].sort()
    );
  });

  it('counts a price of other money at the rate of the project, and one nobody has a rate for not at all', () => {
    const project = {
      ...noting(
        seen('2026-11-20', 10_000, { currency: 'EUR' }),
        seen('2026-11-21', 10_000, { currency: 'XAF' })
      ),
      rates: [{ currency: 'EUR', perUnit: 0.85, date: '2026-11-19' }]
    };
    const history = priceHistory(project, plover, 'new');
    expect(history.find(({ currency }) => currency === 'EUR')!.ownMinor).toBe(8_500);
    expect(history.find(({ currency }) => currency === 'XAF')!.ownMinor).toBeUndefined();
  });

  it('ends with a price once it is planned with, and does not count it twice', () => {
    const sight = seen('2026-11-20', 12_800, { dealEnds: '2026-12-01' });
    const project = noting(sight);
    const taken = withObservation(plover, sight);
    expect(taken.priceNew).toEqual({
      likely: 12_800,
      currency: 'GBP',
      date: '2026-11-20',
      source: 'corner counter',
      dealEnds: '2026-12-01'
    });
    expect(priceHistory(project, taken, 'new')).toHaveLength(1);
  });
});

describe('an alert', () => {
  const asking = (atMostMinor: number, ...observations: PriceObservation[]) =>
    applyAct(noting(...observations), {
      type: 'set price alert',
      alert: { gearId: plover.id, basis: 'new', atMostMinor }
    });
  const rings = (project: typeof demo) =>
    ringingAlerts(project, shelf.byId, '2026-11-29').map(({ seen: { priceMinor } }) => priceMinor);

  it('rings at the amount itself and below, for the cheapest sight', () => {
    expect(rings(asking(12_000, seen('2026-11-20', 12_001)))).toEqual([]);
    expect(rings(asking(12_000, seen('2026-11-20', 12_000)))).toEqual([12_000]);
    expect(rings(asking(12_000, seen('2026-11-20', 11_000), seen('2026-11-22', 11_500)))).toEqual([
      11_000
    ]);
  });

  it('leaves out what was seen more than two weeks ago, unless its deal still holds', () => {
    expect(rings(asking(12_000, seen('2026-11-15', 11_000)))).toEqual([11_000]);
    expect(rings(asking(12_000, seen('2026-11-14', 11_000)))).toEqual([]);
    expect(rings(asking(12_000, seen('2026-10-14', 11_000, { dealEnds: '2026-11-29' })))).toEqual([
      11_000
    ]);
    expect(rings(asking(12_000, seen('2026-11-25', 11_000, { dealEnds: '2026-11-28' })))).toEqual(
      []
    );
  });
});
