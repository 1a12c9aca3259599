import { apertureSteps } from '../relations/exposure/aperture-steps';
import { flickerLeftPercent } from '../relations/exposure/flicker';
import {
  blurCost,
  cornersCost,
  depthCost,
  diffractionCost,
  exposureCosts,
  flickerCost,
  noiseCost,
  shutterCost
} from './costs';

/** Shutter speeds cameras offer, as the denominators they are marked by. */
const SHUTTER_MARKS = [
  24, 25, 30, 40, 48, 50, 60, 80, 96, 100, 120, 125, 160, 200, 240, 250, 320, 400, 480, 500, 640,
  800, 1000, 1250, 1600, 2000, 2500, 3200, 4000, 5000, 6400, 8000
] as const;
/** What a camera may still be set to: past these the picture is lost. */
const BLOCKS = { overStops: 1, timesHighest: 2, timesUsable: 8 } as const;
const EQUAL = 1e-9;

export interface DensityFilter {
  /** The line it was chosen by; none for an example. */
  lineId?: string;
  stopsMin: number;
  /** The same as the least for one of fixed density. */
  stopsMax: number;
  castMired?: number;
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
  /** Set by hand: the only candidate. */
  set?: { apertureN?: number; shutterS?: number; iso?: number };
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
  cost: number;
  costs: ExposureCosts;
  blocks: boolean;
}

/** Marked values between two ends, the ends included. */
const withEnds = (low: number, high: number, marks: readonly number[]): number[] => [
  low,
  ...marks.filter((mark) => mark > low + EQUAL && mark < high - EQUAL),
  ...(high > low + EQUAL ? [high] : [])
];

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

function aperturesOf({ set, apertureWidestN, apertureSmallestN }: ExposureTask): number[] {
  return set?.apertureN === undefined
    ? withEnds(apertureWidestN, apertureSmallestN, apertureSteps)
    : [clamp(set.apertureN, apertureWidestN, apertureSmallestN)];
}

function shuttersOf({ set, shutterShortestS, fps }: ExposureTask): number[] {
  const longest = 1 / fps;
  return set?.shutterS === undefined
    ? withEnds(
        shutterShortestS,
        longest,
        SHUTTER_MARKS.map((mark) => 1 / mark)
      )
    : [clamp(set.shutterS, shutterShortestS, longest)];
}

/** Sensitivity a picture needs: S = 250·N²·(1 + m)²·2^d/(τ·t·E). */
const isoNeeded = (
  { transmission = 1, magnification = 0 }: ExposureTask,
  apertureN: number,
  shutterS: number,
  densityStops: number,
  lx: number
): number =>
  (250 * apertureN ** 2 * (1 + magnification) ** 2 * 2 ** densityStops) /
  (transmission * shutterS * lx);

/**
 * The settings of one angle at one end of its light: of all candidates the one that does not block and costs
 * least. Equal within 10⁻⁹: the wider aperture, the shutter nearer half the frame time, the weaker filter,
 * the lower ISO.
 *
 * @returns undefined where there is no light at all, which blocks whatever is set
 */
export function solveExposure(task: ExposureTask): ExposurePlan | undefined {
  const lightMost = task.placeLx + task.lampsLx;
  if (!(lightMost > 0)) return undefined;
  let best: ExposurePlan | undefined;
  const weigh = (
    apertureN: number,
    shutterS: number,
    filter: DensityFilter | undefined,
    densityStops: number,
    lampShare: number
  ): void => {
    const plan = planOf(task, apertureN, shutterS, filter, densityStops, lampShare);
    if (plan && (!best || isBetter(plan, best, task.fps))) best = plan;
  };
  const shutters = shuttersOf(task);
  for (const apertureN of aperturesOf(task))
    for (const shutterS of shutters) {
      // What aperture and shutter cost by themselves; nothing else makes it less.
      if (best && !best.blocks && costOfBoth(task, apertureN, shutterS) > best.cost + EQUAL)
        continue;
      /** Light at which, through a density, the sensitivity needed is the lowest there is. */
      const lxAtLowest = (densityStops: number) =>
        isoNeeded(task, apertureN, shutterS, densityStops, 1) / task.isoLowest;
      for (const filter of [undefined, ...task.filters]) {
        const least = filter?.stopsMin ?? 0;
        const most = filter?.stopsMax ?? 0;
        const shares = task.lampsLx > 0 ? [0, 1] : [0];
        for (const share of shares) {
          const lx = task.placeLx + share * task.lampsLx;
          if (!(lx > 0)) continue;
          const atLowest = Math.log2(task.isoLowest / isoNeeded(task, apertureN, shutterS, 0, lx));
          for (const density of new Set([least, most, clamp(atLowest, least, most)]))
            weigh(apertureN, shutterS, filter, density, share);
        }
        if (task.lampsLx > 0)
          for (const density of new Set([least, most])) {
            const share = (lxAtLowest(density) - task.placeLx) / task.lampsLx;
            if (share > 0 && share < 1) weigh(apertureN, shutterS, filter, density, share);
          }
      }
    }
  return best;
}

