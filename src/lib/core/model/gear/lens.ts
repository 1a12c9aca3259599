import { NeededNumber, NeededText, StatedNumber, StatedYesNo } from '../stated';
import { GearBase } from './base';

export class LensGear extends GearBase {
  kind = 'lens' as const;
  @NeededText(40) mount!: string;
  @NeededNumber('mm', 1, 2000) focalLengthMinMm!: number;
  @NeededNumber('mm', 1, 2000) focalLengthMaxMm!: number;
  /** Widest aperture at the short end, as a number: 1.8 for f/1.8. */
  @NeededNumber('f/', 0.7, 64) apertureWideN!: number;
  /** Widest aperture at the long end. */
  @NeededNumber('f/', 0.7, 64) apertureTeleN!: number;
  /** The aperture that would give as much light without glass: T1.7 of an f/1.5 loses a third of a stop. */
  @StatedNumber('T', 0.7, 64) apertureWideT?: number;
  /** Smallest opening: 16 or 22 as a rule. */
  @StatedNumber('f/', 0.7, 128) apertureSmallestN?: number;
  /** Image circle covers this still width; a smaller one darkens the corners of a larger sensor. */
  @StatedNumber('mm', 4, 60) coversWidthMm?: number;
  @StatedNumber('m', 0.01, 100) minimumFocusDistanceM?: number;
  @StatedYesNo() stabilised?: boolean;
  /** Sound of the focus motor at 0.1 m. */
  @StatedNumber('dB(A)', 0, 80) motorLevelDbA?: number;
  @StatedNumber('mm', 20, 150) filterThreadMm?: number;
  @StatedYesNo() protrudingFront?: boolean;
}
