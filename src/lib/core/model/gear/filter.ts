import { NeededNumber, NeededWord, StatedNumber } from '../stated';
import { GearBase } from './base';

export const filterForms = [
  'fixed density',
  'variable density',
  'diffusion',
  'protecting'
] as const;

export class FilterGear extends GearBase {
  kind = 'filter' as const;
  @NeededWord(filterForms) form!: (typeof filterForms)[number];
  @NeededNumber('mm', 20, 150) threadMm!: number;
  @StatedNumber('stops', 0, 20) stopsMin?: number;
  @StatedNumber('stops', 0, 20) stopsMax?: number;
  /** How far it colours the picture, mired. */
  @StatedNumber('mired', 0, 200) castMired?: number;
}
