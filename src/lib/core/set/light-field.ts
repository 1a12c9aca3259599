import { lampIlluminanceLx } from '../relations/lighting/lamp-illuminance';
import type { LampOnSet, SetLayout, Spot } from './layout';

const lights = ({ role, at1mLx, radiusM }: LampOnSet): boolean =>
  role !== 'background' && role !== 'practical' && at1mLx !== undefined && radiusM !== undefined;

/** Lamps whose light is drawn: those that light what the camera sees from their side, and say how bright they are. */
export const lampsThatLight = ({ lamps }: SetLayout): readonly LampOnSet[] => lamps.filter(lights);

/**
 * Light of one's own lamps at full on a plane that faces the camera, anywhere at the height of the face: what a face
 * that moves there would get.
 *
 * @returns lux
 */
export function lampLightAtLx(layout: SetLayout, x: number, y: number): number {
  let lux = 0;
  const z = layout.subject.z;
  for (const lamp of lampsThatLight(layout)) {
    const distanceM = away(lamp.spot, { x, y, z });
    if (distanceM < NEAREST_M) continue;
    // The plane faces −x, to the camera; one under a lens faces up to it.
    const toward = layout.looksDown ? lamp.spot.z - z : x - lamp.spot.x;
    const angleDeg = (Math.acos(Math.max(-1, Math.min(1, toward / distanceM))) * 180) / Math.PI;
    lux += lampIlluminanceLx(lamp.at1mLx!, 1, lamp.radiusM!, distanceM, 0, angleDeg);
  }
  return lux;
}
/** Nearer than this one stands in the lamp. */
const NEAREST_M = 0.05;

const away = (a: Spot, b: Spot): number => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);
