import type { Remedy } from '../../core/judge/settle';

/** What a remedy adds to the total or takes off it; nothing to say where it is free. */
export function priceOf(
  { costMinor }: Pick<Remedy, 'costMinor'>,
  money: (minor: number) => string
): string {
  return costMinor === 0 ? '' : `${costMinor < 0 ? '−' : '+'}${money(Math.abs(costMinor))}`;
}

/** What a remedy that does not take its finding away still does. */
export const partly = ({ unblocks }: Pick<Remedy, 'unblocks'>): string =>
  unblocks ? 'unblocks; a weakness stays' : 'helps partly';
