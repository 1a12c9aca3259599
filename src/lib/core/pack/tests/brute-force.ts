import { catalogue } from '../../../catalogue/load-catalogue';
import { activePlan } from '../../model/active-plan';
import { newProject } from '../../model/new-project';
import type { GearItem, GearKind } from '../../model/gear';
import type { PlanLine } from '../../model/plan';
import type { Project } from '../../model/project';
import { makeShelf, type Shelf } from '../../model/shelf';
import type { SceneStyle } from '../../model/scene';
import { spendableOf } from '../front-steps';
import { noRules } from '../pack-rules';
import { compareWorth, filmsAll, judged, kitOf, type PackedKit } from '../packed-kit';
import { pack } from '../packing';

/** Numbers from 0 to 1 that a seed fixes. */
function seeded(seed: number): () => number {
  let state = seed * 2_654_435_761;
  return () => {
    state = (Math.imul(state ^ (state >>> 15), 2_246_822_519) + 0x9e3779b9) | 0;
    return ((state ^ (state >>> 13)) >>> 0) / 2 ** 32;
  };
}

/** Kinds that rivals are drawn from. */
const rivals: readonly GearKind[] = [
  'body',
  'lens',
  'microphone',
  'support',
  'lamp',
  'filter',
  'windscreen',
  'battery',
  'card',
  'cable'
];
const styles: readonly SceneStyle[] = ['walk', 'seated', 'hands', 'live call'];
/** Every set of so many parts is tried. */
const MOST_PARTS = 11;
const ENOUGH_JUDGED = 500;

/** A scene and about a dozen parts: those of a kit that films where a short search finds one, and rivals of them. */
export function tinyShelf(seed: number): { project: Project; shelf: Shelf } {
  const next = seeded(seed);
  const any = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const project = newProject('p', 'tiny', {
    styles: [any(styles)],
    limitMinor: 40_000 + Math.floor(next() * 160_000),
    school: 'sound and light first',
    currency: 'GBP',
    mainsHz: 50,
    units: 'metric'
  });
  const { front } = pack(project, catalogue, noRules, { mostJudged: ENOUGH_JUDGED });
  const kit = front.find(({ merit }) => filmsAll(merit)) ?? front.at(-1)!;
  const parts = new Set<GearItem>(
    kit.lines.slice(0, MOST_PARTS - 3).map(({ gearId }) => catalogue.byId.get(gearId)!)
  );
  while (parts.size < MOST_PARTS) parts.add(any(catalogue.ofKind(any(rivals))));
  return { project, shelf: makeShelf([...parts]) };
}

/** The best kit within the budget, found by judging every set of parts of a shelf, one piece of each. */
export function bestOfAll(project: Project, shelf: Shelf): PackedKit {
  const parts = shelf.items.filter(({ priceNew }) => priceNew !== undefined);
  let best: PackedKit | undefined;
  for (let set = 0; set < 2 ** parts.length; set++) {
    let price = 0;
    const lines: PlanLine[] = [];
    for (const [at, gear] of parts.entries())
      if (set & (1 << at)) {
        price += gear.priceNew!.likely;
        lines.push({
          id: `line-${at + 1}`,
          gearId: gear.id,
          quantity: 1,
          basis: 'new',
          state: 'wanted',
          step: 'now',
          locked: false
        });
      }
    if (price > spendableOf(project)) continue;
    const plan = { ...activePlan(project), lines };
    const filled = { ...project, plans: [plan] };
    const kit = kitOf(filled, judged(filled, shelf));
    if (!best || compareWorth(kit.merit, best.merit) > 0) best = kit;
  }
  return best!;
}
