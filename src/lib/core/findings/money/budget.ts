import { fullName } from '../../model/gear';
import { type Pocket, pockets } from '../../model/pocket';
import { formatMoney } from '../../money/format';
import { basisFor, payableMinor, priceOf } from '../../money/payable-price';
import type { MoneyStatement, StatementLine } from '../../money/statement';
import type { Held, PlanContext, PlanFindingRow, Proposal, SettingProposal } from '../finding';
import { waysToSave } from './ways-to-save';
import { cheapestOf, swapFor } from '../part-candidates';

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
            title: () =>
              `${gear!.model} costs ${formatMoney(unitMinor, money.currency)} (maximum per part ${formatMoney(limitMinor, money.currency)})`,
            why: () => 'That is the maximum price per part you have set.'
          }
        ]
  );
}

/** What is left to spend once something is set aside. */
function budgetWords({
  spendableMinor,
  limitMinor,
  reserveMinor,
  currency
}: MoneyStatement): string {
  if (spendableMinor <= 0)
    return limitMinor > 0
      ? `all of the limit of ${formatMoney(limitMinor, currency)} is set aside`
      : 'no limit is set to spend from';
  const aside = reserveMinor > 0 ? ` once ${formatMoney(reserveMinor, currency)} is set aside` : '';
  return `the budget is ${formatMoney(spendableMinor, currency)}${aside}`;
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

interface Broken {
  line: StatementLine;
  rule: 'used' | 'source' | 'dearer';
  says: string;
}

/** Lines that break a rule the person buys by. */
function broken({
  money,
  project,
  shelf
}: Pick<PlanContext, 'money' | 'project' | 'shelf'>): Broken[] {
  const { rules } = project;
  if (!rules) return [];
  const measure = rules.noDearerThanGearId ? shelf.byId.get(rules.noDearerThanGearId) : undefined;
  const most = measure && payableMinor(project, measure);
  const list: Broken[] = [];
  for (const line of money.lines) {
    if (!line.gear || !line.price || line.firmMinor === 0) continue;
    if (rules.onlyUsed === true && line.line.basis === 'new')
      list.push({ line, rule: 'used', says: 'it is bought new, and only used is your rule' });
    if (rules.onlyFrom && !line.price.source.toLowerCase().includes(rules.onlyFrom.toLowerCase()))
      list.push({
        line,
        rule: 'source',
        says: `its price was seen at the ${line.price.source}, and you buy only from “${rules.onlyFrom}”`
      });
    if (most !== undefined && line.gear.id !== measure!.id && line.price.likely > most)
      list.push({
        line,
        rule: 'dearer',
        says: `it costs ${formatMoney(line.price.likely, money.currency)}, and nothing is to cost more than ${fullName(measure!)} at ${formatMoney(most, money.currency)}`
      });
  }
  return list;
}

/** Every part the rule speaks of that is sold used, in one act; where there is but one it is proposed by itself. */
function allUsed(context: Pick<PlanContext, 'money' | 'project' | 'shelf'>): SettingProposal[] {
  const sold = broken(context).filter(
    ({ line, rule }) =>
      rule === 'used' && line.gear?.priceUsed?.currency === context.project.currency
  );
  if (sold.length < 2) return [];
  return [
    {
      label: `Buy all ${sold.length} used that are sold used`,
      act: {
        type: 'batch',
        acts: sold.map(({ line }) => ({
          type: 'change line',
          lineId: line.line.id,
          patch: { basis: 'used' }
        }))
      }
    }
  ];
}

/** M3, M6, M1, M2. */
export const budgetFindings: readonly PlanFindingRow[] = [
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
        label: `Set aside only ${formatMoney(context.money.limitMinor - context.money.firmMinor, context.money.currency, { short: true })}`,
        act: {
          type: 'set project',
          patch: { reserveMinor: context.money.limitMinor - context.money.firmMinor }
        }
      }
    ]
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
  },
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
            `The lines add up to ${formatMoney(money.firmMinor, money.currency)}; ${budgetWords(money)}.`
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
        const line = context.money.lines.find(
          (statement) => statement.line.id === held.lineIds![0]
        );
        return line ? waysToSave(context, [line]) : [];
      }
      const pocket = held.about as Pocket;
      return [
        ...waysToSave(
          context,
          context.money.lines.filter((line) => line.pocket === pocket)
        ),
        {
          label: `Raise its limit to ${formatMoney(held.has ?? 0, context.money.currency, { short: true })}`,
          act: { type: 'set pocket limit', pocket, limitMinor: held.has }
        }
      ];
    }
  },
  {
    code: 'M2',
    family: 'money',
    scope: 'plan',
    about: 'a rule of one’s own is broken',
    judge: (context): Held[] =>
      broken(context).map(({ line, rule, says }) => ({
        severity: 'warn',
        about: `rule ${rule} ${line.line.id}`,
        lineIds: [line.line.id],
        has: 0,
        needs: 1,
        unit: 'yes/no',
        title: () => `${line.gear!.model} breaks your rule`,
        why: () => `By what you said, ${says}.`
      })),
    propose: (context, held): Proposal[] => {
      const limit = broken(context).find(
        ({ line, rule }) => held.about === `rule ${rule} ${line.line.id}`
      );
      if (!limit?.line.gear) return [];
      const { line, rule } = limit;
      const { project, shelf } = context;
      const gear = line.gear!;
      const proposals: Proposal[] = [];
      if (rule === 'used' && gear.priceUsed?.currency === project.currency)
        proposals.push(...allUsed(context), {
          label: `Buy ${gear.model} used`,
          act: { type: 'change line', lineId: line.line.id, patch: { basis: 'used' } }
        });
      const fits = {
        used: () => false,
        source: (source: string) =>
          source.toLowerCase().includes((project.rules!.onlyFrom ?? '').toLowerCase()),
        dearer: () => true
      }[rule];
      if (rule !== 'used')
        proposals.push({
          parts: cheapestOf(
            shelf,
            project,
            gear.kind,
            (other) =>
              other.id !== gear.id && fits(priceOf(other, basisFor(project, other))!.source)
          )
            .reverse()
            .slice(0, 12),
          label: (other) => `Swap ${gear.model} for ${other.model}`,
          act: swapFor(line.line.id)
        });
      proposals.push(
        {
          label: `Move ${gear.model} to later`,
          act: { type: 'change line', lineId: line.line.id, patch: { step: 'later' } }
        },
        {
          label: 'Remove this rule',
          act: {
            type: 'set project',
            patch: {
              rules: {
                ...project.rules,
                ...{
                  used: { onlyUsed: undefined },
                  source: { onlyFrom: undefined },
                  dearer: { noDearerThanGearId: undefined }
                }[rule]
              }
            }
          }
        }
      );
      return proposals;
    }
  }
];
