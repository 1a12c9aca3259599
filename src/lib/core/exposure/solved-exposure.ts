import { solveExposure } from './exposure-plan';
import type { ExposurePlan, ExposureTask } from './exposure-task';
import { solveSharedExposure } from './shared-exposure';

/** A plan with the task it solves. */
export interface SolvedExposure {
  task: ExposureTask;
  plan: ExposurePlan;
}

/** Without any light nothing can be set right: what stands for the plan then, and costs more than any. */
const NO_LIGHT_COST = 40;

function planInTheDark(task: ExposureTask): ExposurePlan {
  const none = { noise: 0, shorter: 0, longer: 0, depth: 0, blur: 0, diffraction: 0 };
  return {
    apertureN: Math.min(
      Math.max(task.set?.apertureN ?? task.apertureWidestN, task.apertureWidestN),
      task.apertureSmallestN
    ),
    shutterS: Math.min(task.set?.shutterS ?? 1 / task.fps, 1 / task.fps),
    iso: task.isoHighest,
    filter: undefined,
    densityStops: 0,
    lampShare: 0,
    lx: 0,
    offStops: -NO_LIGHT_COST,
    flickerPercent: 0,
    isoAtHalfFrame: Infinity,
    cost: NO_LIGHT_COST,
    costs: { ...none, corners: 0, cast: 0, flicker: 0, wrong: NO_LIGHT_COST },
    sizes: { tooDark: NO_LIGHT_COST, tooBright: 0, depth: 0, blur: 0, cast: 0, flicker: 0 },
    blocks: true
  };
}

interface Slot {
  inputs: readonly number[];
  solved: SolvedExposure;
}

/**
 * Plans solved lately, by their inputs. Most judgements ask for a plan that was solved for the one before: a
 * microphone changes none. A list of fixed length, each place taken by the last that fell on it.
 */
const slots: (Slot | undefined)[] = new Array<Slot | undefined>(4096).fill(undefined);

function placeOf(inputs: readonly number[]): number {
  let mixed = 0;
  for (let index = 0; index < inputs.length; index++)
    // Any spread will do: what falls together is compared in full.
    mixed = (Math.imul(mixed, 31) + ((inputs[index]! * 65_536) | 0) + index) | 0;
  return (mixed ^ (mixed >>> 13)) & (slots.length - 1);
}

/** The plan of a task that follows from some numbers, or the one solved for the same numbers before. */
export function solvedFrom(
  inputs: readonly number[],
  taskOf: (inputs: readonly number[]) => ExposureTask
): SolvedExposure {
  const place = placeOf(inputs);
  const slot = slots[place];
  if (slot && sameNumbers(slot.inputs, inputs)) return slot.solved;
  const kept = inputs.slice();
  const task = taskOf(kept);
  const solved = { task, plan: solveExposure(task) ?? planInTheDark(task) };
  slots[place] = { inputs: kept, solved };
  return solved;
}

function sameNumbers(a: readonly number[], b: readonly number[]): boolean {
  if (a.length !== b.length) return false;
  for (let index = 0; index < a.length; index++) if (!Object.is(a[index], b[index])) return false;
  return true;
}

/** By how much it has to cost more before anybody is told. */
export const SHARED_SILENT_STOPS = 0.4;

const sharedCosts = new WeakMap<SolvedExposure, { bright: SolvedExposure; cost: number }>();

/**
 * What it costs more than both plans, in stops, when aperture, shutter and filter stay as they are while the
 * light goes from its dim to its bright end; up to `SHARED_SILENT_STOPS` it may be any figure below that.
 */
export function costOfSharing(dim: SolvedExposure, bright: SolvedExposure): number {
  const { plan: planned } = dim;
  const { plan: other } = bright;
  if (
    planned.apertureN === other.apertureN &&
    planned.shutterS === other.shutterS &&
    planned.filter === other.filter &&
    planned.densityStops === other.densityStops
  )
    return 0;
  if (!(planned.lx > 0) || !(other.lx > 0)) return 0;
  const known = sharedCosts.get(dim);
  if (known?.bright === bright) return known.cost;
  const apart = planned.cost + other.cost;
  const cost = Math.max(
    0,
    solveSharedExposure(dim.task, bright.task, apart + SHARED_SILENT_STOPS) - apart
  );
  sharedCosts.set(dim, { bright, cost });
  return cost;
}
