import type { ExchangeRate } from '../model/exchange-rate';
import type { Project } from '../model/project';
import { minorPerMajor } from './format';
import { minor, type Minor, roundHalfAwayFromZero } from './minor';

/**
 * Rough rates that ship with the app, units for one US dollar, so that a price of another country is not left out
 * before somebody looks one up. Wherever one of them is used it is called rough, with its day.
 */
const roughPerUsd: Readonly<Record<string, number>> = {
  USD: 1,
  GBP: 0.78,
  EUR: 0.92,
  JPY: 150,
  CAD: 1.38,
  AUD: 1.53,
  NZD: 1.68,
  CHF: 0.88,
  SEK: 10.6,
  NOK: 10.9,
  DKK: 6.9,
  PLN: 3.95,
  CZK: 23.2,
  HUF: 365,
  INR: 84,
  CNY: 7.2,
  KRW: 1370,
  BRL: 5.6,
  MXN: 19,
  ZAR: 18,
  SGD: 1.33
};
export const ROUGH_RATES_DAY = '2026-11-01';

/** Currencies a project can be kept in without a rate of one's own. */
export const usualCurrencies: readonly string[] = Object.keys(roughPerUsd);

export interface Rate {
  currency: string;
  perUnit: number;
  date: string;
  /** Shipped with the app, stated by nobody. */
  rough: boolean;
}

/**
 * What one unit of a currency costs in another; undefined where nobody has said and none ships.
 * @example roughRate('EUR', 'GBP') // 0.847826, rough
 */
export function roughRate(from: string, into: string): Rate | undefined {
  const rough = roughPerUsd[from];
  const other = roughPerUsd[into];
  if (rough === undefined || other === undefined) return undefined;
  const perUnit = Number((other / rough).toPrecision(6));
  return { currency: from, perUnit, date: ROUGH_RATES_DAY, rough: true };
}

/** The rate a project converts a currency at: its own, else the rough one. */
export function rateInto(
  { currency, rates }: Pick<Project, 'currency' | 'rates'>,
  from: string
): Rate | undefined {
  const own = rates?.find((rate) => rate.currency === from);
  return own ? { ...own, rough: false } : roughRate(from, currency);
}

/**
 * What one unit of a project's currency is worth in another it may be kept in instead; undefined where nobody knows.
 * @example rateOfChange({ currency: 'GBP', rates: [{ currency: 'EUR', perUnit: 0.8, date: '2026-11-28' }] }, 'EUR') // 1.25
 */
export function rateOfChange(
  project: Pick<Project, 'currency' | 'rates'>,
  into: string
): number | undefined {
  const own = project.rates?.find((rate) => rate.currency === into);
  if (own) return Number((1 / own.perUnit).toPrecision(8));
  return roughRate(project.currency, into)?.perUnit;
}

/**
 * An amount in the minor units of another currency, rounded half away from zero.
 * @example convertedMinor(64900, 'EUR', 'GBP', 0.86) // 55814
 */
export function convertedMinor(amount: number, from: string, into: string, perUnit: number): Minor {
  return minor(
    roundHalfAwayFromZero((amount / minorPerMajor(from)) * perUnit * minorPerMajor(into))
  );
}

/** The rates of a project once it is kept in another currency: the old currency's own, and the others by way of it. */
export function ratesBeside(
  { rates }: Pick<Project, 'rates'>,
  from: string,
  perUnit: number,
  date: string,
  into: string
): ExchangeRate[] {
  const others = (rates ?? [])
    .filter(({ currency }) => currency !== into)
    .map((rate) => ({ ...rate, perUnit: Number((rate.perUnit * perUnit).toPrecision(8)) }));
  const rough = roughRate(from, into);
  return rough?.perUnit === perUnit ? others : [{ currency: from, perUnit, date }, ...others];
}
