import { mustBePositive, mustNotBeNegative } from '../argument';

/** What arrives at a bank's plug of the energy on its label. */
export const AT_THE_PLUG = 0.85;
/** A device's input loses this share; the bank must give that much more. */
export const DEVICE_INPUT = 0.9;

/**
 * Energy at a bank's plug: 0.85 × label.
 *
 * @returns Wh
 * @example bankEnergyAtPlugWh(74) // 62.9
 */
export function bankEnergyAtPlugWh(labelWh: number): number {
  mustNotBeNegative('labelWh', labelWh);
  return AT_THE_PLUG * labelWh;
}

/**
 * Watts a bank must offer for a device: W ÷ 0.9.
 *
 * @example bankWattsNeeded(6) // 6.67
 */
export function bankWattsNeeded(deviceW: number): number {
  mustBePositive('deviceW', deviceW);
  return deviceW / DEVICE_INPUT;
}
