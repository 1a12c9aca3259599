import type { Project } from '../model/project';
import { MOST_MINOR } from '../model/limits';
import type { Shelf } from '../model/shelf';
import { MOST_BEGINNINGS } from './beginnings';
import { KitSearch, type PackProgress } from './kit-search';
import { frameOf, noRules, type PackFrame, type PackRules } from './pack-rules';

/**
 * A first kit comes after so many kits: some, more for each body that can be had (with 10 000 for fifteen and for nineteen
 * bodies a ride for 1,400 was worth less than one for 900), and more for a further camera or scene; the first share of
 * them round the front, then on to the second round the camps.
 */
const FIRST_KIT_AFTER = { atLeast: 3500, aBody: 500, aScene: 5000 } as const;
const FIRST_KIT_SHARES = { front: 0.5, camps: 0.8 } as const;
/** Where nothing within the budget films all, it is looked so much further than the cheapest that does. */
const PAST_THE_CHEAPEST = 1.1;

/**
 * Searches for the kits nothing beats, at every spend up to a quarter past the budget. Begins from the plan, from what
 * stays, from what stays with each body, and from what the bound of a kit's worth rests on; then looks at everything one
 * change away from the kits of the front, slice of money by slice, and from the best with each set of bodies that can be
 * worth more than what is found, until none is better. What comes out has been judged whole by the same judge as any
 * plan. It is the best that was found; the bound tells a person how far the best can be from it.
 *
 * @param thorough whether that is asked for, and the search taken to its end; a first kit comes sooner without
 */
export function* packing(
  given: Project,
  whole: Shelf,
  rules: PackRules = noRules,
  thorough = true
): Generator<PackProgress, PackProgress, void> {
  let search = new KitSearch(frameOf(given, whole, rules));
  yield* search.begin();
  if (!search.filmsAll) {
    // Nothing within reach films all of it: what the cheapest that does costs is what a person has to know.
    const further = new KitSearch(frameOf(given, whole, rules, MOST_MINOR));
    yield* further.begin();
    const upTo = further.cheapestThatFilms;
    if (upTo !== undefined) {
      search = new KitSearch(frameOf(given, whole, rules, Math.round(upTo * PAST_THE_CHEAPEST)));
      yield* search.begin();
    }
  }
  yield* search.beginFromBound();
  const mostJudged = thorough ? Infinity : firstKitAfter(search.frame);
  yield* search.run(FIRST_KIT_SHARES.front * mostJudged);
  yield* search.followCamps(FIRST_KIT_SHARES.camps * mostJudged);
  yield* search.run(mostJudged);
  if (thorough) {
    yield* search.graft();
    yield* search.lookTwice();
  }
  yield* search.trim();
  if (thorough) yield* search.bound();
  return search.progress(true);
}

function firstKitAfter({ project: { scenes }, parts }: PackFrame): number {
  const cameras = scenes.reduce((sum, { angles }) => sum + angles.length, 0);
  const { atLeast, aBody, aScene } = FIRST_KIT_AFTER;
  const aCamera = atLeast + aBody * Math.min(MOST_BEGINNINGS, parts.body.length);
  return aCamera * (1 + cameras - scenes.length) + aScene * Math.max(0, scenes.length - 1);
}

/** Searches to the end, or until so many kits were judged; the bound comes last. */
export function pack(
  given: Project,
  whole: Shelf,
  rules: PackRules = noRules,
  { mostJudged = Infinity, thorough = true }: { mostJudged?: number; thorough?: boolean } = {}
): PackProgress {
  const search = packing(given, whole, rules, thorough);
  for (;;) {
    const step = search.next();
    if (step.done === true || step.value.judged >= mostJudged) return step.value;
  }
}
