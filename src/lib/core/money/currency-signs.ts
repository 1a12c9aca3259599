/** Currencies by the signs and codes prices are written with; a sign of several currencies is the most usual one's. */
export const currencySigns: Readonly<Record<string, string>> = {
  '£': 'GBP',
  '€': 'EUR',
  $: 'USD',
  '¥': 'JPY'
};

/** The currency an amount is written in, by its code or sign; undefined where it is a bare number. */
export function currencyIn(text: string): string | undefined {
  const code = /\b([A-Z]{3})\b/.exec(text)?.[1];
  if (code) return code;
  const sign = Object.keys(currencySigns).find((one) => text.includes(one));
  return sign && currencySigns[sign];
}
