import type { ExposurePlan } from '../exposure/exposure-task';
import { figureWords, lengthWords, massWords, minutesWords } from '../figures/figure-words';
import { figureOf, type FigureRecord } from '../figures/record';
import type { FigureId } from '../figures/table';
import type { Pocket } from '../model/pocket';
import type { UnitSystem } from '../model/project';
import { FRAMING_RATIO, framingMissRatio } from '../relations/optics/framing-ratio';
import { speechWord } from '../relations/sound/speech-to-noise';
import { PAYLOAD_WARN_SHARE } from '../relations/support/payload';
import type { AngleJudgement } from './incremental';
import type { Judgement } from './judgement';

/** How a pocket's own figure stands in one scene. */
export interface SceneFigure {
  sceneId: string;
  /** The figure, and what it means. */
  words: string;
  verdict: string;
  /** How much of what is wanted is there, 0 to 1; past what is wanted it is 1. */
  share: number;
  level: 'good' | 'fair' | 'poor';
}

type Told = Omit<SceneFigure, 'sceneId'>;
type Tell = (angle: AngleJudgement, units: UnitSystem) => Told | undefined;

/** Less than this is left to aperture and ISO: no filter is wanted for it. */
export const STOPS_LEFT_TO_APERTURE = 0.5;

const capped = (share: number): number => Math.max(0, Math.min(1, share));

/** So much of what is needed is there: enough, nearly, or not. */
function ofNeed(
  record: FigureRecord,
  have: FigureId,
  need: FigureId,
  words: (value: number) => string
): Told | undefined {
  const has = figureOf(record, have);
  const needs = figureOf(record, need);
  if (has === undefined || needs === undefined || needs <= 0) return undefined;
  const share = has / needs;
  return {
    words: has === Infinity ? 'mains' : words(has),
    verdict: `of ${words(needs)}`,
    share: capped(share),
    level: share >= 1 ? 'good' : share >= 0.7 ? 'fair' : 'poor'
  };
}

/** What too little, too much or pulsing light costs; what the lens cannot hold sharp or blur is none of a lamp's. */
const costOfLight = ({ costs: { noise, shorter, longer, flicker, wrong } }: ExposurePlan): number =>
  noise + shorter + longer + flicker + wrong;

/** The figure each pocket is chosen by; a scene in which it means nothing has none. */
const tellers: Readonly<Record<Pocket, Tell>> = {
  sound: ({ record, scene }) => {
    const db = figureOf(record, 'speechToNoise');
    const clean = figureOf(record, 'speechClean');
    if (db === undefined || clean === undefined) return undefined;
    const verdict = speechWord(db, scene.room ? 'indoors' : 'outdoors');
    return {
      // Cut to whole decibels: 34.8 is not 35.
      words: `${Math.floor(db)} dB`,
      verdict,
      share: capped(db / clean),
      level: verdict === 'clean' ? 'good' : verdict === 'usable' ? 'fair' : 'poor'
    };
  },
  light: ({ record }) => {
    const told = ofNeed(record, 'faceDim', 'lightNeeded', (lx) => figureWords(lx, 'lx'));
    const { dim } = record.exposures;
    if (!told || !dim) return told;
    const stops = costOfLight(dim.plan);
    return { ...told, level: stops <= 0.4 ? 'good' : stops <= 0.8 ? 'fair' : 'poor' };
  },
  body: ({ record }) => ofNeed(record, 'minutesPerBattery', 'longestTake', minutesWords),
  lens: ({ record }, units) => {
    const have = figureOf(record, 'framed');
    const ratio = figureOf(record, 'framingRatio');
    if (have === undefined || ratio === undefined) return undefined;
    const miss = framingMissRatio(ratio);
    const isExact = miss <= FRAMING_RATIO.fine;
    return {
      words: lengthWords(have, units),
      verdict: isExact ? 'as framed' : ratio < 1 ? 'too tight' : 'too wide',
      share: capped(1 / miss),
      level: isExact ? 'good' : miss <= FRAMING_RATIO.warn ? 'fair' : 'poor'
    };
  },
  support: ({ record }, units) => {
    const load = figureOf(record, 'loadOnSupport');
    const rating = figureOf(record, 'payload');
    if (load === undefined || rating === undefined) return undefined;
    const share = load / rating;
    return {
      words: massWords(load, units),
      verdict: `of ${massWords(rating, units)}`,
      share: capped(share),
      level: share <= PAYLOAD_WARN_SHARE ? 'good' : share <= 1 ? 'fair' : 'poor'
    };
  },
  storage: ({ record }) => ofNeed(record, 'cardMinutes', 'recordedAway', minutesWords),
  power: ({ record }) => ofNeed(record, 'dayPower', 'recordedAway', minutesWords),
  // Rings, cables and tape are judged by what they join; what the pocket is measured by is its filters.
  accessories: ({ record }) => {
    const needed = figureOf(record, 'densityNeeded');
    if (needed === undefined || needed <= STOPS_LEFT_TO_APERTURE) return undefined;
    const most = figureOf(record, 'filterMost') ?? 0;
    return {
      words: figureWords(most, 'stops'),
      verdict: `of ${figureWords(needed, 'stops')} ND`,
      share: capped(most / needed),
      level: most + STOPS_LEFT_TO_APERTURE >= needed ? 'good' : most >= needed / 2 ? 'fair' : 'poor'
    };
  }
};

/** A pocket's own figure in every scene, of its first angle; undefined where it means nothing. */
export function pocketFigures(
  pocket: Pocket,
  { angles }: Pick<Judgement, 'angles'>,
  units: UnitSystem
): (SceneFigure | undefined)[] {
  const tell = tellers[pocket];
  return angles
    .filter(({ rig }) => rig.index === 0)
    .map((angle) => {
      const told = tell(angle, units);
      return told && { sceneId: angle.scene.id, ...told };
    });
}
