import { MeasureError } from './measure';
import { minorPerMajor } from '../money/format';
import { minor, type Minor, roundHalfAwayFromZero } from '../money/minor';

/** Signs that say one currency; the longer ones are looked for first. */
const signs: readonly [sign: string, currency: string][] = [
  ['US$', 'USD'],
  ['CA$', 'CAD'],
  ['C$', 'CAD'],
  ['AU$', 'AUD'],
  ['A$', 'AUD'],
  ['NZ$', 'NZD'],
  ['S$', 'SGD'],
  ['R$', 'BRL'],
  ['MX$', 'MXN'],
  ['CN¥', 'CNY'],
  ['£', 'GBP'],
  ['€', 'EUR'],
  ['₹', 'INR'],
  ['₩', 'KRW'],
  ['zł', 'PLN'],
  ['Kč', 'CZK'],
  ['Ft', 'HUF'],
  ['Fr.', 'CHF']
];
/** Signs several currencies share: the project's own where it is among them, else the first. */
const sharedSigns: readonly [sign: string, currencies: readonly string[]][] = [
  ['$', ['USD', 'CAD', 'AUD', 'NZD', 'SGD', 'MXN']],
  ['¥', ['JPY', 'CNY']]
];
/** Words nobody can tell apart without the country. */
const CROWNS = /(?<![a-z])kr\.?(?![a-z])/i;
const crownCurrencies: readonly string[] = ['SEK', 'NOK', 'DKK'];

const isoCodes: ReadonlySet<string> = new Set(Intl.supportedValuesOf('currency'));

/** Signs as a pattern, for a reader that looks for prices in running text, where “ft” is a length. */
export const currencyPattern = [...signs, ...sharedSigns]
  .filter(([sign]) => sign !== 'Ft')
  .map(([sign]) => sign.replace(/[.$]/g, String.raw`\$&`))
  .join('|');

/**
 * The currency an amount is written in, by its code or sign; undefined where it is a bare number.
 *
 * @param own the currency one pays in here, which a shared sign is taken for
 * @throws MeasureError where a code is none, or a word may be several currencies
 * @example currencyOf('649,00 €', 'GBP') // 'EUR'
 */
export function currencyOf(text: string, own: string): string | undefined {
  const code = /(?<![a-z])[a-z]{3}(?![a-z])/i.exec(text)?.[0].toUpperCase();
  if (code !== undefined && isoCodes.has(code)) return code;
  for (const [sign, currency] of signs) if (text.includes(sign)) return currency;
  for (const [sign, currencies] of sharedSigns)
    if (text.includes(sign)) return currencies.includes(own) ? own : currencies[0];
  if (CROWNS.test(text)) {
    if (crownCurrencies.includes(own)) return own;
    throw new MeasureError(
      `“${text.trim()}” may be Swedish, Norwegian or Danish; write SEK, NOK or DKK.`
    );
  }
  if (code !== undefined)
    throw new MeasureError(
      `“${code}” is not a currency; write its code, such as EUR, or its sign.`
    );
  return undefined;
}

export interface Amount {
  minor: Minor;
  currency: string;
  /** The text says which currency it is. */
  said: boolean;
}

/** More than any part costs; a slip of the finger above it. */
const MOST_MAJOR = 100_000_000;

/**
 * An amount of money as people of any country write it: `649,00 €`, `$ 1,299`, `1 299,50 kr`, `1.299,-`, `89.90
 * EUR`. The last separator is the decimal one, unless three figures follow it: then it parts thousands.
 *
 * @param own the currency of a bare number
 * @throws MeasureError with a sentence when it is no amount
 * @example readAmount('1.299,00 €', 'GBP') // { minor: 129900, currency: 'EUR', said: true }
 */
export function readAmount(text: string, own: string): Amount {
  const said = currencyOf(text, own);
  const currency = said ?? own;
  const figures = text
    .trim()
    .replace(/^.*?(?=[-+\u2212]?[.,]?\d)/u, '')
    .replace(/[.,][\u2013\u2014-]+/u, '')
    .replace(/[^\d]+$/u, '');
  const plain = figures.replace(/[\s\u00a0\u2009\u202f'’]/gu, '');
  const major = majorIn(plain, minorPerMajor(currency));
  if (major === undefined || /\d\s+[^\d\s.,'’]+\s*\d/u.test(figures))
    throw new MeasureError(`“${text.trim()}” is not an amount; write one such as 129.00.`);
  if (/^[+]?-|^\u2212/u.test(plain) || major > MOST_MAJOR)
    throw new MeasureError(
      `“${text.trim()}” is not a price; it lies from 0 to ${MOST_MAJOR.toLocaleString('en')}.`
    );
  return {
    minor: minor(roundHalfAwayFromZero(major * minorPerMajor(currency))),
    currency,
    said: said !== undefined
  };
}

function majorIn(plain: string, perMajor: number): number | undefined {
  if (!/^[-+\u2212]?\d[\d.,]*$|^[.,]\d+$/u.test(plain)) return undefined;
  const unsigned = plain.replace(/^[-+\u2212]/u, '');
  const last = Math.max(unsigned.lastIndexOf('.'), unsigned.lastIndexOf(','));
  if (last < 0) return Number(unsigned);
  const separator = unsigned[last]!;
  const other = separator === '.' ? ',' : '.';
  const after = unsigned.slice(last + 1);
  const before = unsigned.slice(0, last);
  // Where a unit has a thousand parts, three figures after a point are those.
  const thousandsOnly =
    after.length === 3 &&
    !(perMajor === 1000 && separator === '.' && unsigned.indexOf('.') === last) &&
    !before.includes(other) &&
    /^[1-9]\d{0,2}([.,]\d{3})*$/.test(before);
  const grouped = (whole: string, by: string) =>
    whole === '' || /^\d+$/.test(whole) || new RegExp(`^\\d{1,3}(\\${by}\\d{3})+$`).test(whole);
  if (thousandsOnly)
    return grouped(unsigned, separator) ? Number(unsigned.replaceAll(separator, '')) : undefined;
  if (!grouped(before, other) || !/^\d+$/.test(after)) return undefined;
  return Number(`${before.replaceAll(other, '')}.${after}`);
}
