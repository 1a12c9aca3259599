import { minor, MoneyError } from './minor';

/** What one line may come to, in whole minor units; `likely` is the mode. */
export interface PriceRange {
  low: number;
  likely: number;
  high: number;
}

/** Distribution of a sum over whole minor units: `chances[k]` is the chance of `from + k × step`. */
interface Sum {
  from: number;
  chances: Float64Array;
}

/** Sums over more steps than this are made in coarser steps of whole minor units. */
const MOST_STEPS = 4096;

/** Share of a triangle below x. */
function below(x: number, { low, likely, high }: PriceRange): number {
  if (x <= low) return 0;
  if (x >= high) return 1;
  if (x <= likely) return (x - low) ** 2 / ((high - low) * (likely - low));
  return 1 - (high - x) ** 2 / ((high - low) * (high - likely));
}

function checked({ low, likely, high }: PriceRange): PriceRange {
  if (
    ![low, likely, high].every(Number.isSafeInteger) ||
    low > likely ||
    likely > high ||
    low < 0
  ) {
    throw new MoneyError(
      'price range',
      `${low}, ${likely}, ${high}`,
      'must be whole minor units, low ≤ likely ≤ high'
    );
  }
  return { low, likely, high };
}

/** A triangle in bins of `step`, each bin holding what lies within half a step of its middle. */
function triangle(range: PriceRange, step: number): Sum {
  const { low, high } = range;
  const from = Math.round(low / step);
  const to = Math.max(from, Math.round(high / step));
  const chances = new Float64Array(to - from + 1);
  if (low === high) chances[0] = 1;
  else
    for (let index = from; index <= to; index++)
      chances[index - from] =
        below((index + 0.5) * step, range) - below((index - 0.5) * step, range);
  return { from, chances };
}

function convolve(a: Sum, b: Sum): Sum {
  const chances = new Float64Array(a.chances.length + b.chances.length - 1);
  for (let i = 0; i < a.chances.length; i++) {
    const share = a.chances[i]!;
    if (share === 0) continue;
    for (let j = 0; j < b.chances.length; j++) chances[i + j]! += share * b.chances[j]!;
  }
  return { from: a.from + b.from, chances };
}

/**
 * Chance that the lines together pass a limit, each line triangular between its low and high and
 * independent of the others: their distributions convolved.
 *
 * @param limitMinor the budget
 * @returns 0 to 1
 * @example chanceOver([{low:700,likely:760,high:900},{low:250,likely:300,high:380},{low:90,likely:100,high:140}], 1200) // 0.53
 */
export function chanceOver(ranges: readonly PriceRange[], limitMinor: number): number {
  minor(limitMinor, 'limitMinor');
  const lines = ranges.map(checked);
  const spread = lines.reduce((sum, { low, high }) => sum + (high - low), 0);
  const lowest = lines.reduce((sum, { low }) => sum + low, 0);
  if (lowest > limitMinor) return 1;
  if (lowest + spread <= limitMinor) return 0;
  const step = Math.max(1, Math.ceil(spread / MOST_STEPS));
  let fixed = 0;
  // Two sums of half the spread each: what both pass together is asked of them without summing them up,
  // which costs a quarter of one convolution of everything.
  const halves: [Half, Half] = [emptyHalf(), emptyHalf()];
  for (const range of lines) {
    if (range.low === range.high) fixed += range.low;
    else {
      const half = halves[0].spread <= halves[1].spread ? halves[0] : halves[1];
      half.spread += range.high - range.low;
      half.sum = convolve(half.sum, triangle(range, step));
    }
  }
  const [a, b] = [halves[0].sum, halves[1].sum];
  // tails[k]: the chance that the second sum lies in bin k or above.
  const tails = new Float64Array(b.chances.length + 1);
  for (let k = b.chances.length - 1; k >= 0; k--) tails[k] = tails[k + 1]! + b.chances[k]!;
  const tail = (k: number) => (k <= 0 ? tails[0]! : k >= tails.length ? 0 : tails[k]!);
  let chance = 0;
  a.chances.forEach((share, index) => {
    // Bins of the second sum that pass the limit with this one; the one astride it by its part beyond.
    const middle = (a.from + index + b.from) * step + fixed;
    const first = Math.floor((limitMinor - step / 2 - middle) / step) + 1;
    const beyond = Math.min(1, Math.max(0, (middle + first * step + step / 2 - limitMinor) / step));
    const astride = tail(first) - tail(first + 1);
    chance += share * (tail(first + 1) + astride * beyond);
  });
  return Math.min(1, Math.max(0, chance));
}

interface Half {
  sum: Sum;
  spread: number;
}
const emptyHalf = (): Half => ({ sum: { from: 0, chances: Float64Array.of(1) }, spread: 0 });

/**
 * The same when all prices rise and fall together, as a shared exchange rate or season makes them:
 * one draw places every line at the same share of its own range.
 */
export function chanceOverTogether(ranges: readonly PriceRange[], limitMinor: number): number {
  minor(limitMinor, 'limitMinor');
  const lines = ranges.map(checked);
  const amountAt = (chance: number) =>
    lines.reduce((sum, { low, likely, high }) => {
      if (low === high) return sum + low;
      const peak = (likely - low) / (high - low);
      return (
        sum +
        (chance <= peak
          ? low + Math.sqrt(chance * (high - low) * (likely - low))
          : high - Math.sqrt((1 - chance) * (high - low) * (high - likely)))
      );
    }, 0);
  if (amountAt(1) <= limitMinor) return 0;
  if (amountAt(0) > limitMinor) return 1;
  let low = 0;
  let high = 1;
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2;
    if (amountAt(middle) > limitMinor) high = middle;
    else low = middle;
  }
  return 1 - (low + high) / 2;
}
