import type { GearItem } from '../model/gear';
import type { PriceBasis } from '../model/plan';
import type { PriceAlert, PriceObservation } from '../model/price-observation';
import type { Project } from '../model/project';
import { daysBetween } from './days';
import { priceOf } from './payable-price';
import { asStatedGear } from './priced-shelf';
import { sameSight } from './same-sight';
import { convertedMinor, rateInto } from './rates';

/** A price seen, in the project's currency too; undefined there where nobody knows a rate. */
export interface PricePoint extends PriceObservation {
  ownMinor: number | undefined;
}

/** The part with a price that was seen as its own: the range closes on it. */
export function withObservation<G extends GearItem>(gear: G, seen: PriceObservation): G {
  const { priceMinor: likely, currency, date, source, dealEnds } = seen;
  const price = {
    likely,
    currency,
    date,
    source,
    ...(dealEnds === undefined ? {} : { dealEnds })
  };
  return seen.basis === 'used' ? { ...gear, priceUsed: price } : { ...gear, priceNew: price };
}

type Money = Pick<Project, 'currency' | 'rates'>;

function inOwnMoney(seen: PriceObservation, project: Money): PricePoint {
  const { priceMinor, currency } = seen;
  if (currency === project.currency) return { ...seen, ownMinor: priceMinor };
  const rate = rateInto(project, currency);
  return {
    ...seen,
    ownMinor: rate && convertedMinor(priceMinor, currency, project.currency, rate.perUnit)
  };
}

/** What the part itself states, as one more sight of its price. */
function statedSight(gear: GearItem, basis: PriceBasis): PriceObservation | undefined {
  const price = priceOf(asStatedGear(gear), basis);
  if (!price) return undefined;
  const { likely, currency, date, source, dealEnds } = price;
  return {
    gearId: gear.id,
    basis,
    priceMinor: likely,
    currency,
    date,
    source,
    ...(dealEnds === undefined ? {} : { dealEnds })
  };
}

/** Every price of a part on one basis, oldest first: what was seen, and what the plan goes on. */
export function priceHistory(
  project: Money & Pick<Project, 'priceObservations'>,
  gear: GearItem,
  basis: PriceBasis
): PricePoint[] {
  const stated = statedSight(gear, basis);
  const seen = (project.priceObservations ?? []).filter(
    (observation) =>
      observation.gearId === gear.id &&
      observation.basis === basis &&
      !(stated && sameSight(observation, stated))
  );
  return [...seen, ...(stated ? [stated] : [])]
    .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0))
    .map((observation) => inOwnMoney(observation, project));
}

/** A price seen lately that is as low as somebody asked to be told of. */
export interface RingingAlert {
  alert: PriceAlert;
  seen: PricePoint;
}

/** What was seen longer ago than this is no offer any more. */
export const OFFER_LASTS_DAYS = 14;

/**
 * Alerts that ring: the cheapest price seen within two weeks, or on a deal that still holds, is low enough.
 *
 * @param today YYYY-MM-DD
 */
export function ringingAlerts(
  project: Money & Pick<Project, 'priceObservations' | 'priceAlerts'>,
  gearById: ReadonlyMap<string, GearItem>,
  today: string
): RingingAlert[] {
  return (project.priceAlerts ?? []).flatMap((alert) => {
    const gear = gearById.get(alert.gearId);
    if (!gear) return [];
    const cheapest = priceHistory(project, gear, alert.basis)
      .filter(({ date, dealEnds, ownMinor }) => {
        const age = daysBetween(date, today);
        const holds = dealEnds === undefined ? age <= OFFER_LASTS_DAYS : dealEnds >= today;
        return age >= 0 && holds && ownMinor !== undefined && ownMinor <= alert.atMostMinor;
      })
      .sort((a, b) => a.ownMinor! - b.ownMinor!)[0];
    return cheapest ? [{ alert, seen: cheapest }] : [];
  });
}
