import { StatedNumber, StatedYesNo } from '../stated';
import { GearBase } from './base';

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
