import { costOfPoint, goodEnoughOf, spendableOf } from './front-steps';
import type { PackProgress } from './kit-search';
import { packing } from './packing';
import { noRules } from './pack-rules';
import { withKit } from './packed-kit';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';

/**
 * A first kit within the budget: of the kits nothing found beats, the good enough one, after which no dearer brings a
 * point for what a point may cost. What is owned stays. A person goes on from it.
 */
export function* packingFirstKit(
  start: Project,
  shelf: Shelf
): Generator<PackProgress, Project, void> {
  const spendable = spendableOf(start);
  const { front } = yield* packing(start, shelf, noRules, false);
  const within = front.filter(({ priceMinor }) => priceMinor <= spendable);
  const kit = goodEnoughOf(within, costOfPoint(start));
  return kit ? withKit(start, kit) : start;
}

/** The same at one stretch. */
export function packFirstKit(start: Project, shelf: Shelf): Project {
  const search = packingFirstKit(start, shelf);
  for (;;) {
    const step = search.next();
    if (step.done === true) return step.value;
  }
}
