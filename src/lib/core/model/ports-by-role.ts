import { memoOf } from '../memo';
import type { GearItem } from './gear';
import type { Port, PortRole } from './ports';

const portsByRole = memoOf((_gear: GearItem): Partial<Record<PortRole, readonly Port[]>> => ({}));

/** Ports of a part that serve a role; parts never change, so they are looked for once. */
export function portsFor(gear: GearItem, role: PortRole): readonly Port[] {
  const byRole = portsByRole(gear);
  return (byRole[role] ??= gear.ports.filter((candidate) => candidate.role === role));
}
