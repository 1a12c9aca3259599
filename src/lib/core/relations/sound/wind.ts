import { mustNotBeNegative } from '../argument';
import type { PickupPattern, Windscreen } from '../../model/gear/microphone';
import type { Scene } from '../../model/scene';
import { NO_LEVEL } from './level';

/** Speed of walking, felt as wind. */
export const WALKING_WIND_MPS = 1.4;
/** Below this a capsule hears no wind. */
export const STILL_BELOW_MPS = 1;
/** What a cover takes off, dB; rough. */
export const windscreenDb = { none: 0, foam: 12, furry: 20 } as const satisfies Record<
  Windscreen,
  number
>;
/** A pressure capsule hears wind less; an engineering estimate. */
export const OMNI_WIND_DB = 10;

/**
 * Air a microphone meets: outdoors the wind, with walking added on foot; riding the speed itself, and no less than
 * the wind; in a room none.
 *
 * @returns m/s
 * @example airSpeedMps({ style: 'walk', windMps: 3 }) // 4.4
 */
export function airSpeedMps({
  style,
  room,
  windMps,
  rideSpeedMps = 0
}: Pick<Scene, 'style' | 'room' | 'windMps' | 'rideSpeedMps'>): number {
  if (room) return 0;
  return Math.max(windMps + (style === 'walk' ? WALKING_WIND_MPS : 0), rideSpeedMps);
}

/**
 * Wind at an open capsule: 40 + 55·log10 v dB(A), less the cover's share, less 10 for an omni.
 * Rough, and said so wherever it is shown. Never reduced by the pattern's Q: wind is made at the
 * capsule itself.
 *
 * @param windMps air speed with walking or riding already in it
 * @returns dB(A), −∞ below 1 m/s
 * @example windNoiseDbA(6, 'cardioid', 'furry') // 62.8
 */
export function windNoiseDbA(windMps: number, pattern: PickupPattern, cover: Windscreen): number {
  mustNotBeNegative('windMps', windMps);
  if (windMps < STILL_BELOW_MPS) return NO_LEVEL;
  return (
    40 + 55 * Math.log10(windMps) - windscreenDb[cover] - (pattern === 'omni' ? OMNI_WIND_DB : 0)
  );
}
