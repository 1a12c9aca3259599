/** A relation was given a number it cannot stand for. Names the argument; never becomes a figure. */
export class RelationError extends Error {
  constructor(
    readonly argument: string,
    readonly value: number,
    readonly needs: string
  ) {
    super(`${argument} is ${value}; it ${needs}.`);
    this.name = 'RelationError';
  }
}

/** @throws RelationError unless the value is finite and above zero. */
export function mustBePositive(argument: string, value: number): void {
  if (!(value > 0) || value === Infinity) {
    throw new RelationError(argument, value, 'must be a finite number above zero');
  }
}

/** @throws RelationError unless the value is finite and zero or more. */
export function mustNotBeNegative(argument: string, value: number): void {
  if (!(value >= 0) || value === Infinity) {
    throw new RelationError(argument, value, 'must be a finite number, zero or more');
  }
}

/** @throws RelationError unless the value is a finite number. */
export function mustBeFinite(argument: string, value: number): void {
  if (!Number.isFinite(value)) throw new RelationError(argument, value, 'must be a finite number');
}

/** @throws RelationError unless low ≤ value ≤ high. */
export function mustLieBetween(argument: string, value: number, low: number, high: number): void {
  if (!(value >= low && value <= high)) {
    throw new RelationError(argument, value, `must lie between ${low} and ${high}`);
  }
}

/** @throws RelationError unless the subject is farther from the lens than its focal length. */
export function mustBeBeyondFocalLength(
  argument: string,
  distanceM: number,
  focalLengthMm: number
): void {
  mustBePositive('focalLengthMm', focalLengthMm);
  if (!(distanceM * 1000 > focalLengthMm) || distanceM === Infinity) {
    throw new RelationError(
      argument,
      distanceM,
      `must be finite and beyond the focal length, ${focalLengthMm} mm`
    );
  }
}
