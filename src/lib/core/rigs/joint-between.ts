import type { ChainLimit } from '../joining/chains';
import { memoOn } from '../memo';
import type { GearItem } from '../model/gear';
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
import type { Kit, KitPart } from './kit';
import type { PlacedRig } from './placed-rig';
import type { SoundNeeds } from './sound-path';

const anything = (): ChainLimit => () => undefined;
/** Every piece between bears what hangs on it. */
export function bearing({ massG }: GearItem): ChainLimit {
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
export function between(
  { kit }: Pick<PlacedRig, 'kit'>,
  purpose: ConnectionPurpose,
  from: KitPart,
  fromRole: PortRole,
  to: KitPart,
  toRole: PortRole,
  limit: (from: GearItem) => ChainLimit = anything
): Connection | MissingPort {
  const joints = jointsOf(kit);
  for (const joint of joints)
    if (joint.from === from && joint.to === to && joint.purpose === purpose) return joint.need;
  const need = joint(purpose, from, fromRole, to, toRole, limit(from.gear));
  joints.push({ purpose, from, to, need });
  return need;
}

export function joint(
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

/** A lamp on what holds it. */
export const lampHeld = (
  rig: Pick<PlacedRig, 'kit'>,
  purpose: 'lamp held' | 'lamp beside the key held',
  lamp: KitPart,
  holder: KitPart
): Connection | MissingPort => between(rig, purpose, lamp, 'stands', holder, 'carries', bearing);

/** Whether a joint is closed with what the kit holds. */
export const isJoined = (need: Connection | MissingPort, kit: Kit): boolean =>
  !isMissingPort(need) && isClosedInBag(need, kit);
