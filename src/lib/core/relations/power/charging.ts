import { mustBePositive } from '../argument';

/**
 * Hours to fill a cell in one bay: 1.4·Wh ÷ W per bay.
 *
 * @example chargingHours(16, 8) // 2.8
 */
export function chargingHours(energyWh: number, wattsPerBay: number): number {
  mustBePositive('energyWh', energyWh);
  mustBePositive('wattsPerBay', wattsPerBay);
  return (1.4 * energyWh) / wattsPerBay;
}
