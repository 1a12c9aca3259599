import type { ChainLimit } from '../joining/chains';
import { portWords } from '../joining/chains';
import { fullName } from '../model/gear';
import type { Port, PortRole } from '../model/ports';
import { freshMemory, type Remembering } from '../memo';
import type { KitPart } from './kit';

/** What a connection is for; decides which finding speaks when it stays open. */
export type ConnectionPurpose =
  | 'lens on body'
  | 'filter on lens'
  | 'microphone into input'
  | 'microphone held'
  | 'camera held'
  | 'lamp held'
  | 'lamp beside the key held'
  | 'monitor held'
  | 'picture out'
  | 'power into body'
  | 'power for its own'
  | 'card in its slot'
  | 'files into computer';

/** Two parts of an angle that have to meet, each by any of its ports for it. */
export interface Connection extends Remembering {
  purpose: ConnectionPurpose;
  from: KitPart;
  /** Left out where the chain itself brings what is at its end: a source of power, a card, a computer. */
  to: KitPart | undefined;
  /** The usual one, or the one that meets directly, first. */
  fromPorts: readonly Port[];
  toPorts: readonly Port[];
  /** What a chain has to keep to: length, weight, watts, phantom power. */
  limit: ChainLimit;
  /** The same if every lead were long enough, and how long they have to be together. */
  withoutLength: ChainLimit | undefined;
  lengthNeededM: number | undefined;
}

/** A connection nobody has looked for in a bag yet. */
export function connect(
  purpose: ConnectionPurpose,
  from: KitPart,
  to: KitPart | undefined,
  fromPorts: readonly Port[],
  toPorts: readonly Port[],
  limit: ChainLimit,
  byLength?: { withoutLength: ChainLimit; lengthNeededM: number }
): Connection {
  return {
    purpose,
    from,
    to,
    fromPorts,
    toPorts,
    limit,
    withoutLength: byLength?.withoutLength,
    lengthNeededM: byLength?.lengthNeededM,
    memory: freshMemory()
  };
}

/** A need for a port on a part that has none of that role. */
export interface MissingPort {
  purpose: ConnectionPurpose;
  part: KitPart;
  role: PortRole;
  fromPorts?: undefined;
}

export function isMissingPort(need: Connection | MissingPort): need is MissingPort {
  return need.fromPorts === undefined;
}

/** The connection in words: what goes where. */
export function connectionWords({ from, to, fromPorts, toPorts }: Connection): string {
  const begins = `${fullName(from.gear)} (${portWords(fromPorts[0]!)})`;
  const ends = portWords(toPorts[0]!);
  return to ? `${begins} to ${fullName(to.gear)} (${ends})` : `${begins} to ${ends}`;
}
