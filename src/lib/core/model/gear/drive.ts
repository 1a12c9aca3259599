import { StatedNumber } from '../stated';
import { GearBase } from './base';

export class DriveGear extends GearBase {
  kind = 'drive' as const;
  @StatedNumber('GB', 1, 200_000) capacityGb?: number;
  @StatedNumber('MB/s', 1, 10_000) writeMBps?: number;
}
