import { NeededWord, StatedNumber } from '../stated';
import { GearBase } from './base';

export const smallItemUses = [
  'remote',
  'tape',
  'notebook',
  'cloth',
  'ties',
  'bag',
  'blanket',
  'foil',
  'tool',
  'lens cover',
  'fan',
  'shade',
  'cable clamp'
] as const;

/** Small things a list must never forget. */
export class SmallItemGear extends GearBase {
  kind = 'small item' as const;
  @NeededWord(smallItemUses) use!: (typeof smallItemUses)[number];
  @StatedNumber('m²', 0.05, 100) areaM2?: number;
  /** Share of the sound a blanket swallows, 0 to 1. */
  @StatedNumber('×', 0, 1) absorption?: number;
  @StatedNumber('m', 0.5, 500) radioRangeM?: number;
}
