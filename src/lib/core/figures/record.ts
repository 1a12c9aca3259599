import { RelationError } from '../relations/argument';
import type { PlacedRig } from '../rigs/placed-rig';
import type { SolvedExposure } from '../exposure/solved-exposure';
import { type DerivedRow, isLeaf, type LeafRow, type PlannedRow, type SolvedRow } from './rows';
import { type FigureId, figureIndex, figureOrder, figureTable } from './table';

/** How a figure stands: a number, a number nobody has stated, or nothing it could be stated of. */
export const known = 0;
export const unknown = 1;
export const absent = 2;

/** Figures by name, each a number or undefined where it is unknown or absent. */
export type Figures<R extends FigureId = FigureId> = { readonly [id in R]: number | undefined };

/**
 * All figures of one angle in a flat record of fixed shape, in the table's order. Plain lists of numbers,
 * which cost a twentieth of typed arrays to make at this length, and a record is made for every judgement.
 * Every figure is a property of it as well: `record.speechToNoise`.
 */
class Values {
  /** Relations that refused their inputs, by figure; those figures are unknown. */
  refused: Map<FigureId, RelationError> | undefined = undefined;
  /** How often an unknown figure was read as a property. */
  unknownReads = 0;
  /** Where a list is given, the places of those figures are added to it. */
  unknownsRead: number[] | undefined = undefined;

  constructor(
    readonly values: number[] = noValues.slice(),
    readonly states: number[] = allAbsent.slice(),
    /** Exposure plans of the dim and the bright end of the light, once their figures are known. */
    readonly exposures: Exposures = { dim: undefined, bright: undefined }
  ) {}
}
export interface Exposures {
  dim: SolvedExposure | undefined;
  bright: SolvedExposure | undefined;
}
export type FigureRecord = Values & Figures;
export const FigureRecord = Values as new (
  ...lists: ConstructorParameters<typeof Values>
) => FigureRecord;

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
  /** Inputs that must be there all the same, counted from the first. */
  mustBeThere: number;
  solved: SolvedRow | undefined;
  ofPlans: PlannedRow['ofPlans'] | undefined;
}

const refusesToCompute = (): number => NaN;

/** How each figure is come by, in the order of computing. */
export const steps: readonly Step[] = figureOrder.map((id) => {
  const row = figureTable[id];
  const nothing = { solved: undefined, ofPlans: undefined };
  if (isLeaf(row))
    return {
      read: row.read,
      compute: refusesToCompute,
      inputs: [],
      whenAbsent: NaN,
      mustBeThere: 1,
      ...nothing
    };
  const inputs = row.from.map((from) => figureIndex[from as FigureId]);
  if ('solve' in row)
    return {
      read: undefined,
      compute: refusesToCompute,
      inputs,
      whenAbsent: 0,
      mustBeThere: row.mustBeThere,
      solved: row,
      ofPlans: undefined
    };
  if ('ofPlans' in row)
    return {
      read: undefined,
      compute: refusesToCompute,
      inputs,
      whenAbsent: NaN,
      mustBeThere: inputs.length,
      solved: undefined,
      ofPlans: row.ofPlans
    };
  return {
    read: undefined,
    compute: row.compute,
    inputs,
    whenAbsent: row.whenAbsent ?? NaN,
    mustBeThere: 1,
    ...nothing
  };
});

/** Places of the leaves, and of what is computed, each in the order of the table. */
export const leafSteps: readonly number[] = steps.flatMap(({ read }, index) =>
  read ? [index] : []
);
export const derivedSteps: readonly number[] = steps.flatMap(({ read }, index) =>
  read ? [] : [index]
);

/** Some figures with all that they are computed from, by their places. */
export interface FigureSet {
  leaves: readonly number[];
  derived: readonly number[];
}

const everyFigure: FigureSet = { leaves: leafSteps, derived: derivedSteps };

/** The figures at some places, with what they are computed from: the rest of a record stays absent. */
export function figureSet(places: readonly number[]): FigureSet {
  const isNeeded = steps.map(() => false);
  for (const place of places) isNeeded[place] = true;
  // Inputs stand before what is computed from them.
  for (let place = steps.length - 1; place >= 0; place--)
    if (isNeeded[place]) for (const input of steps[place]!.inputs) isNeeded[input] = true;
  return {
    leaves: leafSteps.filter((place) => isNeeded[place]),
    derived: derivedSteps.filter((place) => isNeeded[place])
  };
}

/** Begun with a fraction, so that the engine keeps the list as doubles and never boxes one. */
const noValues: number[] = steps.map(() => 0.5);
noValues.fill(0);
/** Everything is absent until it is said otherwise: so nothing is written of what a kit does not have. */
const allAbsent: number[] = steps.map(() => absent);

/**
 * Computes every figure of some angles, figure by figure, or only those asked for. Unknown and absent inputs travel
 * upwards; nothing is guessed.
 */
export function computeFigures(
  rigs: readonly PlacedRig[],
  supposed: readonly (Supposed | undefined)[] = [],
  { leaves, derived }: FigureSet = everyFigure
): FigureRecord[] {
  const records = rigs.map(() => new FigureRecord());
  // A leaf looks at the rig only, so all of them can go first.
  for (let i = 0; i < leaves.length; i++) {
    const place = leaves[i]!;
    const read = steps[place]!.read!;
    for (let of = 0; of < rigs.length; of++) readLeaf(place, read, rigs[of]!, records[of]!);
  }
  for (let of = 0; of < supposed.length; of++) suppose(supposed[of], records[of]!);
  for (let i = 0; i < derived.length; i++) {
    const place = derived[i]!;
    const step = steps[place]!;
    for (let of = 0; of < records.length; of++) derive(place, step, records[of]!);
  }
  return records;
}

