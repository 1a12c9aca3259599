import { AWeighting } from '../proof/a-weighting';
import { decibels, gatedLevels, SILENCE_DB } from '../proof/gating';
import { SPEECH_PEAK_DB, AIM_PEAK_DBFS } from '../relations/sound/level-set-up';

/** What a simulated take is made from: the kit's own figures, and what may go wrong beside them. */
export interface SoundRecipe {
  seconds: number;
  sampleRate: number;
  /** The same number gives the same take. */
  seed: number;
  /** Voice over noise, both A-weighted. */
  speechToNoiseDb: number;
  /** Above the gain that puts speech peaks at −12 dBFS. */
  gainDb: number;
  /** Share of the noise's power, A-weighted, that is wind at the capsule. */
  windShare?: number;
  /** Hum of the mains, dBFS; none where left out. */
  hum?: { hz: number; levelDb: number };
  /** A clap at the start that rings on for so long. */
  clapS?: number;
}

/** Where speech itself lies when its peaks are where they are wanted, dBFS. */
export const SPEECH_AT_DBFS = AIM_PEAK_DBFS - SPEECH_PEAK_DB;
const PHRASE_S = 2.4;
const PAUSE_S = 1.2;
const SYLLABLES_HZ = 4;
const PITCH_HZ = 118;
/** Every so many syllables one is stressed, by so much: that is what gives speech its peaks. */
const STRESSED_EVERY = 5;
const STRESS = 1.6;
/** Middle and width of what a mouth lets through. */
const FORMANTS: readonly (readonly [hz: number, wide: number, gain: number])[] = [
  [550, 130, 1],
  [1500, 220, 0.5],
  [2600, 300, 0.25]
];
/** Wind keeps to below about this. */
const WIND_UP_TO_HZ = 80;
const CLAP_AT_S = 0.5;
const CLAP_PEAK = 0.3;
/** Speech begins once the clap has rung out. */
const SPEECH_FROM_S = 1.8;

/** A voice-like sound in a room, as the kit would record it: phrases and pauses over noise, with hum and a clap where asked. */
export function simulatedSound(recipe: SoundRecipe): Float32Array<ArrayBuffer> {
  const { seconds, sampleRate, seed, speechToNoiseDb, gainDb, hum, clapS, windShare = 0 } = recipe;
  const frames = Math.round(seconds * sampleRate);
  const gain = 10 ** (gainDb / 20);
  const voice = voiceOf(frames, sampleRate, clapS === undefined ? 0 : SPEECH_FROM_S);
  const noise = mixed(roomNoise(frames, seed), frames, sampleRate, seed, windShare);
  const voiceGain = 10 ** ((SPEECH_AT_DBFS - speechLevelDb(voice, sampleRate)) / 20);
  const noiseGain =
    10 ** ((SPEECH_AT_DBFS - speechToNoiseDb - weightedLevelDb(noise, sampleRate)) / 20);
  const random = randoms(seed ^ 0x5bd1e995);
  const out = new Float32Array(frames);
  for (let index = 0; index < frames; index++) {
    const t = index / sampleRate;
    let sample = voice[index]! * voiceGain + noise[index]! * noiseGain;
    if (clapS !== undefined && t >= CLAP_AT_S)
      sample += CLAP_PEAK * (2 * random() - 1) * 10 ** ((-3 * (t - CLAP_AT_S)) / clapS);
    sample *= gain;
    if (hum) sample += 10 ** (hum.levelDb / 20) * Math.SQRT2 * Math.sin(2 * Math.PI * hum.hz * t);
    // Past full scale there is nothing.
    out[index] = Math.max(-1, Math.min(1, sample));
  }
  return out;
}

