import type { GearItem } from '../model/gear';
import { pocketOf } from '../model/gear';
import type { Price } from '../model/gear/price';
import type { Plan, PlanLine } from '../model/plan';
import { type Pocket, pockets } from '../model/pocket';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import type { PriceRange } from './chance-over';
import { priceOf } from './payable-price';
import { statedElsewhere } from './priced-shelf';
import { convertedMinor } from './rates';
import { type Minor, minor, percentOf, roundHalfAwayFromZero } from './minor';

/** One chosen part with what it costs and what is left once it is paid. */
export interface StatementLine {
  line: PlanLine;
  gear: GearItem | undefined;
  pocket: Pocket | undefined;
  /** Price of one piece; undefined when no one has stated it in the project's currency. */
  unitMinor: Minor | undefined;
  price: Price | undefined;
  /** Unit × pieces + shipping − discount; zero for owned, returned and postponed lines. */
  firmMinor: Minor;
  /** Sum of this and every earlier line. */
  runningMinor: Minor;
  /** Budget less the running sum; negative once over. */
  remainingMinor: Minor;
  /** Counts in the kit: neither returned nor moved to later. */
  inKit: boolean;
  /** Moved to later: what it would cost. */
  laterMinor: Minor;
  /** Of the firm amount, what is tax as far as a rate is stated. */
  taxMinor: Minor;
  /** The price of the line as a range; low and high are the likely price where no spread is stated. */
  range: PriceRange;
}

export interface MoneyStatement {
  currency: string;
  limitMinor: Minor;
  reserveMinor: Minor;
  /** Limit less what is set aside. */
  spendableMinor: Minor;
  lines: StatementLine[];
  firmMinor: Minor;
  /** Positive is left, negative is over. */
  remainingMinor: Minor;
  laterMinor: Minor;
  pockets: Record<Pocket, { firmMinor: Minor; limitMinor: Minor | undefined }>;
  unpriced: StatementLine[];
  /** What comes back later, shown beside the firm total and never counted in it. */
  afterCashBackMinor: Minor;
  afterResaleMinor: Minor;
  /** Of the firm total, what is tax as far as rates are stated. */
  taxMinor: Minor;
  /** Every line at its low and at its high price. */
  lowestMinor: Minor;
  worstMinor: Minor;
}

/** True when the part is there on the day: not returned and not moved to later. */
export function isInKit(line: PlanLine): boolean {
  return line.state !== 'returned' && line.step !== 'later';
}

/** Money has gone out for it. */
export const isPaid = ({ state }: PlanLine): boolean => state === 'ordered' || state === 'bought';

/** What a line that was sent back has cost all the same: what was paid and did not come back. */
export function lostMinor({ state, paidMinor = 0, refundMinor = paidMinor }: PlanLine): Minor {
  return minor(state === 'returned' ? Math.max(0, paidMinor - refundMinor) : 0);
}

/**
 * Tax in a line: added to what is asked, or held in it; zero where no rate is stated.
 * Relation: added = round(net × rate); held = gross − round(gross ÷ (1 + rate)).
 */
export function taxMinor(
  { taxPercent = 0, taxAdded = false }: Pick<PlanLine, 'taxPercent' | 'taxAdded'>,
  amount: Minor
): Minor {
  return taxAdded
    ? percentOf(amount, taxPercent)
    : minor(amount - roundHalfAwayFromZero(amount / (1 + taxPercent / 100)));
}

/** What is asked, with the tax that comes on top of it where the line says so. */
const withTax = (line: PlanLine, asked: Minor): Minor =>
  line.taxAdded ? minor(asked + taxMinor(line, asked)) : asked;

/**
 * What a line costs: discount first (the discount is what is rounded), then shipping, then tax where it is added.
 * Owned and returned lines cost nothing.
 * Relation: firm = asked + round(asked × tax), asked = unit × pieces − round(unit × pieces × discount) + shipping.
 */
export function lineCostMinor(line: PlanLine, unitMinor: Minor): Minor {
  if (line.state === 'owned' || line.state === 'returned') return minor(0);
  if (line.paidMinor !== undefined && isPaid(line)) return minor(line.paidMinor);
  const pieces = minor(unitMinor * line.quantity);
  const discount = line.discountPercent === undefined ? 0 : percentOf(pieces, line.discountPercent);
  return withTax(line, minor(pieces - discount + (line.shippingMinor ?? 0)));
}

/** What is paid for a line, in the project's currency: the discount in the price's own, then the rate, then the shipping. */
function payableMinor(line: PlanLine, price: Price, end: 'low' | 'likely' | 'high'): Minor {
  const stated = statedElsewhere(price);
  if (!stated) return lineCostMinor(line, minor(price[end]!, 'price'));
  if (line.state === 'owned' || line.state === 'returned') return minor(0);
  if (line.paidMinor !== undefined && isPaid(line)) return minor(line.paidMinor);
  const { shippingMinor = 0, ...unsent } = line;
  const goods = lineCostMinor({ ...unsent, taxAdded: false }, minor(stated[end]!, 'price'));
  return withTax(
    line,
    minor(convertedMinor(goods, stated.currency, price.currency, stated.perUnit) + shippingMinor)
  );
}

