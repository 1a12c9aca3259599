import { describe, expect, it } from 'vitest';
import {
  cameraPlaces,
  framings,
  lightSources,
  roomFeels,
  sceneStyles,
  voices
} from '../../core/model/word-lists';
import {
  awayWord,
  feelWords,
  framingWords,
  colourWord,
  lightWord,
  rideWord,
  noiseWord,
  placeWords,
  sourceWords,
  styleWords,
  voiceWords,
  windWord
} from './scene-vocabulary';

describe('the words of the brief', () => {
  it('there is one, and no two alike, for everything that can be chosen', () => {
    for (const [list, words] of [
      [sceneStyles, styleWords],
      [cameraPlaces, placeWords],
      [framings, framingWords],
      [roomFeels, feelWords],
      [voices, voiceWords],
      [lightSources, sourceWords]
    ] as const) {
      const said = list.map((id) => (words as Record<string, string>)[id]);
      expect(said).not.toContain(undefined);
      expect(new Set(said).size).toBe(list.length);
    }
  });

  it.each([
    [0, 'still'],
    [0.9, 'still'],
    [1, 'a light air'],
    [6, 'breezy'],
    [7.1, 'windy'],
    [13, 'a gale']
  ])('%f m/s is %s', (mps, word) => expect(windWord(mps)).toBe(word));

  it.each([
    [20, 'very quiet'],
    [38, 'quiet-ish'],
    [42, 'humming'],
    [60, 'noisy'],
    [90, 'loud']
  ])('%f dB(A) is %s', (db, word) => expect(noiseWord(db)).toBe(word));

  it.each([
    [5, 'near dark', 'near dark'],
    [20, 'a corner by a lamp', 'lamplight in the street'],
    [50, 'a dim room', 'a lit shop front'],
    [200, 'a lit room', 'the last of the day'],
    [2_000, 'a bright window', 'deep shade'],
    [10_000, 'beside a sunny window', 'overcast'],
    [20_000, 'sun through the glass', 'bright overcast'],
    [100_000, 'sun through the glass', 'full sun']
  ])('%f lx is %s in a room and %s outdoors', (lx, inside, outside) => {
    expect(lightWord(lx, false)).toBe(inside);
    expect(lightWord(lx, true)).toBe(outside);
  });

  it('counts days from a socket', () => {
    expect([0, 1, 4].map(awayWord)).toEqual([
      'with a socket at hand',
      'one day from a socket',
      '4 days from a socket'
    ]);
  });

  it('says the pace of a ride and the colour of a light, each step of it once', () => {
    expect([1, 5, 10, 30].map(rideWord)).toEqual([
      'a stroll’s pace',
      'a bicycle’s pace',
      'the pace of town traffic',
      'the pace of the open road'
    ]);
    expect([2000, 2700, 4000, 5600, 8000].map(colourWord)).toEqual([
      'candle-warm',
      'warm white',
      'neutral white',
      'daylight',
      'the blue of shade'
    ]);
  });
});
