import type { KitPart } from '../rigs/kit';
import { fairShares } from './fair-shares';

/** A part that lives on what can be used up, and what it needs in a day. */
export interface Consumer {
  part: KitPart;
  /** Wh or GB. */
  need: number;
  /** The most it needs in one scene alone. */
  needInOneScene: number;
}

/** What kind of thing a store is: who may take it out and put it somewhere else follows from it. */
export type StoreKind =
  'built-in battery' | 'battery' | 'power bank' | 'sun and car' | 'card' | 'built-in storage';

/** Something of the kit that can be used up once in a day. */
export interface Store {
  kind: StoreKind;
  /** The line it is of; of what a body came with, the body's. */
  lineId: string;
  name: string;
  /** Of how many equal pieces it is made. */
  pieces: number;
  /** Undefined where nobody has stated it. */
  amount: number | undefined;
  /** By line, who can draw on it and how much of it arrives. */
  reaches: ReadonlyMap<string, number>;
}

/** What a day asks for, and what there is. */
export interface SuppliesAndNeeds {
  consumers: readonly Consumer[];
  /** Parts that live on it too, and nobody states on how much: the others have at most what they are told. */
  unknown: readonly KitPart[];
  stores: readonly Store[];
}

/** How a day's stores are shared out among those that live on them. */
export interface SharedSupplies {
  consumers: readonly (Consumer & { share: number; got: number })[];
  stores: readonly (Store & {
    /** By line, what is taken out of it. */
    taken: ReadonlyMap<string, number>;
  })[];
}

/**
 * Shares the stores of a day out, each used once.
 *
 * @returns undefined where an amount is not stated: what is unknown is neither nothing nor without end
 */
export function shareOut(
  consumers: readonly Consumer[],
  stores: readonly Store[]
): SharedSupplies | undefined {
  const place = new Map(consumers.map(({ part }, index) => [part.line.id, index]));
  const supplies = stores.map(({ amount, reaches }) => ({
    amount: amount ?? NaN,
    reaches: new Map(
      [...reaches].flatMap(([lineId, arrives]): [number, number][] => {
        const index = place.get(lineId);
        return index === undefined ? [] : [[index, arrives]];
      })
    )
  }));
  if (supplies.some(({ amount, reaches }) => reaches.size > 0 && Number.isNaN(amount)))
    return undefined;
  const { shares, taken } = fairShares(
    consumers.map(({ need }) => need),
    supplies.map((supply) => (supply.reaches.size === 0 ? { ...supply, amount: 0 } : supply))
  );
  return {
    consumers: consumers.map((consumer, index) => ({
      ...consumer,
      share: shares[index]!,
      got: shares[index]! * consumer.need
    })),
    stores: stores.map((store, from) => ({
      ...store,
      taken: new Map([...taken[from]!].map(([to, much]) => [consumers[to]!.part.line.id, much]))
    }))
  };
}

/**
 * True where every consumer has enough though nobody waits for anybody: the private stores first, then the
 * shared ones in turn. Most days are settled by this, without sharing anything out exactly.
 */
export function isPlenty(consumers: readonly Consumer[], stores: readonly Store[]): boolean {
  const left = consumers.map(({ need }) => need);
  const byReach = [...stores].sort((a, b) => a.reaches.size - b.reaches.size);
  for (const { amount, reaches } of byReach) {
    if (amount === undefined) return false;
    let rest = amount;
    for (let index = 0; index < consumers.length && rest > 0; index++) {
      const arrives = reaches.get(consumers[index]!.part.line.id) ?? 0;
      if (arrives === 0 || left[index]! <= 0) continue;
      const takes = Math.min(rest, left[index]! / arrives);
      left[index]! -= takes * arrives;
      rest -= takes;
    }
  }
  return left.every((need) => need <= 1e-9);
}
