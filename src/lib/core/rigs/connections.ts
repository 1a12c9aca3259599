import { fullName, type GearItem } from '../model/gear';
import type { Port, PortRole } from '../model/ports';
import type { KitPart } from './kit';
import type { PlacedRig } from './placed-rig';
import { type Chain, cheapestChain, type JoiningPart } from '../joining/chain';

/** What a connection is for; decides which finding speaks when it stays open. */
export type ConnectionPurpose =
  | 'lens on body'
  | 'filter on lens'
  | 'microphone into body'
  | 'microphone held'
  | 'camera held'
  | 'lamp held'
  | 'picture out';

/** Two ports of an angle that have to meet. */
export interface Connection {
  purpose: ConnectionPurpose;
  from: KitPart;
  to: KitPart;
  fromPort: Port;
  toPort: Port;
}

/** A need for a port on a part that has none of that role. */
export interface MissingPort {
  purpose: ConnectionPurpose;
  part: KitPart;
  role: PortRole;
}

function port(part: KitPart | undefined, role: PortRole): Port | undefined {
  return part?.gear.ports.find((candidate) => candidate.role === role);
}

function between(
  purpose: ConnectionPurpose,
  from: KitPart,
  fromRole: PortRole,
  to: KitPart,
  toRole: PortRole
): Connection | MissingPort {
  // The same role may be served by several ports; two that meet directly are taken first.
  const fromPorts = from.gear.ports.filter((candidate) => candidate.role === fromRole);
  const toPorts = to.gear.ports.filter((candidate) => candidate.role === toRole);
  if (fromPorts.length === 0) return { purpose, part: from, role: fromRole };
  if (toPorts.length === 0) return { purpose, part: to, role: toRole };
  for (const fromPort of fromPorts) {
    for (const toPort of toPorts) {
      if (
        fromPort.family === toPort.family &&
        fromPort.type === toPort.type &&
        fromPort.end !== toPort.end
      ) {
        return { purpose, from, to, fromPort, toPort };
      }
    }
  }
  return { purpose, from, to, fromPort: fromPorts[0]!, toPort: toPorts[0]! };
}

/** Every pair of ports an angle needs joined, in the order one puts a rig together. */
export function connectionsOf(rig: PlacedRig): (Connection | MissingPort)[] {
  const list: (Connection | MissingPort)[] = [];
  const { body, kit } = rig;
  const lensPart = rig.lens && !rig.lens.builtIn ? kit.byLine(rig.lens.lineId) : undefined;
  if (body && lensPart) list.push(between('lens on body', lensPart, 'lens', body, 'lens'));
  if (lensPart && rig.filter)
    list.push(between('filter on lens', lensPart, 'filter', rig.filter, 'filter'));
  if (body && rig.mic && port(rig.mic, 'audioOut') && rig.mic.gear.form !== 'desk') {
    list.push(between('microphone into body', rig.mic, 'audioOut', body, 'audioIn'));
  }
  if (rig.mic && body && rig.micPlace === 'shoe') {
    list.push(between('microphone held', rig.mic, 'stands', body, 'carries'));
  }
  if (rig.mic && rig.micPlace === 'boom' && rig.boom) {
    list.push(between('microphone held', rig.mic, 'stands', rig.boom, 'carries'));
  }
  if (body && rig.support)
    list.push(between('camera held', body, 'stands', rig.support, 'carries'));
  const stand = kit.of('support').find(({ gear }) => gear.form === 'light stand');
  if (rig.keyLamp && stand)
    list.push(between('lamp held', rig.keyLamp.part, 'stands', stand, 'carries'));
  return list;
}

export function isMissingPort(need: Connection | MissingPort): need is MissingPort {
  return 'role' in need;
}

/** Parts of the kit that can stand between two ports. */
export function joiningPartsOfKit(parts: readonly KitPart[]): JoiningPart[] {
  return parts
    .filter(({ gear }) => gear.ports.some((candidate) => candidate.role === 'joins'))
    .map(({ gear, line }) => ({ gear, costMinor: 0, lineId: line.id }));
}

/** Shelf parts that can stand between two ports, at their likely new price in a currency. */
export function joiningPartsOfShelf(items: readonly GearItem[], currency: string): JoiningPart[] {
  return items
    .filter(
      (gear) =>
        gear.priceNew?.currency === currency &&
        gear.ports.some((candidate) => candidate.role === 'joins')
    )
    .map((gear) => ({ gear, costMinor: gear.priceNew!.likely }));
}

/** True when the kit itself closes the connection. */
export function closedByKit(connection: Connection, kitJoins: readonly JoiningPart[]): boolean {
  return cheapestChain(connection.fromPort, connection.toPort, kitJoins) !== undefined;
}

/** The cheapest way to close a connection with what lies in the bag and on the shelf. */
export function cheapestClosing(
  connection: Connection,
  kitJoins: readonly JoiningPart[],
  shelfJoins: readonly JoiningPart[]
): Chain | undefined {
  return cheapestChain(connection.fromPort, connection.toPort, [...kitJoins, ...shelfJoins]);
}

/** The connection in words: what goes where. */
export function connectionWords(connection: Connection): string {
  return `${fullName(connection.from.gear)} (${connection.fromPort.type} ${connection.fromPort.end}) to ${fullName(connection.to.gear)} (${connection.toPort.type} ${connection.toPort.end})`;
}
