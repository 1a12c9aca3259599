import type { Port, PortFamily } from '../model/ports';
import { portFamilies } from '../model/word-lists';
import { mates } from '../model/mating';
import type { Chain, JoiningPart } from './chain';
import { joiningEnds } from './ends';

/** Longer chains wobble, hum and fall; nobody builds them. */
export const MOST_PARTS_IN_CHAIN = 4;

/** Why a chain that fits by its ports does not do; undefined when it does. */
export type ChainLimit = (parts: readonly JoiningPart[]) => string | undefined;

const portKey = (port: Port) => `${port.family}|${port.type}|${port.end}`;
/** A port in words; one whose type nobody states is any. */
export const portWords = (port: Port): string =>
  endWords[port.type] ?? `${port.type ?? 'unstated'} ${port.end}`;
const endWords: Readonly<Record<string, string>> = {
  energy: 'a source of power',
  recording: 'something to record on',
  computer: 'the computer'
};

interface Passage {
  part: JoiningPart;
  entry: Port;
  exit: Port;
}

/** Joining parts by the end they take in, made once for a shelf. */
export interface JoiningIndex {
  /** Passages that begin at a port, cheapest first. */
  from(port: Port): readonly Passage[];
}

/** Passages by the port that mates with their entry: its family, its half, its type. */
type ByPort = Record<PortFamily, Record<Port['end'], Map<string, Passage[]>>>;

const noPorts = (): ByPort =>
  Object.fromEntries(
    portFamilies.map((family) => [family, { plug: new Map(), socket: new Map() }])
  ) as ByPort;

/**
 * Sorts parts by the ends they take in. Of shelf parts that join the same ends, one that is dearer,
 * not longer and not stronger than another is left out: the other does all it does.
 */
export function indexJoiningParts(parts: readonly JoiningPart[]): JoiningIndex {
  const byPort = noPorts();
  const lists = new Set<Passage[]>();
  for (const part of withoutBeaten(parts)) {
    const joins = joiningEnds(part.gear);
    for (const entry of joins) {
      const byType = byPort[entry.family][entry.end === 'plug' ? 'socket' : 'plug'];
      for (const exit of joins) {
        if (exit === entry) continue;
        const list = byType.get(entry.type);
        if (list) list.push({ part, entry, exit });
        else byType.set(entry.type, [{ part, entry, exit }]);
      }
      const list = byType.get(entry.type);
      if (list) lists.add(list);
    }
  }
  for (const list of lists) list.sort((a, b) => a.part.costMinor - b.part.costMinor);
  return { from: ({ family, end, type }) => byPort[family][end].get(type) ?? noPassages };
}
const noPassages: readonly Passage[] = [];

/** The same for the parts of a bag, sorted as they are asked for: a bag is new with every part that is tried. */
export function indexBag(pieces: readonly JoiningPart[]): JoiningIndex {
  const passages: Passage[] = [];
  for (const part of pieces) {
    const joins = joiningEnds(part.gear);
    for (const entry of joins)
      for (const exit of joins) if (exit !== entry) passages.push({ part, entry, exit });
  }
  const asked = new Map<Port, readonly Passage[]>();
  return {
    from: (port) => {
      let from = asked.get(port);
      if (!from) asked.set(port, (from = passages.filter(({ entry }) => mates(port, entry))));
      return from;
    }
  };
}

/** Two indexes as one; the first is the bag's, whose parts cost nothing and so come first. */
export function bothIndexes(bag: JoiningIndex, shelf: JoiningIndex): JoiningIndex {
  return {
    from: (port) => {
      const own = bag.from(port);
      const bought = shelf.from(port);
      return own.length === 0 ? bought : bought.length === 0 ? own : [...own, ...bought];
    }
  };
}

/** What a part offers beyond its ports: more of it is never worse. */
export function strengthsOf({ gear }: JoiningPart): number[] {
  return [
    gear.kind === 'cable' ? (gear.lengthM ?? 0) : 0,
    gear.kind === 'thread adapter' || gear.kind === 'handle' ? (gear.payloadKg ?? 0) : 0,
    gear.kind === 'cable' && gear.givesPhantom === true ? 1 : 0,
    gear.kind === 'cable' && gear.givesPlugInPower === true ? 1 : 0,
    gear.kind === 'cable' && gear.attenuates === true ? 1 : 0,
    gear.kind === 'cable' ? (gear.carriesW ?? 0) : 0,
    gear.kind === 'power bank' || gear.kind === 'mains adapter' ? (gear.outputW ?? 0) : 0,
    gear.kind === 'mount adapter'
      ? Number(gear.keepsFocus === true) + Number(gear.keepsAperture === true)
      : 0
  ];
}

