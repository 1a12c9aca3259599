const formatters = new Map<string, Intl.NumberFormat>();

function formatterFor(
  currency: string,
  locale: string | undefined,
  whole: boolean
): Intl.NumberFormat {
  const key = `${currency} ${locale ?? ''} ${whole}`;
  let formatter = formatters.get(key);
  if (!formatter) {
    formatter = new Intl.NumberFormat(locale, {
      style: 'currency',
      currency,
      currencyDisplay: 'narrowSymbol',
      ...(whole ? { minimumFractionDigits: 0, maximumFractionDigits: 0 } : {})
    });
    formatters.set(key, formatter);
  }
  return formatter;
}

/** Minor units per unit of a currency, from its ISO 4217 decimals: 100 for GBP, 1 for JPY. */
export function minorPerMajor(currency: string): number {
  let units = perMajorOf.get(currency);
  if (units === undefined) {
    const { maximumFractionDigits = 2 } = formatterFor(currency, 'en', false).resolvedOptions();
    perMajorOf.set(currency, (units = 10 ** maximumFractionDigits));
  }
  return units;
}
const perMajorOf = new Map<string, number>();

/** Money as people write it. Decimals are left off when there are none and `short` is asked for. */
export function formatMoney(
  amountMinor: number,
  currency: string,
  { short = false, locale }: { short?: boolean; locale?: string } = {}
): string {
  const perMajor = minorPerMajor(currency);
  const whole = short && amountMinor % perMajor === 0;
  return formatterFor(currency, locale, whole).format(amountMinor / perMajor);
}
