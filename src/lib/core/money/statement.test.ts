import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { pocketOf } from '../model/gear';
import { activePlan } from '../model/active-plan';
import type { Plan, PlanLine } from '../model/plan';
import { pockets } from '../model/pocket';
import type { Project } from '../model/project';
import { priceOf } from './payable-price';
import { rangeOf } from './price-range';
import { isInKit, statementOf } from './statement';

const project: Project = { ...demoProject(), limitMinor: 400_000, reserveMinor: 25_000 };
const plan = activePlan(project);

const anyLine: fc.Arbitrary<PlanLine> = fc
  .record({
    gearId: fc.nat(catalogue.items.length - 1).map((index) => catalogue.items[index]!.id),
    quantity: fc.integer({ min: 1, max: 9 }),
    basis: fc.constantFrom('new' as const, 'used' as const),
    state: fc.constantFrom('wanted', 'ordered', 'bought', 'owned', 'returned' as const),
    step: fc.constantFrom('now' as const, 'next' as const, 'later' as const),
    discountPercent: fc.option(fc.integer({ min: 0, max: 60 }), { nil: undefined }),
    shippingMinor: fc.option(fc.nat(2000), { nil: undefined }),
    cashBackMinor: fc.option(fc.nat(5000), { nil: undefined }),
    resaleMinor: fc.option(fc.nat(5000), { nil: undefined })
  })
  .map((line) => ({ ...line, id: '', locked: false }) as PlanLine);
const anyPlan: fc.Arbitrary<Plan> = fc
  .array(anyLine, { maxLength: 18 })
  .map((lines) => ({ ...plan, lines: lines.map((line, index) => ({ ...line, id: `l${index}` })) }));

/** What a line costs, counted on fingers: the discount rounded half away from zero, then the shipping. */
function counted(line: PlanLine, unit: number | undefined): number {
  if (unit === undefined || line.state === 'owned' || line.state === 'returned') return 0;
  const pieces = unit * line.quantity;
  const off = ((line.discountPercent ?? 0) * pieces) / 100;
  return pieces - Math.floor(off + 0.5) + (line.shippingMinor ?? 0);
}
const priceIn = (line: PlanLine) => {
  const gear = catalogue.byId.get(line.gearId)!;
  const price = priceOf(gear, line.basis);
  return price?.currency === 'GBP' ? price : undefined;
};

describe('the account of any plan', () => {
  it('adds up to what each line costs by itself', () => {
    fc.assert(
      fc.property(anyPlan, (any) => {
        const money = statementOf(project, any, catalogue);
        let firm = 0;
        let later = 0;
        let lowest = 0;
        let worst = 0;
        let back = 0;
        let resale = 0;
        const byPocket = Object.fromEntries(pockets.map((pocket) => [pocket, 0]));
        any.lines.forEach((line, index) => {
          const price = priceIn(line);
          const there = line.state !== 'returned' && line.step !== 'later';
          expect(isInKit(line)).toBe(there);
          const cost = there ? counted(line, price?.likely) : 0;
          firm += cost;
          later += line.step === 'later' ? counted(line, price?.likely) : 0;
          lowest += there ? counted(line, price?.low ?? price?.likely) : 0;
          worst += there ? counted(line, price?.high ?? price?.likely) : 0;
          if (cost > 0) {
            back += line.cashBackMinor ?? 0;
            resale += line.resaleMinor ?? 0;
          }
          byPocket[pocketOf(catalogue.byId.get(line.gearId)!)]! += cost;
          expect(money.lines[index]).toMatchObject({
            firmMinor: cost,
            runningMinor: firm,
            remainingMinor: 375_000 - firm,
            unitMinor: price?.likely,
            inKit: there
          });
        });
        expect(money).toMatchObject({
          spendableMinor: 375_000,
          firmMinor: firm,
          remainingMinor: 375_000 - firm,
          laterMinor: later,
          lowestMinor: lowest,
          worstMinor: worst,
          afterCashBackMinor: firm - back,
          afterResaleMinor: firm - back - resale
        });
        for (const pocket of pockets)
          expect(money.pockets[pocket].firmMinor, pocket).toBe(byPocket[pocket]);
      })
    );
  });

  it('names what has no price, unless it is owned or not in the kit', () => {
    fc.assert(
      fc.property(anyPlan, (any) => {
        const money = statementOf({ ...project, currency: 'EUR' }, any, catalogue);
        expect(money.firmMinor).toBe(0);
        expect(money.unpriced.map(({ line }) => line.id)).toEqual(
          any.lines.filter((line) => isInKit(line) && line.state !== 'owned').map(({ id }) => id)
        );
      })
    );
  });

  it('is a range that holds the likely total, with a chance of being over between none and all', () => {
    fc.assert(
      fc.property(anyPlan, (any) => {
        const range = rangeOf(statementOf(project, any, catalogue));
        expect(range.lowestMinor).toBeLessThanOrEqual(range.likelyMinor);
        expect(range.worstMinor).toBeGreaterThanOrEqual(range.likelyMinor);
        for (const chance of [range.chanceOver, range.chanceOverTogether]) {
          expect(chance).toBeGreaterThanOrEqual(0);
          expect(chance).toBeLessThanOrEqual(1);
        }
        if (range.worstMinor <= 375_000) expect(range.chanceOver).toBeCloseTo(0, 9);
        if (range.lowestMinor > 375_000) expect(range.chanceOver).toBeCloseTo(1, 9);
      }),
      { numRuns: 40 }
    );
  });

  it('keeps a line whose part nobody knows, at no cost', () => {
    const lost = { ...plan, lines: [{ ...plan.lines[0]!, gearId: 'sold out long ago' }] };
    const money = statementOf(project, lost, catalogue);
    expect(money.lines[0]).toMatchObject({ firmMinor: 0, gear: undefined, pocket: undefined });
    expect(money.unpriced).toHaveLength(1);
  });

  it('takes the limits of pockets as they are set, and none where none is', () => {
    const limited = { ...project, pocketLimitsMinor: { sound: 12_000 } };
    const { pockets: held } = statementOf(limited, plan, catalogue);
    expect(held.sound.limitMinor).toBe(12_000);
    expect(held.light.limitMinor).toBeUndefined();
    // One statement leaves nothing behind for the next.
    expect(statementOf(project, { ...plan, lines: [] }, catalogue).pockets.sound).toEqual({
      firmMinor: 0,
      limitMinor: project.pocketLimitsMinor?.sound
    });
  });
});
