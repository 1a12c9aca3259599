import { StatedNumber, StatedYesNo } from '../stated';
import { GearBase } from './base';

export class PowerBankGear extends GearBase {
  kind = 'power bank' as const;
  /** Energy of the batteries inside, at their own 3.7 V. */
  @StatedNumber('Wh', 0.5, 2000) energyWh?: number;
  @StatedNumber('W', 1, 240) outputW?: number;
  @StatedYesNo() passThrough?: boolean;
}
