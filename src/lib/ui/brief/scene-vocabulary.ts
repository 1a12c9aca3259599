import { framingSizes } from '../../core/relations/optics/framing-sizes';
import type {
  CameraPlace,
  Framing,
  LightSource,
  RoomFeel,
  Scene,
  SceneStyle,
  Voice
} from '../../core/model/scene';

/** Words of the brief and what each stands for. A word is a short way to a figure; the figure rules. */
export const styleWords: Readonly<Record<SceneStyle, string>> = {
  walk: 'walk and talk',
  seated: 'sit and talk',
  hands: 'show hands at work',
  'live call': 'talk live',
  evening: 'film in the evening',
  ride: 'ride',
  event: 'film a talk',
  interview: 'film an interview of two',
  product: 'show a thing on the table',
  landscape: 'film the land',
  flying: 'film from the air'
};

export const placeWords: Readonly<Record<CameraPlace, string>> = {
  hand: 'at arm’s reach',
  'extension pole': 'on an extension pole',
  tabletop: 'on the bench',
  tripod: 'on the floor',
  overhead: 'above, looking down',
  ceiling: 'under the ceiling, looking down',
  'monitor edge': 'on the edge of the monitor',
  chest: 'on my chest',
  handlebar: 'on the handlebar',
  'in the air': 'in the air'
};

export const framingWords = Object.fromEntries(
  Object.entries(framingSizes).map(([id, { words }]) => [id, words])
) as Record<Framing, string>;

export const feelWords: Readonly<Record<RoomFeel, string>> = {
  bare: 'bare',
  'lived-in': 'lived-in',
  treated: 'treated with blankets'
};

export const voiceWords: Readonly<Record<Voice, string>> = {
  none: 'say nothing',
  normal: 'speak as usual',
  raised: 'raise my voice',
  loud: 'call out'
};

export const sourceWords: Readonly<Record<LightSource, string>> = {
  sky: 'the light of the sky',
  window: 'the light of a window',
  lamps: 'light I make myself',
  'existing light': 'the light there is'
};

interface Named {
  upTo: number;
  word: string;
}

const nameOf = (scale: readonly Named[], value: number) =>
  (scale.find(({ upTo }) => value <= upTo) ?? scale.at(-1)!).word;

/** Air speed in words. */
export function windWord(mps: number): string {
  return nameOf(
    [
      { upTo: 0.9, word: 'still' },
      { upTo: 3, word: 'a light air' },
      { upTo: 7, word: 'breezy' },
      { upTo: 12, word: 'windy' },
      { upTo: Infinity, word: 'a gale' }
    ],
    mps
  );
}

/** Speed of a ride in words. */
export function rideWord(mps: number): string {
  return nameOf(
    [
      { upTo: 2.5, word: 'a stroll’s pace' },
      { upTo: 7, word: 'a bicycle’s pace' },
      { upTo: 14, word: 'the pace of town traffic' },
      { upTo: Infinity, word: 'the pace of the open road' }
    ],
    mps
  );
}

/** Colour of a light in words. */
export function colourWord(kelvin: number): string {
  return nameOf(
    [
      { upTo: 2300, word: 'candle-warm' },
      { upTo: 3500, word: 'warm white' },
      { upTo: 4700, word: 'neutral white' },
      { upTo: 6200, word: 'daylight' },
      { upTo: Infinity, word: 'the blue of shade' }
    ],
    kelvin
  );
}

/** Level of a place in words. */
export function noiseWord(dbA: number): string {
  return nameOf(
    [
      { upTo: 30, word: 'very quiet' },
      { upTo: 40, word: 'quiet-ish' },
      { upTo: 52, word: 'humming' },
      { upTo: 65, word: 'noisy' },
      { upTo: Infinity, word: 'loud' }
    ],
    dbA
  );
}

const lightIndoors: readonly Named[] = [
  { upTo: 8, word: 'near dark' },
  { upTo: 30, word: 'a corner by a lamp' },
  { upTo: 100, word: 'a dim room' },
  { upTo: 500, word: 'a lit room' },
  { upTo: 5_000, word: 'a bright window' },
  { upTo: 15_000, word: 'beside a sunny window' },
  { upTo: Infinity, word: 'sun through the glass' }
];
const lightOutdoors: readonly Named[] = [
  { upTo: 8, word: 'near dark' },
  { upTo: 30, word: 'lamplight in the street' },
  { upTo: 100, word: 'a lit shop front' },
  { upTo: 500, word: 'the last of the day' },
  { upTo: 5_000, word: 'deep shade' },
  { upTo: 15_000, word: 'overcast' },
  { upTo: 40_000, word: 'bright overcast' },
  { upTo: Infinity, word: 'full sun' }
];

/** Scene light in words of the place. */
export const lightWord = (lx: number, outdoors: boolean): string =>
  nameOf(outdoors ? lightOutdoors : lightIndoors, lx);

export function awayWord(days: number): string {
  return days === 0
    ? 'with a socket at hand'
    : days === 1
      ? 'one day from a socket'
      : `${days} days from a socket`;
}

/** Placing a scene outdoors drops its room; bringing it in gives it an ordinary one to measure. */
export const ordinaryRoom: NonNullable<Scene['room']> = {
  lengthM: 3.6,
  widthM: 3.1,
  heightM: 2.4,
  feel: 'lived-in'
};
