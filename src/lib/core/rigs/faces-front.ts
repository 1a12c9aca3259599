import type { GearOf } from '../model/gear';

/** A screen that its owner sees from before the lens; one nobody states may be such a one. */
export const facesFront = (body: GearOf<'body'> | undefined): boolean =>
  body?.screen !== undefined && body.screen !== 'fixed' && body.screen !== 'tilts';
