import { StatedNumber } from '../stated';
import { GearBase } from './base';

/** Fills a bank by day. */
export class SolarPanelGear extends GearBase {
  kind = 'solar panel' as const;
  @StatedNumber('W', 1, 1000) outputW?: number;
}
