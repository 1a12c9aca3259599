import type { Scene } from '../model/scene';
import type { PlacedRig } from '../rigs/placed-rig';
import { cardSpaceOfDay } from './card-space-of-day';
import { energyOfDay } from './energy-of-day';
import { filmingDays } from './filming-days';
import { type Consumer, type SharedSupplies, shareOut, type Store } from './shared-supplies';

/** Who takes what on a day; undefined where a draw, a rate or an amount is not stated. */
export interface SuppliesOfDay {
  scenes: readonly Scene[];
  energy: SharedSupplies | undefined;
  cards: SharedSupplies | undefined;
}

const shared = (
  of: { consumers: readonly Consumer[]; stores: readonly Store[] } | undefined
): SharedSupplies | undefined => of && shareOut(of.consumers, of.stores);

/** Batteries, banks and cards shared out over every day of a plan. */
export const suppliesOfDays = (rigs: readonly PlacedRig[]): SuppliesOfDay[] =>
  filmingDays(rigs).map((day) => ({
    scenes: day.scenes,
    energy: shared(energyOfDay(day)),
    cards: shared(cardSpaceOfDay(day))
  }));
