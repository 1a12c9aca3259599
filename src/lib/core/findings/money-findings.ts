import type { Act } from '../acts/act';
import { fullName, type GearItem } from '../model/gear';
import type { PriceBasis } from '../model/plan';
import { type Pocket, pockets } from '../model/pocket';
import { formatMoney } from '../money/format';
import { daysBetween, STALE_AFTER_DAYS } from '../money/days';
import type { MoneyStatement, StatementLine } from '../money/statement';
import type { Held, PlanContext, PlanFindingRow, Proposal } from './finding';
import { cheapestOf, swapFor } from './part-candidates';

/** Ways to spend less on lines: used, put off, or a cheaper part of the same kind. */
export function waysToSave(context: PlanContext, lines: readonly StatementLine[]): Proposal[] {
  const { shelf, project } = context;
  const dearestFirst = lines
    .filter((line) => line.gear && line.firmMinor > 0 && !line.line.locked)
    .sort((a, b) => b.firmMinor - a.firmMinor);
  const proposals: Proposal[] = [];
  for (const { line, gear } of dearestFirst) {
    if (line.basis === 'new' && gear!.priceUsed?.currency === project.currency) {
      proposals.push({
        label: `${gear!.model} used`,
        act: { type: 'change line', lineId: line.id, patch: { basis: 'used' } }
      });
    }
  }
  for (const { line, gear } of [...dearestFirst].reverse()) {
    proposals.push({
      label: `${gear!.model} later`,
      act: { type: 'change line', lineId: line.id, patch: { step: 'later' } }
    });
  }
  for (const { line, gear, unitMinor } of dearestFirst.slice(0, 4)) {
    const cheaper = cheapestOf(
      shelf,
      project,
      gear!.kind,
      (other) => other.priceNew!.likely < (unitMinor ?? 0)
    ).reverse();
    proposals.push({
      parts: cheaper.slice(0, 12),
      label: (other) => `${other.model} instead`,
      act: swapFor(line.id)
    });
  }
  return proposals;
}

/** The part with the price of a basis seen again today, kept as one's own entry. */
function seenToday(gear: GearItem, basis: PriceBasis, date: string): GearItem {
  const key = basis === 'used' ? 'priceUsed' : 'priceNew';
  return { ...gear, [key]: { ...gear[key]!, date } };
}

/** Parts dearer than any one part may be. */
function dearParts(money: MoneyStatement, limitMinor: number | undefined): Held[] {
  if (limitMinor === undefined) return [];
  return money.lines.flatMap(({ line, gear, unitMinor, firmMinor }): Held[] =>
    unitMinor === undefined || firmMinor === 0 || unitMinor <= limitMinor
      ? []
      : [
          {
            severity: 'warn',
            about: `part ${line.id}`,
            lineIds: [line.id],
            has: unitMinor,
            needs: limitMinor,
            unit: 'money',
            title: () => `${gear!.model} costs more than one part may`,
            why: () =>
              `It costs ${formatMoney(unitMinor, money.currency)}; you said each thing stays under ${formatMoney(limitMinor, money.currency)}.`
          }
        ]
  );
}

/** Prices nobody has looked at for long. */
function stalePrices(money: MoneyStatement, asOf: string | undefined): Held[] {
  if (asOf === undefined) return [];
  return money.lines.flatMap(({ line, gear, price, firmMinor }): Held[] => {
    if (!price || firmMinor === 0) return [];
    const days = daysBetween(price.date, asOf);
    return days <= STALE_AFTER_DAYS
      ? []
      : [
          {
            severity: 'note',
            about: `${line.id} stale`,
            lineIds: [line.id],
            has: days,
            needs: STALE_AFTER_DAYS,
            unit: 'days',
            title: () => `The price of ${gear!.model} is ${days} days old`,
            why: () =>
              `It was seen on ${price.date} at the ${price.source}; look again before you count on it.`
          }
        ];
  });
}

function overPocket(
  { lines, currency }: MoneyStatement,
  pocket: Pocket,
  firmMinor: number,
  limitMinor: number
): Held {
  return {
    severity: 'warn',
    about: pocket,
    has: firmMinor,
    needs: limitMinor,
    unit: 'money',
    lineIds: lines.filter((line) => line.pocket === pocket).map(({ line }) => line.id),
    title: () =>
      `The ${pocket} pocket is ${formatMoney(firmMinor - limitMinor, currency)} over its limit`,
    why: () =>
      `It holds ${formatMoney(firmMinor, currency)} of the ${formatMoney(limitMinor, currency)} set for it.`
  };
}

export const moneyFindings: PlanFindingRow[] = [
  {
    code: 'M1',
    family: 'money',
    scope: 'plan',
    about: 'over the total',
    judge: ({ money }): Held[] => {
      if (money.firmMinor <= money.limitMinor) return [];
      return [
        {
          severity: 'warn',
          has: money.firmMinor,
          needs: money.spendableMinor,
          unit: 'money',
          title: () => `${formatMoney(-money.remainingMinor, money.currency)} over budget`,
          why: () =>
            `The lines add up to ${formatMoney(money.firmMinor, money.currency)}; ${formatMoney(money.spendableMinor, money.currency)} may be spent once ${formatMoney(money.reserveMinor, money.currency)} is set aside.`
        }
      ];
    },
    propose: (context) => waysToSave(context, context.money.lines)
  },
  {
    code: 'M2',
    family: 'money',
    scope: 'plan',
    about: 'over a pocket limit, or a part over the limit for one part',
    judge: ({ money, project }) => {
      const held = dearParts(money, project.itemLimitMinor);
      for (const pocket of pockets) {
        const { firmMinor, limitMinor } = money.pockets[pocket];
        if (limitMinor !== undefined && firmMinor > limitMinor)
          held.push(overPocket(money, pocket, firmMinor, limitMinor));
      }
      return held;
    },
    propose: (context, held) => {
      if (held.about?.startsWith('part ')) {
        const line = context.money.lines.find((one) => one.line.id === held.lineIds![0]);
        return line ? waysToSave(context, [line]) : [];
      }
      const pocket = held.about as Pocket;
      return [
        ...waysToSave(
          context,
          context.money.lines.filter((line) => line.pocket === pocket)
        ),
        {
          label: `Allow it ${formatMoney(held.has ?? 0, context.money.currency, { short: true })}`,
          act: { type: 'set pocket limit', pocket, limitMinor: held.has }
        }
      ];
    }
  },
  {
    code: 'M4',
    family: 'money',
    scope: 'plan',
    about: 'a price is missing or stale',
    judge: ({ money, project }) => [
      ...stalePrices(money, project.pricesAsOf),
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
      const line = plan.lines.find((one) => one.id === held.lineIds?.[0]);
      const gear = line && shelf.byId.get(line.gearId);
      const acts: { label: string; act: Act }[] = [];
      if (held.about?.endsWith(' stale') && line && gear)
        return [
          {
            label: 'I looked: it still holds',
            act: { type: 'put gear', gear: seenToday(gear, line.basis, project.pricesAsOf!) }
          },
          {
            label: 'Put it off',
            act: { type: 'change line', lineId: line.id, patch: { step: 'later' } }
          }
        ];
      if (line && gear && line.basis === 'used' && gear.priceNew?.currency === project.currency) {
        acts.push({
          label: 'Buy it new',
          act: { type: 'change line', lineId: line.id, patch: { basis: 'new' } }
        });
      }
      if (line) acts.push({ label: 'Leave it out', act: { type: 'remove line', lineId: line.id } });
      return acts;
    }
  }
];
