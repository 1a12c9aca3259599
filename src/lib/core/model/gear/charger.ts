import { NeededText, StatedNumber, StatedText } from '../stated';
import { GearBase } from './base';

export class ChargerGear extends GearBase {
  kind = 'charger' as const;
  @NeededText(40) batteryType!: string;
  @StatedNumber('count', 1, 16) bays?: number;
  @StatedNumber('W', 0.2, 500) wattsPerBay?: number;
  @StatedText(40) plug?: string;
}
