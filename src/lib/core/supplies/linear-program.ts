/** One condition on the unknowns: Σ coefficients · x ≥ or ≤ a bound. */
export interface Condition {
  coefficients: readonly number[];
  sense: 'at least' | 'at most';
  bound: number;
}

export interface LinearSolution {
  /** What the unknowns are, each at least zero. */
  values: number[];
  /** By how much the objective would fall for each unit that a condition asks more; zero where there is room. */
  pressures: number[];
}

const EPSILON = 1e-9;
/** A tableau of a day's supplies is done after some dozens of steps; past this something is wrong. */
const MOST_STEPS = 2000;

/**
 * Makes a sum as large as can be under linear conditions on unknowns that are not negative: the simplex method
 * on a whole tableau, in two phases, with Bland's rule against going round in circles. For the few dozen
 * unknowns of a day.
 *
 * @param objective what each unknown counts
 * @returns undefined where no unknowns meet the conditions
 * @throws RangeError where the sum has no largest value
 */
export function maximise(
  objective: readonly number[],
  conditions: readonly Condition[]
): LinearSolution | undefined {
  const unknowns = objective.length;
  const rows = conditions.length;
  /** Every condition as an equation with a right side that is not negative: its slack, and where needed a stand-in. */
  const signs = conditions.map(({ bound }) => (bound < 0 ? -1 : 1));
  const slackOf = (row: number) => unknowns + row;
  const needsStandIn = conditions.map(
    ({ sense }, row) => (sense === 'at least') === signs[row]! > 0
  );
  let width = unknowns + rows;
  const standIns = needsStandIn.map((needed) => (needed ? width++ : -1));
  const tableau = conditions.map(({ coefficients, sense, bound }, row) => {
    const line = new Float64Array(width + 1);
    coefficients.forEach((value, index) => (line[index] = value * signs[row]!));
    line[slackOf(row)] = (sense === 'at most' ? 1 : -1) * signs[row]!;
    if (standIns[row]! >= 0) line[standIns[row]!] = 1;
    line[width] = bound * signs[row]!;
    return line;
  });
  const basis = conditions.map((_, row) => (standIns[row]! >= 0 ? standIns[row]! : slackOf(row)));

  const first = unknowns + rows;
  if (first < width) {
    const goal = new Float64Array(width + 1);
    for (let index = first; index < width; index++) goal[index] = -1;
    const reached = climb(tableau, basis, goal, width, width);
    if (reached < -1e-7) return undefined;
    // A stand-in left in the basis is zero; it leaves where anything else can take its place.
    basis.forEach((column, row) => {
      if (column < first) return;
      const other = tableau[row]!.findIndex(
        (value, index) => index < first && Math.abs(value) > EPSILON
      );
      if (other >= 0) pivot(tableau, basis, row, other, width);
    });
  }
  const goal = new Float64Array(width + 1);
  objective.forEach((value, index) => (goal[index] = value));
  const reduced = new Float64Array(goal);
  climb(tableau, basis, reduced, width, first);
  const values = new Array<number>(unknowns).fill(0);
  basis.forEach((column, row) => {
    if (column < unknowns) values[column] = tableau[row]![width]!;
  });
  return { values, pressures: conditions.map((_, row) => Math.abs(reduced[slackOf(row)]!)) };
}

/** Steps from corner to corner while the goal rises; leaves the reduced goal behind. @returns the goal reached */
function climb(
  tableau: readonly Float64Array[],
  basis: number[],
  goal: Float64Array,
  width: number,
  columns: number
): number {
  basis.forEach((column, row) => subtract(goal, tableau[row]!, goal[column]!));
  for (let step = 0; step < MOST_STEPS; step++) {
    let entering = -1;
    for (let index = 0; index < columns && entering < 0; index++)
      if (goal[index]! > EPSILON) entering = index;
    if (entering < 0) return -goal[width]!;
    let leaving = -1;
    let least = Infinity;
    tableau.forEach((line, row) => {
      if (line[entering]! <= EPSILON) return;
      const ratio = line[width]! / line[entering]!;
      if (
        ratio < least - EPSILON ||
        (ratio < least + EPSILON && leaving >= 0 && basis[row]! < basis[leaving]!)
      ) {
        least = ratio;
        leaving = row;
      }
    });
    if (leaving < 0) throw new RangeError('The sum can be made as large as one likes.');
    pivot(tableau, basis, leaving, entering, width);
    subtract(goal, tableau[leaving]!, goal[entering]!);
  }
  throw new RangeError('The linear program did not come to an end.');
}

function pivot(
  tableau: readonly Float64Array[],
  basis: number[],
  row: number,
  column: number,
  width: number
): void {
  const line = tableau[row]!;
  const by = line[column]!;
  for (let index = 0; index <= width; index++) line[index]! /= by;
  tableau.forEach((other, index) => {
    if (index !== row) subtract(other, line, other[column]!);
  });
  basis[row] = column;
}

function subtract(from: Float64Array, line: Float64Array, times: number): void {
  if (times === 0) return;
  for (let index = 0; index < from.length; index++) from[index]! -= line[index]! * times;
}
