import type { Act } from '../acts/act';
import { answerAct } from '../acts/answer-act';
import { type FigureRecord, figureOf } from '../figures/record';
import type { SoundMeasures } from '../proof/measure-sound';
import type { MicrophoneGear } from '../model/gear';
import type { Scene } from '../model/scene';
import { roomFeels } from '../model/word-lists';
import { AIM_PEAK_DBFS } from '../relations/sound/level-set-up';
import {
  roomAbsorption,
  reverberationS,
  roomSurfaceM2,
  roomVolumeM3
} from '../relations/sound/reverberation';
import { speechToNoiseBands } from '../relations/sound/speech-to-noise';

export type Tone = 'good' | 'fair' | 'bad';

/** One figure of a take, with its word, beside what the kit told. */
export interface VerdictRow {
  name: string;
  value: number | undefined;
  /** As it is shown. */
  shown: string;
  word: string;
  tone: Tone;
  predicted?: number;
  /** As what was told is shown, where its number alone does not say it. */
  told?: string;
  /** Where both differ by more than either is sure of, and what that comes of. */
  gap?: string;
  explains?: string;
}

/** A change in the maker's own terms. */
export interface Advice {
  does: string;
  brings: string;
  act?: Act;
}

export interface SoundVerdict {
  word: 'clean' | 'usable' | 'poor' | 'no voice found';
  rows: readonly VerdictRow[];
  advice: readonly Advice[];
  /** Measured figures that can take the place of guessed ones. */
  takeOver: readonly Advice[];
}

/** The scene a take was made for, as it is judged. */
export interface TakenIn {
  scene: Scene;
  record: FigureRecord;
  /** What hears it. */
  mic?: MicrophoneGear | undefined;
}

/** Peaks are wanted from the aim up to here. */
export const PEAKS_UP_TO_DBFS = -6;
const TOO_HOT_DBFS = -1;
const LOW_DBFS = -24;
/** A good place for them to be put. */
const PEAKS_AT_DBFS = -10;
/** Hum that lies so far under the voice is not heard, or faint. */
const HUM_UNHEARD_DB = 45;
const HUM_FAINT_DB = 30;
/** Rumble over the middle of the voice's range in the silence. */
const RUMBLE_HEARD_DB = 20;
const RUMBLE_FAINT_DB = 12;
/** Both what is told and what is measured are sure to about this. */
const SURE_DB = 2;
const SURE_SHARE = 0.2;
const NEAREST_M = 0.1;
/** Voice and noise are told apart down to about this; below, what is measured says nothing against what is told. */
const LEAST_MEASURED_DB = 6;

const minus = (value: number, digits = 1): string => value.toFixed(digits).replace('-', '−');

/** What a take of sound is worth, why, and what to change. */
export function soundVerdict(measures: SoundMeasures, taken?: TakenIn): SoundVerdict {
  const place = taken?.scene.room || !taken ? 'indoors' : 'outdoors';
  const { cleanDb, usableDb } = speechToNoiseBands[place];
  const { speechToNoiseDb: over } = measures;
  const word =
    over === undefined
      ? 'no voice found'
      : over >= cleanDb
        ? 'clean'
        : over >= usableDb
          ? 'usable'
          : 'poor';
  const rows: VerdictRow[] = [
    withGap(
      {
        name: 'voice over noise',
        value: over,
        shown: over === undefined ? 'nothing stands out' : `${minus(over)} dB`,
        word,
        tone: word === 'clean' ? 'good' : word === 'usable' ? 'fair' : 'bad'
      },
      taken && figureOf(taken.record, 'speechToNoise'),
      over !== undefined && over < LEAST_MEASURED_DB ? Infinity : SURE_DB,
      'dB',
      (off) => voiceGapWords(off, measures)
    ),
    withGap(peaksRow(measures), taken ? AIM_PEAK_DBFS : undefined, SURE_DB, 'dB', (off) =>
      peakGapWords(off, measures)
    ),
    clippedRow(measures),
    humRow(measures),
    rumbleRow(measures)
  ];
  if (measures.decay)
    rows.push(
      withGap(
        reverberationRow(measures.decay.reverberationS),
        taken && figureOf(taken.record, 'reverberation'),
        measures.decay.reverberationS * SURE_SHARE,
        's',
        (off) =>
          `the room is ${off > 0 ? 'harder' : 'softer'} than “${taken?.scene.room?.feel ?? ''}”`
      )
    );
  return {
    word,
    rows,
    advice: adviceFor(measures, cleanDb, taken),
    takeOver: taken ? takeOverOf(measures, taken) : []
  };
}

