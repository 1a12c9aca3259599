import { exposureCosts } from './costs';
import { leastOfLight, limitsOf, mayWork } from './exposure-bounds';
import {
  type Candidate,
  candidateOf,
  castCost,
  filterChoices,
  isBetter,
  waysToDim
} from './exposure-candidates';
import type { ExposurePlan, ExposureTask, FindingSizes } from './exposure-task';
import { aperturesOf, EQUAL, shuttersOf } from './marked-settings';

/**
 * The settings of one angle at one end of its light: of all candidates the one that does not block and costs
 * least. Equal within 10⁻⁹: the wider aperture, the shutter nearer half the frame time, the weaker filter,
 * the lower ISO.
 *
 * Apertures and shutter times are tried from the cheapest by themselves; where those alone cost more than the
 * best found, all that follow do too.
 *
 * @returns undefined where there is no light at all, which blocks whatever is set
 */
export function solveExposure(task: ExposureTask): ExposurePlan | undefined {
  if (!(task.placeLx + task.lampsLx > 0)) return undefined;
  const apertures = aperturesOf(task);
  const shutters = shuttersOf(task);
  const works = mayWork(task, apertures, shutters);
  const filters = filterChoices(task);
  const limits = limitsOf(task);
  let best: Candidate | undefined;
  const isTooDear = (cost: number): boolean =>
    best !== undefined && !(best.blocks && works) && cost > best.cost + EQUAL;
  for (const aperture of apertures) {
    if (isTooDear(aperture.cost + shutters[0]!.cost)) break;
    for (const shutter of shutters) {
      const own = aperture.cost + shutter.cost;
      if (isTooDear(own)) break;
      const least = own + leastOfLight(limits, aperture, shutter);
      for (const { filter, cost } of filters) {
        if (isTooDear(least + cost)) break;
        for (const [densityStops, lampShare] of waysToDim(task, aperture, shutter, filter)) {
          const candidate = candidateOf(task, aperture, shutter, filter, densityStops, lampShare);
          if (!best || isBetter(candidate, best, task.fps)) best = candidate;
        }
      }
    }
  }
  return best && planOf(best, task);
}

/** Noise costs this where it only just is clean; up to here nobody speaks of it. */
const CLEAN_COST =
  exposureCosts.noise.clean * (exposureCosts.noise.cleanTo - exposureCosts.noise.cleanFrom);
/** An aperture this near to the one a face needs, as a factor, was closed for the face: a third of a stop. */
const FOR_THE_FACE = 2 ** (1 / 6);

function sizesOf(
  { costs, apertureN, offStops, isoAtHalfFrame }: Omit<ExposurePlan, 'sizes'>,
  { depthN = 0, isoUsable }: ExposureTask
): FindingSizes {
  const forLight = isoAtHalfFrame > isoUsable;
  const forFace = apertureN <= depthN * FOR_THE_FACE;
  return {
    tooDark:
      Math.max(0, costs.noise - CLEAN_COST) +
      (forLight ? costs.longer : 0) +
      (offStops < 0 ? costs.wrong : 0),
    tooBright:
      costs.shorter +
      (forFace ? 0 : costs.diffraction) +
      costs.corners +
      (offStops > 0 ? costs.wrong : 0),
    depth: costs.depth + (forFace ? costs.diffraction : 0),
    blur: costs.blur,
    cast: costs.cast,
    flicker: costs.flicker + (forLight ? 0 : costs.longer)
  };
}

function planOf(candidate: Candidate, task: ExposureTask): ExposurePlan {
  const { aperture, shutter, filter, densityStops, lampShare, lx, iso, offStops } = candidate;
  const { noise, corners, flicker, wrong, cost, blocks } = candidate;
  const plan = {
    apertureN: aperture.n,
    shutterS: shutter.s,
    iso,
    filter,
    densityStops,
    lampShare,
    lx,
    offStops,
    flickerPercent: candidate.flickerPercent,
    isoAtHalfFrame: iso * shutter.s * 2 * task.fps,
    cost,
    costs: {
      noise,
      shorter: shutter.shorter,
      longer: shutter.longer,
      depth: aperture.depth,
      blur: aperture.blur,
      diffraction: aperture.diffraction,
      corners,
      cast: castCost(filter),
      flicker,
      wrong
    },
    blocks
  };
  return { ...plan, sizes: sizesOf(plan, task) };
}
