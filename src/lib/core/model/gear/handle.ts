import { StatedNumber } from '../stated';
import { GearBase } from './base';

/** A handle or rail on a cage: somewhere to hold, somewhere to put things. */
export class HandleGear extends GearBase {
  kind = 'handle' as const;
  @StatedNumber('kg', 0.02, 100) payloadKg?: number;
}
