import type { Act } from '../../acts/act';
import { type GearItem, fullName } from '../../model/gear';
import type { PriceBasis } from '../../model/plan';
import type { Project } from '../../model/project';
import { DEAL_SOON_DAYS, STALE_AFTER_DAYS, daysBetween } from '../../money/days';
import { formatMoney } from '../../money/format';
import type { MoneyStatement } from '../../money/statement';
import type { Held, PlanFindingRow } from '../finding';
import { waysToSave } from './ways-to-save';

/** Prices nobody has looked at for long. */
function stalePrices(
  money: MoneyStatement,
  {
    pricesAsOf: asOf,
    staleAfterDays = STALE_AFTER_DAYS
  }: Pick<Project, 'pricesAsOf' | 'staleAfterDays'>
): Held[] {
  if (asOf === undefined) return [];
  return money.lines.flatMap(({ line, gear, price, firmMinor }): Held[] => {
    if (!price || firmMinor === 0) return [];
    const days = daysBetween(price.date, asOf);
    return days <= staleAfterDays
      ? []
      : [
          {
            severity: 'note',
            about: `${line.id} stale`,
            lineIds: [line.id],
            has: days,
            needs: staleAfterDays,
            unit: 'days',
            title: () => `The price of ${gear!.model} is ${days} days old`,
            why: () =>
              `It was seen on ${price.date} at the ${price.source}; look again before you count on it.`
          }
        ];
  });
}

/** Cash-back that has to be claimed soon, or was not in time: what is counted on and may not come. */
function cashBackEnds({ lines, currency }: MoneyStatement, asOf: string): Held[] {
  return lines.flatMap(({ line, gear, firmMinor }): Held[] => {
    const { cashBackMinor, cashBackUntil } = line;
    if (!cashBackMinor || cashBackUntil === undefined || firmMinor === 0) return [];
    const days = daysBetween(asOf, cashBackUntil);
    if (days > DEAL_SOON_DAYS) return [];
    const ended = days < 0;
    const name = gear?.model ?? line.gearId;
    return [
      {
        severity: ended ? 'warn' : 'note',
        about: `${line.id} cash-back`,
        lineIds: [line.id],
        has: days,
        needs: ended ? 0 : DEAL_SOON_DAYS,
        unit: 'days',
        title: () =>
          ended
            ? `The cash-back on ${name} can no longer be claimed`
            : `The cash-back on ${name} has to be claimed ${days === 0 ? 'today' : days === 1 ? 'by tomorrow' : `within ${days} days`}`,
        why: () =>
          `${formatMoney(cashBackMinor, currency)} ${ended ? 'were' : 'are'} paid back until ${cashBackUntil}. The verdict never counts on it.`
      }
    ];
  });
}

/** The part with the price of a basis seen again today, kept as one's own entry. */
function seenToday(gear: GearItem, basis: PriceBasis, date: string): GearItem {
  const key = basis === 'used' ? 'priceUsed' : 'priceNew';
  return { ...gear, [key]: { ...gear[key]!, date } };
}

/** M5, M4. */
export const pricesFindings: readonly PlanFindingRow[] = [
  {
    code: 'M5',
    family: 'money',
    scope: 'plan',
    about: 'a deal ended or ends soon',
    judge: ({ money, project }): Held[] => {
      const asOf = project.pricesAsOf;
      if (asOf === undefined) return [];
      const deals = money.lines.flatMap(({ line, gear, price, firmMinor }): Held[] => {
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
      return [...deals, ...cashBackEnds(money, asOf)];
    },
    propose: (context, held) => {
      const line = context.money.lines.find((statement) => statement.line.id === held.lineIds![0])!;
      if (held.about?.endsWith(' cash-back'))
        return [
          {
            label: 'Count on no cash-back',
            act: {
              type: 'change line',
              lineId: line.line.id,
              patch: { cashBackMinor: undefined, cashBackUntil: undefined }
            }
          },
          ...waysToSave(context, [line])
        ];
      return [
        ...(held.severity === 'note'
          ? [
              {
                label: 'Mark as ordered',
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
    code: 'M4',
    family: 'money',
    scope: 'plan',
    about: 'a price is missing or stale',
    judge: ({ money, project }) => [
      ...stalePrices(money, project),
      ...money.unpriced.map(({ line, gear }): Held => ({
        severity: 'warn',
        has: 0,
        needs: 1,
        unit: 'count',
        about: line.id,
        lineIds: [line.id],
        title: () => `${gear ? fullName(gear) : 'A part that is gone from the shelf'} has no price`,
        why: () =>
          `There is no ${line.basis} price in ${money.currency}, so the total leaves it out.`
      }))
    ],
    propose: ({ plan, shelf, project }, held) => {
      const line = plan.lines.find((line) => line.id === held.lineIds?.[0]);
      const gear = line && shelf.byId.get(line.gearId);
      const acts: { label: string; act: Act }[] = [];
      if (held.about?.endsWith(' stale') && line && gear)
        return [
          {
            label: 'Confirm the price, seen today',
            act: { type: 'put gear', gear: seenToday(gear, line.basis, project.pricesAsOf!) }
          },
          {
            label: 'Move to later',
            act: { type: 'change line', lineId: line.id, patch: { step: 'later' } }
          }
        ];
      if (line && gear && line.basis === 'used' && gear.priceNew?.currency === project.currency) {
        acts.push({
          label: 'Buy it new',
          act: { type: 'change line', lineId: line.id, patch: { basis: 'new' } }
        });
      }
      if (line)
        acts.push({ label: 'Remove it from kit', act: { type: 'remove line', lineId: line.id } });
      return acts;
    }
  }
];
