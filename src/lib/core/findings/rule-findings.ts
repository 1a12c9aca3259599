import { fullName } from '../model/gear';
import { formatMoney } from '../money/format';
import type { StatementLine } from '../money/statement';
import type { Held, PlanContext, PlanFindingRow, Proposal } from './finding';
import { cheapestOf, swapFor } from './part-candidates';

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
  const most = measure?.priceNew?.currency === money.currency ? measure.priceNew.likely : undefined;
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

/** Rules of one's own: only used, only from one place, nothing dearer than a named part. */
export const ruleFindings: PlanFindingRow[] = [
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
      const one = broken(context).find(
        ({ line, rule }) => held.about === `rule ${rule} ${line.line.id}`
      );
      if (!one?.line.gear) return [];
      const { line, rule } = one;
      const { project, shelf } = context;
      const gear = line.gear!;
      const proposals: Proposal[] = [];
      if (rule === 'used' && gear.priceUsed?.currency === project.currency)
        proposals.push({
          label: `${gear.model} used`,
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
            (other) => other.id !== gear.id && fits(other.priceNew!.source)
          )
            .reverse()
            .slice(0, 12),
          label: (other) => `${other.model} instead`,
          act: swapFor(line.line.id)
        });
      proposals.push(
        {
          label: `${gear.model} later`,
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
