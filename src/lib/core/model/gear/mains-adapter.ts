import { NeededText, StatedNumber } from '../stated';
import { GearBase } from './base';

/** Stands in for the battery and runs from a socket. */
export class MainsAdapterGear extends GearBase {
  kind = 'mains adapter' as const;
  @NeededText(40) batteryType!: string;
  @StatedNumber('W', 0.5, 1000) outputW?: number;
}
