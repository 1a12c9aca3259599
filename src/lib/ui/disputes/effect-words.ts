import type { OtherWay } from '../../core/judge/disputes';
import { formatMoney } from '../../core/money/format';

/** What going the other way would do, in three short lines; a line with nothing to say is empty. */
export function effectWords(
  { takes, costMinor, meritBeforeHundredths, meritAfterHundredths, settles, breaks }: OtherWay,
  currency: string
): { sum: string; settles: string; breaks: string } {
  const points = (hundredths: number) => Math.round(hundredths / 100);
  const before = points(meritBeforeHundredths);
  const after = points(meritAfterHundredths);
  const worth =
    before === after ? `The kit stays at ${after}` : `The kit goes from ${before} to ${after}`;
  const price = formatMoney(Math.abs(costMinor), currency, { short: true });
  const money =
    costMinor === 0 ? 'at no price' : costMinor > 0 ? `for ${price} more` : `for ${price} less`;
  const parts = takes.length > 0 ? `, with ${takes.join(' and ')}` : '';
  const said = (changes: OtherWay['settles']) => changes.map(({ title }) => title).join('; ');
  return {
    sum: `${worth} ${money}${parts}.`,
    settles: settles.length > 0 ? `settles: ${said(settles)}` : '',
    breaks: breaks.length > 0 ? `side effects: ${said(breaks)}` : ''
  };
}
