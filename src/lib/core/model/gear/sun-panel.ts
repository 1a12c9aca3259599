import { StatedNumber } from '../stated';
import { GearBase } from './base';

/** Fills a bank by day. */
export class SunPanelGear extends GearBase {
  kind = 'sun panel' as const;
  @StatedNumber('W', 1, 1000) outputW?: number;
}
