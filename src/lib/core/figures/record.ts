import { RelationError } from '../relations/argument';
import type { PlacedRig } from '../rigs/placed-rig';
import { type DerivedRow, isLeaf, type LeafRow } from './rows';
import { type FigureId, figureIndex, figureOrder, figureTable } from './table';

/** How a figure stands: a number, a number nobody has stated, or nothing it could be stated of. */
export const known = 0;
export const unknown = 1;
export const absent = 2;

/**
 * All figures of one angle in a flat record of fixed shape, in the table's order. Plain lists of numbers,
 * which cost a twentieth of typed arrays to make at this length, and a record is made for every glance.
 */
export interface FigureRecord {
  values: number[];
  states: number[];
  /** Relations that refused their inputs, by figure; those figures are unknown. */
  refused: Map<FigureId, RelationError> | undefined;
}

/** A leaf taken as known where nobody has stated it. */
export interface Supposed {
  at: number;
  value: number;
}

/**
 * A row made ready for computing. Rows have many shapes and the engine reads a field fast only from one,
 * so every step has the same fields.
 */
interface Step {
  read: LeafRow['read'] | undefined;
  compute: DerivedRow['compute'];
  inputs: readonly number[];
  /** What an absent input counts as; NaN where it makes the figure absent. */
  whenAbsent: number;
}

const refusesToCompute = (): number => NaN;

/** How each figure is come by, in the order of computing. */
export const steps: readonly Step[] = figureOrder.map((id) => {
  const row = figureTable[id];
  return isLeaf(row)
    ? { read: row.read, compute: refusesToCompute, inputs: [], whenAbsent: NaN }
    : {
        read: undefined,
        compute: row.compute,
        inputs: row.from.map((from) => figureIndex[from as FigureId]),
        whenAbsent: row.whenAbsent ?? NaN
      };
});

/** Begun with a fraction, so that the engine keeps the list as doubles and never boxes one. */
const noValues: number[] = steps.map(() => 0.5);
noValues.fill(0);
const noStates: number[] = steps.map(() => 0);

const scratch: number[] = [0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5];

/** The relation on the scratch inputs; spelt out, for spreading an array costs more than most relations. */
function computeFrom(compute: DerivedRow['compute'], count: number): number {
  const a = scratch[0]!;
  const b = scratch[1]!;
  const c = scratch[2]!;
  const d = scratch[3]!;
  const e = scratch[4]!;
  switch (count) {
    case 1:
      return compute(a);
    case 2:
      return compute(a, b);
    case 3:
      return compute(a, b, c);
    case 4:
      return compute(a, b, c, d);
    case 5:
      return compute(a, b, c, d, e);
    default:
      return compute(...scratch.slice(0, count));
  }
}

/**
 * Computes every figure of some angles, figure by figure. Unknown and absent inputs travel upwards; nothing
 * is guessed.
 */
export function computeFigures(
  rigs: readonly PlacedRig[],
  supposed: readonly (Supposed | undefined)[] = []
): FigureRecord[] {
  const records = rigs.map(() => ({
    values: noValues.slice(),
    states: noStates.slice(),
    refused: undefined
  }));
  for (let at = 0; at < steps.length; at++)
    for (let of = 0; of < rigs.length; of++) computeStep(at, rigs[of]!, records[of]!, supposed[of]);
  return records;
}

/** Reads or computes one figure into a record whose earlier ones stand. */
export function computeStep(
  at: number,
  rig: PlacedRig,
  record: FigureRecord,
  supposed?: Supposed
): void {
  const { values, states } = record;
  const { read, compute, inputs, whenAbsent } = steps[at]!;
  try {
    if (read) {
      const stated = read(rig);
      const value = stated === undefined && at === supposed?.at ? supposed.value : stated;
      states[at] = value === null ? absent : value === undefined ? unknown : known;
      values[at] = value ?? 0;
      return;
    }
    let state = known;
    for (let i = 0; i < inputs.length; i++) {
      const input = inputs[i]!;
      const inputState = states[input]!;
      // The first input is what the figure is of; only the others may be stood in for.
      if (i > 0 && inputState === absent && !Number.isNaN(whenAbsent)) {
        scratch[i] = whenAbsent;
        continue;
      }
      if (inputState > state) state = inputState;
      scratch[i] = values[input]!;
    }
    const value = state === known ? computeFrom(compute, inputs.length) : 0;
    if (Number.isNaN(value))
      throw new RelationError(figureOrder[at]!, value, 'must come out as a number');
    states[at] = state;
    values[at] = value;
  } catch (error) {
    if (!(error instanceof RelationError)) throw error;
    states[at] = unknown;
    values[at] = 0;
    (record.refused ??= new Map()).set(figureOrder[at]!, error);
  }
}

export function stateOf(record: FigureRecord, id: FigureId): number {
  return record.states[figureIndex[id]]!;
}

/** The figure as a number, or undefined when it is unknown or absent. */
export function figureOf(record: FigureRecord, id: FigureId): number | undefined {
  const at = figureIndex[id];
  return record.states[at] === known ? record.values[at] : undefined;
}
