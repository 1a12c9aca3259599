/** Tones of a picture as a camera would count them: what each part throws back, and how much of the picture it is. */
const parts = [
  { reflects: 0.36, share: 0.18 },
  { reflects: 0.16, share: 0.5 },
  { reflects: 0.07, share: 0.2 },
  { reflects: 0.025, share: 0.08 },
  { reflects: 0.8, share: 0.04 }
] as const;
/** A part is not one tone: it spreads by so many stops either way. */
const SPREAD_STOPS = 0.55;
/** Middle grey, which a right exposure puts in the middle of the scale. */
const GREY = 0.18;
const GREY_SHOWN = 0.41;
const SAMPLES = 41;
/** Of 255: white without drawing, black without drawing. */
const CLIPPED_FROM = 250 / 255;
const CRUSHED_TO = 5 / 255;

export interface Histogram {
  /** Shares of the picture from black to white. */
  bins: readonly number[];
  clippedPercent: number;
  crushedPercent: number;
}

/**
 * A histogram of a plain picture: a face, a wall, clothes, hair and something white, exposed so many stops off.
 *
 * @param offStops over, or under below zero
 */
export function histogramOf(offStops: number, bins = 48): Histogram {
  const counts = new Array<number>(bins).fill(0);
  let clipped = 0;
  let crushed = 0;
  for (const { reflects, share } of parts)
    for (let index = 0; index < SAMPLES; index++) {
      const along = (index / (SAMPLES - 1)) * 2 - 1;
      const weight = (share * (1 - Math.abs(along))) / ((SAMPLES - 1) / 2);
      const linear = (reflects / GREY) * 2 ** (offStops + along * 2 * SPREAD_STOPS);
      const shown = GREY_SHOWN * linear ** (1 / 2.2);
      if (shown >= CLIPPED_FROM) clipped += weight;
      if (shown <= CRUSHED_TO) crushed += weight;
      const bin = Math.max(0, Math.min(bins - 1, Math.floor(shown * bins)));
      counts[bin] = counts[bin]! + weight;
    }
  return { bins: counts, clippedPercent: 100 * clipped, crushedPercent: 100 * crushed };
}
