import { NeededText, StatedNumber } from '../stated';
import { GearBase } from './base';

/** Stands in for the cell and runs from a socket. */
export class MainsBlockGear extends GearBase {
  kind = 'mains block' as const;
  @NeededText(40) cellType!: string;
  @StatedNumber('W', 0.5, 1000) outputW?: number;
}
