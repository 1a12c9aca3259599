import { StatedNumber } from '../stated';
import { GearBase } from './base';

export class CaptureDeviceGear extends GearBase {
  kind = 'capture device' as const;
  @StatedNumber('px', 320, 12_000) pixelsAcross?: number;
  @StatedNumber('fps', 1, 240) fps?: number;
  /** Frames by which it hands the picture on late. */
  @StatedNumber('frames', 0, 60) lagFrames?: number;
}
