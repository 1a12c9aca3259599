import { NeededText, StatedNumber, StatedText, StatedWord, StatedYesNo } from '../stated';
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

export class DriveGear extends GearBase {
  kind = 'drive' as const;
  @StatedNumber('GB', 1, 200_000) capacityGb?: number;
  @StatedNumber('MB/s', 1, 10_000) writeMBps?: number;
}

export class ReaderGear extends GearBase {
  kind = 'reader' as const;
  @NeededText(20) cardKind!: string;
  @StatedText(40) plug?: string;
  @StatedNumber('MB/s', 1, 10_000) readMBps?: number;
}

/** The computer the films are cut on: what it plays, takes in and has room for. */
export class ComputerGear extends GearBase {
  kind = 'computer' as const;
  /** Editing load it plays without stutter, 1 being one stream of 4K at 30 frames, hardware-decoded ×2. */
  @StatedNumber('×', 0.05, 100) editingRating?: number;
  @StatedNumber('GB', 1, 100_000) freeSpaceGb?: number;
  @StatedYesNo() hasReader?: boolean;
  @StatedNumber('count', 0, 12) usbCPorts?: number;
  /** Loudness at 1 m while it works hard. */
  @StatedNumber('dB(A)', 0, 70) fanLevelDbA?: number;
}
