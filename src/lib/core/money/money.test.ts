import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../../catalogue/load-catalogue';
import { activePlan } from '../model/active-plan';
import { formatMoney, minorPerMajor } from './format';
import { minor, MoneyError, percentOf, roundHalfAwayFromZero, splitByWeights } from './minor';
import { lineCostMinor, statementOf } from './statement';

const line = {
  id: 'l',
  gearId: 'g',
  quantity: 1,
  basis: 'new',
  state: 'wanted',
  step: 'now',
  locked: false
} as const;

describe('money', () => {
  it('rounds half away from zero, as a till does', () => {
    expect([0.5, 1.5, 2.5, -0.5, -2.5, 0.49].map(roundHalfAwayFromZero)).toEqual([
      1, 2, 3, -1, -3, 0
    ]);
    expect(percentOf(minor(1995), 10)).toBe(200);
    expect(percentOf(minor(335), 10)).toBe(34);
  });

  it('is never a fraction', () => {
    expect(() => minor(1.5)).toThrow(MoneyError);
    expect(() => minor(NaN)).toThrow(MoneyError);
  });

  it('splits a whole so that the parts add up to it', () => {
    expect(splitByWeights(minor(100), [1, 1, 1])).toEqual([34, 33, 33]);
    fc.assert(
      fc.property(
        fc.nat(10_000_000),
        fc.array(fc.nat(1000), { minLength: 1, maxLength: 9 }),
        (whole, weights) => {
          fc.pre(weights.some((weight) => weight > 0));
          const shares = splitByWeights(minor(whole), weights);
          expect(shares.reduce((sum, share) => sum + share, 0)).toBe(whole);
          shares.forEach((share, index) => {
            const exact =
              (whole * weights[index]!) / weights.reduce((sum, weight) => sum + weight, 0);
            expect(Math.abs(share - exact)).toBeLessThan(1);
          });
        }
      )
    );
  });

  it('takes the discount off first and adds the shipping', () => {
    expect(
      lineCostMinor({ ...line, quantity: 3, discountPercent: 15, shippingMinor: 499 }, minor(1999))
    ).toBe(5997 - 900 + 499);
    expect(lineCostMinor({ ...line, state: 'returned' }, minor(1999))).toBe(0);
    expect(lineCostMinor({ ...line, state: 'owned' }, minor(1999))).toBe(0);
  });

  it('is written in the currency’s own decimals', () => {
    expect(formatMoney(-900, 'GBP', { locale: 'en-GB' })).toBe('-£9.00');
    expect(formatMoney(12_900, 'GBP', { short: true, locale: 'en-GB' })).toBe('£129');
    expect(minorPerMajor('JPY')).toBe(1);
  });
});

describe('the running account', () => {
  const project = demoProject();
  const shelf = shelfOf(project);

  it('has a remainder after every line that adds up to the last', () => {
    const statement = statementOf(project, activePlan(project), shelf);
    let left: number = statement.spendableMinor;
    for (const line of statement.lines) {
      left -= line.firmMinor;
      expect(line.remainingMinor).toBe(left);
      expect(line.runningMinor).toBe(statement.spendableMinor - left);
    }
    expect(statement.remainingMinor).toBe(left);
    const pocketSum = Object.values(statement.pockets).reduce(
      (sum, { firmMinor }) => sum + firmMinor,
      0
    );
    expect(pocketSum).toBe(statement.firmMinor);
  });

  it('leaves out what is owned, returned or moved to later, and says what later costs', () => {
    const plan = structuredClone(activePlan(project));
    const before = statementOf(project, plan, shelf);
    plan.lines[0]!.step = 'later';
    plan.lines[1]!.state = 'owned';
    plan.lines[2]!.state = 'returned';
    const after = statementOf(project, plan, shelf);
    const taken = before.lines.slice(0, 3).reduce((sum, statement) => sum + statement.firmMinor, 0);
    expect(before.firmMinor - after.firmMinor).toBe(taken);
    expect(after.laterMinor).toBe(before.lines[0]!.firmMinor);
  });

  it('has no price in another currency until someone states the rate', () => {
    const statement = statementOf({ ...project, currency: 'EUR' }, activePlan(project), shelf);
    expect(statement.firmMinor).toBe(0);
    expect(statement.unpriced.length).toBeGreaterThan(5);
  });
});
