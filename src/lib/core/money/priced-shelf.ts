import { memoOf } from '../memo';
import type { GearItem } from '../model/gear';
import type { Price } from '../model/gear/price';
import type { Project } from '../model/project';
import { makeShelf, type Shelf } from '../model/shelf';
import { formatMoney } from './format';
import { convertedMinor, rateInto } from './rates';

/** What a price was stated as, and the rate it was converted at. */
export interface StatedElsewhere {
  likely: number;
  low: number | undefined;
  high: number | undefined;
  currency: string;
  perUnit: number;
  rateDate: string;
  /** The rate ships with the app; nobody has stated one. */
  rough: boolean;
}

/** A price in the project's currency that was stated in another. Never saved: what is saved is what was stated. */
export interface ConvertedPrice extends Price {
  statedElsewhere: StatedElsewhere;
}

export const statedElsewhere = (price: Price | undefined): StatedElsewhere | undefined =>
  (price as Partial<ConvertedPrice> | undefined)?.statedElsewhere;

/**
 * How a converted price was stated, and at what rate it is counted; empty where it was stated in this currency.
 * @example '€649.00 at 0.86 (2026-11-28)'
 */
export function conversionWords(price: Price | undefined): string {
  const stated = statedElsewhere(price);
  if (!stated) return '';
  const { likely, currency, perUnit, rateDate, rough } = stated;
  return `${formatMoney(likely, currency)} at ${perUnit} (${rough ? 'a rough rate of ' : ''}${rateDate})`;
}

type Money = Pick<Project, 'currency' | 'rates'>;

function inCurrency(price: Price | undefined, project: Money): Price | undefined {
  if (!price || price.currency === project.currency) return price;
  const rate = rateInto(project, price.currency);
  if (!rate) return price;
  const convert = (amount: number | undefined) =>
    amount === undefined
      ? undefined
      : convertedMinor(amount, price.currency, project.currency, rate.perUnit);
  const converted: ConvertedPrice = {
    ...price,
    likely: convert(price.likely)!,
    low: convert(price.low),
    high: convert(price.high),
    currency: project.currency,
    statedElsewhere: {
      likely: price.likely,
      low: price.low,
      high: price.high,
      currency: price.currency,
      perUnit: rate.perUnit,
      rateDate: rate.date,
      rough: rate.rough
    }
  };
  return converted;
}

const isElsewhere = ({ priceNew, priceUsed }: GearItem, currency: string): boolean =>
  (priceNew !== undefined && priceNew.currency !== currency) ||
  (priceUsed !== undefined && priceUsed.currency !== currency);

const pricedByMoney = memoOf((_shelf: Shelf) => new Map<string, Shelf>());

/** A shelf with its prices in the currency of a project, each beside what it was stated as; the same one where all are. */
export function pricedFor(project: Money, shelf: Shelf): Shelf {
  const { currency, rates } = project;
  const key = `${currency} ${(rates ?? []).map((rate) => `${rate.currency}${rate.perUnit}${rate.date}`).join()}`;
  const known = pricedByMoney(shelf);
  let priced = known.get(key);
  if (!priced) {
    priced = shelf.items.some((gear) => isElsewhere(gear, currency))
      ? makeShelf(
          shelf.items.map((gear) =>
            isElsewhere(gear, currency)
              ? {
                  ...gear,
                  priceNew: inCurrency(gear.priceNew, project),
                  priceUsed: inCurrency(gear.priceUsed, project)
                }
              : gear
          )
        )
      : shelf;
    known.set(key, priced);
  }
  return priced;
}

function asStated(price: Price | undefined): Price | undefined {
  const stated = statedElsewhere(price);
  if (!price || !stated) return price;
  const { likely, low, high, currency } = stated;
  const { date, source, dealEnds } = price;
  return { likely, low, high, currency, date, source, dealEnds };
}

/** A part with its prices as they were stated, which is how it is saved. */
export function asStatedGear<G extends GearItem>(gear: G): G {
  if (!statedElsewhere(gear.priceNew) && !statedElsewhere(gear.priceUsed)) return gear;
  return {
    ...gear,
    priceNew: withoutEmpty(asStated(gear.priceNew)),
    priceUsed: withoutEmpty(asStated(gear.priceUsed))
  };
}

function withoutEmpty(price: Price | undefined): Price | undefined {
  return (
    price &&
    (Object.fromEntries(Object.entries(price).filter(([, value]) => value !== undefined)) as Price)
  );
}