function withoutBeaten(parts: readonly JoiningPart[]): JoiningPart[] {
  const groups = new Map<string, JoiningPart[]>();
  const kept: JoiningPart[] = [];
  for (const part of parts) {
    if (part.lineId !== undefined) {
      kept.push(part);
      continue;
    }
    // A limit may ask for more than strength: a block needs a socket in the wall, a bank does not.
    const key = [part.gear.kind, ...joiningEnds(part.gear).map(portKey).sort()].join('+');
    const group = groups.get(key) ?? [];
    group.push(part);
    groups.set(key, group);
  }
  for (const group of groups.values()) {
    kept.push(
      ...group.filter((part, position) => {
        const mine = strengthsOf(part);
        return !group.some((other, otherAt) => {
          const theirs = strengthsOf(other);
          const asGood =
            other.costMinor <= part.costMinor &&
            theirs.every((value, index) => value >= mine[index]!);
          const better =
            other.costMinor < part.costMinor || theirs.some((value, index) => value > mine[index]!);
          return asGood && (better || otherAt < position);
        });
      })
    );
  }
  return kept;
}

/**
 * All chains from one of the open ports of a part to one of another's that pass the limit, cheapest first.
 *
 * @param from ports of which any will do, the usual one first
 */
export function chainsBetween(
  from: Port | readonly Port[],
  to: Port | readonly Port[],
  index: JoiningIndex,
  limit: ChainLimit = () => undefined
): Chain[] {
  const found: Chain[] = [];
  for (const port of [from].flat())
    for (const other of [to].flat()) {
      walkChains(port, other, index, limit, Infinity, (chain) => {
        found.push(chain);
        return Infinity;
      });
    }
  return found.sort(cheaperFirst);
}

/** The first of `chainsBetween`, without walking what is dearer than one found already. */
export function cheapestChain(
  from: readonly Port[],
  to: readonly Port[],
  index: JoiningIndex,
  limit: ChainLimit
): Chain | undefined {
  let best: Chain | undefined;
  for (const port of from)
    for (const other of to)
      walkChains(port, other, index, limit, best?.costMinor ?? Infinity, (chain) => {
        if (!best || cheaperFirst(chain, best) < 0) best = chain;
        return best.costMinor;
      });
  return best;
}

/** Whether there is any chain between the ports that passes the limit; looks no further than the first. */
export function isJoinedBy(
  from: readonly Port[],
  to: readonly Port[],
  index: JoiningIndex,
  limit: ChainLimit
): boolean {
  let isJoined = false;
  for (const port of from)
    for (const other of to) {
      walkChains(port, other, index, limit, Infinity, () => {
        isJoined = true;
        return -Infinity;
      });
      if (isJoined) return true;
    }
  return false;
}

const cheaperFirst = (a: Chain, b: Chain) =>
  a.costMinor - b.costMinor || a.parts.length - b.parts.length;

/** Walks every chain between two ports; `take` answers with the most the next one may cost. */
function walkChains(
  from: Port,
  to: Port,
  index: JoiningIndex,
  limit: ChainLimit,
  most: number,
  take: (chain: Chain) => number
): void {
  const path: Passage[] = [];
  let mostMinor = most;
  // An end passed twice leads nowhere new, save through other parts of the bag.
  const visit = (port: Port, costMinor: number) => {
    if (mates(port, to)) {
      const parts = path.map(({ part }) => part);
      if (limit(parts) === undefined)
        mostMinor = take(new FoundChain(parts, costMinor, [...path], from, to));
    }
    if (path.length === MOST_PARTS_IN_CHAIN) return;
    for (const passage of index.from(port)) {
      const cost = costMinor + passage.part.costMinor;
      if (cost > mostMinor) break;
      if (
        passage.part.lineId !== undefined &&
        path.reduce((count, { part }) => count + Number(part.lineId === passage.part.lineId), 0) >=
          (passage.part.pieces ?? 1)
      )
        continue;
      path.push(passage);
      visit(passage.exit, cost);
      path.pop();
    }
  };
  visit(from, 0);
}

/** A chain whose steps are put into words when somebody reads them. */
class FoundChain implements Chain {
  readonly #path: readonly Passage[];
  readonly #from: Port;
  readonly #to: Port;

  constructor(
    readonly parts: JoiningPart[],
    readonly costMinor: number,
    path: readonly Passage[],
    from: Port,
    to: Port
  ) {
    this.#path = path;
    this.#from = from;
    this.#to = to;
  }

  get steps(): string[] {
    const path = this.#path;
    if (path.length === 0) return [];
    const steps = path.map(
      ({ part, entry }, index) =>
        `${portWords(index === 0 ? this.#from : path[index - 1]!.exit)} into ${part.gear.model}, ${portWords(entry)}`
    );
    return this.#to.type in endWords
      ? steps
      : [...steps, `${portWords(path.at(-1)!.exit)} into ${portWords(this.#to)}`];
  }
}
