import { apertureSteps } from '../relations/exposure/aperture-steps';
import { flickerLeftPercent } from '../relations/exposure/flicker';
import { closeUpFactor, isoNeeded } from '../relations/exposure/exposure';
import { shutterSteps } from '../relations/exposure/shutter';
import {
  blurCost,
  cornersCost,
  depthCost,
  diffractionCost,
  exposureCosts,
  flickerCost,
  noiseCost,
  noiseCostAt,
  shutterCost
} from './costs';

/** What a camera may still be set to: past these the picture is lost. */
const BLOCKS = { overStops: 1, timesHighest: 2, timesUsable: 8 } as const;
const EQUAL = 1e-9;

export interface DensityFilter {
  stopsMin: number;
  /** The same as the least for one of fixed density. */
  stopsMax: number;
  castMired?: number;
  massG?: number;
}

/** All that one angle and one end of its light say about exposure. */
export interface ExposureTask {
  fps: number;
  apertureWidestN: number;
  apertureSmallestN: number;
  shutterShortestS: number;
  /** Of the profile in use, less its deliberate over-exposure. */
  isoLowest: number;
  isoHighest: number;
  isoUsable: number;
  /** Light of the place at the face, lx, and what one's own lamps add at full. */
  placeLx: number;
  lampsLx: number;
  /** Share of either that pulses with the mains. */
  pulsing: { place: number; lamps: number };
  mainsHz: number;
  /** Those that screw on. */
  filters: readonly DensityFilter[];
  /** Least aperture number that holds the face or row sharp, if that is asked. */
  depthN?: number;
  /** Largest aperture number that blurs the background as asked. */
  blurN?: number;
  blurFirst: boolean;
  diffractionCapN: number;
  equivalentFocalLengthMm: number;
  /** Share of the light the lens passes, and its magnification; 1 and 0 unless known. */
  transmission?: number;
  magnification?: number;
  /** Set by hand: the only candidate. A filter that is on stays on, if any of the list screws on. */
  set?: { apertureN?: number; shutterS?: number; filter?: boolean };
}

export interface ExposureCosts {
  noise: number;
  shorter: number;
  longer: number;
  depth: number;
  blur: number;
  diffraction: number;
  corners: number;
  cast: number;
  flicker: number;
  wrong: number;
}

/** What the camera is set to at one end of the light, and what that costs in stops. */
export interface ExposurePlan {
  apertureN: number;
  shutterS: number;
  iso: number;
  filter: DensityFilter | undefined;
  densityStops: number;
  /** Share of one's own lamps in use. */
  lampShare: number;
  lx: number;
  /** Stops over (above 0) or under what the picture needs. */
  offStops: number;
  /** Flicker left in the picture, by the share of the light that pulses. */
  flickerPercent: number;
  /** ISO the same picture would need at half the frame time: what a longer shutter saves. */
  isoAtHalfFrame: number;
  cost: number;
  costs: ExposureCosts;
  sizes: FindingSizes;
  blocks: boolean;
}

/** The costs by what they are told as: each is the size of one finding, in stops. */
export interface FindingSizes {
  /** Noise past what is clean, smear that light would save, underexposure. */
  tooDark: number;
  /** A shutter too short, apertures too small, darkened corners, overexposure. */
  tooBright: number;
  depth: number;
  blur: number;
  cast: number;
  flicker: number;
}

/** Marked values between two ends, the ends included. */
const withEnds = (low: number, high: number, marks: readonly number[]): number[] => [
  low,
  ...marks.filter((mark) => mark > low + EQUAL && mark < high - EQUAL),
  ...(high > low + EQUAL ? [high] : [])
];

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

/** An aperture with what it costs by itself, and the ISO it needs in one lux for one second. */
interface Aperture {
  n: number;
  isoAtOne: number;
  /** The same as a power of two. */
  isoStops: number;
  depth: number;
  blur: number;
  diffraction: number;
  cost: number;
}

