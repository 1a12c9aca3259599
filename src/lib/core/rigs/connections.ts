import { fullName, type GearItem } from '../model/gear';
import { mates, type Port, type PortRole } from '../model/ports';
import type { Kit, KitPart } from './kit';
import type { PlacedRig } from './placed-rig';
import type { Chain, JoiningPart } from '../joining/chain';
import {
  type ChainLimit,
  chainsBetween,
  indexJoiningParts,
  type JoiningIndex
} from '../joining/chains';

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
  /** What a chain has to keep to: length, weight, phantom power. */
  limit: ChainLimit;
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

const noLimit: ChainLimit = () => undefined;
/** A lead hangs and bends: this much longer than the straight way. */
const SLACK = 1.15;

/** Sound has to reach the camera, and a microphone that needs 48 V has to get it. */
function soundLimit(rig: PlacedRig): ChainLimit {
  const mic = rig.mic!.gear;
  const body = rig.body!.gear;
  const atCamera =
    rig.micPlace === 'shoe' || rig.micPlace === 'side arm' || mic.form === 'lapel wireless';
  const neededM = atCamera ? 0 : rig.angle.distanceM * SLACK;
  const needsPhantom =
    mic.power === 'phantom' &&
    !rig.body!.gear.ports.some((port) => port.role === 'audioIn' && port.type === 'XLR');
  return (parts) => {
    if (
      needsPhantom &&
      !parts.some(({ gear }) => gear.kind === 'cable' && gear.givesPhantom === true)
    ) {
      return `${fullName(mic)} needs phantom power and ${fullName(rig.body!.gear)} gives none`;
    }
    const has = (what: 'givesPlugInPower' | 'attenuates') =>
      parts.some(({ gear }) => gear.kind === 'cable' && gear[what] === true);
    if (mic.power === 'plug-in' && body.plugInPower === false && !has('givesPlugInPower')) {
      return `${fullName(mic)} lives by plug-in power and ${fullName(body)} feeds none`;
    }
    if (mic.outputLevel === 'line' && body.takesLineLevel === false && !has('attenuates')) {
      return `${fullName(mic)} gives line level and ${fullName(body)} takes a microphone’s, so the voice would be crushed`;
    }
    let reachM = mic.cableM ?? 0;
    for (const { gear } of parts) if (gear.kind === 'cable') reachM += gear.lengthM ?? 0;
    return reachM < neededM
      ? `the cable reaches ${reachM.toFixed(1)} m and ${neededM.toFixed(1)} m are needed`
      : undefined;
  };
}

/** Every piece between bears what hangs on it. */
function bearingLimit(massG: number | undefined): ChainLimit {
  return (parts) => {
    const weak = parts.find(
      ({ gear }) =>
        (gear.kind === 'coupling' || gear.kind === 'handle') &&
        gear.payloadKg !== undefined &&
        massG !== undefined &&
        gear.payloadKg * 1000 < massG
    );
    return weak ? `${weak.gear.model} bears less than what would hang on it` : undefined;
  };
}

function between(
  purpose: ConnectionPurpose,
  from: KitPart,
  fromRole: PortRole,
  to: KitPart,
  toRole: PortRole,
  limit: ChainLimit = noLimit
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
        return { purpose, from, to, fromPort, toPort, limit };
      }
    }
  }
  return { purpose, from, to, fromPort: fromPorts[0]!, toPort: toPorts[0]!, limit };
}

/** Every pair of ports an angle needs joined, in the order one puts a rig together. */
export function connectionsOf(rig: PlacedRig): (Connection | MissingPort)[] {
  const list: (Connection | MissingPort)[] = [];
  const { body, kit } = rig;
  const lensPart = rig.lens && !rig.lens.builtIn ? kit.byLine(rig.lens.lineId) : undefined;
  if (body && lensPart) list.push(between('lens on body', lensPart, 'lens', body, 'lens'));
  // Indoors lamps are turned down instead, and the filter stays in the bag.
  if (lensPart && rig.filter && rig.scene.room === undefined)
    list.push(between('filter on lens', lensPart, 'filter', rig.filter, 'filter'));
  if (body && rig.mic && port(rig.mic, 'audioOut') && rig.mic.gear.form !== 'desk') {
    list.push(
      between('microphone into body', rig.mic, 'audioOut', body, 'audioIn', soundLimit(rig))
    );
  }
  if (rig.mic && body && rig.micPlace === 'shoe') {
    list.push(
      between(
        'microphone held',
        rig.mic,
        'stands',
        body,
        'carries',
        bearingLimit(rig.mic.gear.massG)
      )
    );
  }
  if (rig.mic && rig.micPlace === 'boom' && rig.boom) {
    list.push(
      between(
        'microphone held',
        rig.mic,
        'stands',
        rig.boom,
        'carries',
        bearingLimit(rig.mic.gear.massG)
      )
    );
  }
  if (body && rig.support)
    list.push(
      between('camera held', body, 'stands', rig.support, 'carries', bearingLimit(body.gear.massG))
    );
  const screens = [
    ...kit.of('monitor'),
    ...(rig.scene.live && body?.gear.usbVideo !== true ? kit.of('capture device') : [])
  ];
  if (body && rig.index === 0)
    for (const screen of screens)
      list.push(between('picture out', body, 'videoOut', screen, 'videoIn'));
  const stand = kit.of('support').find(({ gear }) => gear.form === 'light stand');
  if (rig.keyLamp && stand)
    list.push(
      between(
        'lamp held',
        rig.keyLamp.part,
        'stands',
        stand,
        'carries',
        bearingLimit(rig.keyLamp.part.gear.massG)
      )
    );
  return list;
}

