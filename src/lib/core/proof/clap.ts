/** Energies are taken over so long: a fraction of a frame. */
const STEP_S = 0.001;
/** What was before is listened to for so long. */
const BEFORE_STEPS = 100;
/** What comes before so much of the take was heard stands out from nothing. */
const LEAST_HEARD_STEPS = 20;
/** A clap stands out from it by this much at once. */
const STANDS_OUT = 10 ** (15 / 10);
/** Quieter than this, of full scale squared, nothing is a clap. */
const LEAST_POWER = 10 ** (-50 / 10);

/**
 * The moment at which somebody claps: of all sudden rises the one to the highest.
 *
 * @param samples one channel, full scale at 1
 * @returns seconds from the beginning, to a thousandth; undefined where nothing rises so
 */
export function clapAtS(samples: Float32Array, sampleRate: number): number | undefined {
  const step = Math.max(1, Math.round(sampleRate * STEP_S));
  const steps = Math.floor(samples.length / step);
  const power = new Float64Array(steps);
  for (let index = 0; index < steps * step; index++)
    power[Math.floor(index / step)]! += samples[index]! ** 2 / step;
  let before = 0;
  let best = -1;
  for (let index = 1; index < steps; index++) {
    before += power[index - 1]!;
    if (index > BEFORE_STEPS) before -= power[index - BEFORE_STEPS - 1]!;
    const floor = Math.max(
      LEAST_POWER / STANDS_OUT,
      before / Math.max(1, Math.min(index, BEFORE_STEPS))
    );
    if (index < LEAST_HEARD_STEPS) continue;
    if (power[index]! > floor * STANDS_OUT && (best < 0 || power[index]! > power[best]!))
      best = index;
  }
  if (best < 0) return undefined;
  // It begins where it first rises a good part of the way, in the few steps before its highest.
  let from = best;
  while (from > 0 && best - from < 5 && power[from - 1]! > power[best]! / STANDS_OUT) from -= 1;
  return (from * step) / sampleRate;
}

/** How sound lies to a picture, from one clap in both. */
export interface SoundLate {
  /** Above zero the sound comes after the picture. */
  lateMs: number;
  frames: number;
  /** A frame shows no better than this. */
  withinMs: number;
}

/**
 * @param heardS where the clap is heard
 * @param seenS the first frame in which the hands touch, its beginning
 * @example soundLate(1.06, 1.0, 25) // { lateMs: 40, frames: 1, withinMs: 20 }
 */
export function soundLate(heardS: number, seenS: number, fps: number): SoundLate {
  // Hands meet somewhere in the time of that frame: its middle is the best guess.
  const lateMs = (heardS - seenS - 0.5 / fps) * 1000;
  return { lateMs, frames: (lateMs / 1000) * fps, withinMs: 500 / fps };
}

/** The same in a sentence, with what to do. */
export function soundLateWords({ lateMs, frames, withinMs }: SoundLate): string {
  const about = `${Math.abs(Math.round(lateMs))} ms, ${Math.abs(frames).toFixed(1)} frames`;
  if (Math.abs(lateMs) <= withinMs)
    return 'Sound and picture are together, as near as frames show it.';
  return lateMs > 0
    ? `The sound is late by ${about}: move it forward by as much.`
    : `The sound is early by ${about}: move it back by as much.`;
}