/** A shutter time with what it costs by itself, and what of a lamp that pulses wholly it leaves. */
interface Shutter {
  s: number;
  /** The same as a power of two. */
  stops: number;
  flickerPercent: number;
  shorter: number;
  longer: number;
  cost: number;
}

const byCost = (one: { cost: number }, other: { cost: number }) => one.cost - other.cost;

function aperturesOf(task: ExposureTask): Aperture[] {
  const { set, apertureWidestN, apertureSmallestN, depthN, blurN, blurFirst } = task;
  const { transmission = 1, magnification = 0 } = task;
  const marks =
    set?.apertureN === undefined
      ? withEnds(apertureWidestN, apertureSmallestN, apertureSteps)
      : [clamp(set.apertureN, apertureWidestN, apertureSmallestN)];
  return marks
    .map((n): Aperture => {
      const depth = depthN === undefined ? 0 : depthCost(n, depthN, blurFirst);
      const blur = blurN === undefined ? 0 : blurCost(n, blurN, blurFirst);
      const diffraction = diffractionCost(n, task.diffractionCapN);
      const isoAtOne = (isoNeeded(n, 1, 1) * closeUpFactor(magnification)) / transmission;
      return {
        n,
        isoAtOne,
        isoStops: Math.log2(isoAtOne),
        depth,
        blur,
        diffraction,
        cost: depth + blur + diffraction
      };
    })
    .sort(byCost);
}

/** Shutter times depend on little, so the few lists there are get remembered. */
const shutterLists = new Map<string, readonly Shutter[]>();
const MOST_SHUTTER_LISTS = 200;

function shuttersOf(task: ExposureTask): readonly Shutter[] {
  const key = `${task.fps} ${task.shutterShortestS} ${task.mainsHz} ${task.set?.shutterS}`;
  let list = shutterLists.get(key);
  if (!list) {
    if (shutterLists.size >= MOST_SHUTTER_LISTS) shutterLists.clear();
    shutterLists.set(key, (list = findShutters(task)));
  }
  return list;
}

function findShutters({ set, shutterShortestS, fps, mainsHz }: ExposureTask): Shutter[] {
  const longest = 1 / fps;
  const marks =
    set?.shutterS === undefined
      ? withEnds(
          shutterShortestS,
          longest,
          shutterSteps.map((step) => 1 / step)
        )
      : [clamp(set.shutterS, shutterShortestS, longest)];
  return marks
    .map((s): Shutter => {
      const { shorter, longer } = shutterCost(s, fps);
      const flickerPercent = flickerLeftPercent(s, mainsHz);
      return { s, stops: Math.log2(s), flickerPercent, shorter, longer, cost: shorter + longer };
    })
    .sort(byCost);
}

/** One way to set everything, and what it costs. */
interface Candidate {
  aperture: Aperture;
  shutter: Shutter;
  filter: DensityFilter | undefined;
  densityStops: number;
  lampShare: number;
  lx: number;
  iso: number;
  offStops: number;
  noise: number;
  corners: number;
  flickerPercent: number;
  flicker: number;
  wrong: number;
  cost: number;
  blocks: boolean;
}

function candidateOf(
  task: ExposureTask,
  aperture: Aperture,
  shutter: Shutter,
  filter: DensityFilter | undefined,
  densityStops: number,
  lampShare: number
): Candidate {
  const { placeLx, lampsLx, isoLowest, isoHighest, isoUsable, pulsing } = task;
  const lamps = lampShare * lampsLx;
  const lx = placeLx + lamps;
  const needed = (aperture.isoAtOne * 2 ** densityStops) / (shutter.s * lx);
  const iso = clamp(needed, isoLowest, isoHighest);
  const offStops = iso === needed ? 0 : Math.log2(iso / needed);
  const noise = noiseCost(iso, isoUsable);
  const isVariable = filter !== undefined && filter.stopsMax > filter.stopsMin;
  const corners = isVariable ? cornersCost(task.equivalentFocalLengthMm, densityStops) : 0;
  const share = (pulsing.place * placeLx + pulsing.lamps * lamps) / lx;
  const flickerPercent = shutter.flickerPercent * share;
  const flicker = flickerCost(flickerPercent);
  const wrong = exposureCosts.wrong * Math.abs(offStops);
  return {
    aperture,
    shutter,
    filter,
    densityStops,
    lampShare,
    lx,
    iso,
    offStops,
    noise,
    corners,
    flickerPercent,
    flicker,
    wrong,
    cost: aperture.cost + shutter.cost + noise + corners + castCost(filter) + flicker + wrong,
    blocks:
      offStops > BLOCKS.overStops ||
      needed > BLOCKS.timesHighest * isoHighest ||
      needed > BLOCKS.timesUsable * isoUsable
  };
}

