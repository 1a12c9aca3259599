import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { convertedMinor, rateInto } from '../money/rates';
import { changesBetween, type KitChanges } from './kit-changes';
import { filmsAll, type PackedKit } from './packed-kit';

/** A kit of the front as it is shown: a whole kit that nothing found beats at its price. */
export interface FrontStep extends PackedKit {
  /** What it has that the step before has not, and the other way round. */
  changes: KitChanges | undefined;
  /** No dearer kit brings a point for each further so much: past it money buys little. */
  isGoodEnough: boolean;
  /** The best within the budget. */
  isBestForBudget: boolean;
}

/** A step that is shown brings at least this much over the one before. */
const STEP_HUNDREDTHS = 60;

/** Good enough is good enough: for less than a point a person does not spend this much more. */
const POINT_MAY_COST_GBP_MINOR = 10_000;
/** What a first kit is usually given. */
const USUAL_LIMIT_GBP_MINOR = 120_000;

/** What a point more may cost, in the project's money. */
export function costOfPoint(project: Pick<Project, 'currency' | 'rates' | 'limitMinor'>): number {
  if (project.currency === 'GBP') return POINT_MAY_COST_GBP_MINOR;
  const rate = rateInto(project, 'GBP');
  // A currency nobody has given a rate for: the same share of its limit as of a usual limit.
  if (!rate) return (POINT_MAY_COST_GBP_MINOR * project.limitMinor) / USUAL_LIMIT_GBP_MINOR;
  return convertedMinor(POINT_MAY_COST_GBP_MINOR, 'GBP', project.currency, rate.perUnit);
}

export const spendableOf = ({
  limitMinor,
  reserveMinor
}: Pick<Project, 'limitMinor' | 'reserveMinor'>): number => Math.max(0, limitMinor - reserveMinor);

/** Hundredths of a point; of kits that film nothing yet, what they would be worth. */
const pointsOf = ({ merit }: PackedKit): number =>
  merit.meritHundredths || merit.onceSettledHundredths;

/**
 * The cheapest kit filming as much as any of them after which no dearer one brings a point for each further
 * `pointMayCost`.
 *
 * @param front cheapest first, each better than the one before
 */
export function goodEnoughOf<K extends PackedKit>(
  front: readonly K[],
  pointMayCost: number
): K | undefined {
  const most = front.at(-1);
  if (!most) return undefined;
  const as = front.filter(
    ({ merit }) =>
      merit.mustDoWorking === most.merit.mustDoWorking && merit.stops === most.merit.stops
  );
  return as.find((kit, index) =>
    as
      .slice(index + 1)
      .every(
        (dearer) =>
          ((pointsOf(dearer) - pointsOf(kit)) / 100) * pointMayCost <
          dearer.priceMinor - kit.priceMinor
      )
  );
}

/** Of the kits that film all that must be filmed, those that are shown: steps large enough to tell apart. */
export function frontSteps(
  project: Project,
  shelf: Shelf,
  front: readonly PackedKit[]
): FrontStep[] {
  const working = front.filter(({ merit }) => filmsAll(merit));
  const within = working.filter(({ priceMinor }) => priceMinor <= spendableOf(project));
  const best = within.at(-1);
  const goodEnough = goodEnoughOf(working, costOfPoint(project));
  const shown: PackedKit[] = [];
  for (const kit of working) {
    const before = shown.at(-1);
    const isLargeEnough =
      !before ||
      kit.merit.stops < before.merit.stops ||
      kit.merit.meritHundredths - before.merit.meritHundredths >= STEP_HUNDREDTHS;
    if (kit !== best && kit !== goodEnough && !isLargeEnough) continue;
    shown.push(kit);
  }
  return shown.map((kit, index) => ({
    ...kit,
    changes: index === 0 ? undefined : changesBetween(shown[index - 1]!.lines, kit.lines, shelf),
    isGoodEnough: kit === goodEnough,
    isBestForBudget: kit === best
  }));
}

/** Below this spend some scene cannot be filmed with anything that was found; how many can, at each cheaper spend. */
export function belowAll(front: readonly PackedKit[]): { fromMinor: number; works: number }[] {
  const steps: { fromMinor: number; works: number }[] = [];
  for (const { priceMinor, merit } of front) {
    if (filmsAll(merit)) break;
    if (steps.at(-1)?.works !== merit.mustDoWorking)
      steps.push({ fromMinor: priceMinor, works: merit.mustDoWorking });
  }
  return steps;
}
