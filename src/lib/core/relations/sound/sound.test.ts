import { describe, expect, it } from 'vitest';
import { RelationError } from '../argument';
import { boomDistanceM, nearestBoomForwardM } from './boom-distance';
import {
  criticalDistanceM,
  directToReverberantDb,
  echoWord,
  machineNoiseHeardDbA
} from './critical-distance';
import { pickupPatterns, roomNoiseHeardDbA } from './directivity';
import { levelAtDistanceDb, NO_LEVEL, powerSumDb } from './level';
import {
  absorptionWithBlanket,
  reverberationS,
  roomAbsorption,
  roomSurfaceM2,
  roomVolumeM3
} from './reverberation';
import {
  dbVFromDbu,
  dbVPerPaFromMillivolts,
  inputNoiseAsLevelDbA,
  selfNoiseFromRatioDbA
} from './self-noise';
import { speechWord } from './speech-to-noise';
import { windNoiseDbA } from './wind';

const volume = roomVolumeM3(3.5, 3, 2.4);
const surface = roomSurfaceM2(3.5, 3, 2.4);
const lived = reverberationS(volume, surface, roomAbsorption['lived-in']);

describe('levels', () => {
  it('rise six decibels when the distance is halved', () => {
    expect(levelAtDistanceDb(60, 0.5) - levelAtDistanceDb(60, 1)).toBeCloseTo(6.02, 2);
  });

  it('of two equal sources add three decibels, of nothing add nothing', () => {
    expect(powerSumDb(30, 30)).toBeCloseTo(33.01, 2);
    expect(powerSumDb(30, NO_LEVEL)).toBeCloseTo(30, 9);
    expect(powerSumDb(NO_LEVEL)).toBe(NO_LEVEL);
  });
});

describe('speech over noise', () => {
  const noise = (...more: number[]) =>
    powerSumDb(roomNoiseHeardDbA(38, pickupPatterns.supercardioid.q), 20, ...more);

  it('is 25.9 dB at 1.2 m and 36.6 at 0.35 for a supercardioid at 38 dB(A)', () => {
    expect(levelAtDistanceDb(60, 1.2) - noise()).toBeCloseTo(25.9, 1);
    expect(levelAtDistanceDb(60, 0.35) - noise()).toBeCloseTo(36.6, 1);
  });

  it('falls to 33.8 behind a −100 dBV input and comes back to 36.2 with a boost', () => {
    expect(inputNoiseAsLevelDbA(-100, -38, 0)).toBe(32);
    expect(inputNoiseAsLevelDbA(-100, -38, 10)).toBe(22);
    expect(levelAtDistanceDb(60, 0.35) - noise(32)).toBeCloseTo(33.8, 1);
    expect(levelAtDistanceDb(60, 0.35) - noise(22)).toBeCloseTo(36.2, 1);
  });

  it('asks less outdoors', () => {
    expect(speechWord(22, 'outdoors')).toBe('clean');
    expect(speechWord(22, 'indoors')).toBe('poor');
  });

  it('reads a maker’s other ways of saying noise and sensitivity', () => {
    expect(selfNoiseFromRatioDbA(74)).toBe(20);
    expect(dbVFromDbu(-100)).toBeCloseTo(-102.2);
    expect(dbVPerPaFromMillivolts(12.6)).toBeCloseTo(-38, 1);
  });
});

describe('the example room', () => {
  it('has 25.2 m³ and 52.2 m²', () => {
    expect(volume).toBeCloseTo(25.2);
    expect(surface).toBeCloseTo(52.2);
  });

  it('rings 0.93 s bare, 0.348 lived-in, 0.180 treated', () => {
    expect(reverberationS(volume, surface, roomAbsorption.bare)).toBeCloseTo(0.93, 2);
    expect(lived).toBeCloseTo(0.348, 3);
    expect(reverberationS(volume, surface, roomAbsorption.treated)).toBeCloseTo(0.18, 3);
  });

  it('is as loud as the voice at 1.32 m for a supercardioid', () => {
    expect(criticalDistanceM(3.7, volume, lived)).toBeCloseTo(1.32, 2);
  });

  it.each([
    ['bare', -0.2, 'echoing'],
    ['lived-in', 9.4, 'roomy'],
    ['treated', 20.3, 'dry']
  ] as const)('%s at 1.2 m gives %f dB of direct over late', (feel, db, word) => {
    const t = reverberationS(volume, surface, roomAbsorption[feel]);
    const ratio = directToReverberantDb(criticalDistanceM(3.7, volume, t), 1.2, t);
    expect(ratio).toBeCloseTo(db, 1);
    expect(echoWord(ratio)).toBe(word);
  });

  it('hardly lets a fan fade: −0.8 dB from 1 to 3 m, not −9.5', () => {
    const room = { volumeM3: volume, reverberationS: lived };
    const atValue = (distance: number) =>
      machineNoiseHeardDbA(40, distance, pickupPatterns.omni, 0, room);
    expect(atValue(3) - atValue(1)).toBeCloseTo(-0.8, 1);
    const outdoors = (distance: number) =>
      machineNoiseHeardDbA(40, distance, pickupPatterns.omni, 0);
    expect(outdoors(3) - outdoors(1)).toBeCloseTo(-9.54, 2);
  });

  it('gains by the area a blanket really adds', () => {
    expect(absorptionWithBlanket(0.2, surface, 4, 0.7)).toBeCloseTo(0.2 + (4 * 0.5) / surface, 9);
  });
});

describe('wind', () => {
  it('is nothing below a metre a second and falls by the cover and for an omni', () => {
    expect(windNoiseDbA(0.9, 'cardioid', 'none')).toBe(NO_LEVEL);
    const bare = windNoiseDbA(6, 'cardioid', 'none');
    expect(bare).toBeCloseTo(82.8, 1);
    expect(bare - windNoiseDbA(6, 'cardioid', 'furry')).toBe(20);
    expect(bare - windNoiseDbA(6, 'omni', 'none')).toBe(10);
  });
});

describe('a boom', () => {
  it('just out of frame hangs 0.39 m from the mouth', () => {
    expect(boomDistanceM(0.33, 1, 0.25, 0)).toBeCloseTo(0.39, 2);
  });

  it('comes nearest where the geometry says', () => {
    const nearest = nearestBoomForwardM(0.33, 1, 0);
    for (const forward of [0, 0.05, 0.2, 0.4]) {
      expect(boomDistanceM(0.33, 1, nearest, 0)).toBeLessThanOrEqual(
        boomDistanceM(0.33, 1, forward, 0)
      );
    }
  });

  it('comes nearer as the framing tightens', () => {
    expect(boomDistanceM(0.2, 1, 0.1, 0)).toBeLessThan(boomDistanceM(0.4, 1, 0.1, 0));
    expect(() => boomDistanceM(0.3, 1, 1, 0)).toThrow(RelationError);
  });
});
