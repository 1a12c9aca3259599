import type { Supplies } from './supply-bound';
import type { RigWorth } from './rig-worth';

/** For so much money a scene can be worth so much and no more. */
export interface Bound {
  priceMinor: number;
  merit: number;
}

/** Best merit by money, each step dearer and better than the one before, and what it is of. */
export class Steps<Of = undefined> {
  readonly #best = new Map<number, { merit: number; of: Of }>();

  /** Whether so much for so much is better than what was added for the same. */
  isNew(priceMinor: number, merit: number): boolean {
    const before = this.#best.get(priceMinor);
    return before === undefined || before.merit < merit;
  }

  add(priceMinor: number, merit: number, of: Of): void {
    if (this.isNew(priceMinor, merit)) this.#best.set(priceMinor, { merit, of });
  }

  get all(): (Bound & { of: Of })[] {
    const steps: (Bound & { of: Of })[] = [];
    for (const [priceMinor, { merit, of }] of [...this.#best].sort(([a], [other]) => a - other))
      if (steps.length === 0 || merit > steps[steps.length - 1]!.merit)
        steps.push({ priceMinor, merit, of });
    return steps;
  }
}

/** A rig's worth before its supplies: the sum of its axes and the least of them. */
interface HalfWorth {
  sum: number;
  least: number;
}

/** By money, what rigs come to before their supplies, but for those no better than another that costs no more. */
export class HalfWorths {
  readonly #byPrice = new Map<number, HalfWorth[]>();

  /** Asked a million times, so it makes nothing where nothing is better. */
  add(priceMinor: number, { sum, least }: HalfWorth): void {
    const there = this.#byPrice.get(priceMinor);
    if (there === undefined) {
      this.#byPrice.set(priceMinor, [{ sum, least }]);
      return;
    }
    for (const half of there) if (half.sum >= sum && half.least >= least) return;
    let kept = 0;
    for (const half of there) if (half.sum > sum || half.least > least) there[kept++] = half;
    there.length = kept;
    there.push({ sum, least });
  }

  #undominated(): [priceMinor: number, HalfWorth][] {
    const kept: [number, HalfWorth][] = [];
    // Sums and leasts of those that cost no more, none as good as another in both.
    let best: HalfWorth[] = [];
    for (const [priceMinor, all] of [...this.#byPrice].sort(([a], [other]) => a - other))
      for (const half of all) {
        if (best.some(({ sum, least }) => sum >= half.sum && least >= half.least)) continue;
        best = best.filter(({ sum, least }) => sum > half.sum || least > half.least);
        best.push(half);
        kept.push([priceMinor, half]);
      }
    return kept;
  }

  /** The best by money with supplies, which so many scenes share. */
  suppliedBy(supplies: readonly Supplies[], worth: RigWorth, sharedBy: number): Bound[] {
    const steps = new Steps();
    for (const [priceMinor, half] of this.#undominated())
      for (const supply of supplies)
        steps.add(
          priceMinor + supply.priceMinor / sharedBy,
          worth.withHalf(half, supply),
          undefined
        );
    return steps.all.map(({ priceMinor, merit }) => ({ priceMinor, merit }));
  }
}