/** What a filter's colour costs. */
const castCost = (filter: DensityFilter | undefined): number =>
  exposureCosts.castPerMired * (filter?.castMired ?? 0);

/** A filter, or none, with what it costs however it is set: corners change least at its weakest. */
interface FilterChoice {
  filter: DensityFilter | undefined;
  cost: number;
}
const noFilter: FilterChoice = { filter: undefined, cost: 0 };

const filterChoices = ({ filters, set, equivalentFocalLengthMm }: ExposureTask): FilterChoice[] =>
  [
    ...(set?.filter === true && filters.length > 0 ? [] : [noFilter]),
    ...filters.map((filter) => ({
      filter,
      cost:
        castCost(filter) +
        (filter.stopsMax > filter.stopsMin
          ? cornersCost(equivalentFocalLengthMm, filter.stopsMin)
          : 0)
    }))
  ].sort(byCost);

/** Whether any candidate may keep within what blocks; where none can, the cheapest of them all is the plan. */
function mayWork(
  task: ExposureTask,
  apertures: readonly Aperture[],
  shutters: readonly Shutter[]
): boolean {
  let widest = Infinity;
  let smallest = 0;
  for (const { isoAtOne } of apertures) {
    widest = Math.min(widest, isoAtOne);
    smallest = Math.max(smallest, isoAtOne);
  }
  let shortest = Infinity;
  let longest = 0;
  for (const { s } of shutters) {
    shortest = Math.min(shortest, s);
    longest = Math.max(longest, s);
  }
  const least = widest / (longest * (task.placeLx + task.lampsLx));
  const dimmest = task.placeLx > 0 ? task.placeLx : Number.MIN_VALUE;
  const highest = (smallest * 2 ** mostDensity(task)) / (shortest * dimmest);
  const { timesHighest, timesUsable, overStops } = BLOCKS;
  return (
    least <= Math.min(timesHighest * task.isoHighest, timesUsable * task.isoUsable) &&
    highest >= task.isoLowest / 2 ** overStops
  );
}

const mostDensity = ({ filters }: ExposureTask): number =>
  filters.reduce((most, { stopsMax }) => Math.max(most, stopsMax), 0);

/** The limits of a task as powers of two, for a bound that is asked of every pair of aperture and shutter. */
interface LimitsInStops {
  mostLight: number;
  /** The least light that can reach the sensor: that of the place through the densest filter. */
  leastLight: number;
  lowest: number;
  highest: number;
  /** What two stops below the usable ISO is. */
  clean: number;
}

const limitsOf = (task: ExposureTask): LimitsInStops => ({
  mostLight: Math.log2(task.placeLx + task.lampsLx),
  leastLight: Math.log2(task.placeLx) - mostDensity(task),
  lowest: Math.log2(task.isoLowest),
  highest: Math.log2(task.isoHighest),
  clean: Math.log2(task.isoUsable / 4)
});

/** Noise and wrong exposure cost at least this with an aperture and a shutter, whatever filter and lamps do. */
function leastOfLight(limits: LimitsInStops, { isoStops }: Aperture, { stops }: Shutter): number {
  const { mostLight, leastLight, lowest, highest, clean } = limits;
  const needed = isoStops - stops - mostLight;
  const over = lowest - (isoStops - stops - leastLight);
  const under = needed - highest;
  return (
    noiseCostAt(clamp(needed, lowest, highest) - clean) +
    exposureCosts.wrong * (Math.max(0, over) + Math.max(0, under))
  );
}

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

