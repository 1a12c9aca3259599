import { type Axis, axes } from '../../merit/axis-curves';
import type { Supplies } from './supply-bound';

/** Nothing to judge there. */
export const NOT_JUDGED = -Infinity;

/** What lasts, at its best whatever it costs. */
export function mostLasting(supplies: readonly Supplies[]): Supplies {
  return {
    priceMinor: 0,
    endurance: Math.max(0, ...supplies.map(({ endurance }) => endurance)),
    safety: Math.max(0, ...supplies.map(({ safety }) => safety))
  };
}

/**
 * Points of axes combined as the judge combines them: half the weighted mean, half the least of what each pulls. First
 * those of a rig, then what lasts, for a rig meets many supplies. Asked a million times, so it makes no object.
 */
export class RigWorth {
  /** Weighted sum of the points of a rig, and the least of what they pull. */
  sum = 0;
  least = Infinity;
  readonly #own: readonly number[];
  readonly #weightSum: number;
  readonly #heaviest: number;
  readonly #ofEndurance = axes.indexOf('endurance');
  readonly #ofSafety = axes.indexOf('safety net');

  /** @param hearsVoice whether sound is judged; every other axis always is */
  constructor(weights: Readonly<Record<Axis, number>>, hearsVoice: boolean) {
    const judged = axes.map((axis) => axis !== 'sound' || hearsVoice);
    const sumOf = (own: readonly number[]) =>
      own.reduce((sum, weight, index) => (judged[index]! ? sum + weight : sum), 0);
    const said = axes.map((axis) => weights[axis]);
    this.#own = sumOf(said) > 0 ? said : axes.map(() => 1);
    this.#weightSum = sumOf(this.#own);
    this.#heaviest = Math.max(...this.#own.filter((_, index) => judged[index]));
  }

  of(sound: number, light: number, picture: number, steadiness: number, ease: number): void {
    this.sum = 0;
    this.least = Infinity;
    this.#add(0, sound);
    this.#add(1, light);
    this.#add(2, picture);
    this.#add(3, steadiness);
    this.#add(5, ease);
  }

  #add(index: number, points: number): void {
    if (points === NOT_JUDGED) return;
    this.sum += this.#own[index]! * points;
    this.least = Math.min(this.least, this.#pull(index, points));
  }

  #pull(index: number, points: number): number {
    return 100 - (this.#own[index]! / this.#heaviest) * (100 - points);
  }

  /** With what lasts. */
  with(supplies: Supplies): number {
    return this.withHalf(this, supplies);
  }

  /** With the best of what lasts for at most so much. */
  within(mostMinor: number, supplies: readonly Supplies[]): number {
    let best = 0;
    for (const supply of supplies)
      if (supply.priceMinor <= mostMinor) best = Math.max(best, this.with(supply));
    return best;
  }

  withHalf(
    { sum, least }: { sum: number; least: number },
    { endurance, safety }: Supplies
  ): number {
    const [enduring, safe] = [this.#ofEndurance, this.#ofSafety];
    const all = sum + this.#own[enduring]! * endurance + this.#own[safe]! * safety;
    const worst = Math.min(least, this.#pull(enduring, endurance), this.#pull(safe, safety));
    return 0.5 * (all / this.#weightSum) + 0.5 * worst;
  }
}
