import { NeededText, StatedNumber, StatedText } from '../stated';
import { GearBase } from './base';

export class ReaderGear extends GearBase {
  kind = 'reader' as const;
  @NeededText(20) cardKind!: string;
  @StatedText(40) plug?: string;
  @StatedNumber('MB/s', 1, 10_000) readMBps?: number;
}
