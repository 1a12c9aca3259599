import { type FigureRecord, figureOf } from '../figures/record';
import type { Scene } from '../model/scene';
import type { SoundRecipe } from './simulated-sound';
import type { StillRecipe } from './simulated-still';
import { DAYLIGHT_K } from '../relations/lighting/colour';

/** What may go wrong in a simulated take beside what the kit makes of it. */
export interface Mishaps {
  /** The microphone cable beside a mains cable. */
  hum?: boolean;
  /** Gain so many dB past what is wanted. */
  gainDb?: number;
  /** White balance left at daylight. */
  balanceLeft?: boolean;
}

export const SIMULATED_RATE_HZ = 48_000;
const HUM_DBFS = -48;
const LONG_SIDE_PX = 640;
/** Head and shoulders, where no lens says what fills the picture. */
const USUAL_PICTURE_M = { width: 0.98, height: 0.55 } as const;
/** Grain of a picture at the highest usable ISO; it grows with its root. */
const GRAIN = 0.03;

/** The kit's own figures for a simulated microphone; undefined where the judge does not know its voice over noise. */
export function soundRecipeOf(
  record: FigureRecord,
  mainsHz: number,
  seconds: number,
  seed: number,
  { hum = false, gainDb = 0 }: Mishaps = {}
): SoundRecipe | undefined {
  const speechToNoiseDb = figureOf(record, 'speechToNoise');
  if (speechToNoiseDb === undefined || !Number.isFinite(speechToNoiseDb)) return undefined;
  const clapS = figureOf(record, 'reverberation');
  const wind = figureOf(record, 'windNoise');
  const noise = figureOf(record, 'noiseAtMic');
  const windShare =
    wind === undefined || noise === undefined || !Number.isFinite(wind)
      ? 0
      : 10 ** ((wind - noise) / 10);
  return {
    seconds,
    sampleRate: SIMULATED_RATE_HZ,
    seed,
    speechToNoiseDb,
    gainDb,
    ...(hum ? { hum: { hz: mainsHz, levelDb: HUM_DBFS } } : {}),
    ...(windShare > 0.001 ? { windShare } : {}),
    ...(clapS === undefined ? {} : { clapS })
  };
}

/** The same for a simulated camera; undefined where the exposure cannot be planned. */
export function stillRecipeOf(
  record: FigureRecord,
  scene: Scene,
  seed: number,
  { balanceLeft = false }: Mishaps = {}
): StillRecipe | undefined {
  const plan = record.exposures.dim?.plan;
  const usable = figureOf(record, 'highestUsableIso');
  if (!plan || usable === undefined) return undefined;
  const lightK = figureOf(record, 'keyWarmest') ?? scene.lightColourK ?? DAYLIGHT_K;
  const pictureWidthM = figureOf(record, 'pictureWidth') ?? USUAL_PICTURE_M.width;
  const pictureHeightM = figureOf(record, 'pictureHeight') ?? USUAL_PICTURE_M.height;
  const aspect = pictureWidthM / pictureHeightM;
  return {
    width: Math.round(aspect >= 1 ? LONG_SIDE_PX : LONG_SIDE_PX * aspect),
    height: Math.round(aspect >= 1 ? LONG_SIDE_PX / aspect : LONG_SIDE_PX),
    seed,
    pictureWidthM,
    pictureHeightM,
    hasFace: figureOf(record, 'faceInPicture') === 1,
    blurPercent: figureOf(record, 'backgroundBlur') ?? 0,
    underStops: -plan.offStops,
    lightK,
    balanceK: balanceLeft ? DAYLIGHT_K : lightK,
    noise: GRAIN * Math.sqrt(Math.min(16, plan.iso / usable))
  };
}
