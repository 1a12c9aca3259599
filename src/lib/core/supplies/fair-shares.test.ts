import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fairShares, MOST_SHARE, type Supply } from './fair-shares';

const to = (...arrives: [number, number][]): ReadonlyMap<number, number> => new Map(arrives);
const BODY = 0;
const MONITOR = 1;

describe('shares of a day’s supplies', () => {
  it.each<[string, Supply[], number, number]>([
    ['three batteries for both', [{ amount: 30, reaches: to([BODY, 1], [MONITOR, 1]) }], 0.6, 0.6],
    [
      'a bank of 15 Wh beside them that only the monitor can use',
      [
        { amount: 30, reaches: to([BODY, 1], [MONITOR, 1]) },
        { amount: 15, reaches: to([MONITOR, 0.85]) }
      ],
      0.855,
      0.855
    ],
    [
      'a bank of 30 Wh there',
      [
        { amount: 30, reaches: to([BODY, 1], [MONITOR, 1]) },
        { amount: 30, reaches: to([MONITOR, 0.85]) }
      ],
      1,
      1.275
    ]
  ])('of %s, for a body that needs 30 Wh and a monitor that needs 20', (_, supplies, a, b) => {
    const { shares } = fairShares([30, 20], supplies);
    expect(shares[BODY]).toBeCloseTo(a, 6);
    expect(shares[MONITOR]).toBeCloseTo(b, 6);
  });

  it('say who took what: the monitor 4.35 of the 30 Wh, the rest the body', () => {
    const { taken } = fairShares(
      [30, 20],
      [
        { amount: 30, reaches: to([BODY, 1], [MONITOR, 1]) },
        { amount: 15, reaches: to([MONITOR, 0.85]) }
      ]
    );
    expect(taken[0]!.get(MONITOR)).toBeCloseTo(4.35, 6);
    expect(taken[0]!.get(BODY)).toBeCloseTo(25.65, 6);
    expect(taken[1]!.get(MONITOR)).toBeCloseTo(15, 6);
  });

  it('are three at most, and zero where nothing reaches', () => {
    const { shares } = fairShares([1, 1], [{ amount: 50, reaches: to([0, 1]) }]);
    expect(shares).toEqual([MOST_SHARE, 0]);
  });

  it('count losses by way, not by supply: whom it reaches with less loss gets it cheaper', () => {
    // Equal shares s of 10: s·10/1 + s·10/0.5 = 30, so s = 1.
    const { shares } = fairShares([10, 10], [{ amount: 30, reaches: to([0, 1], [1, 0.5]) }]);
    expect(shares[0]).toBeCloseTo(1, 6);
    expect(shares[1]).toBeCloseTo(1, 6);
  });

  const days = fc
    .record({
      needs: fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 6 }),
      amounts: fc.array(fc.integer({ min: 0, max: 80 }), { minLength: 1, maxLength: 6 }),
      reach: fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 36, maxLength: 36 })
    })
    .map(({ needs, amounts, reach }) => ({
      needs,
      supplies: amounts.map((amount, from): Supply => {
        const arrives = needs.map((_, index) => [0, 1, 0.85, 0.7225][reach[from * 6 + index]!]!);
        return {
          amount,
          reaches: new Map(arrives.flatMap((share, index) => (share > 0 ? [[index, share]] : [])))
        };
      })
    }));

  it('use no supply twice and hand everybody what their share says', () => {
    fc.assert(
      fc.property(days, ({ needs, supplies }) => {
        const { shares, taken } = fairShares(needs, supplies);
        supplies.forEach(({ amount }, from) => {
          const sum = [...taken[from]!.values()].reduce((all, value) => all + value, 0);
          expect(sum).toBeLessThanOrEqual(amount + 1e-5);
        });
        needs.forEach((need, index) => {
          const got = supplies.reduce(
            (all, { reaches }, from) =>
              all + (taken[from]!.get(index) ?? 0) * (reaches.get(index) ?? 0),
            0
          );
          expect(got / need).toBeGreaterThan(shares[index]! - 1e-5);
        });
      }),
      { numRuns: 300 }
    );
  });

  it('are those that all sets of those in need leave room for, where a supply loses alike on every way', () => {
    fc.assert(
      fc.property(days, ({ needs, supplies }) => {
        const alike = supplies.map(({ amount, reaches }, index) => ({
          amount,
          reaches: new Map([...reaches.keys()].map((to) => [to, index % 2 ? 0.85 : 1]))
        }));
        const { shares } = fairShares(needs, alike);
        bySets(needs, alike).forEach((share, index) => expect(shares[index]).toBeCloseTo(share, 5));
      }),
      { numRuns: 300 }
    );
  });

  it('of anybody never fall when a supply grows, least first', () => {
    fc.assert(
      fc.property(days, fc.nat(5), ({ needs, supplies }, grows) => {
        const sorted = (list: readonly Supply[]) =>
          [...fairShares(needs, list).shares].sort((a, b) => a - b);
        const before = sorted(supplies);
        const after = sorted(
          supplies.map((supply, index) =>
            index === grows % supplies.length ? { ...supply, amount: supply.amount + 10 } : supply
          )
        );
        const differs = before.findIndex((share, index) => Math.abs(share - after[index]!) > 1e-5);
        if (differs >= 0) expect(after[differs]!).toBeGreaterThan(before[differs]!);
      }),
      { numRuns: 200 }
    );
  });
});

/**
 * Another route to the same: of every set of those in need, all that reaches it over all it needs. The set with
 * the least gets just that; it and its supplies are taken away, and the rest is looked at again.
 */
function bySets(needs: readonly number[], supplies: readonly Supply[]): number[] {
  const shares = needs.map(() => MOST_SHARE);
  let people = needs.map((_, index) => index);
  let left = [...supplies];
  while (people.length > 0) {
    let least = MOST_SHARE;
    let tight: number[] = [];
    for (let set = 1; set < 2 ** people.length; set++) {
      const members = people.filter((_, index) => (set >> index) & 1);
      const have = left
        .filter(({ reaches }) => members.some((member) => reaches.has(member)))
        .reduce((sum, { amount, reaches }) => sum + amount * [...reaches.values()][0]!, 0);
      const share = have / members.reduce((sum, member) => sum + needs[member]!, 0);
      if (share < least - 1e-12) {
        least = share;
        tight = members;
      }
    }
    if (tight.length === 0) break;
    for (const person of tight) shares[person] = least;
    people = people.filter((person) => !tight.includes(person));
    left = left.filter(({ reaches }) => !tight.some((person) => reaches.has(person)));
  }
  return shares;
}
