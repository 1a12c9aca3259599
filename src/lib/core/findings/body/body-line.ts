import type { PlacedRig } from '../../rigs/placed-rig';

export const bodyLine = (rig: PlacedRig) => (rig.body ? [rig.body.line.id] : []);
