import { StatedNumber, StatedYesNo } from '../stated';
import { GearBase } from './base';

/** Screws, plates, studs, rails and arms that join one mechanical port to another. */
export class ThreadAdapterGear extends GearBase {
  kind = 'thread adapter' as const;
  /** Moves a shoe away from the screen. */
  @StatedYesNo() movesShoeAside?: boolean;
  @StatedNumber('kg', 0.02, 100) payloadKg?: number;
}
