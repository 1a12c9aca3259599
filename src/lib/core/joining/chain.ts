import type { GearItem } from '../model/gear';
import { mates, type Port } from '../model/ports';

/** A part that leads from one end to another: what can stand between two ports. */
export interface JoiningPart {
  gear: GearItem;
  /** 0 when it lies in the bag already. */
  costMinor: number;
  lineId?: string;
}

export interface Chain {
  parts: JoiningPart[];
  costMinor: number;
  /** What each step joins, in words a person can follow with a finger. */
  steps: string[];
}

interface Reached {
  end: Port;
  costMinor: number;
  /** Parts of the bag the chain holds already; each is there once. A shelf sells as many as one likes. */
  used: readonly string[];
  via: { part: JoiningPart; entry: Port; from: Reached } | undefined;
}

const keyOf = (port: Port, used: readonly string[]) =>
  `${port.family}|${port.type}|${port.end}|${used.join(' ')}`;
const portWords = (port: Port) => `${port.type} ${port.end}`;

/**
 * The cheapest chain of parts that leads from one open port to another; empty when they already
 * meet. Dijkstra over open ends:
 *
 *   from ──▶ (entry part exit) ──▶ (entry part exit) ──▶ to
 *
 * Each part passes what enters at one of its `joins` ports out of another. Ties go to fewer parts.
 *
 * @returns undefined when no chain of these parts leads there
 */
export function cheapestChain(
  from: Port,
  to: Port,
  parts: readonly JoiningPart[]
): Chain | undefined {
  if (mates(from, to)) return { parts: [], costMinor: 0, steps: [] };
  const best = new Map<string, number>([[keyOf(from, []), 0]]);
  const open: Reached[] = [{ end: from, costMinor: 0, used: [], via: undefined }];
  // One unit per part breaks ties towards short chains and can never outweigh a minor unit.
  const scale = 1024;
  while (open.length > 0) {
    open.sort((a, b) => b.costMinor - a.costMinor);
    const at = open.pop()!;
    if (at.costMinor > (best.get(keyOf(at.end, at.used)) ?? Infinity)) continue;
    if (mates(at.end, to)) return chainOf(at, to, scale);
    for (const part of parts) {
      if (part.lineId !== undefined && at.used.includes(part.lineId)) continue;
      const used = part.lineId === undefined ? at.used : [...at.used, part.lineId].sort();
      const joins = part.gear.ports.filter((port) => port.role === 'joins');
      for (const entry of joins) {
        if (!mates(at.end, entry)) continue;
        for (const exit of joins) {
          if (exit === entry) continue;
          const costMinor = at.costMinor + part.costMinor * scale + 1;
          if (costMinor < (best.get(keyOf(exit, used)) ?? Infinity)) {
            best.set(keyOf(exit, used), costMinor);
            open.push({ end: exit, costMinor, used, via: { part, entry, from: at } });
          }
        }
      }
    }
  }
  return undefined;
}

function chainOf(last: Reached, to: Port, scale: number): Chain {
  const parts: JoiningPart[] = [];
  const steps: string[] = [`${portWords(last.end)} into ${portWords(to)}`];
  for (let at: Reached | undefined = last; at?.via; at = at.via.from) {
    parts.unshift(at.via.part);
    steps.unshift(
      `${portWords(at.via.from.end)} into ${at.via.part.gear.model}, ${portWords(at.via.entry)}`
    );
  }
  return { parts, costMinor: Math.floor(last.costMinor / scale), steps };
}
