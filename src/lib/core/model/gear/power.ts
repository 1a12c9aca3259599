import { NeededText, StatedNumber, StatedText, StatedYesNo } from '../stated';
import { GearBase } from './base';

/** A cell one swaps. */
export class CellGear extends GearBase {
  kind = 'cell' as const;
  @NeededText(40) cellType!: string;
  @StatedNumber('Wh', 0.1, 1000) energyWh?: number;
  /** Not from the maker of the device: counted at the aged figure until proven. */
  @StatedYesNo() otherMaker?: boolean;
}

/** Stands in for the cell and runs from a socket. */
export class MainsBlockGear extends GearBase {
  kind = 'mains block' as const;
  @NeededText(40) cellType!: string;
  @StatedNumber('W', 0.5, 1000) outputW?: number;
}

export class PowerBankGear extends GearBase {
  kind = 'bank' as const;
  /** Energy of the cells inside, at their own 3.7 V. */
  @StatedNumber('Wh', 0.5, 2000) energyWh?: number;
  @StatedNumber('W', 1, 240) outputW?: number;
  @StatedYesNo() passThrough?: boolean;
}

export class ChargerGear extends GearBase {
  kind = 'charger' as const;
  @NeededText(40) cellType!: string;
  @StatedNumber('count', 1, 16) bays?: number;
  @StatedNumber('W', 0.2, 500) wattsPerBay?: number;
  @StatedText(40) plug?: string;
}

/** Fills a bank by day. */
export class SunPanelGear extends GearBase {
  kind = 'sun panel' as const;
  @StatedNumber('W', 1, 1000) outputW?: number;
}