function withGap(
  row: VerdictRow,
  predicted: number | undefined,
  sure: number,
  unit: string,
  explain: (off: number) => string
): VerdictRow {
  if (predicted === undefined || !Number.isFinite(predicted)) return row;
  if (row.value === undefined) return { ...row, predicted };
  const off = row.value - predicted;
  return {
    ...row,
    predicted,
    ...(Math.abs(off) > sure
      ? {
          gap: `${minus(Math.abs(off), unit === 's' ? 2 : 1)} ${unit} ${off < 0 ? 'less' : 'more'} than told`,
          explains: explain(off)
        }
      : {})
  };
}

/** What a voice over noise that is not as told comes of, as far as the take itself says. */
function voiceGapWords(off: number, measures: SoundMeasures): string {
  if (off > 0) return 'the place is quieter than stated, or the voice louder or nearer';
  if (humRow(measures).tone === 'bad') return 'hum is in it, which the kit knows nothing of';
  if (rumbleRow(measures).tone !== 'good')
    return 'rumble or wind is in it, more than the kit counts';
  return 'the place is louder than stated, or the voice softer or further off';
}

/** What peaks that are not where they are wanted come of. */
function peakGapWords(off: number, measures: SoundMeasures): string {
  const { speechToNoiseDb: over } = measures;
  if (over === undefined || over < LEAST_MEASURED_DB)
    return 'the noise is as loud as the voice, and its peaks are in it';
  if (off < 0) return 'the gain stands lower than the card says';
  return rumbleRow(measures).tone === 'good'
    ? 'the gain stands higher than the card says'
    : 'rumble or wind is in it, or the gain stands higher than the card says';
}

function peaksRow({ voicePeakDb: value }: SoundMeasures): VerdictRow {
  const [word, tone]: [string, Tone] =
    value > TOO_HOT_DBFS
      ? ['too high', 'bad']
      : value > PEAKS_UP_TO_DBFS
        ? ['high', 'fair']
        : value >= AIM_PEAK_DBFS - SURE_DB
          ? ['as wanted', 'good']
          : value >= LOW_DBFS
            ? ['low', 'fair']
            : ['too low', 'bad'];
  return { name: 'peaks of the voice', value, shown: `${minus(value)} dBFS`, word, tone };
}

function clippedRow({ clippedRuns: value }: SoundMeasures): VerdictRow {
  return {
    name: 'clipped',
    value,
    shown: value === 0 ? 'nowhere' : `${value} ${value === 1 ? 'place' : 'places'}`,
    word: value === 0 ? 'whole' : 'broken',
    tone: value === 0 ? 'good' : 'bad'
  };
}

function humRow({ hum, speechDb, floorDb }: SoundMeasures): VerdictRow {
  if (!hum) return { name: 'hum', value: undefined, shown: 'none', word: 'unheard', tone: 'good' };
  const under = (speechDb ?? floorDb) - hum.levelDb;
  const [word, tone]: [string, Tone] =
    under >= HUM_UNHEARD_DB
      ? ['unheard', 'good']
      : under >= HUM_FAINT_DB
        ? ['faint', 'fair']
        : ['heard', 'bad'];
  return {
    name: `hum at ${hum.hz} Hz`,
    value: hum.levelDb,
    shown: `${minus(hum.levelDb)} dBFS`,
    word,
    tone
  };
}

function rumbleRow({ rumbleDb }: SoundMeasures): VerdictRow {
  const value = rumbleDb;
  const [word, tone]: [string, Tone] =
    value === undefined || value < RUMBLE_FAINT_DB
      ? ['still', 'good']
      : value < RUMBLE_HEARD_DB
        ? ['faint', 'fair']
        : ['heard', 'bad'];
  return {
    name: 'rumble and wind',
    value,
    shown: value === undefined || value < RUMBLE_FAINT_DB ? 'none' : `${minus(value)} dB over`,
    word,
    tone
  };
}

