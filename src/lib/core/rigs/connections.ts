import { lampsHeldBesideKey, lampStandOf } from './lamp-stand';
import type { ChainLimit } from '../joining/chains';
import type { GearItem, GearOf } from '../model/gear';
import { memoOn } from '../memo';
import { seesOwnScreen } from './own-screen';
import { meetsAny } from '../model/mating';
import { portsFor } from '../model/ports-by-role';
import type { Port, PortRole } from '../model/ports';
import { isClosedInBag } from './closings';
import {
  connect,
  type Connection,
  type ConnectionPurpose,
  isMissingPort,
  type MissingPort
} from './connection';
import { type Kit, type KitPart } from './kit';
import type { PlacedRig } from './placed-rig';
import { soundDestinationOf, type SoundNeeds, soundNeeds } from './sound-path';
import { supplyConnections } from './supply-connections';

const anything = (): ChainLimit => () => undefined;
/** Every piece between bears what hangs on it. */
function bearing({ massG }: GearItem): ChainLimit {
  return (parts) => {
    const weak = parts.find(
      ({ gear }) =>
        (gear.kind === 'thread adapter' || gear.kind === 'handle') &&
        gear.payloadKg !== undefined &&
        massG !== undefined &&
        gear.payloadKg * 1000 < massG
    );
    return weak ? `${weak.gear.model} cannot carry what would be mounted on it` : undefined;
  };
}

interface Joint {
  purpose: ConnectionPurpose;
  from: KitPart;
  to: KitPart;
  need: Connection | MissingPort;
}
/** Joints between two parts of a kit found so far. */
const jointsOf = memoOn((_kit: Kit): Joint[] => []);

/** A joint of two parts of the kit; found once, for most are the same in every scene. */
function between(
  { kit }: PlacedRig,
  purpose: ConnectionPurpose,
  from: KitPart,
  fromRole: PortRole,
  to: KitPart,
  toRole: PortRole,
  limit: (from: GearItem) => ChainLimit = anything
): Connection | MissingPort {
  const joints = jointsOf(kit);
  for (const one of joints)
    if (one.from === from && one.to === to && one.purpose === purpose) return one.need;
  const need = joint(purpose, from, fromRole, to, toRole, limit(from.gear));
  joints.push({ purpose, from, to, need });
  return need;
}

function joint(
  purpose: ConnectionPurpose,
  from: KitPart,
  fromRole: PortRole,
  to: KitPart,
  toRole: PortRole,
  limit: ChainLimit,
  byLength?: SoundNeeds
): Connection | MissingPort {
  const fromPorts = portsFor(from.gear, fromRole);
  const toPorts = portsFor(to.gear, toRole);
  if (fromPorts.length === 0) return { purpose, part: from, role: fromRole };
  if (toPorts.length === 0) return { purpose, part: to, role: toRole };
  return connect(
    purpose,
    from,
    to,
    directFirst(fromPorts, toPorts),
    directFirst(toPorts, fromPorts),
    limit,
    byLength
  );
}

/** The same role may be served by several ports; those that meet directly are named first. */
function directFirst(ports: readonly Port[], others: readonly Port[]): readonly Port[] {
  return ports.length < 2
    ? ports
    : [...ports].sort((a, b) => Number(meetsAny(b, others)) - Number(meetsAny(a, others)));
}

/** What a monitor by which one sees oneself is put on: the camera’s shoe, or the one of a cage made for it. */
function monitorShoe(rig: PlacedRig): KitPart | undefined {
  const { body, kit, scene, index } = rig;
  if (!body || index > 0 || !scene.wantsSeeSelf || seesOwnScreen(rig)) return undefined;
  const carriers: KitPart[] = [
    body,
    ...kit.of('cage').filter(({ gear }) => gear.fitsBodyId === body.gear.id)
  ];
  return carriers.find(({ gear }) => portsFor(gear, 'carries').length > 0);
}

/**
 * The monitor through which the picture of a body with one output goes on into the computer. Without the leads for
 * that the picture goes there straight, and the monitor stays dark.
 */
export function passingMonitor(
  rig: PlacedRig,
  capture: KitPart
): KitPart<GearOf<'monitor'>> | undefined {
  const { body, kit } = rig;
  if (!body || portsFor(body.gear, 'videoOut').length > 1) return undefined;
  const isJoined = (need: Connection | MissingPort) =>
    !isMissingPort(need) && isClosedInBag(need, kit);
  return kit
    .of('monitor')
    .find(
      (monitor) =>
        portsFor(monitor.gear, 'videoOut').length > 0 &&
        isJoined(between(rig, 'picture out', body, 'videoOut', monitor, 'videoIn')) &&
        isJoined(between(rig, 'picture out', monitor, 'videoOut', capture, 'videoIn'))
    );
}

/** Every pair of ports an angle needs joined, in the order one puts a rig together. */
export const connectionsOf = memoOn((rig: PlacedRig): readonly (Connection | MissingPort)[] => {
  const list: (Connection | MissingPort)[] = [];
  const { body, mic, kit } = rig;
  const lensPart = rig.lens && !rig.lens.builtIn ? kit.byLine(rig.lens.lineId) : undefined;
  if (body && lensPart) list.push(between(rig, 'lens on body', lensPart, 'lens', body, 'lens'));
  // Indoors lamps are turned down instead, and the filter stays in the kit.
  if (lensPart && rig.filter && rig.scene.room === undefined)
    list.push(between(rig, 'filter on lens', lensPart, 'filter', rig.filter, 'filter'));
  if (body && mic && mic.gear.form !== 'desk' && portsFor(mic.gear, 'audioOut').length > 0) {
    const into = soundDestinationOf(rig)!;
    const needs = soundNeeds(rig, into);
    const { limit } = needs;
    list.push(joint('microphone into input', mic, 'audioOut', into, 'audioIn', limit, needs));
  }
  const holder =
    rig.micPlace === 'shoe' ? body : rig.micPlace === 'boom arm' ? rig.boom : undefined;
  if (mic && holder)
    list.push(between(rig, 'microphone held', mic, 'stands', holder, 'carries', bearing));
  if (body && rig.support && body.gear.form !== 'drone')
    list.push(between(rig, 'camera held', body, 'stands', rig.support, 'carries', bearing));
  if (body && rig.index === 0) {
    for (const screen of kit.of('monitor'))
      list.push(between(rig, 'picture out', body, 'videoOut', screen, 'videoIn'));
    if (rig.scene.live && body.gear.usbVideo !== true)
      for (const screen of kit.of('capture device')) {
        const source = passingMonitor(rig, screen) ?? body;
        list.push(between(rig, 'picture out', source, 'videoOut', screen, 'videoIn'));
      }
  }
  const shoe = monitorShoe(rig);
  if (shoe)
    for (const monitor of kit.of('monitor'))
      list.push(between(rig, 'monitor held', monitor, 'stands', shoe, 'carries', bearing));
  const stand = rig.keyLamp && lampStandOf(rig);
  if (rig.keyLamp && stand)
    list.push(between(rig, 'lamp held', rig.keyLamp.part, 'stands', stand, 'carries', bearing));
  for (const { lamp, holder } of lampsHeldBesideKey(rig))
    if (holder)
      list.push(between(rig, 'lamp held', lamp.part, 'stands', holder, 'carries', bearing));
  for (const need of supplyConnections(rig)) list.push(need);
  return list;
});
