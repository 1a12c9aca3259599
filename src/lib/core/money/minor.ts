declare const minorBrand: unique symbol;
/** Money in whole minor units (pence, cents). Never a fraction. */
export type Minor = number & { readonly [minorBrand]: true };

/** Thrown when money is asked of something that is not money. */
export class MoneyError extends Error {
  constructor(
    readonly argument: string,
    readonly value: unknown,
    readonly needs: string
  ) {
    super(`${argument} is ${String(value)}; it ${needs}.`);
    this.name = 'MoneyError';
  }
}

/** @throws MoneyError when `value` is no safe whole number. */
export function minor(value: number, argument = 'amount'): Minor {
  if (!Number.isSafeInteger(value)) {
    throw new MoneyError(argument, value, 'must be a whole number of minor units');
  }
  return value as Minor;
}

/** Rounds half away from zero, as a till does: 0.5 → 1, −0.5 → −1. */
export function roundHalfAwayFromZero(value: number): number {
  // A product such as 1.005 × 100 lands a hair below the half; lift it before rounding.
  const lifted = Math.abs(value) * (1 + Number.EPSILON * 2);
  const rounded = Math.floor(lifted + 0.5);
  return rounded === 0 ? 0 : Math.sign(value) * rounded;
}

/**
 * A percentage of an amount, rounded half away from zero at the line. The part taken is what is
 * rounded, so amount − part stays exact.
 * @example percentOf(minor(1995), 10) // 200
 */
export function percentOf(amount: Minor, percent: number): Minor {
  if (!Number.isFinite(percent)) throw new MoneyError('percent', percent, 'must be a number');
  return minor(roundHalfAwayFromZero((amount * percent) / 100));
}

/**
 * Splits a whole by weights so that the parts add up to it exactly (largest remainder; ties go to
 * the earlier part).
 * @example splitByWeights(minor(100), [1, 1, 1]) // [34, 33, 33]
 */
export function splitByWeights(whole: Minor, weights: readonly number[]): Minor[] {
  const sum = weights.reduce((total, weight) => total + weight, 0);
  if (!(sum > 0) || weights.some((weight) => !(weight >= 0))) {
    throw new MoneyError('weights', weights.join(', '), 'must be zero or more and not all zero');
  }
  const exact = weights.map((weight) => (whole * weight) / sum);
  const shares = exact.map((value) => Math.floor(value));
  let rest = whole - shares.reduce((total, share) => total + share, 0);
  const order = exact
    .map((value, index) => ({ index, remainder: value - Math.floor(value) }))
    .sort((a, b) => b.remainder - a.remainder || a.index - b.index);
  for (const { index } of order) {
    if (rest <= 0) break;
    shares[index]! += 1;
    rest -= 1;
  }
  return shares.map((share) => minor(share));
}