function reverberationRow(value: number): VerdictRow {
  const [word, tone]: [string, Tone] =
    value < 0.3 ? ['dry', 'good'] : value < 0.6 ? ['roomy', 'fair'] : ['echoing', 'bad'];
  return { name: 'reverberation', value, shown: `${value.toFixed(2)} s`, word, tone };
}

function adviceFor(
  { voicePeakDb, speechToNoiseDb: over, hum, rumbleDb, speechDb, floorDb }: SoundMeasures,
  cleanDb: number,
  taken: TakenIn | undefined
): Advice[] {
  const advice: Advice[] = [];
  const turn = Math.round(PEAKS_AT_DBFS - voicePeakDb);
  if (voicePeakDb > PEAKS_UP_TO_DBFS)
    advice.push({
      does: `gain down ${-turn} dB`,
      brings: `peaks at ${PEAKS_AT_DBFS}`.replace('-', '−')
    });
  else if (voicePeakDb < AIM_PEAK_DBFS - SURE_DB && over !== undefined)
    advice.push({
      does: `gain up ${turn} dB`,
      brings: `peaks at ${PEAKS_AT_DBFS}`.replace('-', '−')
    });
  const distance = taken && figureOf(taken.record, 'micDistance');
  if (over !== undefined && over < cleanDb && distance !== undefined) {
    const to = Math.max(NEAREST_M, distance * 10 ** (-(cleanDb - over) / 20));
    const gains = 20 * Math.log10(distance / to);
    if (distance - to >= 0.05)
      advice.push({
        does: `${(distance - to).toFixed(2)} m nearer`,
        brings: `${gains.toFixed(1)} dB more voice at ${to.toFixed(2)} m`
      });
  }
  if (hum && (speechDb ?? floorDb) - hum.levelDb < HUM_UNHEARD_DB)
    advice.push({
      does: 'cables apart',
      brings: `${hum.hz} Hz comes from a mains cable beside the microphone’s, or from two devices on one socket`
    });
  if (rumbleDb !== undefined && rumbleDb >= RUMBLE_FAINT_DB)
    advice.push({
      does: 'windscreen on, low cut in',
      brings: 'what lies under the voice goes, the voice stays'
    });
  return advice;
}

/** Room noise, the feel of the room and the noise of the microphone itself, from what was measured. */
function takeOverOf(measures: SoundMeasures, { scene, record, mic }: TakenIn): Advice[] {
  const taken: Advice[] = [];
  const { speechToNoiseDb: over, decay } = measures;
  const noise = over === undefined ? undefined : roomNoiseFrom(over, record);
  if (noise !== undefined && Math.abs(noise - scene.noiseDbA) >= 1)
    taken.push({
      does: `Take ${Math.round(noise)} dB(A) as the noise of the place`,
      brings: `instead of ${scene.noiseDbA}: what this take says, with the voice as loud as stated`,
      act: {
        type: 'change scene',
        sceneId: scene.id,
        patch: { noiseDbA: Math.round(noise) }
      }
    });
  const own = over === undefined || !mic ? undefined : ownNoiseFrom(over, record, mic);
  if (own !== undefined)
    taken.push({
      does: `Take ${own} dB(A) as the noise of ${mic!.model} itself`,
      brings:
        mic!.selfNoiseDbA === undefined
          ? 'nobody states it, and this is what is left once the place is taken out'
          : `its sheet says ${mic!.selfNoiseDbA}, and all noise of this take together is not more`,
      act: answerAct(mic!, 'selfNoiseDbA', own)
    });
  const { room } = scene;
  if (decay && room) {
    const volume = roomVolumeM3(room.lengthM, room.widthM, room.heightM);
    const surface = roomSurfaceM2(room.lengthM, room.widthM, room.heightM);
    const nearest = roomFeels
      .map((feel) => ({
        feel,
        off: Math.abs(
          Math.log(reverberationS(volume, surface, roomAbsorption[feel]) / decay.reverberationS)
        )
      }))
      .sort((a, b) => a.off - b.off)[0]!.feel;
    if (nearest !== room.feel)
      taken.push({
        does: `Call the room ${nearest}`,
        brings: `it rings for ${decay.reverberationS.toFixed(2)} s; ${room.feel} would ring longer or shorter`,
        act: {
          type: 'change scene',
          sceneId: scene.id,
          patch: { room: { ...room, feel: nearest } }
        }
      });
  }
  return taken;
}

