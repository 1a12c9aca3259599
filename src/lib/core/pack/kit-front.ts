import { compareWorth, type PackedKit } from './packed-kit';

/** A kit on the front, and whether what lies around it was looked at. */
export interface FrontKit<K extends PackedKit = PackedKit> {
  kit: K;
  isExpanded: boolean;
}

/** Kits nothing beats: none is both as cheap and as good. Cheapest first. */
export class KitFront<K extends PackedKit = PackedKit> {
  #kits: FrontKit<K>[] = [];

  get all(): readonly FrontKit<K>[] {
    return this.#kits;
  }

  /** Whether a kit like this would stand on the front. */
  admits({ priceMinor, merit }: Pick<PackedKit, 'priceMinor' | 'merit'>): boolean {
    const below = this.bestFor(priceMinor);
    return !below || compareWorth(merit, below.merit) > 0;
  }

  /** Puts a kit in and takes out what it beats. */
  add(kit: K): boolean {
    if (!this.admits(kit)) return false;
    this.#kits = this.#kits.filter(
      ({ kit: other }) =>
        other.priceMinor < kit.priceMinor || compareWorth(other.merit, kit.merit) > 0
    );
    const index = this.#kits.findIndex(({ kit: other }) => other.priceMinor > kit.priceMinor);
    const entry = { kit, isExpanded: false };
    if (index < 0) this.#kits.push(entry);
    else this.#kits.splice(index, 0, entry);
    return true;
  }

  /** The best kit for at most so much, if what lies around it was not looked at. */
  unexpandedFor(mostMinor: number): FrontKit<K> | undefined {
    const best = this.#kits.filter(({ kit }) => kit.priceMinor <= mostMinor).at(-1);
    return best && !best.isExpanded ? best : undefined;
  }

  /** The best kit for at most so much. */
  bestFor(mostMinor: number): K | undefined {
    let best: K | undefined;
    for (const { kit } of this.#kits) {
      if (kit.priceMinor > mostMinor) break;
      best = kit;
    }
    return best;
  }
}
