import { NeededText, StatedYesNo } from '../stated';
import { GearBase } from './base';

export class MountAdapterGear extends GearBase {
  kind = 'mount adapter' as const;
  @NeededText(40) lensMount!: string;
  @NeededText(40) bodyMount!: string;
  @StatedYesNo() keepsFocus?: boolean;
  @StatedYesNo() keepsAperture?: boolean;
}
