import { minorPerMajor } from '../../core/money/format';
import type { MoneyStatement, StatementLine } from '../../core/money/statement';

/** One stitched length of the strap, in percent of its width. */
export interface StrapLength {
  statement: StatementLine;
  fromPercent: number;
  widthPercent: number;
  /** Past the budget, wholly or in part. */
  over: boolean;
  /** The running total beneath it, when there is room for the figure. */
  tick: boolean;
}

export interface StrapLayout {
  lengths: StrapLength[];
  /** Where the budget ends and the reserve begins. */
  spendablePercent: number;
  limitPercent: number;
  /** End of the last length. */
  firmPercent: number;
}

/** A sign of a figure beneath the strap needs about this much, with its share of the gap to the next. */
const SIGN_ROOM_PX = 8.5;
/** The strap of a desk, until it has been measured. */
const USUAL_WIDTH_PX = 950;
/** The buckle never sits on the very end. */
const BEYOND = 1.03;

/** Lays the chosen lines along the strap in the order of choosing, in proportion to what they cost. */
export function layStrap(money: MoneyStatement, widthPx = USUAL_WIDTH_PX): StrapLayout {
  const longest = Math.max(money.limitMinor, money.firmMinor, 1) * BEYOND;
  const scale = (minor: number) => (100 * minor) / longest;
  const lengths: StrapLength[] = [];
  let lastTick = 0;
  const whole = Math.round(money.firmMinor / minorPerMajor(money.currency));
  const tickRoom =
    ((100 * SIGN_ROOM_PX) / Math.max(1, widthPx)) * Math.max(4, whole.toLocaleString('en').length);
  const paid = money.lines.filter((line) => line.firmMinor > 0);
  for (const [index, statement] of paid.entries()) {
    const from = scale(statement.runningMinor - statement.firmMinor);
    const to = scale(statement.runningMinor);
    const tick = to - lastTick >= tickRoom || index === paid.length - 1;
    if (tick) {
      // The last total matters most: one too near before it gives way.
      const previous = lengths.findLast((length) => length.tick);
      if (previous && index === paid.length - 1 && to - lastTick < tickRoom) previous.tick = false;
      lastTick = to;
    }
    lengths.push({
      statement,
      fromPercent: from,
      widthPercent: to - from,
      over: statement.remainingMinor < 0,
      tick
    });
  }
  return {
    lengths,
    spendablePercent: scale(Math.max(0, money.spendableMinor)),
    limitPercent: scale(money.limitMinor),
    firmPercent: scale(money.firmMinor)
  };
}
