/** Pieces one has, and what one more costs; undefined where none is for sale. */
export interface Supply {
  pieces: number;
  costMinor: number | undefined;
}

/** Something that takes one of several sets of pieces while its occasion lasts. */
export interface Demand {
  occasion: number;
  /** Pieces by name, of each way to meet it. */
  options: readonly ReadonlyMap<string, number>[];
}

export interface Choice {
  /** Of each demand the option taken; undefined where nothing meets it beside the others. */
  chosen: (number | undefined)[];
  buy: Map<string, number>;
  costMinor: number;
  /** What a better choice could save at most; 0 where this one is the cheapest there is. */
  gapMinor: number;
}

/** So many choices are looked at for one group; past it the best found stands, with its gap. */
const MOST_NODES = 60_000;

/** A way to meet a demand, in the pieces that are scarce. */
interface Option {
  /** Its place in the demand's own list. */
  at: number;
  uses: readonly (readonly [part: number, count: number])[];
}

interface Task {
  /** The demand's place in the list given. */
  demand: number;
  occasion: number;
  options: Option[];
}

/**
 * One option for every demand at least cost. A piece serves one demand of an occasion and again on
 * another, so of each part is bought what the hungriest occasion takes beyond the pieces there are.
 *
 * Exact, in four steps:
 *
 *   1. parts of which there are enough whatever is chosen cost nothing and bind nobody: they are left out;
 *   2. of two options of a demand, one that takes no more of anything than another replaces it;
 *   3. demands that share no scarce part, directly or through others, are groups of their own;
 *   4. each group by branch and bound, occasion by occasion. What has been bought is all the future can
 *      see of the past, so the same purchases at the same occasion are gone through once.
 */
export function cheapestChoice(
  demands: readonly Demand[],
  supplies: ReadonlyMap<string, Supply>
): Choice {
  const names = [
    ...new Set(demands.flatMap(({ options }) => options.flatMap((option) => [...option.keys()])))
  ];
  const numberOf = new Map(names.map((name, number) => [name, number]));
  const stock = names.map((name) => supplies.get(name)?.pieces ?? 0);
  const price = names.map((name) => supplies.get(name)?.costMinor ?? Infinity);
  const plenty = plentiful(demands, names, stock);

  const chosen: (number | undefined)[] = demands.map(() => undefined);
  const tasks: Task[] = [];
  demands.forEach(({ occasion, options }, demand) => {
    const scarce = undominated(
      options.map((uses, index): Option => {
        const counted = [...uses].map(([name, count]) => [numberOf.get(name)!, count] as const);
        return { at: index, uses: counted.filter(([part]) => !plenty[part]) };
      })
    );
    if (scarce[0]?.uses.length === 0) chosen[demand] = scarce[0].at;
    else if (scarce.length > 0) tasks.push({ demand, occasion, options: scarce });
  });

  const bought = new Map<string, number>();
  let gapMinor = 0;
  for (const group of groupsOf(tasks)) {
    const best = new GroupSearch(group, stock, price).run();
    gapMinor += best.gap;
    if (!best.options) continue;
    group.forEach(({ demand }, index) => (chosen[demand] = best.options![index]!.at));
    for (const [part, count] of best.bought) bought.set(names[part]!, count);
  }
  let costMinor = 0;
  for (const [name, count] of bought) costMinor += count * supplies.get(name)!.costMinor!;
  return { chosen, buy: bought, costMinor, gapMinor };
}

/** By part: whether the pieces there are do in every occasion, whichever options are taken. */
function plentiful(
  demands: readonly Demand[],
  names: readonly string[],
  stock: readonly number[]
): boolean[] {
  const most = new Map<string, number>();
  for (const { occasion, options } of demands) {
    const here = new Map<string, number>();
    for (const uses of options)
      for (const [name, count] of uses) here.set(name, Math.max(here.get(name) ?? 0, count));
    for (const [name, count] of here) {
      const key = `${occasion} ${name}`;
      most.set(key, (most.get(key) ?? 0) + count);
    }
  }
  const worst = new Map<string, number>();
  for (const [key, count] of most) {
    const name = key.slice(key.indexOf(' ') + 1);
    worst.set(name, Math.max(worst.get(name) ?? 0, count));
  }
  return names.map((name, part) => (worst.get(name) ?? 0) <= stock[part]!);
}

