import type { Scene } from '../model/scene';
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

/** Minutes recorded in a scene before the next socket. */
export const minutesBeforeSocket = ({ recordedMin, daysWithoutSocket }: Scene): number =>
  recordedMin * Math.max(1, daysWithoutSocket);
