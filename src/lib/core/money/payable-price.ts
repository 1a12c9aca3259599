import type { Price } from '../model/gear/price';
import type { GearItem } from '../model/gear';
import type { PriceBasis } from '../model/plan';
import type { Project } from '../model/project';

/** What decides which of a part's prices is paid. */
export type Buyer = Pick<Project, 'currency' | 'rules'>;

const wantsUsed = ({ rules }: Buyer): boolean =>
  rules?.onlyUsed === true || rules?.preferUsed === true;

/** How a part would be bought: used by the person's rule, and where nobody sells it new. */
export function basisFor(buyer: Buyer, gear: GearItem): PriceBasis {
  return gear.priceUsed && (wantsUsed(buyer) || !gear.priceNew) ? 'used' : 'new';
}

/** The price on a basis. */
export function priceOf(gear: GearItem, basis: PriceBasis): Price | undefined {
  return basis === 'used' ? gear.priceUsed : gear.priceNew;
}

/**
 * The likely price a person would pay for a part, in whole minor units.
 *
 * @returns undefined where nobody states one in the project's currency: such a part cannot be proposed
 */
export function payableMinor(buyer: Buyer, gear: GearItem): number | undefined {
  const price = priceOf(gear, basisFor(buyer, gear));
  return price?.currency === buyer.currency ? price.likely : undefined;
}

/** Buyers who would pay alike share this, for what is kept of a shelf by its prices. */
export const payingKey = (buyer: Buyer): string =>
  `${buyer.currency}${wantsUsed(buyer) ? ' used' : ''}`;
