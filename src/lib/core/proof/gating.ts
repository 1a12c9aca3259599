/** Shares of all stretches, sorted by their level, that stand for silence and for the voice. */
const QUIET_SHARE = 0.25;
const LOUD_SHARE = 0.35;
/** The lowest stretches of a take are its noise floor. */
const FLOOR_SHARE = 0.15;
const TOP_SHARE = 0.95;
/** Voice and silence that lie nearer than this cannot be told apart. */
const LEAST_GAP_DB = 6;
/** Words lie this near to the loudest of them; what is lower is between them. */
const SPEECH_RANGE_DB = 12;
/** Digital silence is said as this: nothing is lower. */
export const SILENCE_DB = -140;

export const decibels = (meanSquare: number): number =>
  meanSquare > 0 ? Math.max(SILENCE_DB, 10 * Math.log10(meanSquare)) : SILENCE_DB;

/** The quarter of some stretches that is quietest, one at least. */
export function quietest<T>(stretches: readonly T[], powerOf: (stretch: T) => number): T[] {
  const sorted = [...stretches].sort((a, b) => powerOf(a) - powerOf(b));
  return sorted.slice(0, Math.ceil(sorted.length * QUIET_SHARE));
}

/** The third that is loudest. */
export function loudest<T>(stretches: readonly T[], powerOf: (stretch: T) => number): T[] {
  const sorted = [...stretches].sort((a, b) => powerOf(b) - powerOf(a));
  return sorted.slice(0, Math.ceil(sorted.length * LOUD_SHARE));
}

/** Voice and noise of a take, told apart by how loud its moments are. */
export interface GatedLevels {
  /** Mean of the lowest moments. */
  floorDb: number;
  /** Mean of the moments near the top; undefined where nothing stands out from the floor. */
  speechDb: number | undefined;
  /** The voice without the noise under it, over the noise. */
  speechToNoiseDb: number | undefined;
}

/** @param powers mean squares of short moments, a twentieth of a second each */
export function gatedLevels(powers: ArrayLike<number>): GatedLevels {
  const sorted = Float64Array.from(powers).sort();
  if (sorted.length === 0)
    return { floorDb: SILENCE_DB, speechDb: undefined, speechToNoiseDb: undefined };
  const lowest = sorted.subarray(0, Math.max(1, Math.floor(sorted.length * FLOOR_SHARE)));
  const floor = mean(lowest);
  const floorDb = decibels(floor);
  const topDb = decibels(
    sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * TOP_SHARE))]!
  );
  if (topDb - floorDb < LEAST_GAP_DB)
    return { floorDb, speechDb: undefined, speechToNoiseDb: undefined };
  const gate = 10 ** (Math.max(floorDb + LEAST_GAP_DB / 2, topDb - SPEECH_RANGE_DB) / 10);
  const speech = mean(sorted.filter((power) => power >= gate));
  const speechDb = decibels(speech);
  return {
    floorDb,
    speechDb,
    speechToNoiseDb: decibels(Math.max(0, speech - floor)) - floorDb
  };
}

const mean = (values: ArrayLike<number>): number => {
  let sum = 0;
  for (let index = 0; index < values.length; index++) sum += values[index]!;
  return values.length > 0 ? sum / values.length : 0;
};
