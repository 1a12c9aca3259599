import { formatMoney } from '../../core/money/format';

/** What a sum done by hand leaves, or by how much it goes over. */
export const byHandWords = (minor: number, currency: string): string =>
  minor < 0 ? `${formatMoney(-minor, currency)} over` : formatMoney(minor, currency);
