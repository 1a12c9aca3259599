import type { PlacedRig } from '../rigs/placed-rig';
import { type Looks, touch, watchRig } from '../rigs/rig-looks';
import {
  computeStep,
  derivedSteps,
  type FigureRecord,
  leafSteps,
  steps,
  type Supposed
} from './record';

/** What each leaf looked at in a rig, by its place among the leaves; a derived row looks at its inputs only. */
export type LeafLooks = readonly Looks[];

export function watchLeaves(rig: PlacedRig): LeafLooks {
  return leafSteps.map((at) => {
    const watched = watchRig(rig);
    steps[at]!.read!(watched.rig);
    return watched.looks;
  });
}

/** Figures that something may make differ: leaves that looked at it, and all that rests on them. */
export interface FiguresInReach {
  leaves: readonly number[];
  derived: readonly number[];
  /** By place: 1 for each of them. */
  flags: readonly number[];
}

/**
 * How far a difference reaches into the figures of a rig.
 *
 * @param supposed a leaf that differs as well, by an answer that is only supposed
 */
export function figuresInReach(
  looks: LeafLooks,
  differs: Looks,
  supposed?: Supposed
): FiguresInReach {
  const flags = noneChanged();
  const leaves = leafSteps.filter((at, i) => touch(looks[i]!, differs) || at === supposed?.at);
  for (const at of leaves) flags[at] = 1;
  const derived = derivedSteps.filter((at) => {
    if (steps[at]!.inputs.some((input) => flags[input] === 1)) flags[at] = 1;
    return flags[at] === 1;
  });
  return { leaves, derived, flags };
}

/**
 * The figures of a rig that differs from one already computed: leaves that looked at what differs are
 * read again, and what rests on those that came out otherwise is computed again.
 *
 * @param before figures none of which was refused
 * @param changed is filled with 1 for each figure that came out otherwise
 * @returns the same record when none did
 */
export function computeFiguresAgain(
  before: FigureRecord,
  reach: FiguresInReach,
  rig: PlacedRig,
  changed: number[],
  supposed?: Supposed
): FigureRecord {
  if (reach.leaves.length === 0) return before;
  const record: FigureRecord = {
    values: before.values.slice(),
    states: before.states.slice(),
    refused: undefined
  };
  let any = false;
  for (const at of reach.leaves) {
    computeStep(at, rig, record, supposed);
    if (differsAt(at, record, before)) {
      changed[at] = 1;
      any = true;
    }
  }
  if (!any) return before;
  for (const at of reach.derived) {
    const { inputs } = steps[at]!;
    let touched = false;
    for (let j = 0; j < inputs.length && !touched; j++) touched = changed[inputs[j]!] === 1;
    if (!touched) continue;
    computeStep(at, rig, record);
    if (differsAt(at, record, before)) changed[at] = 1;
  }
  return record;
}

function differsAt(at: number, record: FigureRecord, before: FigureRecord): boolean {
  return (
    record.states[at] !== before.states[at] || !Object.is(record.values[at], before.values[at])
  );
}

const none: readonly number[] = steps.map(() => 0);

/** A flag for every figure, none of them set. */
export function noneChanged(): number[] {
  return none.slice();
}