/** Options none of which takes as much as another or more; of equals the first stands. Fewest pieces first. */
function undominated(options: readonly Option[]): Option[] {
  const kept: Option[] = [];
  const pieces = ({ uses }: Option) => uses.reduce((sum, [, count]) => sum + count, 0);
  for (const option of [...options].sort((a, b) => pieces(a) - pieces(b))) {
    const takes = new Map(option.uses);
    const isBeaten = kept.some(({ uses }) =>
      uses.every(([part, count]) => count <= (takes.get(part) ?? 0))
    );
    if (!isBeaten) kept.push(option);
  }
  return kept;
}

/** Tasks that share a part stand in one group, occasion by occasion. */
function groupsOf(tasks: readonly Task[]): Task[][] {
  const leader = tasks.map((_, index) => index);
  const find = (joint: number): number =>
    leader[joint] === joint ? joint : (leader[joint] = find(leader[joint]!));
  const seenBy = new Map<number, number>();
  tasks.forEach(({ options }, index) => {
    for (const { uses } of options)
      for (const [part] of uses) {
        const other = seenBy.get(part);
        if (other === undefined) seenBy.set(part, index);
        else leader[find(index)] = find(other);
      }
  });
  const groups = new Map<number, Task[]>();
  tasks.forEach((task, index) => {
    const first = find(index);
    const group = groups.get(first);
    if (group) group.push(task);
    else groups.set(first, [task]);
  });
  return [...groups.values()].map((group) =>
    group.sort((a, b) => a.occasion - b.occasion || a.options.length - b.options.length)
  );
}

interface Best {
  options: Option[] | undefined;
  bought: Map<number, number>;
  gap: number;
}

/** Branch and bound over one group. */
class GroupSearch {
  readonly #bought: number[];
  readonly #taken: number[];
  readonly #chosen: Option[] = [];
  #best: { cost: number; options: Option[]; bought: number[] } | undefined;
  #nodes = 0;
  #brokeOff = false;
  /** Purchases gone through already, by occasion and how much its tasks have taken. */
  readonly #seen: Set<string>[];
  /** By task: how many occasions still to come could use each part, for sharing its price among them. */
  readonly #shares: number[];

  constructor(
    private readonly tasks: readonly Task[],
    private readonly stock: readonly number[],
    private readonly price: readonly number[]
  ) {
    this.#bought = stock.map(() => 0);
    this.#taken = stock.map(() => 0);
    this.#seen = tasks.map(() => new Set());
    const users = stock.map(() => new Set<number>());
    for (const { occasion, options } of tasks)
      for (const { uses } of options) for (const [part] of uses) users[part]!.add(occasion);
    this.#shares = users.map(({ size }) => Math.max(1, size));
  }

  run(): Best {
    const bound = this.#boundFrom(0, 0);
    this.#search(0, 0);
    const best = this.#best;
    if (!best) return { options: undefined, bought: new Map(), gap: 0 };
    const bought = new Map(
      best.bought.flatMap((count, part) => (count > 0 ? [[part, count] as const] : []))
    );
    return {
      options: best.options,
      bought,
      gap: this.#brokeOff ? Math.max(0, best.cost - Math.ceil(bound)) : 0
    };
  }

