import { mustNotBeNegative } from '../argument';

/** A panel gives this share of its watts over the hours the sun shines on it. */
export const SUN_SHARE = 0.6;
/** What a car's socket gives while it drives. */
export const CAR_W = 15;
/** What a bank's energy loses once more on its way into a battery. */
export const BANK_INTO_BATTERY = 0.85;
/** Energy of one battery the airlines let pass, and where they usually refuse. */
export const AIR_TRAVEL_WH = { ask: 100, refuse: 160 } as const;

/**
 * Energy of the days away: carried + days × (W × sun hours × 0.6 + 15 W × hours driven).
 *
 * @returns Wh
 * @example offGridEnergyWh(60, 2, 21, 5, 1) // 216
 */
export function offGridEnergyWh(
  carriedWh: number,
  days: number,
  panelW: number,
  sunHours: number,
  hoursDriven: number
): number {
  mustNotBeNegative('carriedWh', carriedWh);
  mustNotBeNegative('days', days);
  mustNotBeNegative('panelW', panelW);
  mustNotBeNegative('sunHours', sunHours);
  mustNotBeNegative('hoursDriven', hoursDriven);
  return carriedWh + days * (panelW * sunHours * SUN_SHARE + CAR_W * hoursDriven);
}