export function isMissingPort(need: Connection | MissingPort): need is MissingPort {
  return 'role' in need;
}

/** Pieces of the bag that can stand between two ports, one entry a piece. */
export function joiningPartsOfKit(kit: Kit): readonly JoiningPart[] {
  let pieces = piecesByKit.get(kit);
  if (!pieces) {
    pieces = kit.parts
      .filter(({ gear }) => gear.ports.some((candidate) => candidate.role === 'joins'))
      .flatMap(({ gear, line }) =>
        Array.from({ length: line.quantity }, (_, piece) => ({
          gear,
          costMinor: 0,
          lineId: `${line.id}#${piece}`
        }))
      );
    piecesByKit.set(kit, pieces);
  }
  return pieces;
}
const piecesByKit = new WeakMap<Kit, readonly JoiningPart[]>();
const indexByKit = new WeakMap<Kit, JoiningIndex>();

function kitIndex(kit: Kit): JoiningIndex {
  let index = indexByKit.get(kit);
  if (!index) indexByKit.set(kit, (index = indexJoiningParts(joiningPartsOfKit(kit))));
  return index;
}

const partsByShelf = new WeakMap<readonly GearItem[], Map<string, readonly JoiningPart[]>>();

/** Shelf parts that can stand between two ports, at their likely new price in a currency. */
export function joiningPartsOfShelf(
  items: readonly GearItem[],
  currency: string
): readonly JoiningPart[] {
  let byCurrency = partsByShelf.get(items);
  if (!byCurrency) partsByShelf.set(items, (byCurrency = new Map()));
  let parts = byCurrency.get(currency);
  if (!parts) {
    parts = items
      .filter(
        (gear) =>
          gear.priceNew?.currency === currency &&
          gear.ports.some((candidate) => candidate.role === 'joins')
      )
      .map((gear) => ({ gear, costMinor: gear.priceNew!.likely }));
    byCurrency.set(currency, parts);
  }
  return parts;
}

/** How the bag closes a connection; undefined when it does not. */
export function chainInBag(connection: Connection, kit: Kit): Chain | undefined {
  if (mates(connection.fromPort, connection.toPort) && connection.limit([]) === undefined) {
    return { parts: [], costMinor: 0, steps: [] };
  }
  return chainsBetween(connection.fromPort, connection.toPort, kitIndex(kit), connection.limit)[0];
}

/** Why the bag does not close a connection, in half a sentence. */
export function whyOpen(connection: Connection, kit: Kit): string {
  const [byPorts] = chainsBetween(connection.fromPort, connection.toPort, kitIndex(kit));
  const limited = byPorts && connection.limit(byPorts.parts);
  return limited ?? `nothing in the bag leads from ${connectionWords(connection)}`;
}

/** The cheapest way to close a connection with what lies in the bag and on the shelf. */
export function cheapestClosing(
  connection: Connection,
  kit: Kit,
  shelfJoins: readonly JoiningPart[]
): Chain | undefined {
  const index = indexJoiningParts([...joiningPartsOfKit(kit), ...shelfJoins]);
  return chainsBetween(connection.fromPort, connection.toPort, index, connection.limit)[0];
}

/** The connection in words: what goes where. */
export function connectionWords(connection: Connection): string {
  return `${fullName(connection.from.gear)} (${connection.fromPort.type} ${connection.fromPort.end}) to ${fullName(connection.to.gear)} (${connection.toPort.type} ${connection.toPort.end})`;
}
