import { GearBase } from './base';

/** A mirror over the shoe that shows the rear screen to the person in front. */
export class MirrorBoxGear extends GearBase {
  kind = 'mirror box' as const;
}
