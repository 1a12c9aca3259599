import { StatedNumber } from '../stated';
import { GearBase } from './base';

/** Sand, water or shot that keeps a stand on its feet. */
export class SandbagGear extends GearBase {
  kind = 'sandbag' as const;
  @StatedNumber('kg', 0.2, 50) filledKg?: number;
}