/** Reads or computes one figure into a record whose earlier ones stand, in the place of what it was. */
export function computeStep(
  place: number,
  rig: PlacedRig,
  record: FigureRecord,
  supposed?: Supposed
): void {
  const step = steps[place]!;
  setAside(place, record, absent);
  if (step.read) {
    readLeaf(place, step.read, rig, record);
    if (supposed?.at === place) suppose(supposed, record);
  } else derive(place, step, record);
}

/** A leaf nobody has stated, taken as known. */
function suppose(supposed: Supposed | undefined, { values, states }: FigureRecord): void {
  if (supposed === undefined || states[supposed.at] !== unknown) return;
  states[supposed.at] = known;
  values[supposed.at] = supposed.value;
}

function readLeaf(
  place: number,
  read: LeafRow['read'],
  rig: PlacedRig,
  record: FigureRecord
): void {
  try {
    const stated = read(rig);
    if (typeof stated === 'number') {
      record.states[place] = known;
      record.values[place] = stated;
    } else if (stated === undefined) record.states[place] = unknown;
  } catch (error) {
    refuse(place, record, error);
  }
}

/** Begun with fractions, so that the engine keeps it as doubles. */
const scratch: number[] = Array.from({ length: 24 }, () => 0.5);

function derive(place: number, step: Step, record: FigureRecord): void {
  if (step.ofPlans) deriveFromPlans(place, step, record);
  else if (step.solved) solve(place, step, step.solved, record);
  else compute(place, step, record);
}

function compute(
  place: number,
  { compute: relation, inputs, whenAbsent }: Step,
  record: FigureRecord
) {
  const { values, states } = record;
  const first = inputs[0]!;
  // The first input is what the figure is of; only the others may be stood in for.
  let state = states[first]!;
  if (state === absent) return;
  scratch[0] = values[first]!;
  for (let i = 1; i < inputs.length; i++) {
    const input = inputs[i]!;
    const inputState = states[input]!;
    if (inputState === known) scratch[i] = values[input]!;
    else if (inputState === absent && !Number.isNaN(whenAbsent)) scratch[i] = whenAbsent;
    else if (inputState > state) state = inputState;
  }
  if (state !== known) {
    states[place] = state;
    return;
  }
  try {
    const value = computeFrom(relation, inputs.length);
    if (Number.isNaN(value))
      throw new RelationError(figureOrder[place]!, value, 'must come out as a number');
    states[place] = known;
    values[place] = value;
  } catch (error) {
    refuse(place, record, error);
  }
}

/** An exposure plan: what must be there and is not makes it absent, what may be missing counts as 0. */
function solve(
  place: number,
  { inputs, mustBeThere }: Step,
  { end, solve: solvePlan }: SolvedRow,
  record: FigureRecord
): void {
  const { values, states } = record;
  let state = known;
  const numbers: number[] = [];
  for (let i = 0; i < inputs.length; i++) {
    const input = inputs[i]!;
    const inputState = states[input]!;
    numbers.push(inputState === known ? values[input]! : 0);
    if (inputState === unknown || (inputState === absent && i < mustBeThere))
      state = Math.max(state, inputState);
  }
  if (state !== known) {
    states[place] = state;
    return;
  }
  try {
    const exposure = solvePlan(numbers);
    record.exposures[end] = exposure;
    states[place] = known;
    values[place] = exposure.plan.cost;
  } catch (error) {
    refuse(place, record, error);
  }
}

function deriveFromPlans(place: number, { inputs, ofPlans }: Step, record: FigureRecord): void {
  const { values, states, exposures } = record;
  let state = known;
  for (let i = 0; i < inputs.length; i++)
    if (states[inputs[i]!]! > state) state = states[inputs[i]!]!;
  if (state === known) values[place] = ofPlans!(exposures.dim!, exposures.bright!);
  states[place] = state;
}

/** The relation on the scratch inputs; spelt out, for spreading an array costs more than most relations. */
function computeFrom(compute: DerivedRow['compute'], count: number): number {
  const first = scratch[0]!;
  if (count === 1) return compute(first);
  const second = scratch[1]!;
  if (count === 2) return compute(first, second);
  const third = scratch[2]!;
  if (count === 3) return compute(first, second, third);
  const fourth = scratch[3]!;
  if (count === 4) return compute(first, second, third, fourth);
  const fifth = scratch[4]!;
  if (count === 5) return compute(first, second, third, fourth, fifth);
  return compute(...scratch.slice(0, count));
}

function setAside(place: number, { states, values }: FigureRecord, state: number): void {
  states[place] = state;
  values[place] = 0;
}

/** A relation that refuses its inputs leaves its figure unknown, and says so. */
function refuse(place: number, record: FigureRecord, error: unknown): void {
  if (!(error instanceof RelationError)) throw error;
  setAside(place, record, unknown);
  (record.refused ??= new Map()).set(figureOrder[place]!, error);
}

for (const id of figureOrder) {
  const place = figureIndex[id];
  Object.defineProperty(FigureRecord.prototype, id, {
    get(this: FigureRecord) {
      const state = this.states[place];
      if (state === known) return this.values[place];
      if (state === unknown) {
        this.unknownReads += 1;
        this.unknownsRead?.push(place);
      }
      return undefined;
    }
  });
}

export function stateOf(record: FigureRecord, id: FigureId): number {
  return record.states[figureIndex[id]]!;
}

/** The figure as a number, or undefined when it is unknown or absent; for those who only show it. */
export function figureOf({ states, values }: FigureRecord, id: FigureId): number | undefined {
  const place = figureIndex[id];
  return states[place] === known ? values[place] : undefined;
}
