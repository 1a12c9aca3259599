import type { GearItem } from '../../core/model/gear';
import { payableMinor, type Buyer } from '../../core/money/payable-price';
import type { KitChanges } from '../../core/pack/kit-changes';

/** Hundredths of a point as people read them. */
export const points = (hundredths: number): string => String(Math.round(hundredths / 100));

const named = ({ gear, pieces }: { gear: GearItem; pieces: number }): string =>
  pieces > 1 ? `${pieces} × ${gear.model}` : gear.model;

/** The change that matters most, in a few words: what comes in and costs most, and what it takes the place of. */
export function changeWords({ comesIn, goesOut }: KitChanges, buyer: Buyer): string {
  const dearest = (list: KitChanges['comesIn']) =>
    [...list].sort(
      (a, b) => (payableMinor(buyer, b.gear) ?? 0) - (payableMinor(buyer, a.gear) ?? 0)
    )[0];
  const main = dearest(comesIn);
  if (!main) {
    const gone = dearest(goesOut);
    return gone ? `without ${named(gone)}` : '';
  }
  const instead = goesOut.find(({ gear }) => gear.kind === main.gear.kind);
  return instead ? `${named(main)} for ${instead.gear.model}` : `+ ${named(main)}`;
}
