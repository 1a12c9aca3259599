import { NeededText, StatedNumber, StatedWord } from '../stated';
import { GearBase } from './base';

export const speedClasses = ['V6', 'V10', 'V30', 'V60', 'V90', 'U1', 'U3'] as const;
export type SpeedClass = (typeof speedClasses)[number];

export class CardGear extends GearBase {
  kind = 'card' as const;
  @NeededText(20) cardKind!: string;
  @StatedNumber('GB', 0.1, 16_000) capacityGb?: number;
  @StatedWord(speedClasses) speedClass?: SpeedClass;
  @StatedNumber('MB/s', 1, 10_000) readMBps?: number;
}
