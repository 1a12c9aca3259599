import { StatedNumber, StatedYesNo } from '../stated';
import { GearBase } from './base';

/** Carries a signal or power between two ends; which ends, its ports say. */
export class CableGear extends GearBase {
  kind = 'cable' as const;
  @StatedNumber('m', 0.02, 100) lengthM?: number;
  /** Feeds 48 V to a microphone that needs it. */
  @StatedYesNo() givesPhantom?: boolean;
  @StatedYesNo() givesPlugInPower?: boolean;
  /** Brings line level down to what a microphone input bears. */
  @StatedYesNo() attenuates?: boolean;
  /** Most a power lead passes on. */
  @StatedNumber('W', 0.5, 1000) carriesW?: number;
}
