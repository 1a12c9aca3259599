import type { Project } from '../../model/project';
import { spendableOf } from '../front-steps';
import { filmsAll } from '../packed-kit';
import type { PackProgress } from '../kit-search';
import { boundFor } from './kit-bound';

/** How far the best kit found within the budget can be from the best there is. */
export interface BestAgainstBound {
  foundHundredths: number;
  /** No kit within the budget is worth more. */
  boundHundredths: number;
  /** What is open between them, as a share of the bound. */
  gap: number;
  /** Nothing is open. */
  isProven: boolean;
}

/**
 * Undefined while no bound is known, and where the best kit found does not film all that must be filmed: a bound says
 * what a kit is worth, not whether another would film more.
 */
export function bestAgainstBound(
  project: Project,
  { front, bound }: Pick<PackProgress, 'front' | 'bound'>
): BestAgainstBound | undefined {
  const spendable = spendableOf(project);
  const best = front.filter(({ priceMinor }) => priceMinor <= spendable).at(-1);
  const boundHundredths = bound && boundFor(bound, spendable);
  if (!best || boundHundredths === undefined) return undefined;
  if (!filmsAll(best.merit) || best.merit.stops > 0) return undefined;
  const foundHundredths = best.merit.meritHundredths;
  const open = Math.max(0, boundHundredths - foundHundredths);
  return {
    foundHundredths,
    boundHundredths,
    gap: boundHundredths > 0 ? open / boundHundredths : 0,
    isProven: open === 0
  };
}
