import { addDays, formatISO, parseISO } from 'date-fns';
import type { GearItem } from '../model/gear';
import type { PriceBasis } from '../model/plan';
import type { PriceObservation } from '../model/price-observation';

/** Shops that ship with the app: invented, and answering as shops do, late or not at all now and then. */
export const shops = [
  { id: 'corner', name: 'corner counter', basis: 'new', dearBy: 1.04, seldomOut: 0.05, slowMs: 60 },
  { id: 'parcel', name: 'parcel house', basis: 'new', dearBy: 0.98, seldomOut: 0.12, slowMs: 250 },
  { id: 'harbour', name: 'harbour store', basis: 'new', dearBy: 1, seldomOut: 0.2, slowMs: 900 },
  { id: 'swap', name: 'swap board', basis: 'used', dearBy: 1, seldomOut: 0.35, slowMs: 150 }
] as const satisfies readonly {
  id: string;
  name: string;
  basis: PriceBasis;
  dearBy: number;
  seldomOut: number;
  slowMs: number;
}[];
export type ShopId = (typeof shops)[number]['id'];

/** What one shop asks for one part on one day. */
export interface Quote {
  shop: ShopId;
  gearId: string;
  basis: PriceBasis;
  day: string;
  currency: string;
  /** Undefined where it is sold out or was never sold here. */
  priceMinor: number | undefined;
  /** The last day of a sale. */
  saleEnds: string | undefined;
}

/** A number from 0 to 1 that words fix: the same question has the same answer. */
function chanceOf(...words: readonly (string | number)[]): number {
  let mixed = 2_166_136_261;
  for (const sign of words.join(' ')) mixed = Math.imul(mixed ^ sign.charCodeAt(0), 16_777_619);
  mixed = Math.imul(mixed ^ (mixed >>> 15), 2_246_822_519);
  return ((mixed ^ (mixed >>> 13)) >>> 0) / 2 ** 32;
}

/** A price wanders by a share of itself and comes back: two slow waves of its own, and a little of the day. */
const DRIFT = 0.06;
const SALE_CHANCE = 0.12;
const SALE_OFF = { least: 0.08, most: 0.22 } as const;
const SALE_WEEK_DAYS = 7;

const dayNumber = (day: string): number => Math.floor(Date.parse(`${day}T00:00:00Z`) / 86_400_000);

/**
 * What a shop answers, by a process that its name, the part and the day fix: the price drifts about the part's likely
 * one, some weeks it is on sale, some days it is sold out.
 *
 * @param day YYYY-MM-DD
 */
export function quoteOf(gear: GearItem, shopId: ShopId, day: string): Quote {
  const shop = shops.find(({ id }) => id === shopId)!;
  const price = shop.basis === 'used' ? gear.priceUsed : gear.priceNew;
  const arrival = dayNumber(day);
  const answer: Quote = {
    shop: shopId,
    gearId: gear.id,
    basis: shop.basis,
    day,
    currency: price?.currency ?? '',
    priceMinor: undefined,
    saleEnds: undefined
  };
  if (!price || chanceOf(shopId, gear.id, 'out', Math.floor(arrival / 3)) < shop.seldomOut)
    return answer;
  const phase = chanceOf(shopId, gear.id, 'phase') * 2 * Math.PI;
  const wave =
    0.6 * Math.sin(arrival / 17 + phase) +
    0.3 * Math.sin(arrival / 5.3 + 2 * phase) +
    0.1 * (2 * chanceOf(shopId, gear.id, 'day', arrival) - 1);
  let minor = price.likely * shop.dearBy * (1 + DRIFT * wave);
  const week = Math.floor(arrival / SALE_WEEK_DAYS);
  if (chanceOf(shopId, gear.id, 'sale', week) < SALE_CHANCE) {
    const { least, most } = SALE_OFF;
    minor *= 1 - (least + (most - least) * chanceOf(shopId, gear.id, 'off', week));
    answer.saleEnds = formatISO(
      addDays(parseISO(day), SALE_WEEK_DAYS - 1 - (arrival - week * SALE_WEEK_DAYS)),
      { representation: 'date' }
    );
  }
  answer.priceMinor = Math.max(1, Math.round(minor));
  return answer;
}

/** Some questions fail the first time they are asked, as on any line. */
const FAILS_FIRST = 0.15;

/** Whether a shop's line breaks at one try of one question; the third try always gets through. */
export const breaksAt = (gearId: string, shopId: ShopId, day: string, attempt: number): boolean =>
  attempt < 3 && chanceOf(shopId, gearId, day, 'line', attempt) < FAILS_FIRST;

/** What a shop answered as a price that was seen; undefined where it has none. */
export function observationOf(quote: Quote): PriceObservation | undefined {
  const { gearId, basis, priceMinor, currency, day, shop, saleEnds } = quote;
  if (priceMinor === undefined) return undefined;
  return {
    gearId,
    basis,
    priceMinor,
    currency,
    date: day,
    source: shops.find(({ id }) => id === shop)!.name,
    ...(saleEnds === undefined ? {} : { dealEnds: saleEnds })
  };
}
