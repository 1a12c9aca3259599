import { payableMinor } from '../../money/payable-price';
import type { StatementLine } from '../../money/statement';
import type { PlanContext, Proposal } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';

/** Ways to spend less on lines: used, later, or a cheaper part of the same kind. */
export function waysToSave(context: PlanContext, lines: readonly StatementLine[]): Proposal[] {
  const { shelf, project } = context;
  const dearestFirst = lines
    .filter((line) => line.gear && line.firmMinor > 0 && !line.line.locked)
    .sort((a, b) => b.firmMinor - a.firmMinor);
  const proposals: Proposal[] = [];
  for (const { line, gear } of dearestFirst) {
    if (line.basis === 'new' && gear!.priceUsed?.currency === project.currency) {
      proposals.push({
        label: `Buy ${gear!.model} used`,
        act: { type: 'change line', lineId: line.id, patch: { basis: 'used' } }
      });
    }
  }
  for (const { line, gear } of [...dearestFirst].reverse()) {
    proposals.push({
      label: `Move ${gear!.model} to later`,
      act: { type: 'change line', lineId: line.id, patch: { step: 'later' } }
    });
  }
  for (const { line, gear, unitMinor } of dearestFirst.slice(0, 4)) {
    const cheaper = cheapestOf(
      shelf,
      project,
      gear!.kind,
      (other) => payableMinor(project, other)! < (unitMinor ?? 0)
    ).reverse();
    proposals.push({
      parts: cheaper.slice(0, 12),
      label: (other) => `Swap ${gear!.model} for ${other.model}`,
      act: swapFor(line.id)
    });
  }
  return proposals;
}
