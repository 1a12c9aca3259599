import { activePlan } from '../../model/active-plan';
import type { GearItem } from '../../model/gear';
import type { PlanLine } from '../../model/plan';
import type { Project } from '../../model/project';
import type { Shelf } from '../../model/shelf';
import { spendableOf } from '../front-steps';
import { compareWorth, judged, kitOf, type PackedKit } from '../packed-kit';
import { smallShelf, type SmallShelf } from './small-shelf';

/** Every set of so many parts is tried. */
const MOST_PARTS = 11;

/** A scene and about a dozen parts. */
export const tinyShelf = (seed: number): SmallShelf => smallShelf(seed, MOST_PARTS);

/** So many pieces of parts, bought new. */
export const lineOf = (gear: GearItem, index: number, quantity = 1): PlanLine => ({
  id: `line-${index + 1}`,
  gearId: gear.id,
  quantity,
  basis: 'new',
  state: 'wanted',
  step: 'now',
  locked: false
});

/** The best kit within the budget, found by judging every set of parts of a shelf, one piece of each. */
export function bestOfAll(project: Project, shelf: Shelf): PackedKit {
  const parts = shelf.items.filter(({ priceNew }) => priceNew !== undefined);
  let best: PackedKit | undefined;
  for (let set = 0; set < 2 ** parts.length; set++) {
    let price = 0;
    const lines: PlanLine[] = [];
    for (const [index, gear] of parts.entries())
      if (set & (1 << index)) {
        price += gear.priceNew!.likely;
        lines.push(lineOf(gear, index));
      }
    if (price > spendableOf(project)) continue;
    const plan = { ...activePlan(project), lines };
    const filled = { ...project, plans: [plan] };
    const kit = kitOf(filled, judged(filled, shelf));
    if (!best || compareWorth(kit.merit, best.merit) > 0) best = kit;
  }
  return best!;
}
