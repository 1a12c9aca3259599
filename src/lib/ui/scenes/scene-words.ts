import { figureWords, lengthWords } from '../../core/figures/figure-words';
import type { UnitSystem } from '../../core/model/project';
import { airSpeedMps } from '../../core/relations/sound/wind';
import type { Scene } from '../../core/model/scene';

const styleWords = {
  walk: 'walking and talking',
  seated: 'sitting and talking',
  hands: 'hands from above',
  'live call': 'a live call',
  evening: 'in the evening',
  ride: 'riding',
  event: 'a talk',
  interview: 'an interview of two',
  product: 'a thing on the table',
  landscape: 'the land',
  flying: 'from the air'
} as const satisfies Record<Scene['style'], string>;

/** A scene in one breath, under its name. */
export function sceneGist(scene: Scene, units: UnitSystem): string {
  const parts: string[] = [styleWords[scene.style], lengthWords(scene.angles[0]!.distanceM, units)];
  if (scene.room) parts.push(`${scene.room.feel} room, ${scene.noiseDbA} dB`);
  else
    parts.push(
      `${scene.rideSpeedMps === undefined ? 'wind' : 'air'} ${figureWords(scene.rideSpeedMps === undefined ? scene.windMps : airSpeedMps(scene), 'm/s', units)}`
    );
  return parts.join(' · ');
}
