import type { GearItem } from './gear';
import type { Plan, PlanLine, PriceBasis } from './plan';

/** A fresh line for a part, with an id no line of the plan has. The same plan gives the same id. */
export function newLine(
  plan: Plan,
  gear: GearItem,
  quantity = 1,
  basis: PriceBasis = 'new'
): PlanLine {
  let number = plan.lines.length + 1;
  while (plan.lines.some((line) => line.id === `line-${number}`)) number += 1;
  return {
    id: `line-${number}`,
    gearId: gear.id,
    quantity,
    basis,
    state: 'wanted',
    step: 'now',
    locked: false
  };
}
