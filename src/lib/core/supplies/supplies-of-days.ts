import type { Scene } from '../model/scene';
import type { KitPart } from '../rigs/kit';
import type { PlacedRig } from '../rigs/placed-rig';
import { cardSpaceOfDay } from './card-space-of-day';
import { energyOfDay } from './energy-of-day';
import { filmingDays } from './filming-days';
import { type SharedSupplies, shareOut, type SuppliesAndNeeds } from './shared-supplies';

/** Who takes what. */
export interface Taken {
  /** Undefined where what is in a battery, a bank or a card is not stated. */
  shared: SharedSupplies | undefined;
  /** Parts that take from it too, and nobody states how much. */
  unknown: readonly KitPart[];
}

export interface SuppliesOfDay {
  scenes: readonly Scene[];
  energy: Taken;
  cards: Taken;
}

const takenFrom = ({ consumers, stores, unknown }: SuppliesAndNeeds): Taken => ({
  shared: shareOut(consumers, stores),
  unknown
});

/** Batteries, banks and cards shared out over every day of a plan. */
export const suppliesOfDays = (rigs: readonly PlacedRig[]): SuppliesOfDay[] =>
  filmingDays(rigs).map((day) => ({
    scenes: day.scenes,
    energy: takenFrom(energyOfDay(day)),
    cards: takenFrom(cardSpaceOfDay(day))
  }));
