import type { Minor } from './minor';
import { minor } from './minor';
import type { MoneyStatement, StatementLine } from './statement';

/** A line at which a sum done by hand does not take off what the line costs. */
export interface HandSlip {
  statement: StatementLine;
  /** What was left by hand before this line and the ones nobody noted a remainder at. */
  fromMinor: Minor;
  /** What these lines cost together. */
  costMinor: Minor;
  /** What had to be left, by that sum's own figures. */
  expectedMinor: Minor;
  claimedMinor: Minor;
}

/** A running remainder that somebody wrote down by hand, beside the computed one. */
export interface HandSum {
  slips: readonly HandSlip[];
  /** The last remainder written down, and what is truly left there. */
  last: { statement: StatementLine; claimedMinor: Minor; trulyMinor: Minor };
}

/**
 * Checks remainders written down by hand against what the lines cost: each is held against the one before it, so
 * that one slip is told once and not at every line after it. Whoever leaves out what is set aside is not wrong:
 * the first remainder may be counted from the limit or from the budget.
 *
 * @returns undefined where nobody wrote any
 */
export function handSumOf({
  lines,
  limitMinor,
  spendableMinor
}: Pick<MoneyStatement, 'lines' | 'limitMinor' | 'spendableMinor'>): HandSum | undefined {
  const slips: HandSlip[] = [];
  let last: HandSum['last'] | undefined;
  let from: number | undefined;
  let cost = 0;
  for (const statement of lines) {
    cost += statement.firmMinor;
    const claimed = statement.line.handRemainingMinor;
    if (claimed === undefined) continue;
    const begins: number = from ?? (claimed + cost === limitMinor ? limitMinor : spendableMinor);
    if (claimed !== begins - cost)
      slips.push({
        statement,
        fromMinor: minor(begins),
        costMinor: minor(cost),
        expectedMinor: minor(begins - cost),
        claimedMinor: minor(claimed)
      });
    last = { statement, claimedMinor: minor(claimed), trulyMinor: statement.remainingMinor };
    from = claimed;
    cost = 0;
  }
  return last && { slips, last };
}
