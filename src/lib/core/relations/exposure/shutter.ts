import { mustBePositive } from '../argument';
import { FLICKER_PERCENT, flickerLeftPercent } from './flicker';

/** Shutter steps a video body offers, as the number under the one. */
export const shutterSteps = [
  24, 25, 30, 40, 48, 50, 60, 80, 96, 100, 120, 125, 160, 200, 240, 250, 320, 400, 480, 500, 640,
  800, 1000, 1250, 1600, 2000, 2500, 3200, 4000, 5000, 6400, 8000
] as const;

const stopsOfStep: readonly number[] = shutterSteps.map(Math.log2);
/** Two steps this alike are as near as each other; the slower one stands. */
const SAME_STOPS = 1e-12;

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
  const wanted = Math.log2(2 * fps);
  let nearest: number | undefined;
  let nearestSafe: number | undefined;
  let missed = Infinity;
  let missedSafe = Infinity;
  for (let at = 0; at < shutterSteps.length; at++) {
    const step = shutterSteps[at]!;
    // No exposure can last longer than a frame.
    if (step < fps) continue;
    const away = Math.abs(stopsOfStep[at]! - wanted);
    // They rise: from here on all are too fast, and farther off than the nearest.
    if (stopsOfStep[at]! > wanted && away > missed && away > FLICKER_SAFE_WITHIN_STOPS) break;
    if (away < missed - SAME_STOPS) {
      missed = away;
      nearest = step;
    }
    if (mainsHz === undefined || away > FLICKER_SAFE_WITHIN_STOPS) continue;
    if (
      away < missedSafe - SAME_STOPS &&
      flickerLeftPercent(1 / step, mainsHz) < FLICKER_PERCENT.fine
    ) {
      missedSafe = away;
      nearestSafe = step;
    }
  }
  return 1 / (nearestSafe ?? nearest ?? shutterSteps[shutterSteps.length - 1]!);
}
