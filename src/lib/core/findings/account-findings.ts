import { formatMoney } from '../money/format';
import { DEAL_SOON_DAYS, daysBetween } from '../money/days';
import type { Held, PlanFindingRow } from './finding';
import { waysToSave } from './money-findings';

/** What the account hides at first sight: the reserve, deals that end, money that comes back later. */
export const accountFindings: PlanFindingRow[] = [
  {
    code: 'M3',
    family: 'money',
    scope: 'plan',
    about: 'the reserve is eaten',
    judge: ({ money }): Held[] => {
      if (money.firmMinor <= money.spendableMinor || money.firmMinor > money.limitMinor) return [];
      const eaten = money.firmMinor - money.spendableMinor;
      return [
        {
          severity: 'warn',
          has: money.firmMinor,
          needs: money.spendableMinor,
          unit: 'money',
          title: () => `${formatMoney(eaten, money.currency)} of the amount set aside is used up`,
          why: () =>
            `The lines add up to ${formatMoney(money.firmMinor, money.currency)}: within the limit of ${formatMoney(money.limitMinor, money.currency)}, but ${formatMoney(money.reserveMinor, money.currency)} were to be set aside for what is forgotten.`
        }
      ];
    },
    propose: (context) => [
      ...waysToSave(context, context.money.lines),
      {
        label: `Set aside ${formatMoney(context.money.limitMinor - context.money.firmMinor, context.money.currency, { short: true })}`,
        act: {
          type: 'set project',
          patch: { reserveMinor: context.money.limitMinor - context.money.firmMinor }
        }
      }
    ]
  },
  {
    code: 'M5',
    family: 'money',
    scope: 'plan',
    about: 'a deal ended or ends soon',
    judge: ({ money, project }): Held[] => {
      const asOf = project.pricesAsOf;
      if (asOf === undefined) return [];
      return money.lines.flatMap(({ line, gear, price, firmMinor }): Held[] => {
        if (!price?.dealEnds || firmMinor === 0 || line.state === 'ordered') return [];
        const days = daysBetween(asOf, price.dealEnds);
        if (days > DEAL_SOON_DAYS) return [];
        const ended = days < 0;
        return [
          {
            severity: ended ? 'warn' : 'note',
            about: line.id,
            lineIds: [line.id],
            has: days,
            needs: ended ? 0 : DEAL_SOON_DAYS,
            unit: 'days',
            title: () =>
              ended
                ? `The offer for ${gear!.model} is over`
                : `The offer for ${gear!.model} ends ${days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${days} days`}`,
            why: () =>
              `${formatMoney(price.likely, money.currency)} at the ${price.source} ${ended ? 'held' : 'holds'} until ${price.dealEnds}.`
          }
        ];
      });
    },
    propose: (context, held) => {
      const line = context.money.lines.find((one) => one.line.id === held.about)!;
      return [
        ...(held.severity === 'note'
          ? [
              {
                label: 'It is ordered',
                act: {
                  type: 'change line' as const,
                  lineId: line.line.id,
                  patch: { state: 'ordered' as const }
                }
              }
            ]
          : []),
        ...waysToSave(context, [line])
      ];
    }
  },
  {
    code: 'M6',
    family: 'money',
    scope: 'plan',
    about: 'only money that comes back later brings it under the limit',
    judge: ({ money }): Held[] => {
      if (
        money.firmMinor <= money.spendableMinor ||
        money.afterCashBackMinor > money.spendableMinor
      )
        return [];
      return [
        {
          severity: 'note',
          has: money.firmMinor,
          needs: money.spendableMinor,
          unit: 'money',
          title: () => 'It fits only once the cash-back is there',
          why: () =>
            `You pay ${formatMoney(money.firmMinor, money.currency)} now; ${formatMoney(money.firmMinor - money.afterCashBackMinor, money.currency)} come back later, if the forms are right. Until then it is over.`
        }
      ];
    },
    propose: (context) => waysToSave(context, context.money.lines)
  }
];
