import { NeededText, StatedNumber, StatedYesNo } from '../stated';
import { GearBase } from './base';

/** A battery one swaps. */
export class BatteryGear extends GearBase {
  kind = 'battery' as const;
  @NeededText(40) batteryType!: string;
  @StatedNumber('Wh', 0.1, 1000) energyWh?: number;
  /** Not from the maker of the device: counted at the aged figure until proven. */
  @StatedYesNo() otherMaker?: boolean;
}
