import { StatedNumber, StatedText, StatedYesNo } from '../stated';
import { GearBase } from './base';

/** A sound recorder that runs apart from the camera. */
export class RecorderGear extends GearBase {
  kind = 'recorder' as const;
  @StatedNumber('h', 0.2, 200) batteryHours?: number;
  @StatedText(40) batteryType?: string;
  @StatedNumber('dBV', -150, -40) inputNoiseDbV?: number;
  @StatedNumber('GB', 0.1, 4000) internalStorageGb?: number;
  /** How far its clock runs off, parts in a million. */
  @StatedNumber('ppm', 0, 1000) clockPpm?: number;
  @StatedYesNo() safetyTrack?: boolean;
  @StatedYesNo() hasSwitch?: boolean;
}