  #search(joint: number, cost: number): void {
    if (this.#best && cost >= this.#best.cost) return;
    const task = this.tasks[joint];
    if (!task) {
      this.#best = { cost, options: [...this.#chosen], bought: [...this.#bought] };
      return;
    }
    if (++this.#nodes > MOST_NODES && this.#best) this.#brokeOff = true;
    // Without any closing at all the search goes on a little longer, and then says that it found none.
    if (this.#brokeOff || this.#nodes > MOST_NODES * 4) return;
    const key = this.#stateKey(joint);
    if (this.#seen[joint]!.has(key)) return;
    this.#seen[joint]!.add(key);
    if (this.#best && this.#boundFrom(joint, cost) >= this.#best.cost) return;
    const ways: { option: Option; added: number }[] = [];
    for (const option of task.options) {
      const added = this.#added(option);
      if (added < Infinity) ways.push({ option, added });
    }
    // The cheapest way first: a good closing found early cuts the rest.
    ways.sort((a, b) => a.added - b.added);
    for (const { option, added } of ways) {
      if (this.#best && cost + added >= this.#best.cost) return;
      this.#take(joint, option, cost + added);
    }
  }

  #take(joint: number, option: Option, cost: number): void {
    const { occasion } = this.tasks[joint]!;
    const before: [number, number, number][] = [];
    for (const [part, count] of option.uses) {
      before.push([part, this.#taken[part]!, this.#bought[part]!]);
      const taken = (this.#taken[part]! += count);
      this.#bought[part] = Math.max(this.#bought[part]!, taken - this.stock[part]!);
    }
    this.#chosen.push(option);
    if (this.tasks[joint + 1]?.occasion === occasion) this.#search(joint + 1, cost);
    else {
      // On the next occasion every piece is free again.
      const taken = this.#taken.slice();
      this.#taken.fill(0);
      this.#search(joint + 1, cost);
      taken.forEach((count, part) => (this.#taken[part] = count));
    }
    this.#chosen.pop();
    for (const [part, taken, bought] of before.reverse()) {
      this.#taken[part] = taken;
      this.#bought[part] = bought;
    }
  }

  /** What an option costs now, on top of what is bought. */
  #added(option: Option): number {
    let added = 0;
    for (const [part, count] of option.uses) {
      const needed = this.#taken[part]! + count - this.stock[part]! - this.#bought[part]!;
      if (needed > 0) added += needed * this.price[part]!;
    }
    return added;
  }

  /**
   * At least so much everything costs in the end. Within an occasion no piece serves twice, so what each
   * task needs beyond what is there adds up; among occasions a purchase is shared, so either the dearest
   * occasion counts, or all of them with each price shared among those that could use it.
   */
  #boundFrom(joint: number, cost: number): number {
    let dearest = 0;
    let shared = 0;
    let ofOccasion = 0;
    let occasion = -1;
    for (let next = joint; next < this.tasks.length; next++) {
      const task = this.tasks[next]!;
      if (task.occasion !== occasion) {
        dearest = Math.max(dearest, ofOccasion);
        ofOccasion = 0;
        occasion = task.occasion;
      }
      const current = task.occasion === this.tasks[joint]!.occasion;
      let least = Infinity;
      let leastShared = Infinity;
      for (const { uses } of task.options) {
        let own = 0;
        let share = 0;
        for (const [part, count] of uses) {
          const taken = current ? this.#taken[part]! : 0;
          const free = Math.max(0, this.stock[part]! + this.#bought[part]! - taken);
          if (count > free) {
            own += (count - free) * this.price[part]!;
            share += ((count - free) * this.price[part]!) / this.#shares[part]!;
          }
        }
        if (own < least) least = own;
        if (share < leastShared) leastShared = share;
      }
      ofOccasion += least;
      shared += leastShared;
    }
    return cost + Math.max(dearest, ofOccasion, shared);
  }

  #stateKey(joint: number): string {
    // Parts no task has touched yet say nothing.
    return `${this.#bought.join()}|${joint > 0 && this.tasks[joint - 1]!.occasion === this.tasks[joint]!.occasion ? this.#taken.join() : ''}`;
  }
}
