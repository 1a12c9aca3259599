import { type Condition, maximise } from './linear-program';

/** More than this share of what is needed helps nobody any more. */
export const MOST_SHARE = 3;
const EPSILON = 1e-7;

/** Something that can be used up once: watt-hours, gigabytes. */
export interface Supply {
  amount: number;
  /** Who can draw on it, by place among those in need, and how much of it arrives: 1 without losses. */
  reaches: ReadonlyMap<number, number>;
}

export interface FairShares {
  /** Got over needed, at most three, of each in need. */
  shares: number[];
  /** By supply, what each in need takes out of it, losses included. */
  taken: Map<number, number>[];
}

/**
 * Shares supplies out so that the least share is as large as can be, then the next least, and so on: there is
 * one such answer. The amounts divide.
 *
 * @param needs what each needs, more than zero
 */
export function fairShares(needs: readonly number[], supplies: readonly Supply[]): FairShares {
  const arcs = supplies.flatMap(({ reaches }, from) =>
    [...reaches].map(([to, arrives]) => ({ from, to, arrives }))
  );
  const shares = new Array<number | undefined>(needs.length).fill(undefined);
  let flows = new Array<number>(arcs.length).fill(0);
  needs.forEach((_, to) => {
    if (!arcs.some((arc) => arc.to === to && supplies[arc.from]!.amount > 0)) shares[to] = 0;
  });
  while (shares.includes(undefined)) {
    const solved = raiseLeast(needs, supplies, arcs, shares);
    flows = solved.flows;
    for (const to of solved.tight) shares[to] = solved.least;
  }
  const taken = supplies.map(() => new Map<number, number>());
  arcs.forEach(({ from, to }, index) => {
    if (flows[index]! > EPSILON) taken[from]!.set(to, flows[index]!);
  });
  return { shares: shares as number[], taken };
}

/** The largest share that all those not settled yet can have at once, and who cannot have more than that. */
function raiseLeast(
  needs: readonly number[],
  supplies: readonly Supply[],
  arcs: readonly { from: number; to: number; arrives: number }[],
  shares: readonly (number | undefined)[]
): { least: number; tight: number[]; flows: number[] } {
  const least = arcs.length;
  const blank = () => new Array<number>(arcs.length + 1).fill(0);
  const conditions: Condition[] = needs.map((need, to) => {
    const coefficients = blank();
    arcs.forEach((arc, index) => {
      if (arc.to === to) coefficients[index] = arc.arrives / need;
    });
    const settled = shares[to];
    if (settled === undefined) coefficients[least] = -1;
    return { coefficients, sense: 'at least', bound: settled ?? 0 };
  });
  supplies.forEach(({ amount }, from) => {
    const coefficients = blank();
    arcs.forEach((arc, index) => {
      if (arc.from === from) coefficients[index] = 1;
    });
    conditions.push({ coefficients, sense: 'at most', bound: amount });
  });
  const atMost = blank();
  atMost[least] = 1;
  conditions.push({ coefficients: atMost, sense: 'at most', bound: MOST_SHARE });
  const objective = blank();
  objective[least] = 1;
  // What is settled can be had, for it was had before: a solution there always is, but for rounding.
  const solved = maximise(objective, loosened(conditions));
  if (!solved) throw new RangeError('Shares that were had before cannot be had again.');
  const reached = solved.values[least]!;
  const open = shares.flatMap((share, to) => (share === undefined ? [to] : []));
  // Whoever's want alone keeps the least from rising cannot have more in any way of sharing.
  const tight =
    reached >= MOST_SHARE - EPSILON ? open : open.filter((to) => solved.pressures[to]! > EPSILON);
  return { least: reached, tight: tight.length > 0 ? tight : open, flows: solved.values };
}

const loosened = (conditions: readonly Condition[]): Condition[] =>
  conditions.map((condition) =>
    condition.sense === 'at least' && condition.bound > 0
      ? { ...condition, bound: condition.bound * (1 - 1e-9) }
      : condition
  );
