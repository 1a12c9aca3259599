import { FRAMING_RATIO, framingMissRatio } from '../../core/relations/optics/framing-ratio';
import type { AngleJudgement } from '../../core/judge/incremental';
import { STOPS_LEFT_TO_APERTURE } from '../../core/judge/pocket-figures';
import type { Judgement } from '../../core/judge/judgement';
import { figureWords, lengthWords, massWords, minutesWords } from '../../core/figures/figure-words';
import { figureOf } from '../../core/figures/record';
import type { Pocket } from '../../core/model/pocket';
import { speechWord } from '../../core/relations/sound/speech-to-noise';
import { softnessWord } from '../../core/relations/lighting/softness';

/** What a pocket says beneath its parts: two short facts of the scene looked at. */
export interface PocketSummary {
  left: string;
  right: string;
  /** Share of the need that is met, 0 to 1; undefined where nothing is measured against anything. */
  filled: number | undefined;
  short: boolean;
}

const nothing: PocketSummary = { left: 'empty', right: '', filled: undefined, short: false };
const capped = (share: number) => Math.max(0, Math.min(1, share));

type Summarise = (angle: AngleJudgement, judgement: Judgement) => PocketSummary;

export const pocketSummaries: Readonly<Record<Pocket, Summarise>> = {
  sound: ({ record, scene, rig }) => {
    const db = figureOf(record, 'speechToNoise');
    if (scene.voice === 'none') return { ...nothing, left: 'no voice in this scene' };
    if (!rig.mic || db === undefined) return { ...nothing, left: 'nothing hears the voice' };
    const clean = figureOf(record, 'speechClean')!;
    return {
      left: `${lengthWords(figureOf(record, 'micDistance')!, rig.project.units)} from the mouth, ${rig.micPlace === 'shoe' ? 'on the shoe' : rig.micPlace}`,
      right: speechWord(db, scene.room ? 'indoors' : 'outdoors'),
      filled: capped(db / clean),
      short: db < clean
    };
  },
  light: ({ record, rig, scene }) => {
    const have = figureOf(record, 'faceDim');
    const need = figureOf(record, 'lightNeeded');
    if (have === undefined || need === undefined)
      return { ...nothing, left: 'no picture to light' };
    const soft = figureOf(record, 'keySoftness');
    return {
      left: rig.keyLamp
        ? `${figureWords(have, 'lx')} at ${lengthWords(rig.keyLamp.distanceM, rig.project.units)}${soft === undefined ? '' : ` · ${softnessWord(soft)}`}`
        : `${figureWords(scene.lightDimLx, 'lx')} to ${figureWords(scene.lightBrightLx, 'lx')} of the place`,
      right: `need ${figureWords(need, 'lx')}`,
      filled: capped(have / need),
      short: have < need
    };
  },
  body: ({ record, rig }) => {
    if (!rig.body) return nothing;
    return {
      left: rig.mode
        ? `${rig.mode.pixelsAcross}×${rig.mode.pixelsDown}, ${rig.mode.fps} frames`
        : 'no mode',
      right: rig.body.gear.sensorFormat,
      filled:
        figureOf(record, 'pixelsShare') === undefined
          ? undefined
          : capped(figureOf(record, 'pixelsShare')!),
      short: (figureOf(record, 'pixelsShare') ?? 1) < 1
    };
  },
  lens: ({ record, rig }) => {
    const width = figureOf(record, 'pictureWidth');
    if (!rig.lens || width === undefined)
      return { ...nothing, left: rig.lens ? 'not on a body' : 'empty' };
    const ratio = figureOf(record, 'framingRatio') ?? 1;
    const aperture = figureOf(record, 'aperture');
    return {
      left: `${lengthWords(width, rig.project.units)} wide at ${lengthWords(rig.angle.distanceM, rig.project.units)}`,
      right: `${figureWords(rig.focalLengthMm!, 'mm')}${aperture === undefined ? '' : ` ${figureWords(aperture, 'f/')}`}`,
      filled: capped(Math.min(ratio, 1 / ratio)),
      short: framingMissRatio(ratio) > FRAMING_RATIO.fine
    };
  },
  support: ({ record, rig }) => {
    const load = figureOf(record, 'loadOnSupport');
    const rating = figureOf(record, 'payload');
    if (load === undefined || rating === undefined) {
      return {
        ...nothing,
        left: rig.angle.cameraPlace === 'hand' ? 'held in the bare hand' : 'nothing holds it here'
      };
    }
    return {
      left: `carries ${massWords(load, rig.project.units)} of ${massWords(rating, rig.project.units)}`,
      right: '',
      filled: capped(load / rating),
      short: load > (rating * 2) / 3
    };
  },
  storage: ({ record }) => {
    const have = figureOf(record, 'cardMinutes');
    const need = figureOf(record, 'recordedAway');
    if (have === undefined || need === undefined)
      return { ...nothing, left: 'nothing to record on' };
    return {
      left: `${minutesWords(have)}, need ${minutesWords(need)}`,
      right: '',
      filled: capped(have / need),
      short: have < need
    };
  },
  power: ({ record }) => {
    const have = figureOf(record, 'dayPower');
    const need = figureOf(record, 'recordedAway');
    if (have === undefined || need === undefined) return { ...nothing, left: 'no power' };
    return {
      left:
        have === Infinity
          ? 'runs from the socket'
          : `${minutesWords(have)}, need ${minutesWords(need)}`,
      right: '',
      filled: capped(have / need),
      short: have < need
    };
  },
  accessories: ({ record, rig }) => {
    const need = figureOf(record, 'densityNeeded');
    if (need !== undefined && need > STOPS_LEFT_TO_APERTURE) {
      const most = figureOf(record, 'filterMost') ?? 0;
      return {
        left: `${figureWords(need, 'stops')} of ND needed`,
        right: '',
        filled: capped(most / need),
        short: most + STOPS_LEFT_TO_APERTURE < need
      };
    }
    return {
      ...nothing,
      left: rig.kit.parts.some(({ gear }) => gear.kind === 'small item')
        ? 'small things on board'
        : 'nothing to connect here'
    };
  }
};
