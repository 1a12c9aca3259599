import type { GearOf } from '../model/gear';
import type { PlacedRig } from './placed-rig';

/** A screen that its owner sees from before the lens; one nobody states may be such a one. */
export const facesFront = (body: GearOf<'body'> | undefined): boolean =>
  body?.screen !== undefined && body.screen !== 'fixed' && body.screen !== 'tilts';

/** What stands before or behind the screen that turns to the front, so that its owner does not see it. */
export function screenBlockedBy({
  body,
  mic,
  micPlace,
  support
}: PlacedRig): 'shoe' | 'plate' | 'side' | undefined {
  const screen = body?.gear.screen;
  if (screen === 'flips up' && mic && micPlace === 'shoe') return 'shoe';
  if (screen === 'flips down' && support) return 'plate';
  if (screen === 'side hinge' && mic && micPlace === 'side arm') return 'side';
  return undefined;
}

/** One sees oneself on the screen of the body, or may for all that is stated. */
export const seesOwnScreen = (rig: PlacedRig): boolean =>
  rig.body?.gear.screen === undefined ||
  (facesFront(rig.body.gear) && screenBlockedBy(rig) === undefined);
