import type { Project } from './project';

type Usual = Pick<Project, 'currency' | 'mainsHz' | 'units'>;

/** ISO 3166 regions by the currency paid in there, where it is not the euro. */
const currencyRegions: Readonly<Record<string, string>> = {
  GBP: 'GB GG JE IM',
  USD: 'US PR EC SV',
  JPY: 'JP',
  CAD: 'CA',
  AUD: 'AU',
  NZD: 'NZ',
  CHF: 'CH LI',
  SEK: 'SE',
  NOK: 'NO',
  DKK: 'DK GL FO',
  PLN: 'PL',
  CZK: 'CZ',
  HUF: 'HU',
  INR: 'IN',
  CNY: 'CN',
  KRW: 'KR',
  BRL: 'BR',
  MXN: 'MX',
  ZAR: 'ZA',
  SGD: 'SG',
  EUR: 'AT BE CY DE EE ES FI FR GR HR IE IT LT LU LV MT NL PT SI SK'
};
/** Where lamps pulse 120 times a second; Japan's west does, its east does not. */
const sixtyHertz = 'US PR CA MX BR KR TW PH CO VE EC SV GT HN CR PA DO SA'.split(' ');
const inchesAndPounds = ['US', 'PR', 'LR'];

/**
 * What is usual where a person lives, by the region of their language, to begin a form with; everything of it is
 * shown and can be changed.
 * @example usualOf('en-US') // { currency: 'USD', mainsHz: 60, units: 'imperial' }
 */
export function usualOf(language: string): Usual {
  let region: string | undefined;
  try {
    region = new Intl.Locale(language).maximize().region;
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
  }
  const currency =
    Object.keys(currencyRegions).find((currency) =>
      currencyRegions[currency]!.split(' ').includes(region ?? '')
    ) ?? 'GBP';
  return {
    currency,
    mainsHz: region !== undefined && sixtyHertz.includes(region) ? 60 : 50,
    units: region !== undefined && inchesAndPounds.includes(region) ? 'imperial' : 'metric'
  };
}
