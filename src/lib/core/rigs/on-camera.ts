import { memoOn } from '../memo';
import type { GearOf } from '../model/gear';
import { facesFront, seesOwnScreen } from './own-screen';
import { portsFor } from '../model/ports-by-role';
import type { KitPart } from './kit';
import type { PlacedRig } from './placed-rig';
import { isReady } from './ready';
import { soundDestinationOf } from './sound-path';

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

export const SHOE = 'shoe';

/** What hears the voice and slides into an accessory shoe while it films: the microphone, or a radio's receiver. */
export function soundFeet(rig: PlacedRig): KitPart[] {
  const { mic, micPlace } = rig;
  const isOn = mic && (micPlace === 'shoe' || micPlace === 'side arm');
  const slides = isOn && portsFor(mic.gear, 'stands').some(({ type }) => type === SHOE);
  const receiver = receiverInShoe(rig);
  return [...(slides ? [mic] : []), ...(receiver ? [receiver] : [])];
}

/** Shoes the body has, and those that a cage made for it and a handle on that bring. */
export function shoesOf({ body, kit }: PlacedRig): number {
  if (!body) return 0;
  const cages = kit.of('cage').filter(({ gear }) => gear.fitsBodyId === body.gear.id);
  const carriers = [body, ...cages, ...(cages.length > 0 ? kit.of('handle') : [])];
  return carriers.reduce(
    (count, { gear }) =>
      count + portsFor(gear, 'carries').filter(({ type }) => type === SHOE).length,
    0
  );
}

/**
 * The mirror or monitor by which one sees oneself: it rides on the camera. None where the body's own screen turns to
 * the front, or may for all that is stated, and where nobody asks to be seen; then it stays in the bag. One in place of
 * a screen that is blocked needs a shoe that is free: with the microphone in the only one it stays there too.
 */
export const selfScreenOf = memoOn((rig: PlacedRig): KitPart | undefined => {
  const { body, kit, scene, index } = rig;
  if (!body || index > 0 || !scene.wantsSeeSelf || seesOwnScreen(rig)) return undefined;
  if (facesFront(body.gear) && soundFeet(rig).length >= shoesOf(rig)) return undefined;
  return kit.of('mirror box')[0] ?? kit.of('monitor').find((part) => isReady(rig, part));
});

/** A receiver weighs about what one of its transmitters does; undefined where nobody states what they weigh together. */
export function receiverKg(rig: PlacedRig): number | undefined {
  const mic = receiverInShoe(rig);
  if (!mic) return 0;
  const { massG, transmitters = 1 } = mic.gear;
  return massG === undefined ? undefined : massG / (transmitters + 1) / 1000;
}
