import { isClosedInBag } from './closings';
import { type Connection, type ConnectionPurpose, isMissingPort } from './connection';
import { connectionsOf } from './connections';
import type { PlacedRig } from './placed-rig';

/** Connections of a purpose that the bag leaves open; those that lack a port altogether are not counted. */
export function openConnections(rig: PlacedRig, purpose: ConnectionPurpose): Connection[] {
  const open: Connection[] = [];
  for (const need of connectionsOf(rig))
    if (need.purpose === purpose && !isMissingPort(need) && !isClosedInBag(need, rig.kit))
      open.push(need);
  return open;
}

export function openConnection(rig: PlacedRig, purpose: ConnectionPurpose): Connection | undefined {
  return openConnections(rig, purpose)[0];
}
