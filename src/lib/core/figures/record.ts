import { RelationError } from '../relations/argument';
import type { PlacedRig } from '../rigs/placed-rig';
import { type DerivedRow, isLeaf, type LeafRow } from './rows';
import { type FigureId, figureIndex, figureOrder, figureTable } from './table';

/** How a figure stands: a number, a number nobody has stated, or nothing it could be stated of. */
export const known = 0;
export const unknown = 1;
export const absent = 2;

/** All figures of one angle in a flat record of fixed shape, in the table's order. */
export interface FigureRecord {
  values: Float64Array;
  states: Uint8Array;
  /** Relations that refused their inputs, by figure; those figures are unknown. */
  refused: Map<FigureId, RelationError> | undefined;
}

interface Step {
  leaf: LeafRow | undefined;
  derived: DerivedRow | undefined;
  inputs: readonly number[];
}

const steps: readonly Step[] = figureOrder.map((id) => {
  const row = figureTable[id];
  return isLeaf(row)
    ? { leaf: row, derived: undefined, inputs: [] }
    : {
        leaf: undefined,
        derived: row,
        inputs: row.from.map((from) => figureIndex[from as FigureId])
      };
});

const scratch: number[] = [];

/** The relation on the scratch inputs; spelt out, for spreading an array costs more than most relations. */
function computeFrom({ compute }: DerivedRow, count: number): number {
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

/** Computes every figure of an angle. Unknown and absent inputs travel upwards; nothing is guessed. */
export function computeFigures(rig: PlacedRig): FigureRecord {
  const values = new Float64Array(steps.length);
  const states = new Uint8Array(steps.length);
  let refused: FigureRecord['refused'];
  for (let at = 0; at < steps.length; at++) {
    const { leaf, derived, inputs } = steps[at]!;
    try {
      if (leaf) {
        const value = leaf.read(rig);
        if (value === null) states[at] = absent;
        else if (value === undefined) states[at] = unknown;
        else values[at] = value;
        continue;
      }
      let state = known;
      for (let i = 0; i < inputs.length; i++) {
        const input = inputs[i]!;
        const inputState = states[input]!;
        // The first input is what the figure is of; only the others may be stood in for.
        if (i > 0 && inputState === absent && derived!.whenAbsent !== undefined) {
          scratch[i] = derived!.whenAbsent;
          continue;
        }
        if (inputState > state) state = inputState;
        scratch[i] = values[input]!;
      }
      states[at] = state;
      if (state === known) {
        const value = computeFrom(derived!, inputs.length);
        if (Number.isNaN(value))
          throw new RelationError(figureOrder[at]!, value, 'must come out as a number');
        values[at] = value;
      }
    } catch (error) {
      if (!(error instanceof RelationError)) throw error;
      states[at] = unknown;
      (refused ??= new Map()).set(figureOrder[at]!, error);
    }
  }
  return { values, states, refused };
}

export function stateOf(record: FigureRecord, id: FigureId): number {
  return record.states[figureIndex[id]]!;
}

/** The figure as a number, or undefined when it is unknown or absent. */
export function figureOf(record: FigureRecord, id: FigureId): number | undefined {
  const at = figureIndex[id];
  return record.states[at] === known ? record.values[at] : undefined;
}
