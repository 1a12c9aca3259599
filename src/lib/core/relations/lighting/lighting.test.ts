import { describe, expect, it } from 'vitest';
import { RelationError } from '../argument';
import { leastMiredBetween, leastMiredDifference, miredDifference } from './colour';
import { keyToFill } from './key-to-fill';
import { lampDistanceForM, lampIlluminanceLx } from './lamp-illuminance';
import { softnessDeg, softnessWord } from './softness';

describe('a lamp with a dome', () => {
  it('gives 849 lx at 0.80 m of 1 400 at 1 m less 1.3 stops', () => {
    expect(lampIlluminanceLx(1400, 1, 0.3, 0.8, 1.3)).toBeCloseTo(849, 0);
  });

  it('gains 1.55 stops, not two, when its distance is halved', () => {
    const gain = Math.log2(
      lampIlluminanceLx(1400, 1, 0.3, 0.4, 1.3) / lampIlluminanceLx(1400, 1, 0.3, 0.8, 1.3)
    );
    expect(gain).toBeCloseTo(1.55, 2);
  });

  it('gives 600 lx from 45° off the face and nothing from behind', () => {
    expect(lampIlluminanceLx(1400, 1, 0.3, 0.8, 1.3, 45)).toBeCloseTo(600, 0);
    expect(lampIlluminanceLx(1400, 1, 0.3, 0.8, 1.3, 120)).toBe(0);
  });

  it('is moved to the distance that gives a wanted light', () => {
    const distance = lampDistanceForM(1400, 1, 0.3, 600, 1.3, 45);
    expect(lampIlluminanceLx(1400, 1, 0.3, distance, 1.3, 45)).toBeCloseTo(600, 6);
    expect(lampDistanceForM(10, 1, 0.3, 100_000)).toBe(0);
  });

  it('fills 41° and is very soft', () => {
    expect(softnessDeg(0.3, 0.8)).toBeCloseTo(41, 0);
    expect([3, 10, 20, 41].map(softnessWord)).toEqual(['hard', 'firm', 'soft', 'very soft']);
  });

  it('cannot touch the face', () => {
    expect(() => lampIlluminanceLx(1400, 1, 0.3, 0)).toThrow(RelationError);
  });
});

describe('two lights', () => {
  it('4000 and 5600 K lie 71 mired apart', () => {
    expect(miredDifference(4000, 5600)).toBeCloseTo(71, 0);
  });

  it('have no ratio when nothing fills the dark side', () => {
    expect(keyToFill(300, 100, 50)).toBe(3);
    expect(keyToFill(300, 0, 0)).toBeUndefined();
  });
});

describe('two lamps that can each be set', () => {
  it('come as near as their ranges let them, whichever is named first', () => {
    // 10⁶/3200 − 10⁶/5600
    expect(leastMiredBetween([2700, 3200], [5600, 6500])).toBeCloseTo(133.93, 2);
    expect(leastMiredBetween([5600, 6500], [2700, 3200])).toBeCloseTo(133.93, 2);
    expect(leastMiredBetween([2700, 6500], [4000, 5000])).toBe(0);
    expect(leastMiredBetween([4000, 4000], [4000, 6500])).toBe(0);
    // One that is fixed is a range of one colour.
    expect(leastMiredBetween([4000, 4000], [5000, 6500])).toBeCloseTo(
      leastMiredDifference(4000, 5000, 6500),
      9
    );
  });
});
