import type { PlacedRig } from '../rigs/placed-rig';
import { type Looks, watchRig } from '../rigs/rig-looks';
import { computeStep, type FigureRecord, steps, type Supposed } from './record';

/** What each leaf looked at in a rig, by its place; a derived row looks at its inputs only. */
export interface LeafLooks {
  corners: Int32Array;
  kinds: Int32Array;
}

export function watchLeaves(rig: PlacedRig): LeafLooks {
  const corners = new Int32Array(steps.length);
  const kinds = new Int32Array(steps.length);
  for (const at of leafSteps) {
    const watched = watchRig(rig);
    steps[at]!.read!(watched.rig);
    corners[at] = watched.looks.corners;
    kinds[at] = watched.looks.kinds;
  }
  return { corners, kinds };
}

const leafSteps: readonly number[] = steps.flatMap(({ read }, at) => (read ? [at] : []));
const derivedSteps: readonly number[] = steps.flatMap(({ read }, at) => (read ? [] : [at]));

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
  looks: LeafLooks,
  rig: PlacedRig,
  differs: Looks,
  changed: number[],
  supposed?: Supposed
): FigureRecord {
  const record: FigureRecord = {
    values: before.values.slice(),
    states: before.states.slice(),
    refused: undefined
  };
  const supposedAt = supposed?.at;
  let any = false;
  for (let i = 0; i < leafSteps.length; i++) {
    const at = leafSteps[i]!;
    const touched =
      (looks.corners[at]! & differs.corners) !== 0 || (looks.kinds[at]! & differs.kinds) !== 0;
    if (!touched && at !== supposedAt) continue;
    computeStep(at, rig, record, supposed);
    if (differsAt(at, record, before)) {
      changed[at] = 1;
      any = true;
    }
  }
  if (!any) return before;
  for (let i = 0; i < derivedSteps.length; i++) {
    const at = derivedSteps[i]!;
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