const noPockets = Object.fromEntries(
  pockets.map((pocket) => [pocket, { firmMinor: minor(0), limitMinor: undefined }])
) as MoneyStatement['pockets'];

const certain = (amountMinor: Minor): PriceRange => ({
  low: amountMinor,
  likely: amountMinor,
  high: amountMinor
});

/** What a line was planned at: its price, whatever was paid since. Zero without a price in the project's money. */
export function plannedMinor({ line, price }: Pick<StatementLine, 'line' | 'price'>): Minor {
  if (!price || line.state === 'owned') return minor(0);
  return payableMinor({ ...line, paidMinor: undefined, state: 'wanted' }, price, 'likely');
}

/** What of a paid or payable amount is tax: it is in the amount either way. */
const taxWithin = ({ taxPercent }: PlanLine, firmMinor: Minor): Minor =>
  taxMinor({ taxPercent }, firmMinor);

/** What a line costs at the low and at the high price of its part, where a spread is stated. */
function rangeOfLine(line: PlanLine, price: Price, firmMinor: Minor): PriceRange {
  return {
    low: price.low === undefined ? firmMinor : payableMinor(line, price, 'low'),
    likely: firmMinor,
    high: price.high === undefined ? firmMinor : payableMinor(line, price, 'high')
  };
}

/** The running account of a plan: recomputed whole, never carried forward. */
export function statementOf(project: Project, plan: Plan, shelf: Shelf): MoneyStatement {
  const limitMinor = minor(project.limitMinor, 'limit');
  const reserveMinor = minor(project.reserveMinor, 'reserve');
  const spendableMinor = minor(limitMinor - reserveMinor);
  const perPocket = { ...noPockets };
  for (const pocket of pockets) {
    const own = project.pocketLimitsMinor?.[pocket];
    perPocket[pocket] = {
      firmMinor: minor(0),
      limitMinor: own === undefined ? undefined : minor(own)
    };
  }

  let running = 0;
  let later = 0;
  let lowest = 0;
  let worst = 0;
  let cashBack = 0;
  let resale = 0;
  const unpriced: StatementLine[] = [];
  const lines: StatementLine[] = [];
  for (const line of plan.lines) {
    const gear = shelf.byId.get(line.gearId);
    const stated = gear && priceOf(gear, line.basis);
    // A price in a currency that nobody has stated a rate for is no price here.
    const price = stated?.currency === project.currency ? stated : undefined;
    const inKit = isInKit(line);
    const paidMinor = isPaid(line) && line.step !== 'later' ? line.paidMinor : undefined;
    const fullMinor = price ? payableMinor(line, price, 'likely') : minor(0);
    const firmMinor =
      paidMinor !== undefined ? minor(paidMinor) : inKit ? fullMinor : lostMinor(line);
    const laterMinor = line.step === 'later' ? fullMinor : minor(0);
    running += firmMinor;
    later += laterMinor;
    // What is paid is known to the penny.
    const range =
      price && inKit && paidMinor === undefined
        ? rangeOfLine(line, price, firmMinor)
        : certain(firmMinor);
    lowest += range.low;
    worst += range.high;
    if (inKit && price && line.state !== 'owned') {
      cashBack += line.cashBackMinor ?? 0;
      resale += line.resaleMinor ?? 0;
    }
    const pocket = gear && pocketOf(gear);
    if (pocket) perPocket[pocket].firmMinor = minor(perPocket[pocket].firmMinor + firmMinor);
    const statement: StatementLine = {
      line,
      gear,
      pocket,
      unitMinor: price && (price.likely as Minor),
      price,
      firmMinor,
      runningMinor: minor(running),
      remainingMinor: minor(spendableMinor - running),
      inKit,
      laterMinor,
      taxMinor: taxWithin(line, firmMinor),
      range
    };
    lines.push(statement);
    if (price === undefined && paidMinor === undefined && inKit && line.state !== 'owned')
      unpriced.push(statement);
  }
  return {
    currency: project.currency,
    limitMinor,
    reserveMinor,
    spendableMinor,
    lines,
    firmMinor: minor(running),
    remainingMinor: minor(spendableMinor - running),
    laterMinor: minor(later),
    pockets: perPocket,
    unpriced,
    afterCashBackMinor: minor(running - cashBack),
    afterResaleMinor: minor(running - cashBack - resale),
    taxMinor: minor(lines.reduce((sum, statement) => sum + statement.taxMinor, 0)),
    lowestMinor: minor(lowest),
    worstMinor: minor(worst)
  };
}
