import { cornersCost, exposureCosts, flickerCost, noiseCost } from './costs';
import type { DensityFilter, ExposureTask } from './exposure-task';
import { type Aperture, byCost, clamp, EQUAL, type Shutter } from './marked-settings';

/** What a camera may still be set to: past these the picture is lost. */
export const BLOCKS = { overStops: 1, timesHighest: 2, timesUsable: 8 } as const;

/** One way to set everything, and what it costs. */
export interface Candidate {
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

export function candidateOf(
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
export const castCost = (filter: DensityFilter | undefined): number =>
  exposureCosts.castPerMired * (filter?.castMired ?? 0);

/** A filter, or none, with what it costs however it is set: corners change least at its weakest. */
interface FilterChoice {
  filter: DensityFilter | undefined;
  cost: number;
}
const noFilter: FilterChoice = { filter: undefined, cost: 0 };

export const filterChoices = ({
  filters,
  set,
  equivalentFocalLengthMm
}: ExposureTask): FilterChoice[] =>
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

/**
 * Density and share of one's own lamps that can be best for an aperture, a shutter and a filter: the ends of
 * both, and where the ISO needed is the lowest there is.
 */
export function waysToDim(
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

export function isBetter(a: Candidate, b: Candidate, fps: number): boolean {
  if (a.blocks !== b.blocks) return b.blocks;
  if (Math.abs(a.cost - b.cost) > EQUAL) return a.cost < b.cost;
  const offHalf = ({ shutter }: Candidate) => Math.abs(Math.log2(shutter.s * 2 * fps));
  const order = [
    a.aperture.n - b.aperture.n,
    offHalf(a) - offHalf(b),
    a.densityStops - b.densityStops,
    a.iso - b.iso
  ];
  return (order.find((difference) => Math.abs(difference) > EQUAL) ?? 0) < 0;
}
