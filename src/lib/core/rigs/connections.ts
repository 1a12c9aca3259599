import type { ChainLimit } from '../joining/chains';
import { portWords } from '../joining/chains';
import { fullName, type GearItem } from '../model/gear';
import type { Port, PortRole } from '../model/ports';
import { mates } from '../model/mating';
import type { Kit, KitPart } from './kit';
import type { PlacedRig } from './placed-rig';
import { cardConnections, powerConnections } from './supply-connections';

/** What a connection is for; decides which finding speaks when it stays open. */
export type ConnectionPurpose =
  | 'lens on body'
  | 'filter on lens'
  | 'microphone into body'
  | 'microphone held'
  | 'camera held'
  | 'lamp held'
  | 'picture out'
  | 'power into body'
  | 'power for its own'
  | 'card in its slot'
  | 'files into computer';

/** Two parts of an angle that have to meet, each by any of its ports for it. */
export interface Connection {
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
  withoutLength?: ChainLimit;
  lengthNeededM?: number;
  /** Whether a bag closes it, kept once looked for; see `isClosedInBag`. */
  inBag?: { kit: Kit; closed: boolean };
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

const portsByRole = new WeakMap<GearItem, Partial<Record<PortRole, readonly Port[]>>>();

/** Ports of a part that serve a role; parts never change, so they are looked for once. */
function portsFor(gear: GearItem, role: PortRole): readonly Port[] {
  let byRole = portsByRole.get(gear);
  if (!byRole) portsByRole.set(gear, (byRole = {}));
  return (byRole[role] ??= gear.ports.filter((candidate) => candidate.role === role));
}

const noLimit: ChainLimit = () => undefined;
/** A lead hangs and bends: this much longer than the straight way. */
const SLACK = 1.15;

/** Sound has to reach the camera, and a microphone that needs 48 V has to get it. */
function soundNeeds(rig: PlacedRig): Pick<Connection, 'limit' | 'withoutLength' | 'lengthNeededM'> {
  const mic = rig.mic!.gear;
  const body = rig.body!.gear;
  const atCamera =
    rig.micPlace === 'shoe' || rig.micPlace === 'side arm' || mic.form === 'lapel wireless';
  const neededM = atCamera ? 0 : rig.angle.distanceM * SLACK;
  const needsPhantom =
    mic.power === 'phantom' &&
    !rig.body!.gear.ports.some((port) => port.role === 'audioIn' && port.type === 'XLR');
  const withoutLength: ChainLimit = (parts) => {
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
    return undefined;
  };
  const limit: ChainLimit = (parts) => {
    const other = withoutLength(parts);
    if (other !== undefined) return other;
    let reachM = mic.cableM ?? 0;
    for (const { gear } of parts) if (gear.kind === 'cable') reachM += gear.lengthM ?? 0;
    return reachM < neededM
      ? `the cable reaches ${reachM.toFixed(1)} m and ${neededM.toFixed(1)} m are needed`
      : undefined;
  };
  return { limit, withoutLength, lengthNeededM: neededM };
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
  const fromPorts = portsFor(from.gear, fromRole);
  const toPorts = portsFor(to.gear, toRole);
  if (fromPorts.length === 0) return { purpose, part: from, role: fromRole };
  if (toPorts.length === 0) return { purpose, part: to, role: toRole };
  // The same role may be served by several ports; those that meet directly are named first.
  const meets = (port: Port, others: readonly Port[]) => others.some((other) => mates(port, other));
  return {
    purpose,
    from,
    to,
    fromPorts: sortedFirst(fromPorts, (port) => meets(port, toPorts)),
    toPorts: sortedFirst(toPorts, (port) => meets(port, fromPorts)),
    limit
  };
}

function sortedFirst(ports: readonly Port[], first: (port: Port) => boolean): readonly Port[] {
  return ports.length < 2 ? ports : [...ports].sort((a, b) => Number(first(b)) - Number(first(a)));
}

/** Every pair of ports an angle needs joined, in the order one puts a rig together. */
export function connectionsOf(rig: PlacedRig): readonly (Connection | MissingPort)[] {
  return (rig.connections ??= findConnections(rig));
}

function findConnections(rig: PlacedRig): (Connection | MissingPort)[] {
  const list: (Connection | MissingPort)[] = [];
  const { body, kit } = rig;
  const lensPart = rig.lens && !rig.lens.builtIn ? kit.byLine(rig.lens.lineId) : undefined;
  if (body && lensPart) list.push(between('lens on body', lensPart, 'lens', body, 'lens'));
  // Indoors lamps are turned down instead, and the filter stays in the bag.
  if (lensPart && rig.filter && rig.scene.room === undefined)
    list.push(between('filter on lens', lensPart, 'filter', rig.filter, 'filter'));
  if (body && rig.mic && port(rig.mic, 'audioOut') && rig.mic.gear.form !== 'desk') {
    const needs = soundNeeds(rig);
    const need = between('microphone into body', rig.mic, 'audioOut', body, 'audioIn', needs.limit);
    list.push(isMissingPort(need) ? need : { ...need, ...needs });
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
  list.push(...powerConnections(rig), ...cardConnections(rig));
  return list;
}

export function isMissingPort(need: Connection | MissingPort): need is MissingPort {
  return 'role' in need;
}

/** The connection in words: what goes where. */
export function connectionWords({ from, to, fromPorts, toPorts }: Connection): string {
  const begins = `${fullName(from.gear)} (${portWords(fromPorts[0]!)})`;
  const ends = portWords(toPorts[0]!);
  return to ? `${begins} to ${fullName(to.gear)} (${ends})` : `${begins} to ${ends}`;
}
