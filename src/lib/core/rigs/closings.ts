import { joiningEnds } from '../joining/ends';
import type { Chain, JoiningPart } from '../joining/chain';
import {
  bothIndexes,
  chainsBetween,
  cheapestChain,
  indexBag,
  indexJoiningParts,
  isJoinedBy,
  type JoiningIndex
} from '../joining/chains';
import type { GearItem } from '../model/gear';
import { memoOf, memoOn } from '../memo';
import { meet, meetsAny } from '../model/mating';
import { type Connection, connectionWords } from './connection';
import { type Buyer, payableMinor, payingKey } from '../money/payable-price';
import type { Kit } from './kit';

/** Pieces of the bag that can stand between two ports, one entry a piece. */
export const joiningPartsOfKit = memoOn((kit: Kit): readonly JoiningPart[] => {
  const pieces: JoiningPart[] = [];
  for (const { gear, line } of kit.parts) {
    if (joiningEnds(gear).length === 0) continue;
    for (let piece = 0; piece < line.quantity; piece++)
      pieces.push({ gear, costMinor: 0, lineId: `${line.id}#${piece}` });
  }
  return pieces;
});

/** The same, one entry a line: where it does not matter which piece it is. */
const joiningLinesOfKit = (kit: Kit): readonly JoiningPart[] =>
  kit.parts.flatMap(({ gear, line }) =>
    line.quantity > 0 && joiningEnds(gear).length > 0
      ? { gear, costMinor: 0, lineId: line.id, pieces: line.quantity }
      : []
  );

const lineIndex = memoOn((kit: Kit): JoiningIndex => indexBag(joiningLinesOfKit(kit)));

const kitIndex = memoOn((kit: Kit): JoiningIndex => indexBag(joiningPartsOfKit(kit)));

/** Parts of the bag that lead from one end to another. */
const passagesOf = memoOn((kit: Kit) =>
  kit.parts
    .map(({ gear }) => ({ gear, ends: joiningEnds(gear) }))
    .filter(({ ends }) => ends.length > 1)
);

const joiningPartsByBuyer = memoOf(
  (_items: readonly GearItem[]) => new Map<string, readonly JoiningPart[]>()
);

/** Shelf parts that can stand between two ports, at what the buyer would pay for them. */
export function joiningPartsOfShelf(
  items: readonly GearItem[],
  buyer: Buyer
): readonly JoiningPart[] {
  const byBuyer = joiningPartsByBuyer(items);
  const key = payingKey(buyer);
  let parts = byBuyer.get(key);
  if (!parts) {
    parts = items.flatMap((gear) => {
      const costMinor = payableMinor(buyer, gear);
      return costMinor !== undefined && joiningEnds(gear).length > 0 ? [{ gear, costMinor }] : [];
    });
    byBuyer.set(key, parts);
  }
  return parts;
}

/** The cheapest way the bag closes a connection; undefined when it does not. */
export function chainInBag({ fromPorts, toPorts, limit }: Connection, kit: Kit): Chain | undefined {
  return meet(fromPorts, toPorts) && limit(nothingBetween) === undefined
    ? { parts: [], costMinor: 0, steps: [] }
    : cheapestChain(fromPorts, toPorts, kitIndex(kit), limit);
}

/** Every way the bag closes a connection. */
export const chainsInBag = ({ fromPorts, toPorts, limit }: Connection, kit: Kit): Chain[] =>
  chainsBetween(fromPorts, toPorts, kitIndex(kit), limit);

/** True when the bag closes a connection. Directly or with one piece is looked at first: it is nearly always so. */
export function isClosedInBag(connection: Connection, kit: Kit): boolean {
  const last = lastClosing(connection);
  if (last.kit !== kit) {
    last.isClosed = closes(kit, connection);
    last.kit = kit;
  }
  return last.isClosed;
}
/** The kit that was last looked through, for a connection may outlive the kit it was found in. */
const lastClosing = memoOn(
  (_connection: Connection): { kit: Kit | undefined; isClosed: boolean } => ({
    kit: undefined,
    isClosed: false
  })
);

function closes(kit: Kit, connection: Connection): boolean {
  const { fromPorts, toPorts, limit } = connection;
  if (meet(fromPorts, toPorts) && limit(nothingBetween) === undefined) return true;
  let begins = false;
  let arrives = false;
  for (const { gear, ends } of passagesOf(kit)) {
    for (const entry of ends) {
      arrives ||= meetsAny(entry, toPorts);
      if (!meetsAny(entry, fromPorts)) continue;
      begins = true;
      for (const exit of ends)
        if (
          exit !== entry &&
          meetsAny(exit, toPorts) &&
          limit([{ gear, costMinor: 0 }]) === undefined
        )
          return true;
    }
  }
  if (!begins || !arrives) return false;
  return isJoinedBy(fromPorts, toPorts, lineIndex(kit), limit);
}
const nothingBetween: readonly JoiningPart[] = [];

/** True when plugs alone would let the bag close it: only a limit stands in the way. */
export function reachesByPlug({ fromPorts, toPorts }: Connection, kit: Kit): boolean {
  return isJoinedBy(fromPorts, toPorts, lineIndex(kit), noLimit);
}
const noLimit = () => undefined;

/** The longest way plugs alone would lead between the ends of a connection, its own cable included. */
export function longestReachM({ from, fromPorts, toPorts }: Connection, kit: Kit): number {
  const own = from.gear.kind === 'microphone' ? (from.gear.cableM ?? 0) : 0;
  const reaches = chainsBetween(fromPorts, toPorts, lineIndex(kit)).map(({ parts }) =>
    parts.reduce((sum, { gear }) => sum + (gear.kind === 'cable' ? (gear.lengthM ?? 0) : 0), own)
  );
  return Math.max(own, ...reaches);
}

/** Why the bag does not close a connection, in half a sentence. */
export function whyOpen(connection: Connection, kit: Kit): string {
  const [byPorts] = chainsBetween(connection.fromPorts, connection.toPorts, lineIndex(kit));
  const limited = byPorts && connection.limit(byPorts.parts);
  return limited ?? `nothing in the kit leads from ${connectionWords(connection)}`;
}

const shelfIndex = memoOf((parts: readonly JoiningPart[]) => indexJoiningParts(parts));

/** The cheapest way to close a connection with what lies in the kit and on the shelf. */
export function cheapestClosing(
  connection: Connection,
  kit: Kit,
  shelfJoins: readonly JoiningPart[]
): Chain | undefined {
  const index = bothIndexes(kitIndex(kit), shelfIndex(shelfJoins));
  return cheapestChain(connection.fromPorts, connection.toPorts, index, connection.limit);
}

/** The cheapest way to close a connection with new pieces alone, where those of the kit are in use. */
export const cheapestNewClosing = (
  { fromPorts, toPorts, limit }: Connection,
  shelfJoins: readonly JoiningPart[]
): Chain | undefined => cheapestChain(fromPorts, toPorts, shelfIndex(shelfJoins), limit);
