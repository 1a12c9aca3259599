import { NeededWord, StatedNumber } from '../stated';
import { GearBase } from './base';

/** How a head turns: loose in every way, damped in two, or not at all. */
export const headPieceForms = ['ball', 'fluid', 'fixed'] as const;

/** What stands between bare legs and the camera, bought by itself. */
export class HeadGear extends GearBase {
  kind = 'head' as const;
  @NeededWord(headPieceForms) form!: (typeof headPieceForms)[number];
  @StatedNumber('kg', 0.05, 60) payloadKg?: number;
  /** How high over the plate the middle of the load may lie for the payload to hold. */
  @StatedNumber('mm', 5, 400) ratedAtMm?: number;
}
