/** How long a clap in a take rings on. */
export interface Decay {
  /** Where the clap is. */
  atS: number;
  /** Time to fall by 60 dB, from its fall by the first 20. */
  reverberationS: number;
}

/** Energies are of this long each. */
export const DECAY_STEP_S = 0.005;
/** A clap stands out from what was just before it by this much. */
const CLAP_OVER_DB = 20;
const BEFORE_STEPS = 40;
/** It is listened to for so long. */
const AFTER_STEPS = 240;
/** Sound that comes up again ends it: ten times what was lowest, over so many steps. */
const COMES_UP = 10;
const OVER_STEPS = 10;
/** The fall between these is a straight line, and is drawn on to 60. */
const FROM_DB = -5;
const TO_DB = -25;
/** So far the clap must stand over what is left when it has died away: its fall, and room for it. */
const CLAP_OVER_NOISE_DB = 35;
/** Points a line needs. */
const LEAST_POINTS = 4;

/**
 * Reverberation from a clap: the energy that is still to come, by Schroeder, falls along a line.
 *
 * @param powers mean squares of steps of `DECAY_STEP_S`
 * @returns undefined where nothing claps, or where the noise hides the fall
 */
export function decayOf(powers: ArrayLike<number>): Decay | undefined {
  const clap = findClap(powers);
  if (clap < 0) return undefined;
  const end = whereItEnds(powers, clap);
  const tail = Math.max(1, Math.floor((end - clap) / 5));
  let noise = 0;
  for (let index = end - tail; index < end; index++) noise += powers[index]! / tail;
  // Noise or hum that is nearer than this hides the end of the fall, and makes it look longer.
  if (powers[clap]! < noise * 10 ** (CLAP_OVER_NOISE_DB / 10)) return undefined;
  const toCome = new Float64Array(end - clap);
  let sum = 0;
  for (let index = end - 1; index >= clap; index--) {
    sum += Math.max(0, powers[index]! - noise);
    toCome[index - clap] = sum;
  }
  if (sum <= 0) return undefined;
  const points: [number, number][] = [];
  for (let index = 0; index < toCome.length; index++) {
    const db = 10 * Math.log10(toCome[index]! / sum);
    if (!(db >= TO_DB)) break;
    if (db <= FROM_DB) points.push([index * DECAY_STEP_S, db]);
  }
  if (points.length < LEAST_POINTS) return undefined;
  const slope = slopeOf(points);
  return slope < 0 ? { atS: clap * DECAY_STEP_S, reverberationS: -60 / slope } : undefined;
}

function whereItEnds(powers: ArrayLike<number>, clap: number): number {
  const last = Math.min(powers.length, clap + AFTER_STEPS);
  let lowest = Infinity;
  let over = 0;
  for (let index = clap; index < last; index++) {
    over += powers[index]!;
    if (index - clap >= OVER_STEPS) over -= powers[index - OVER_STEPS]!;
    else continue;
    if (over > COMES_UP * lowest) return Math.max(clap + 1, index - OVER_STEPS);
    lowest = Math.min(lowest, over);
  }
  return last;
}

function findClap(powers: ArrayLike<number>): number {
  let best = -1;
  let most = 10 ** (CLAP_OVER_DB / 10);
  let before = 0;
  for (let index = 0; index < powers.length; index++) {
    const counted = Math.min(index, BEFORE_STEPS);
    const over = powers[index]! / Math.max(1e-12, counted > 0 ? before / counted : 0);
    if (counted >= BEFORE_STEPS / 2 && over > most) {
      most = over;
      best = index;
    }
    before += powers[index]!;
    if (index >= BEFORE_STEPS) before -= powers[index - BEFORE_STEPS]!;
  }
  return best;
}

function slopeOf(points: readonly (readonly [number, number])[]): number {
  const n = points.length;
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / n;
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / n;
  let over = 0;
  let under = 0;
  for (const [x, y] of points) {
    over += (x - meanX) * (y - meanY);
    under += (x - meanX) ** 2;
  }
  return over / under;
}
