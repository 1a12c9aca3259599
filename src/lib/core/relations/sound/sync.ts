import { mustBeFinite, mustBePositive, mustNotBeNegative } from '../argument';

/** Sound ahead of the picture is noticed from here, behind it from there. */
export const SYNC_NOTICED_MS = { early: 45, late: 125 } as const;
/** What air adds on the way to the microphone. */
export const AIR_MS_PER_M = 2.9;

/**
 * How late the picture is against the sound: Σ frames/fps − sound lag, less what air adds. Delay the
 * sound by this much.
 *
 * @returns milliseconds; positive when the sound comes first
 * @example pictureLagMs(5, 30, 20, 0) // 147
 */
export function pictureLagMs(
  frames: number,
  fps: number,
  soundLagMs: number,
  micDistanceM: number
): number {
  mustNotBeNegative('frames', frames);
  mustBePositive('fps', fps);
  mustNotBeNegative('soundLagMs', soundLagMs);
  mustNotBeNegative('micDistanceM', micDistanceM);
  return (frames / fps) * 1000 - soundLagMs - AIR_MS_PER_M * micDistanceM;
}

/** Two cameras that nobody has measured run apart by up to this: each crystal is usually good to 20 ppm. */
export const USUAL_CLOCKS_APART_PPM = 40;

/**
 * How far two recorders drift apart: ppm × 3.6 ms in an hour. The sign says which one runs fast.
 *
 * @example driftMs(40, 1) // 144
 */
export function driftMs(partsPerMillion: number, hours: number): number {
  mustBeFinite('partsPerMillion', partsPerMillion);
  mustNotBeNegative('hours', hours);
  return partsPerMillion * 3.6 * hours;
}
