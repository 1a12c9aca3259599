import { makeSatchel } from '../formats/satchel-file';
import type { Shelf } from '../model/shelf';
import type { Project } from '../model/project';
import { bestAgainstBound } from './bound/best-against-bound';
import { costOfPoint, goodEnoughOf, spendableOf } from './front-steps';
import { filmsAll, type PackedKit, withKit } from './packed-kit';
import type { PackProgress } from './kit-search';

/** A kit as it is told outside: what it holds, and what it comes to. */
function told({ lines, priceMinor, merit }: PackedKit) {
  const { mustDoWorking, mustDoScenes, stops, meritHundredths, onceSettledHundredths } = merit;
  return {
    priceMinor,
    mustDoWorking,
    mustDoScenes,
    stops,
    meritHundredths,
    onceSettledHundredths,
    lines: lines.map(({ gearId, quantity, basis, state, step }) => ({
      gearId,
      quantity,
      basis,
      state,
      step
    }))
  };
}

const gist = ({ priceMinor, merit }: PackedKit) => ({
  priceMinor,
  mustDoWorking: merit.mustDoWorking,
  stops: merit.stops,
  meritHundredths: merit.meritHundredths
});

const bestWithin = (project: Project, front: readonly PackedKit[]) =>
  front.filter(({ priceMinor }) => priceMinor <= spendableOf(project)).at(-1);

/** How far a search has come, for who waits. */
export function packProgressOf(project: Project, { front, judged, waiting }: PackProgress) {
  const best = bestWithin(project, front);
  return { judged, waiting, best: best && gist(best) };
}

/**
 * What a search has found. `cameToItsEnd` says that nothing it tried betters these kits, `bound` what no kit within the
 * budget can be worth more than.
 */
export function packAnswerOf(project: Project, shelf: Shelf, progress: PackProgress) {
  const { front, judged, isDone, unlike } = progress;
  const films = front.filter(({ merit }) => filmsAll(merit));
  const goodEnough = goodEnoughOf(films, costOfPoint(project));
  const best = bestWithin(project, front);
  const against = bestAgainstBound(project, progress);
  return {
    done: true as const,
    cameToItsEnd: isDone,
    isProven: against?.isProven === true,
    bound: against && {
      hundredths: against.boundHundredths,
      gapPercent: Math.round(1000 * against.gap) / 10
    },
    judged,
    currency: project.currency,
    spendableMinor: spendableOf(project),
    best: best && told(best),
    /** The project with that kit as its plan, as a satchel file. */
    file: best && makeSatchel(withKit(project, best), shelf),
    goodEnough: goodEnough && told(goodEnough),
    cheapestThatFilmsMinor: films[0]?.priceMinor,
    unlike: unlike.map(told),
    front: front.map(told),
    /** For at most so much in all no kit is worth more than so many hundredths. */
    bounds: progress.bound
  };
}
