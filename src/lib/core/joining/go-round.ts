import type { Chain } from './chain';

/** Pieces a chain takes, by line. */
type Uses = ReadonlyMap<string, number>;

const lineOf = (piece: string): string => piece.slice(0, piece.lastIndexOf('#'));

function usesOf({ parts }: Chain): Uses {
  const uses = new Map<string, number>();
  for (const { lineId } of parts) {
    const line = lineOf(lineId!);
    uses.set(line, (uses.get(line) ?? 0) + 1);
  }
  return uses;
}

/** Chains that differ only in which piece of a line they take are one. */
function distinct(chains: readonly Chain[]): Uses[] {
  const byKey = new Map<string, Uses>();
  for (const chain of chains) {
    const uses = usesOf(chain);
    byKey.set([...uses].sort().join(), uses);
  }
  return [...byKey.values()].sort((a, b) => a.size - b.size);
}

/** Past so many tries the pieces count as going round: what is not certain is not told. */
const MOST_TRIES = 20_000;

/**
 * Whether every joint can have a chain of its own at the same time, each piece in one of them.
 *
 * @param joints by joint the chains of the bag that close it
 * @param stock pieces by line
 */
export function goRound(
  joints: readonly (readonly Chain[])[],
  stock: ReadonlyMap<string, number>
): boolean {
  // Those with the fewest ways first: they are the first to find nothing left.
  const ways = joints.map(distinct).sort((a, b) => a.length - b.length);
  const left = new Map(stock);
  let tries = 0;
  const place = (joint: number): boolean => {
    const options = ways[joint];
    if (!options) return true;
    for (const uses of options) {
      if (++tries > MOST_TRIES) return true;
      if (![...uses].every(([line, count]) => (left.get(line) ?? 0) >= count)) continue;
      for (const [line, count] of uses) left.set(line, left.get(line)! - count);
      if (place(joint + 1)) return true;
      for (const [line, count] of uses) left.set(line, left.get(line)! + count);
    }
    return false;
  };
  return place(0);
}