/** Harmonics of a pitch that wavers, through a mouth that opens four times a second. */
function voiceOf(frames: number, sampleRate: number, fromS: number): Float32Array {
  const out = new Float32Array(frames);
  const most = Math.min(30, Math.floor(sampleRate / 2 / PITCH_HZ) - 1);
  const gains = Array.from(
    { length: most },
    (_, index) => mouth((index + 1) * PITCH_HZ) / (index + 1)
  );
  let phase = 0;
  for (let index = 0; index < frames; index++) {
    const t = index / sampleRate - fromS;
    const within = t < 0 ? PHRASE_S : t % (PHRASE_S + PAUSE_S);
    phase += (2 * Math.PI * PITCH_HZ * (1 + 0.04 * Math.sin(2 * Math.PI * 0.7 * t))) / sampleRate;
    if (within >= PHRASE_S) continue;
    const stress = Math.floor(SYLLABLES_HZ * within) % STRESSED_EVERY === 1 ? STRESS : 1;
    const open = stress * Math.sin(Math.PI * SYLLABLES_HZ * within) ** 2;
    const edge = Math.min(1, within / 0.05, (PHRASE_S - within) / 0.05);
    let sample = 0;
    for (let harmonic = 0; harmonic < most; harmonic++)
      sample += gains[harmonic]! * Math.sin((harmonic + 1) * phase);
    out[index] = sample * open * edge;
  }
  return out;
}

const mouth = (hz: number): number =>
  FORMANTS.reduce(
    (sum, [index, wide, gain]) => sum + gain / (1 + ((hz - index) / wide) ** 2),
    0.05
  );

/** Noise that falls towards the treble, as rooms have it. */
function roomNoise(frames: number, seed: number): Float32Array {
  const random = randoms(seed);
  const out = new Float32Array(frames);
  let slow = 0;
  for (let index = 0; index < frames; index++) {
    const white = 2 * random() - 1;
    slow = 0.97 * slow + 0.03 * white;
    out[index] = slow * 3 + white * 0.12;
  }
  return out;
}

/** The room's noise with a share of wind in it, both by how loud they are heard. */
function mixed(
  room: Float32Array,
  frames: number,
  sampleRate: number,
  seed: number,
  windShare: number
): Float32Array {
  if (windShare <= 0) return room;
  const wind = windNoise(frames, sampleRate, seed);
  const share = Math.min(1, windShare);
  const roomGain = Math.sqrt(1 - share);
  const windGain =
    Math.sqrt(share) *
    10 ** ((weightedLevelDb(room, sampleRate) - weightedLevelDb(wind, sampleRate)) / 20);
  return room.map((sample, index) => sample * roomGain + wind[index]! * windGain);
}

/** Wind at a capsule: rumble that falls away steeply above a hundred hertz, and swells with gusts. */
function windNoise(frames: number, sampleRate: number, seed: number): Float32Array {
  const random = randoms(seed ^ 0x2545f491);
  const out = new Float32Array(frames);
  const keeps = Math.exp((-2 * Math.PI * WIND_UP_TO_HZ) / sampleRate);
  const falling = [0, 0, 0];
  for (let index = 0; index < frames; index++) {
    let sample = 2 * random() - 1;
    for (let pole = 0; pole < falling.length; pole++)
      sample = falling[pole] = keeps * falling[pole]! + (1 - keeps) * sample;
    const t = index / sampleRate;
    const gust = 1 + 0.4 * Math.sin(2 * Math.PI * 0.31 * t) * Math.sin(2 * Math.PI * 0.11 * t + 1);
    out[index] = sample * gust;
  }
  return out;
}

function weightedLevelDb(samples: Float32Array, sampleRate: number): number {
  const heard = weightedOf(samples, sampleRate);
  let sum = 0;
  for (const sample of heard) sum += sample ** 2;
  return decibels(sum / Math.max(1, heard.length));
}

/** Of the moments in which somebody speaks, told apart as in any take. */
function speechLevelDb(samples: Float32Array, sampleRate: number): number {
  const heard = weightedOf(samples, sampleRate);
  const moment = Math.round(sampleRate / 20);
  const powers = new Float64Array(Math.floor(heard.length / moment));
  for (let index = 0; index < powers.length * moment; index++)
    powers[Math.floor(index / moment)]! += heard[index]! ** 2 / moment;
  return gatedLevels(powers).speechDb ?? SILENCE_DB;
}

function weightedOf(samples: Float32Array, sampleRate: number): Float64Array {
  const out = new Float64Array(samples.length);
  new AWeighting(sampleRate).run(samples, samples.length, out);
  return out;
}

/** Even chances from a seed, quick enough for every sample. */
function randoms(seed: number): () => number {
  let state = seed | 0 || 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
}
