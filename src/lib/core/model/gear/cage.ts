import { StatedText } from '../stated';
import { GearBase } from './base';

export class CageGear extends GearBase {
  kind = 'cage' as const;
  @StatedText(80) fitsBodyId?: string;
}
