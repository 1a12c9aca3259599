import type { Angle, Scene } from '../model/scene';
import { recordedMinOf } from '../model/scene-facts';
import type { PlacedRig } from '../rigs/placed-rig';

/** Scenes filmed between two nights with a socket, with every angle of them as it is rigged. */
export interface FilmingDay {
  scenes: readonly Scene[];
  rigs: readonly PlacedRig[];
}

/** The scenes of a project by the day they are filmed on: one a day unless the person says otherwise. */
export function filmingDays(rigs: readonly PlacedRig[]): FilmingDay[] {
  const days = new Map<string, { scenes: Scene[]; rigs: PlacedRig[] }>();
  for (const rig of rigs) {
    const { scene } = rig;
    const key = scene.day === undefined ? scene.id : `day ${scene.day}`;
    let day = days.get(key);
    if (!day) days.set(key, (day = { scenes: [], rigs: [] }));
    if (!day.scenes.includes(scene)) day.scenes.push(scene);
    day.rigs.push(rig);
  }
  return [...days.values()];
}

/** Other scenes are filmed on the day of this one: what it lives on is told for the day, not for it alone. */
export const sharesDay = (scene: Scene, scenes: readonly Scene[]): boolean =>
  scene.day !== undefined && scenes.some(({ id, day }) => id !== scene.id && day === scene.day);

/** Minutes one camera of a scene records before the next socket. */
export const minutesBeforeSocket = (scene: Scene, angle: Angle): number =>
  recordedMinOf(scene, angle) * Math.max(1, scene.daysWithoutSocket);
