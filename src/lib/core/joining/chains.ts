import { mates, type Port } from '../model/ports';
import type { Chain, JoiningPart } from './chain';

/** Longer chains wobble, hum and fall; nobody builds them. */
export const MOST_PARTS_IN_CHAIN = 4;

/** Why a chain that fits by its ports does not do; undefined when it does. */
export type ChainLimit = (parts: readonly JoiningPart[]) => string | undefined;

const portKey = (port: Port) => `${port.family}|${port.type}|${port.end}`;
const mateKey = (port: Port) =>
  `${port.family}|${port.type}|${port.end === 'plug' ? 'socket' : 'plug'}`;
const portWords = (port: Port) => `${port.type} ${port.end}`;

interface Passage {
  part: JoiningPart;
  entry: Port;
  exit: Port;
}

/** Joining parts by the end they take in, made once for a shelf. */
export interface JoiningIndex {
  readonly byEntry: ReadonlyMap<string, readonly Passage[]>;
}

/**
 * Sorts parts by the ends they take in. Of shelf parts that join the same ends, one that is dearer,
 * not longer and not stronger than another is left out: the other does all it does.
 */
export function indexJoiningParts(parts: readonly JoiningPart[]): JoiningIndex {
  const byEntry = new Map<string, Passage[]>();
  for (const part of withoutBeaten(parts)) {
    const joins = part.gear.ports.filter((port) => port.role === 'joins');
    for (const entry of joins) {
      for (const exit of joins) {
        if (exit === entry) continue;
        const key = portKey(entry);
        const list = byEntry.get(key);
        if (list) list.push({ part, entry, exit });
        else byEntry.set(key, [{ part, entry, exit }]);
      }
    }
  }
  for (const list of byEntry.values()) list.sort((a, b) => a.part.costMinor - b.part.costMinor);
  return { byEntry };
}

/** What a part offers beyond its ports: more of it is never worse. */
export function strengthsOf({ gear }: JoiningPart): number[] {
  return [
    gear.kind === 'cable' ? (gear.lengthM ?? 0) : 0,
    gear.kind === 'coupling' || gear.kind === 'handle' ? (gear.payloadKg ?? 0) : 0,
    gear.kind === 'cable' && gear.givesPhantom === true ? 1 : 0,
    gear.kind === 'cable' && gear.givesPlugInPower === true ? 1 : 0,
    gear.kind === 'cable' && gear.attenuates === true ? 1 : 0,
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
    const key = part.gear.ports
      .filter((port) => port.role === 'joins')
      .map(portKey)
      .sort()
      .join('+');
    const group = groups.get(key) ?? [];
    group.push(part);
    groups.set(key, group);
  }
  for (const group of groups.values()) {
    kept.push(
      ...group.filter((part, at) => {
        const mine = strengthsOf(part);
        return !group.some((other, otherAt) => {
          const theirs = strengthsOf(other);
          const asGood =
            other.costMinor <= part.costMinor &&
            theirs.every((value, index) => value >= mine[index]!);
          const better =
            other.costMinor < part.costMinor || theirs.some((value, index) => value > mine[index]!);
          return asGood && (better || otherAt < at);
        });
      })
    );
  }
  return kept;
}

/**
 * All chains from one open port to another that pass the limit, cheapest first.
 *
 * @param mostMinor dearer chains are not looked for
 */
export function chainsBetween(
  from: Port,
  to: Port,
  index: JoiningIndex,
  limit: ChainLimit = () => undefined,
  mostMinor = Infinity
): Chain[] {
  const found: Chain[] = [];
  const path: Passage[] = [];
  // An end passed twice leads nowhere new, save through other parts of the bag.
  const visit = (at: Port, costMinor: number) => {
    if (mates(at, to)) {
      const parts = path.map(({ part }) => part);
      if (limit(parts) === undefined)
        found.push({ parts, costMinor, steps: stepsOf(path, from, to) });
    }
    if (path.length === MOST_PARTS_IN_CHAIN) return;
    for (const passage of index.byEntry.get(mateKey(at)) ?? []) {
      const cost = costMinor + passage.part.costMinor;
      if (cost > mostMinor) break;
      if (
        passage.part.lineId !== undefined &&
        path.some(({ part }) => part.lineId === passage.part.lineId)
      )
        continue;
      path.push(passage);
      visit(passage.exit, cost);
      path.pop();
    }
  };
  visit(from, 0);
  return found.sort((a, b) => a.costMinor - b.costMinor || a.parts.length - b.parts.length);
}

function stepsOf(path: readonly Passage[], from: Port, to: Port): string[] {
  if (path.length === 0) return [];
  const steps = path.map(
    ({ part, entry }, at) =>
      `${portWords(at === 0 ? from : path[at - 1]!.exit)} into ${part.gear.model}, ${portWords(entry)}`
  );
  return [...steps, `${portWords(path.at(-1)!.exit)} into ${portWords(to)}`];
}
