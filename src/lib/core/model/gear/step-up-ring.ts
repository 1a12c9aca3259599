import { NeededNumber } from '../stated';
import { GearBase } from './base';

/** Lets a larger filter sit on a smaller lens. */
export class StepUpRingGear extends GearBase {
  kind = 'step-up ring' as const;
  @NeededNumber('mm', 20, 150) lensThreadMm!: number;
  @NeededNumber('mm', 20, 150) filterThreadMm!: number;
}
