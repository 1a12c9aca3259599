import { GRAVITY } from './gravity';
import { mustBePositive } from '../argument';

const AIR_KG_M3 = 1.2;

/**
 * Wind that tips a lamp on a stand: √(m·g·(r/2)/(½·1.2·Cd·A·H)).
 *
 * @param massKg lamp, stand and bag together
 * @param footRadiusM of the three legs
 * @param dragCoefficient about 1.2 for a round softbox
 * @returns m/s
 * @example tippingWindMps(5, 0.45, 1.2, Math.PI * 0.09, 1.8) // 5.5
 */
export function tippingWindMps(
  massKg: number,
  footRadiusM: number,
  dragCoefficient: number,
  areaM2: number,
  heightM: number
): number {
  mustBePositive('massKg', massKg);
  mustBePositive('footRadiusM', footRadiusM);
  mustBePositive('dragCoefficient', dragCoefficient);
  mustBePositive('areaM2', areaM2);
  mustBePositive('heightM', heightM);
  return Math.sqrt(
    (massKg * GRAVITY * (footRadiusM / 2)) / (0.5 * AIR_KG_M3 * dragCoefficient * areaM2 * heightM)
  );
}
