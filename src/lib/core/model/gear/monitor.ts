import { StatedNumber, StatedText, StatedYesNo } from '../stated';
import { GearBase } from './base';

export class MonitorGear extends GearBase {
  kind = 'monitor' as const;
  @StatedNumber('in', 2, 40) diagonalIn?: number;
  @StatedNumber('cd/m²', 50, 5000) luminanceCdM2?: number;
  /** Coated against reflections. */
  @StatedYesNo() coated?: boolean;
  @StatedNumber('W', 0.5, 100) drawW?: number;
  @StatedText(40) batteryType?: string;
  /** Records what it shows, so that two recordings are made. */
  @StatedYesNo() recordsItself?: boolean;
}
