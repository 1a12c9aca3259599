import {
  computeStep,
  derivedSteps,
  FigureRecord,
  leafSteps,
  steps,
  type Supposed
} from '../../figures/record';
import type { PlacedRig } from '../../rigs/placed-rig';
import { type Dependencies, overlaps, trackRig } from './dependencies';

/** What each leaf read of a rig, by its place among the leaves; a derived row reads its inputs only. */
export type LeafDependencies = readonly Dependencies[];

export function trackLeaves(rig: PlacedRig): LeafDependencies {
  return leafSteps.map((at) => {
    const tracked = trackRig(rig);
    steps[at]!.read!(tracked.rig);
    return tracked.read;
  });
}

/** Figures that a difference may change: leaves that read what differs, and all that is computed from them. */
export interface AffectedFigures {
  leaves: readonly number[];
  derived: readonly number[];
  /** By place: 1 for each of them. */
  flags: readonly number[];
}

/**
 * Which figures of a rig a difference may change.
 *
 * @param supposed a leaf that differs as well, by an answer that is only supposed
 */
export function affectedFigures(
  leaves: LeafDependencies,
  differs: Dependencies,
  supposed?: Supposed
): AffectedFigures {
  const flags = noneChanged();
  const affected = leafSteps.filter(
    (at, i) => overlaps(leaves[i]!, differs) || at === supposed?.at
  );
  for (const at of affected) flags[at] = 1;
  const derived = derivedSteps.filter((at) => {
    if (steps[at]!.inputs.some((input) => flags[input] === 1)) flags[at] = 1;
    return flags[at] === 1;
  });
  return { leaves: affected, derived, flags };
}

/**
 * The figures of a rig that differs from one already computed: leaves that read what differs are
 * read again, and what is computed from those that changed is computed again.
 *
 * @param before figures none of which was refused
 * @param changed is filled with 1 for each figure that came out otherwise
 * @returns the same record when none did
 */
export function recomputeFigures(
  before: FigureRecord,
  affected: AffectedFigures,
  rig: PlacedRig,
  changed: number[],
  supposed?: Supposed
): FigureRecord {
  if (affected.leaves.length === 0) return before;
  const record = new FigureRecord(before.values.slice(), before.states.slice(), {
    ...before.exposures
  });
  let any = false;
  for (const at of affected.leaves) {
    computeStep(at, rig, record, supposed);
    if (differsAt(at, record, before)) {
      changed[at] = 1;
      any = true;
    }
  }
  if (!any) return before;
  for (const at of affected.derived) {
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
  const { solved } = steps[at]!;
  return (
    record.states[at] !== before.states[at] ||
    !Object.is(record.values[at], before.values[at]) ||
    // Two plans may cost the same and be set otherwise.
    (solved !== undefined && record.exposures[solved.end] !== before.exposures[solved.end])
  );
}

const none: readonly number[] = steps.map(() => 0);

/** A flag for every figure, none of them set. */
export function noneChanged(): number[] {
  return none.slice();
}
