import { mustBePositive } from '../argument';
import { FLICKER_PERCENT, flickerLeftPercent } from './flicker';

/** Shutter steps a video body offers, as the number under the one. */
export const shutterSteps = [
  24, 25, 30, 40, 48, 50, 60, 80, 96, 100, 120, 125, 160, 200, 240, 250, 320, 400, 480, 500, 640,
  800, 1000, 1250, 1600, 2000, 2500, 3200, 4000, 8000
] as const;

/** A flicker-safe step is preferred when it lies this near to half the frame time. */
const FLICKER_SAFE_WITHIN_STOPS = 0.5;

/**
 * Shutter time for natural motion: half the frame time, at the nearest step in stops, from the
 * flicker-safe steps first (flicker left below 2 %, within half a stop).
 *
 * @param fps frames per second
 * @param mainsHz 50 or 60, or undefined when no lamp runs from the mains
 * @returns seconds
 * @example shutterForRateS(60, 50) // 1/100, not 1/120
 */
export function shutterForRateS(fps: number, mainsHz: number | undefined): number {
  mustBePositive('fps', fps);
  let nearest: number | undefined;
  let nearestSafe: number | undefined;
  const stopsAway = (step: number) => Math.abs(Math.log2(step / (2 * fps)));
  const nearer = (step: number, than: number | undefined) =>
    than === undefined || stopsAway(step) < stopsAway(than) - 1e-12;
  for (const step of shutterSteps) {
    // No exposure can last longer than a frame.
    if (step < fps) continue;
    if (nearer(step, nearest)) nearest = step;
    const safe =
      mainsHz !== undefined &&
      stopsAway(step) <= FLICKER_SAFE_WITHIN_STOPS &&
      flickerLeftPercent(1 / step, mainsHz) < FLICKER_PERCENT.fine;
    if (safe && nearer(step, nearestSafe)) nearestSafe = step;
  }
  return 1 / (nearestSafe ?? nearest ?? shutterSteps[shutterSteps.length - 1]!);
}
