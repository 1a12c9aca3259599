import { memoOf } from '../memo';
import { describeKind, type GearItem } from '../model/gear';
import type { Port } from '../model/ports';

/**
 * The ends by which a part leads on in a chain: what its ports say, and for batteries, adapters, banks, cards
 * and readers what follows from their kind. A battery begins at its contacts and ends in energy.
 */
export const joiningEnds = memoOf((gear: GearItem): readonly Port[] => {
  const supply = describeKind(gear).supplyEnds?.(gear) ?? [];
  return supply.length > 0 ? supply : gear.ports.filter((candidate) => candidate.role === 'joins');
});
