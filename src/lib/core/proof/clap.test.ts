import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clapAtS, soundLate, soundLateWords } from './clap';

const RATE = 48_000;
/** Even noise under a clap that dies away, made sample by sample. */
function clip(
  clapS: number | undefined,
  { seconds = 2, noise = 0.002, size = 0.5, rate = RATE } = {}
) {
  let state = 12_345;
  const random = () => {
    state = (state * 1_103_515_245 + 12_345) % 2 ** 31;
    return state / 2 ** 30 - 1;
  };
  return Float32Array.from({ length: Math.round(seconds * rate) }, (_, index) => {
    const after = index / rate - (clapS ?? Infinity);
    return noise * random() + (after >= 0 ? size * random() * Math.exp(-after / 0.05) : 0);
  });
}

describe('a clap', () => {
  it('is found to two thousandths wherever it is, loud or not, at any rate', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.15, max: 1.7, noNaN: true }),
        fc.constantFrom(8000, 44_100, 48_000, 96_000),
        fc.constantFrom(0.05, 0.5, 1),
        (index, rate, size) => {
          expect(Math.abs(clapAtS(clip(index, { rate, size }), rate)! - index)).toBeLessThan(0.002);
        }
      ),
      { numRuns: 60 }
    );
  });

  it('is the loudest of several, and none in silence, in noise or in a tone that swells', () => {
    const two = clip(0.4, { size: 0.2 });
    const loud = clip(1.2, { size: 0.8 });
    expect(
      clapAtS(
        two.map((sample, index) => sample + loud[index]!),
        RATE
      )
    ).toBeCloseTo(1.2, 2);
    expect(clapAtS(new Float32Array(RATE), RATE)).toBeUndefined();
    expect(clapAtS(clip(undefined), RATE)).toBeUndefined();
    const swells = Float32Array.from(
      { length: 2 * RATE },
      (_, index) => (index / (2 * RATE)) * Math.sin((2 * Math.PI * 440 * index) / RATE)
    );
    expect(clapAtS(swells.subarray(RATE / 10), RATE)).toBeUndefined();
    expect(clapAtS(new Float32Array(0), RATE)).toBeUndefined();
  });
});

describe('sound against picture', () => {
  it('is late by what lies between the middle of the frame and the clap', () => {
    // Touched in the frame from 1.00 to 1.04 s, heard at 1.14: 120 ms, three frames of 40.
    expect(soundLate(1.14, 1, 25)).toEqual({
      lateMs: expect.closeTo(120, 9) as number,
      frames: expect.closeTo(3, 9) as number,
      withinMs: 20
    });
    expect(soundLateWords(soundLate(1.14, 1, 25))).toBe(
      'The sound is late by 120 ms, 3.0 frames: move it forward by as much.'
    );
    expect(soundLateWords(soundLate(0.92, 1, 25))).toBe(
      'The sound is early by 100 ms, 2.5 frames: move it back by as much.'
    );
    expect(soundLateWords(soundLate(1.03, 1, 25))).toBe(
      'Sound and picture are together, as near as frames show it.'
    );
  });
});
