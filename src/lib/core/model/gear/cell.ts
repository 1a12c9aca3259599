import { NeededText, StatedNumber, StatedYesNo } from '../stated';
import { GearBase } from './base';

/** A cell one swaps. */
export class CellGear extends GearBase {
  kind = 'cell' as const;
  @NeededText(40) cellType!: string;
  @StatedNumber('Wh', 0.1, 1000) energyWh?: number;
  /** Not from the maker of the device: counted at the aged figure until proven. */
  @StatedYesNo() otherMaker?: boolean;
}
