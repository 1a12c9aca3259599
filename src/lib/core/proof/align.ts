import FFT from 'fft.js';

/** How two recordings of one sound lie to each other. */
export interface Alignment {
  /** What is heard at a moment of the first is heard so much later in the second; below zero earlier. At their start. */
  offsetS: number;
  /** Its clock runs fast by so many parts in a million; below zero slow. Undefined where they are too short to tell. */
  driftPpm: number | undefined;
  /** What the length of the first is multiplied by to be that of the second. */
  stretch: number;
  /** Seconds that both hold. */
  commonS: number;
  /** How alike they are where they fit best, 0 to 1. */
  likeness: number;
}

/** Both are thinned out to about this rate: voices are told apart well enough by it. */
const RATE_HZ = 4000;
/** How loud it is, in steps of a hundredth of a second, is found again though clocks differ. */
const STEPS_HZ = 100;
/** Less alike than this is chance. */
const LEAST_LIKENESS = 0.15;
/** Stretches that are laid on each other exactly, and how far off the rough place they are looked for. */
const WINDOW_S = 10;
const SLACK_S = 0.3;
/** Both must hold so much of the same, and the drift is told over so much at least. */
const LEAST_COMMON_S = 1;
const LEAST_SPAN_S = 10;

/**
 * How a recorder's sound lies to the camera's: roughly by how loud it is, then exactly by cross-correlation near its start
 * and its end; what lies between the two is the difference of their clocks.
 *
 * @returns undefined where they have no common sound
 */
export function align(
  first: Float32Array,
  second: Float32Array,
  sampleRate: number
): Alignment | undefined {
  const every = Math.max(1, Math.round(sampleRate / RATE_HZ));
  const rate = sampleRate / every;
  const heard = thinned(first, every);
  const other = thinned(second, every);
  const step = Math.round(rate / STEPS_HZ);
  const rough = bestLag(
    loudness(heard, step),
    loudness(other, step),
    (LEAST_COMMON_S * rate) / step
  );
  if (!rough) return undefined;
  const lag = Math.round(rough.lag * step);
  const from = Math.max(0, lag);
  const to = Math.min(heard.length, lag + other.length);
  const window = Math.round(Math.min(WINDOW_S * rate, to - from));
  const valueAt = (start: number) =>
    exactLag(heard, other, start, window, lag, Math.round(SLACK_S * rate));
  const early = valueAt(from);
  const late = valueAt(to - window);
  if (!early || !late || Math.min(early.likeness, late.likeness) < LEAST_LIKENESS) return undefined;
  const span = to - from - window;
  // A clock that runs fast writes more samples for the same time: the second falls behind.
  const driftPpm = span >= LEAST_SPAN_S * rate ? (-(late.lag - early.lag) / span) * 1e6 : undefined;
  return {
    offsetS: -early.lag / rate,
    driftPpm,
    stretch: 1 + (driftPpm ?? 0) / 1e6,
    commonS: (to - from) / rate,
    likeness: (early.likeness + late.likeness) / 2
  };
}

/** Lays one stretch of the first exactly on the second, near where it is thought to lie. */
function exactLag(
  a: Float64Array,
  b: Float64Array,
  start: number,
  window: number,
  lag: number,
  slack: number
): { lag: number; likeness: number } | undefined {
  const ours = a.subarray(start, start + window);
  const begin = Math.max(0, start - lag - slack);
  const theirs = b.subarray(begin, Math.max(begin, start - lag + window + slack));
  const found = bestLag(ours, theirs, window / 2);
  return found && { lag: found.lag + start - begin, likeness: found.likeness };
}

/** Root of the mean square of every step, less its mean. */
function loudness(samples: Float64Array, step: number): Float64Array {
  const squares = samples.map((sample) => sample * sample);
  return withoutMean(thinnedSum(squares, step).map((sum) => Math.sqrt(sum / step)));
}

/** Running means of so many samples, without what stands still. */
const thinned = (samples: Float32Array, every: number): Float64Array =>
  withoutMean(thinnedSum(samples, every).map((sum) => sum / every));

function thinnedSum(samples: ArrayLike<number>, every: number): Float64Array {
  const out = new Float64Array(Math.floor(samples.length / every));
  for (let index = 0; index < out.length; index++)
    for (let n = 0; n < every; n++) out[index]! += samples[index * every + n]!;
  return out;
}

function withoutMean(values: Float64Array): Float64Array {
  let mean = 0;
  for (const value of values) mean += value / Math.max(1, values.length);
  return values.map((value) => value - mean);
}

/**
 * Samples the second must be moved on by to lie on the first, to parts of one.
 *
 * @param leastCommon samples that lie on each other at least: at the edges anything is alike
 */
function bestLag(
  heard: Float64Array,
  other: Float64Array,
  leastCommon: number
): { lag: number; likeness: number } | undefined {
  const common = Math.max(16, Math.ceil(leastCommon));
  if (heard.length < common || other.length < common) return undefined;
  const size = 2 ** Math.ceil(Math.log2(heard.length + other.length));
  const fft = new FFT(size);
  const spectrumOf = (samples: Float64Array) => {
    const padded = new Float64Array(size);
    padded.set(samples);
    const out = fft.createComplexArray();
    fft.realTransform(out, padded);
    fft.completeSpectrum(out);
    return out;
  };
  const a = spectrumOf(heard);
  const b = spectrumOf(other);
  const product = fft.createComplexArray();
  for (let index = 0; index < product.length; index += 2) {
    const [ar, ai, br, bi] = [a[index]!, a[index + 1]!, b[index]!, b[index + 1]!];
    product[index] = ar * br + ai * bi;
    product[index + 1] = ai * br - ar * bi;
  }
  const correlation = fft.createComplexArray();
  fft.inverseTransform(correlation, product);
  const valueAt = (lag: number) => correlation[2 * ((lag + size) % size)]!;
  let lag = 0;
  let most = -1;
  for (let tried = common - other.length; tried <= heard.length - common; tried++) {
    const size = Math.abs(valueAt(tried));
    if (size <= most) continue;
    most = size;
    lag = tried;
  }
  const energy = Math.sqrt(
    energyOf(heard, Math.max(0, lag), Math.min(heard.length, lag + other.length)) *
      energyOf(other, Math.max(0, -lag), Math.min(other.length, heard.length - lag))
  );
  if (energy <= 0) return undefined;
  return {
    lag: lag + betweenSamples(valueAt(lag - 1), valueAt(lag), valueAt(lag + 1)),
    likeness: Math.abs(valueAt(lag)) / energy
  };
}

function energyOf(samples: Float64Array, from: number, to: number): number {
  let sum = 0;
  for (let valueAt = from; valueAt < to; valueAt++) sum += samples[valueAt]! ** 2;
  return sum;
}

/** The top of a parabola through three points, from the middle one. */
function betweenSamples(before: number, top: number, after: number): number {
  const bend = before - 2 * top + after;
  return bend === 0 ? 0 : Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend)));
}
