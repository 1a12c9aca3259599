import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PlanLine } from '../model/plan';
import { handSumOf } from './hand-sum';
import { minor } from './minor';
import type { StatementLine } from './statement';

/** A statement of lines that cost so much, with what somebody wrote down after each. */
function statement(
  limit: number,
  reserve: number,
  rows: readonly [cost: number, written?: number][]
) {
  let running = 0;
  const lines = rows.map(([cost, written], index): StatementLine => {
    running += cost;
    return {
      line: { id: `line-${index}`, handRemainingMinor: written } as unknown as PlanLine,
      firmMinor: minor(cost),
      remainingMinor: minor(limit - reserve - running)
    } as StatementLine;
  });
  return { lines, limitMinor: minor(limit), spendableMinor: minor(limit - reserve) };
}
const slipsOf = (...given: Parameters<typeof statement>) =>
  handSumOf(statement(...given))?.slips.map(({ statement, expectedMinor, claimedMinor }) => [
    statement.line.id,
    expectedMinor,
    claimedMinor
  ]);

describe('a sum done by hand', () => {
  it('is nobody’s where nothing was written down', () => {
    expect(handSumOf(statement(1000, 0, [[100], [200]]))).toBeUndefined();
  });

  it('is right where each remainder takes off what was bought since the one before', () => {
    expect(slipsOf(1000, 0, [[100, 900], [200], [50, 650]])).toEqual([]);
  });

  it('may begin at the limit or at what is left of it when something is set aside', () => {
    expect(
      slipsOf(1000, 150, [
        [100, 900],
        [200, 700]
      ])
    ).toEqual([]);
    expect(
      slipsOf(1000, 150, [
        [100, 750],
        [200, 550]
      ])
    ).toEqual([]);
    expect(slipsOf(1000, 150, [[100, 800]])).toEqual([['line-0', 750, 800]]);
  });

  it('“four left” that is eleven over: the slip is told where it was made, once', () => {
    // 600 less 250 is 350; by hand 365 were left, and all after it follows from there.
    const given = [
      600,
      0,
      [
        [250, 365],
        [211, 154],
        [150, 4]
      ]
    ] as const;
    expect(slipsOf(...(given as unknown as Parameters<typeof statement>))).toEqual([
      ['line-0', 350, 365]
    ]);
    const { last } = handSumOf(statement(...(given as unknown as Parameters<typeof statement>)))!;
    expect([last.claimedMinor, last.trulyMinor]).toEqual([4, -11]);
  });

  it('has as many slips as steps that differ from a plain recount', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(50_000), fc.integer({ min: -900, max: 900 }), fc.boolean()), {
          minLength: 1,
          maxLength: 20
        }),
        (steps) => {
          const limit = 1_000_000;
          let truly = limit;
          let off = 0;
          let wrong = 0;
          const rows = steps.map(([cost, slip, isWritten]): [number, number?] => {
            truly -= cost;
            if (!isWritten) return [cost];
            off += slip;
            if (slip !== 0) wrong += 1;
            return [cost, truly + off];
          });
          expect(slipsOf(limit, 0, rows)?.length ?? 0).toBe(wrong);
        }
      )
    );
  });
});
