import { chanceOver, chanceOverTogether } from './chance-over';
import type { Minor } from './minor';
import type { MoneyStatement } from './statement';

/** What the total may come to, and how likely it is over the budget. */
export interface TotalRange {
  lowestMinor: Minor;
  likelyMinor: Minor;
  worstMinor: Minor;
  /** 0 to 1, each price for itself; and all rising and falling together. */
  chanceOver: number;
  chanceOverTogether: number;
}

/** The total as a range, from the low, likely and high price of every line. */
export function rangeOf(money: MoneyStatement): TotalRange {
  // A likely price outside its own spread, as a hasty entry may leave it, widens the spread.
  const ranges = money.lines.map(({ range: { low, likely, high } }) => ({
    low: Math.min(low, likely),
    likely,
    high: Math.max(high, likely)
  }));
  return {
    lowestMinor: money.lowestMinor,
    likelyMinor: money.firmMinor,
    worstMinor: money.worstMinor,
    chanceOver: chanceOver(ranges, money.spendableMinor),
    chanceOverTogether: chanceOverTogether(ranges, money.spendableMinor)
  };
}