/**
 * Density and share of one's own lamps that can be best for an aperture, a shutter and a filter: the ends of
 * both, and where the ISO needed is the lowest there is.
 */
function waysToDim(
  task: ExposureTask,
  aperture: Aperture,
  shutter: Shutter,
  filter: DensityFilter | undefined
): [densityStops: number, lampShare: number][] {
  const { placeLx, lampsLx, isoLowest } = task;
  const least = filter?.stopsMin ?? 0;
  const most = filter?.stopsMax ?? 0;
  const ways: [number, number][] = [];
  for (let share = placeLx > 0 ? 0 : 1; share <= (lampsLx > 0 ? 1 : 0); share++) {
    ways.push([least, share]);
    if (most === least) continue;
    ways.push([most, share]);
    const lx = placeLx + share * lampsLx;
    const atLowest = Math.log2((isoLowest * shutter.s * lx) / aperture.isoAtOne);
    if (atLowest > least && atLowest < most) ways.push([atLowest, share]);
  }
  if (lampsLx > 0)
    for (let density = least; ; density = most) {
      /** Light in which, through this density, the lowest ISO is the one needed. */
      const lx = (aperture.isoAtOne * 2 ** density) / (shutter.s * isoLowest);
      const share = (lx - placeLx) / lampsLx;
      if (share > 0 && share < 1) ways.push([density, share]);
      if (density === most) break;
    }
  return ways;
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

function isBetter(one: Candidate, other: Candidate, fps: number): boolean {
  if (one.blocks !== other.blocks) return other.blocks;
  if (Math.abs(one.cost - other.cost) > EQUAL) return one.cost < other.cost;
  const offHalf = ({ shutter }: Candidate) => Math.abs(Math.log2(shutter.s * 2 * fps));
  const order = [
    one.aperture.n - other.aperture.n,
    offHalf(one) - offHalf(other),
    one.densityStops - other.densityStops,
    one.iso - other.iso
  ];
  return (order.find((difference) => Math.abs(difference) > EQUAL) ?? 0) < 0;
}

/**
 * What the two ends of the light cost together where aperture, shutter, filter and density stay as they are
 * through the take, and only ISO and one's own lamps follow the light.
 *
 * @param enough a cost that need not be improved on
 * @returns stops; the sum over both ends of the best pair, or of the first found that costs no more than `enough`
 */
export function solveSharedExposure(
  dim: ExposureTask,
  bright: ExposureTask,
  enough: number
): number {
  const tasks = [dim, bright] as const;
  const limits = [limitsOf(dim), limitsOf(bright)] as const;
  const apertures = aperturesOf(dim);
  const shutters = shuttersOf(dim);
  const filters = filterChoices(dim);
  let best = Infinity;
  for (const aperture of apertures) {
    if (2 * (aperture.cost + shutters[0]!.cost) > best) break;
    for (const shutter of shutters) {
      const own = 2 * (aperture.cost + shutter.cost);
      if (own > best) break;
      const light =
        leastOfLight(limits[0], aperture, shutter) + leastOfLight(limits[1], aperture, shutter);
      for (const { filter, cost: ofFilter } of filters) {
        if (own + light + 2 * ofFilter > best) break;
        const ways = tasks.map((task) => waysToDim(task, aperture, shutter, filter));
        const tried = new Set<number>();
        for (const [density] of [...ways[0]!, ...ways[1]!]) {
          if (tried.has(density)) continue;
          tried.add(density);
          let cost = 0;
          for (let end = 0; end < 2 && cost < best; end++) {
            let least = Infinity;
            for (const [, share] of ways[end]!)
              least = Math.min(
                least,
                candidateOf(tasks[end]!, aperture, shutter, filter, density, share).cost
              );
            cost += least;
          }
          if (cost < best) best = cost;
          if (best <= enough) return best;
        }
      }
    }
  }
  return best;
}
