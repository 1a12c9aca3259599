import type { FigureId } from '../../core/figures/table';
import type { AngleJudgement } from '../../core/judge/incremental';
import { blurWord } from '../../core/relations/optics/background-blur';
import { NEAR_STRETCH } from '../../core/relations/optics/stretch';
import { TIP_WARN_DEG } from '../../core/relations/support/tipping';
import { softnessWord } from '../../core/relations/lighting/softness';
import { echoWord } from '../../core/relations/sound/critical-distance';
import { speechWord } from '../../core/relations/sound/speech-to-noise';
import { tipWords } from '../../core/set/layout';
import { isIndoors } from '../../core/model/scene-facts';

interface Verdict {
  word?: string;
  /** Said in place of the figure. */
  text?: string;
  /** Undefined where neither is better. */
  good?: boolean;
}

/** A figure shown beside the drawings, with what is wanted of it. */
export interface Readout {
  figure: FigureId;
  name: string;
  /** Where no face is filmed. */
  nameOfWork?: string;
  wanted?: FigureId;
  wantedWord?: string;
  verdict: (value: number, wanted: number | undefined, judged: AngleJudgement) => Verdict;
}

/** Past five stops the dark side of a face gets nothing that anybody would call fill. */
const NO_FILL = 32;

const atLeast = (value: number, wanted: number | undefined): Verdict =>
  wanted === undefined ? {} : { good: value >= wanted };

/** In the order in which one builds a set: framing, light, blur, sound. */
export const readoutsFor: readonly Readout[] = [
  {
    figure: 'framed',
    name: 'In the picture',
    wanted: 'framedWanted',
    wantedWord: 'wanted',
    verdict: (value, wanted) => ({
      good: wanted === undefined ? undefined : Math.abs(Math.log2(value / wanted)) < 0.2
    })
  },
  {
    figure: 'faceDim',
    name: 'Light on the face',
    nameOfWork: 'Light on the work',
    wanted: 'lightNeeded',
    wantedWord: 'clean from',
    verdict: atLeast
  },
  {
    figure: 'keySoftness',
    name: 'Softness of the key',
    verdict: (value) => ({ word: softnessWord(value) })
  },
  {
    figure: 'keyToFill',
    name: 'Key to fill',
    wanted: 'keyToFillWanted',
    wantedWord: 'wanted',
    verdict: (value) => (value > NO_FILL ? { text: 'no fill' } : {})
  },
  {
    figure: 'aperture',
    name: 'Aperture',
    wanted: 'apertureForFace',
    wantedWord: 'nose and ears from',
    verdict: atLeast
  },
  {
    figure: 'backgroundBlur',
    name: 'Background',
    wanted: 'blurWanted',
    wantedWord: 'wanted',
    verdict: (value, wanted) => ({
      word: blurWord(value),
      ...(wanted === undefined || wanted === 0 ? {} : atLeast(value, wanted))
    })
  },
  {
    figure: 'vanishingDetail',
    name: 'Detail lost behind, finer than',
    verdict: () => ({})
  },
  {
    figure: 'nearStretch',
    name: 'Nose against ears',
    verdict: (value) => ({ good: value <= NEAR_STRETCH.note })
  },
  {
    figure: 'speechToNoise',
    name: 'Voice over noise',
    wanted: 'speechClean',
    wantedWord: 'clean from',
    verdict: (value, _wanted, { scene }) => {
      const word = speechWord(value, isIndoors(scene) ? 'indoors' : 'outdoors');
      return { word, good: word === 'clean' };
    }
  },
  {
    figure: 'directToReverberant',
    name: 'Voice over the room’s echo',
    verdict: (value) => {
      const word = echoWord(value);
      return { word, good: word === 'dry' };
    }
  },
  {
    figure: 'tipAngle',
    name: 'Support tips at',
    verdict: (value) => ({ text: tipWords(value), good: value >= TIP_WARN_DEG })
  }
];
