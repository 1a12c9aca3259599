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
  return leafSteps.map((place) => {
    const tracked = trackRig(rig);
    steps[place]!.read!(tracked.rig);
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
    (place, i) => overlaps(leaves[i]!, differs) || place === supposed?.at
  );
  for (const place of affected) flags[place] = 1;
  const derived = derivedSteps.filter((place) => {
    if (steps[place]!.inputs.some((input) => flags[input] === 1)) flags[place] = 1;
    return flags[place] === 1;
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
  for (const place of affected.leaves) {
    computeStep(place, rig, record, supposed);
    if (differsAt(place, record, before)) {
      changed[place] = 1;
      any = true;
    }
  }
  if (!any) return before;
  for (const place of affected.derived) {
    const { inputs } = steps[place]!;
    let touched = false;
    for (let j = 0; j < inputs.length && !touched; j++) touched = changed[inputs[j]!] === 1;
    if (!touched) continue;
    computeStep(place, rig, record);
    if (differsAt(place, record, before)) changed[place] = 1;
  }
  return record;
}

function differsAt(place: number, record: FigureRecord, before: FigureRecord): boolean {
  const { solved } = steps[place]!;
  return (
    record.states[place] !== before.states[place] ||
    !Object.is(record.values[place], before.values[place]) ||
    // Two plans may cost the same and be set otherwise.
    (solved !== undefined && record.exposures[solved.end] !== before.exposures[solved.end])
  );
}

const none: readonly number[] = steps.map(() => 0);

/** A flag for every figure, none of them set. */
export function noneChanged(): number[] {
  return none.slice();
}
