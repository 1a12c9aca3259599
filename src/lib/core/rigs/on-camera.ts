import { memoOn } from '../memo';
import type { GearOf } from '../model/gear';
import { facesFront } from './faces-front';
import { portsFor } from '../model/ports-by-role';
import type { KitPart } from './kit';
import type { PlacedRig } from './placed-rig';
import { isReady } from './ready';
import { soundDestinationOf } from './sound-path';

/**
 * The mirror or monitor by which one sees oneself: it rides on the camera. None where the body's own screen turns to
 * the front, or may for all that is stated, and where nobody asks to be seen; then it stays in the bag.
 */
export const selfScreenOf = memoOn((rig: PlacedRig): KitPart | undefined => {
  const { body, kit, scene, index } = rig;
  if (!body || index > 0 || !scene.wantsSeeSelf) return undefined;
  if (body.gear.screen === undefined || facesFront(body.gear)) return undefined;
  return kit.of('mirror box')[0] ?? kit.of('monitor').find((part) => isReady(rig, part));
});

/** The microphone whose receiver sits in the camera's shoe: on radio, into the camera, and not a plug by itself. */
export const receiverInShoe = memoOn(
  (rig: PlacedRig): KitPart<GearOf<'microphone'>> | undefined => {
    const { mic } = rig;
    if (mic?.gear.form !== 'lavalier wireless' || soundDestinationOf(rig)?.gear.kind !== 'body')
      return undefined;
    return portsFor(mic.gear, 'audioOut').some(({ family }) => family === 'audio') &&
      !portsFor(mic.gear, 'audioOut').some(({ type }) => type === 'USB-C')
      ? mic
      : undefined;
  }
);

/** A receiver weighs about what one of its transmitters does; undefined where nobody states what they weigh together. */
export function receiverKg(rig: PlacedRig): number | undefined {
  const mic = receiverInShoe(rig);
  if (!mic) return 0;
  const { massG, transmitters = 1 } = mic.gear;
  return massG === undefined ? undefined : massG / (transmitters + 1) / 1000;
}
