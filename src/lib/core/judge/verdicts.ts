import { type Axis, axes } from '../merit/axis-curves';
import { compareKits, type KitMerit, meritOfKit } from '../merit/kit-merit';
import { meritOfScene } from '../merit/scene-merit';
import { putsBlurFirst, schools } from '../merit/schools';
import type { Plan } from '../model/plan';
import type { Project, SchoolId } from '../model/project';
import type { Shelf } from '../model/shelf';
import { schoolIds } from '../model/word-lists';
import { judgePlan } from './judge-plan';
import type { Judgement } from './judgement';

type Weights = Readonly<Record<Axis, number>>;

/** The same figures and findings weighed otherwise. */
export function weighedAs(
  project: Project,
  { merit }: Pick<Judgement, 'merit'>,
  weights: Weights
): KitMerit {
  return meritOfKit(
    project.scenes,
    merit.scenes.map((scene) => meritOfScene(scene.sceneId, scene.axes, weights, scene.works)),
    merit.stops
  );
}

export interface SchoolVerdict {
  school: SchoolId;
  merit: KitMerit;
}

/**
 * What each of the six schools makes of one kit: the same figures weighed otherwise, save under a school that
 * would set the camera otherwise too.
 */
export function verdictsUnderSchools(
  project: Project,
  plan: Plan,
  shelf: Shelf,
  judgement: Judgement
): SchoolVerdict[] {
  return schoolIds.map((school) => {
    const { weights } = schools[school];
    const seen =
      putsBlurFirst({ school }) === putsBlurFirst(project)
        ? judgement
        : judgePlan({ ...project, school }, plan, shelf);
    return { school, merit: weighedAs(project, seen, weights) };
  });
}

/** Weights that are tried, in whole points; past sixty an axis drowns all others. */
const MOST_WEIGHT = 60;

/** From which to which weight of an axis one kit stays the better, the other weights left as they are. */
export interface WeightRange {
  axis: Axis;
  now: number;
  from: number;
  to: number;
}

/**
 * The range of each weight over which a chosen kit stays the choice against another, axis by axis, for a page that has
 * other things to do between; undefined for an axis whose weight turns nothing.
 */
export function* findingWeightRanges(
  project: Project,
  chosen: Pick<Judgement, 'merit'>,
  other: Pick<Judgement, 'merit'>,
  weights: Weights
): Generator<WeightRange | undefined, void, void> {
  for (const axis of axes) {
    const stays = (weight: number) => {
      const tried = { ...weights, [axis]: weight };
      return compareKits(weighedAs(project, chosen, tried), weighedAs(project, other, tried)) >= 0;
    };
    const now = weights[axis];
    if (!stays(now)) {
      yield undefined;
      continue;
    }
    let from = Math.floor(now);
    let to = Math.ceil(now);
    while (from > 0 && stays(from - 1)) from -= 1;
    while (to < MOST_WEIGHT && stays(to + 1)) to += 1;
    yield from === 0 && to === MOST_WEIGHT ? undefined : { axis, now, from, to };
  }
}