function costOfBoth(task: ExposureTask, apertureN: number, shutterS: number): number {
  const { shorter, longer } = shutterCost(shutterS, task.fps);
  return (
    shorter +
    longer +
    (task.depthN === undefined ? 0 : depthCost(apertureN, task.depthN, task.blurFirst)) +
    (task.blurN === undefined ? 0 : blurCost(apertureN, task.blurN, task.blurFirst)) +
    diffractionCost(apertureN, task.diffractionCapN)
  );
}

function planOf(
  task: ExposureTask,
  apertureN: number,
  shutterS: number,
  filter: DensityFilter | undefined,
  densityStops: number,
  lampShare: number
): ExposurePlan | undefined {
  const lamps = lampShare * task.lampsLx;
  const lx = task.placeLx + lamps;
  if (!(lx > 0)) return undefined;
  const needed = isoNeeded(task, apertureN, shutterS, densityStops, lx);
  const iso = task.set?.iso ?? clamp(needed, task.isoLowest, task.isoHighest);
  const offStops = Math.log2(iso / needed);
  const { shorter, longer } = shutterCost(shutterS, task.fps);
  const pulsing = (task.pulsing.place * task.placeLx + task.pulsing.lamps * lamps) / lx;
  const isVariable = filter !== undefined && filter.stopsMax > filter.stopsMin;
  const costs: ExposureCosts = {
    noise: noiseCost(iso, task.isoUsable),
    shorter,
    longer,
    depth: task.depthN === undefined ? 0 : depthCost(apertureN, task.depthN, task.blurFirst),
    blur: task.blurN === undefined ? 0 : blurCost(apertureN, task.blurN, task.blurFirst),
    diffraction: diffractionCost(apertureN, task.diffractionCapN),
    corners: isVariable ? cornersCost(task.equivalentFocalLengthMm, densityStops) : 0,
    cast: exposureCosts.castPerMired * (filter?.castMired ?? 0),
    flicker: flickerCost(flickerLeftPercent(shutterS, task.mainsHz) * pulsing),
    wrong: exposureCosts.wrong * Math.abs(offStops) * (Math.abs(offStops) > EQUAL ? 1 : 0)
  };
  const highest = task.set?.iso ?? task.isoHighest;
  return {
    apertureN,
    shutterS,
    iso,
    filter,
    densityStops,
    lampShare,
    lx,
    offStops,
    cost: Object.values(costs).reduce((sum: number, cost: number) => sum + cost, 0),
    costs,
    blocks:
      offStops > BLOCKS.overStops ||
      needed > BLOCKS.timesHighest * highest ||
      needed > BLOCKS.timesUsable * task.isoUsable
  };
}

function isBetter(one: ExposurePlan, other: ExposurePlan, fps: number): boolean {
  if (one.blocks !== other.blocks) return other.blocks;
  if (Math.abs(one.cost - other.cost) > EQUAL) return one.cost < other.cost;
  const offHalf = ({ shutterS }: ExposurePlan) => Math.abs(Math.log2(shutterS * 2 * fps));
  const order = [
    one.apertureN - other.apertureN,
    offHalf(one) - offHalf(other),
    one.densityStops - other.densityStops,
    one.iso - other.iso
  ];
  return (order.find((difference) => Math.abs(difference) > EQUAL) ?? 0) < 0;
}
