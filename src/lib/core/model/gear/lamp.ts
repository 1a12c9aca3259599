import { NeededWord, StatedNumber, StatedText, StatedYesNo } from '../stated';
import { GearBase } from './base';

export const lampForms = ['panel', 'point', 'tube', 'bulb', 'practical'] as const;
export type LampForm = (typeof lampForms)[number];

export class LampGear extends GearBase {
  kind = 'lamp' as const;
  @NeededWord(lampForms) form!: LampForm;
  /** Measured at 1 m on the axis, with the dome or cloth the lamp comes with in place. */
  @StatedNumber('lx', 0.1, 500_000) illuminanceAt1mLx?: number;
  /** Radius of the disc that shines: √(area/π) for a rectangle. */
  @StatedNumber('m', 0.005, 3) sourceRadiusM?: number;
  @StatedNumber('K', 1500, 12_000) colourMinK?: number;
  @StatedNumber('K', 1500, 12_000) colourMaxK?: number;
  @StatedNumber('W', 0.3, 3000) drawW?: number;
  /** Fan at 1 m; 0 when there is none. */
  @StatedNumber('dB(A)', 0, 70) fanLevelDbA?: number;
  @StatedYesNo() runsFromMains?: boolean;
  @StatedText(40) batteryType?: string;
  @StatedNumber('Wh', 0.5, 500) internalBatteryWh?: number;
  @StatedNumber('Hz', 50, 200_000) pwmHz?: number;
  @StatedYesNo() dimmable?: boolean;
}
