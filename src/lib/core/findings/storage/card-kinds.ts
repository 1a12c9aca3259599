import type { PlacedRig } from '../../rigs/placed-rig';

export function cardKindsOf(rig: PlacedRig): string[] {
  return rig.body?.gear.ports.filter((port) => port.role === 'card').map((port) => port.type) ?? [];
}
