import { figureWords, lengthWords } from '../../core/figures/figure-words';
import type { UnitSystem } from '../../core/model/project';
import type { Scene } from '../../core/model/scene';

const styleWords = {
  walk: 'walking and talking',
  seated: 'sitting and talking',
  hands: 'hands from above',
  'live call': 'a live call',
  evening: 'in the evening'
} as const;

/** A scene in one breath, under its name. */
export function sceneGist(scene: Scene, units: UnitSystem): string {
  const parts: string[] = [styleWords[scene.style], lengthWords(scene.angles[0]!.distanceM, units)];
  if (scene.room) parts.push(`${scene.room.feel} room, ${scene.noiseDbA} dB`);
  else parts.push(`wind ${figureWords(scene.windMps, 'm/s', units)}`);
  return parts.join(' · ');
}
