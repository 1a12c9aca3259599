import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { PlanLine } from '../model/plan';
import type { Project } from '../model/project';
import { savingsByMonth } from '../ledger/steps';
import { dayReached } from './savings';
import { costPerVideo } from './cost-per-video';
import { statementOf } from './statement';

const demo = demoProject();
const moneyOf = (project: Project) => statementOf(project, activePlan(project), shelfOf(project));
const changed = (patch: Partial<PlanLine>, project = demo) =>
  applyAct(project, { type: 'change line', lineId: 'line-1', patch });

describe('tax', () => {
  it('is added to what is asked, after the discount and with the shipping', () => {
    // 132.00 less 10 % is 118.80; with 4.95 post 123.75; 20 % of that is 24.75.
    const { lines } = moneyOf(
      changed({ discountPercent: 10, shippingMinor: 495, taxPercent: 20, taxAdded: true })
    );
    expect(lines[0]!.firmMinor).toBe(14_850);
    expect(lines[0]!.taxMinor).toBe(2_475);
  });

  it('that is in the price changes nothing but what is said of it', () => {
    const { lines, taxMinor } = moneyOf(changed({ taxPercent: 20 }));
    expect(lines[0]!.firmMinor).toBe(13_200);
    expect(lines[0]!.taxMinor).toBe(2_200);
    expect(taxMinor).toBe(2_200);
  });

  it('comes after the rate of a price in other money', () => {
    const plover = shelfOf(demo).byId.get('dunmarrow-plover')!;
    const abroad = {
      ...applyAct(changed({ shippingMinor: 1_000, taxPercent: 20, taxAdded: true }), {
        type: 'put gear',
        gear: {
          ...plover,
          priceNew: {
            ...plover.priceNew!,
            likely: 10_000,
            low: undefined,
            high: undefined,
            currency: 'EUR'
          }
        }
      }),
      rates: [{ currency: 'EUR', perUnit: 0.85, date: '2026-11-19' }]
    };
    // 100.00 at 0.85 are 85.00; 95.00 with the post; 19.00 of tax.
    expect(moneyOf(abroad).lines[0]!.firmMinor).toBe(11_400);
  });

  it('adds up to the penny over any lines', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.nat(12), fc.integer({ min: 0, max: 40 }), fc.boolean(), fc.nat(3_000)),
          { maxLength: 13 }
        ),
        (patches) => {
          let project = demo;
          const ids = activePlan(demo).lines.map(({ id }) => id);
          for (const [index, taxPercent, taxAdded, shippingMinor] of patches)
            project = applyAct(project, {
              type: 'change line',
              lineId: ids[index]!,
              patch: { taxPercent, taxAdded, shippingMinor }
            });
          const money = moneyOf(project);
          expect(money.firmMinor).toBe(
            money.lines.reduce((sum, statement) => sum + statement.firmMinor, 0)
          );
          expect(money.taxMinor).toBe(
            money.lines.reduce((sum, statement) => sum + statement.taxMinor, 0)
          );
          for (const { range, firmMinor } of money.lines) {
            expect(range.low).toBeLessThanOrEqual(firmMinor);
            expect(range.high).toBeGreaterThanOrEqual(firmMinor);
          }
        }
      ),
      { numRuns: 60 }
    );
  });
});

describe('a finished video', () => {
  it('costs its share of the price less what is sold again after fees, and what is used up', () => {
    const project = {
      ...changed({ resaleMinor: 44_000 }),
      videosPlanned: 120,
      resaleFeePercent: 10,
      consumablesMinor: 3_000
    };
    const money = moneyOf(project);
    // 1 208.00 − 440.00 × 0.9 + 30.00 = 842.00; over 120 videos 7.02.
    expect(costPerVideo(project, money)).toMatchObject({
      wholeMinor: 84_200,
      eachMinor: 702,
      feeMinor: 4_400
    });
    expect(costPerVideo(demo, moneyOf(demo))).toBeUndefined();
  });
});

describe('money that comes in once', () => {
  const coming = {
    inHandMinor: 10_000,
    savedPerMonthMinor: 1_000,
    incomes: [
      { id: 'b', label: 'late', date: '2027-01-01', amountMinor: 5_000 },
      { id: 'a', label: 'soon', date: '2026-12-15', amountMinor: 20_000 },
      { id: 'c', label: 'past', date: '2026-11-29', amountMinor: 90_000 }
    ]
  };
  it('is there from its day on, together with what is put aside', () => {
    const on = (needed: number) => dayReached(needed, coming, '2026-11-29');
    expect(on(10_000)).toBe('2026-11-29');
    expect(on(10_001)).toBe('2026-12-01');
    expect(on(11_001)).toBe('2026-12-15');
    expect(on(31_001)).toBe('2027-01-01');
    expect(on(37_001)).toBe('2027-02-01');
    expect(dayReached(30_001, { ...coming, savedPerMonthMinor: 0 }, '2026-11-29')).toBe(
      '2027-01-01'
    );
    expect(dayReached(35_001, { ...coming, savedPerMonthMinor: 0 }, '2026-11-29')).toBeUndefined();
  });

  it('is a step in the savings on its own day', () => {
    const saved = savingsByMonth(coming, [], '2026-11-29');
    expect(saved.slice(0, 4)).toEqual([
      { day: '2026-11-29', minor: 10_000 },
      { day: '2026-12-01', minor: 11_000 },
      { day: '2026-12-15', minor: 31_000 },
      { day: '2027-01-01', minor: 37_000 }
    ]);
  });
});
