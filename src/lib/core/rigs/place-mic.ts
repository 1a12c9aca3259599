import type { MicrophoneGear } from '../model/gear';
import type { MicPlace, Rig } from '../model/plan';
import { NO_PART } from '../model/word-lists';
import type { Angle, Scene } from '../model/scene';
import { pickupPatterns } from '../relations/sound/directivity';
import { levelAtDistanceDb, powerSumDb } from '../relations/sound/level';
import { airSpeedMps, windscreenDb, windNoiseDbA } from '../relations/sound/wind';
import type { Kit, KitPart } from './kit';
import type { PlacedRig } from './placed-rig';
import { micPlaceDistanceM, micPlacesByForm, micPlacesByStyle } from './places';

/** What is worth hearing at a place, roughly; only to choose where a new microphone goes. */
function roughSpeechToNoise(
  scene: Scene,
  angle: Angle,
  mic: MicrophoneGear,
  place: MicPlace,
  cover: keyof typeof windscreenDb
): number {
  const distanceM =
    place === 'boom arm'
      ? Math.min(0.45, angle.distanceM)
      : place === 'shoe' || place === 'side arm'
        ? angle.distanceM
        : micPlaceDistanceM[place];
  const pattern = mic.pattern ?? 'omni';
  const noise = powerSumDb(
    scene.noiseDbA - 10 * Math.log10(pickupPatterns[pattern].q),
    mic.selfNoiseDbA ?? 30,
    scene.room ? -Infinity : windNoiseDbA(airSpeedMps(scene), pattern, cover)
  );
  return levelAtDistanceDb(60, distanceM) - noise;
}

/** The best cover the kit holds for a microphone, its own included. */
export function coverFor(kit: Kit, mic: MicrophoneGear): Pick<PlacedRig, 'cover' | 'coverPart'> {
  let cover = mic.windscreenIncluded ?? 'none';
  let coverPart: PlacedRig['coverPart'];
  for (const part of kit.of('windscreen')) {
    if (!part.gear.fitsForms.includes(mic.form)) continue;
    if (windscreenDb[part.gear.cover] > windscreenDb[cover]) {
      cover = part.gear.cover;
      coverPart = part;
    }
  }
  return { cover, coverPart };
}

/** Places a microphone may take in this scene with what the kit holds, the usual one first. */
export function micPlacesFor(kit: Kit, scene: Scene, mic: MicrophoneGear): MicPlace[] {
  const places: readonly MicPlace[] = micPlacesByForm[mic.form];
  const sensible: readonly MicPlace[] = micPlacesByStyle[scene.style];
  const hasBoom = kit.of('support').some(({ gear }) => gear.form === 'boom arm');
  const hasSideArm = kit.of('thread adapter').some(({ gear }) => gear.movesShoeAside === true);
  return places.filter(
    (place) =>
      sensible.includes(place) &&
      (place !== 'boom arm' || hasBoom) &&
      (place !== 'side arm' || hasSideArm) &&
      (place !== 'desk feed' || scene.hasDeskFeed === true)
  );
}

/** The microphone of the bag that hears best here, and where; what the person has overrides stands. */
export function placeMic(
  kit: Kit,
  scene: Scene,
  angle: Angle,
  overrides: Rig | undefined,
  body: PlacedRig['body']
) {
  if (scene.voice === 'none' || overrides?.micLineId === NO_PART)
    return { mic: undefined, micPlace: undefined };
  let best: { mic: KitPart<MicrophoneGear>; micPlace: MicPlace; worth: number } | undefined;
  for (const mic of kit.of('microphone')) {
    if (overrides?.micLineId !== undefined && mic.line.id !== overrides.micLineId) continue;
    const { cover } = coverFor(kit, mic.gear);
    for (const place of micPlacesFor(kit, scene, mic.gear)) {
      if (overrides?.micPlace !== undefined && place !== overrides.micPlace) continue;
      let worth = roughSpeechToNoise(scene, angle, mic.gear, place, cover);
      // The side arm sounds the same and keeps a flip-up screen in view.
      if (place === 'side arm' && body?.gear.screen === 'flips up') worth += 0.1;
      if (!best || worth > best.worth) best = { mic, micPlace: place, worth };
    }
  }
  return { mic: best?.mic, micPlace: best?.micPlace };
}
