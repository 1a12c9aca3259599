import type { GearItem } from './gear';
import type { Port, PortRole } from './ports';

const portsByRole = new WeakMap<GearItem, Partial<Record<PortRole, readonly Port[]>>>();

/** Ports of a part that serve a role; parts never change, so they are looked for once. */
export function portsFor(gear: GearItem, role: PortRole): readonly Port[] {
  let byRole = portsByRole.get(gear);
  if (!byRole) portsByRole.set(gear, (byRole = {}));
  return (byRole[role] ??= gear.ports.filter((candidate) => candidate.role === role));
}