/**
 * The noise of the place that a measured voice over noise speaks of: all noise at the microphone, less what is not the
 * place, put back to before the microphone's pattern.
 *
 * @returns dB(A); undefined where the place is not what is loud
 */
export function roomNoiseFrom(speechToNoiseDb: number, record: FigureRecord): number | undefined {
  const voice = figureOf(record, 'voiceAtMic');
  const all = figureOf(record, 'noiseAtMic');
  const place = figureOf(record, 'roomNoiseHeard');
  const told = figureOf(record, 'placeNoise');
  if (voice === undefined || all === undefined || place === undefined || told === undefined)
    return undefined;
  const power = (db: number) => 10 ** (db / 10);
  const others = Math.max(0, power(all) - power(place));
  const rest = power(voice - speechToNoiseDb) - others;
  if (rest <= power(place) / 100) return undefined;
  return 10 * Math.log10(rest) + (told - place);
}

/** What the microphone itself hisses cannot be more than this, nor less. */
const OWN_NOISE_DBA = { least: 3, most: 60 } as const;

/**
 * The noise of the microphone itself that a measured voice over noise speaks of. Where its sheet states none it is what is
 * left once the place as stated is taken out; where it does, all noise together sets what it can be at most.
 *
 * @returns whole dB(A); undefined where the take says nothing of it
 */
export function ownNoiseFrom(
  speechToNoiseDb: number,
  record: FigureRecord,
  { selfNoiseDbA: stated }: Pick<MicrophoneGear, 'selfNoiseDbA'>
): number | undefined {
  const voice = figureOf(record, 'voiceAtMic');
  if (voice === undefined) return undefined;
  const all = voice - speechToNoiseDb;
  let own = all;
  if (stated === undefined) {
    const place = figureOf(record, 'roomNoiseHeard');
    if (place === undefined) return undefined;
    const rest = 10 ** (all / 10) - 10 ** (place / 10);
    // Of a place that is nearly as loud as everything nothing sure is left.
    if (rest < 10 ** (all / 10) / 4) return undefined;
    own = 10 * Math.log10(rest);
  } else if (all > stated - 1) return undefined;
  const whole = Math.round(own);
  return whole >= OWN_NOISE_DBA.least && whole <= OWN_NOISE_DBA.most ? whole : undefined;
}

/** How one take differs from the first, most telling first. */
export function differenceWords(
  measured: SoundMeasures,
  other: SoundMeasures,
  name: 'second' | 'third' = 'second'
): string[] {
  const words: string[] = [];
  const { speechToNoiseDb: a } = measured;
  const { speechToNoiseDb: b } = other;
  if (a !== undefined && b !== undefined)
    words.push(
      Math.abs(b - a) < SURE_DB
        ? name === 'second'
          ? 'Neither is cleaner than the other.'
          : 'The third is not cleaner than the first.'
        : `The ${name} is ${minus(Math.abs(b - a), 0)} dB ${b > a ? 'cleaner' : 'noisier'}.`
    );
  else if (a !== undefined || b !== undefined)
    words.push(`Only the ${a !== undefined ? 'first' : name} has a voice that stands out.`);
  const peaks = other.voicePeakDb - measured.voicePeakDb;
  if (Math.abs(peaks) >= SURE_DB)
    words.push(`Its peaks are ${minus(Math.abs(peaks), 0)} dB ${peaks > 0 ? 'higher' : 'lower'}.`);
  for (const [measures, which] of [
    [measured, 'first'],
    [other, name]
  ] as const) {
    const row = humRow(measures);
    if (row.tone !== 'good')
      words.push(
        `${row.word === 'heard' ? 'Hum' : 'Faint hum'} at ${measures.hum!.hz} Hz in the ${which}.`
      );
    if (measures.clippedRuns > 0) words.push(`The ${which} is clipped.`);
  }
  if (measured.decay && other.decay) {
    const longer = other.decay.reverberationS / measured.decay.reverberationS;
    if (longer > 1 + SURE_SHARE || longer < 1 / (1 + SURE_SHARE))
      words.push(
        `The ${name} rings for ${other.decay.reverberationS.toFixed(2)} s, the first for ${measured.decay.reverberationS.toFixed(2)}.`
      );
  }
  return words;
}
