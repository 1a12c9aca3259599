import { apertureSteps } from '../relations/exposure/aperture-steps';
import { closeUpFactor, isoNeeded } from '../relations/exposure/exposure';
import { flickerLeftPercent } from '../relations/exposure/flicker';
import { shutterSteps } from '../relations/exposure/shutter';
import { blurCost, depthCost, diffractionCost, shutterCost } from './costs';
import type { ExposureTask } from './exposure-task';

/** Costs and settings this near are equal. */
export const EQUAL = 1e-9;

export const clamp = (value: number, low: number, high: number) =>
  Math.min(high, Math.max(low, value));

/** Marked values between two ends, the ends included. */
const withEnds = (low: number, high: number, marks: readonly number[]): number[] => [
  low,
  ...marks.filter((mark) => mark > low + EQUAL && mark < high - EQUAL),
  ...(high > low + EQUAL ? [high] : [])
];

/** An aperture with what it costs by itself, and the ISO it needs in one lux for one second. */
export interface Aperture {
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
export interface Shutter {
  s: number;
  /** The same as a power of two. */
  stops: number;
  flickerPercent: number;
  shorter: number;
  longer: number;
  cost: number;
}

export const byCost = (a: { cost: number }, b: { cost: number }) => a.cost - b.cost;

export function aperturesOf(task: ExposureTask): Aperture[] {
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

export function shuttersOf(task: ExposureTask): readonly Shutter[] {
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
