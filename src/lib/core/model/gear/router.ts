import { StatedNumber, StatedText } from '../stated';
import { GearBase } from './base';

/** Brings the network to where there is none, so that a live scene can go out. */
export class RouterGear extends GearBase {
  kind = 'router' as const;
  @StatedNumber('W', 0.3, 60) drawW?: number;
  /** Energy of a battery that cannot be taken out. */
  @StatedNumber('Wh', 0.5, 200) internalBatteryWh?: number;
  @StatedText(40) batteryType?: string;
  /** What it sends on, as it is stated. */
  @StatedNumber('Mb/s', 0.5, 10_000) uploadMbps?: number;
}
