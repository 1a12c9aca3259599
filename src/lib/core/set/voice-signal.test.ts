import { describe, expect, it } from 'vitest';
import { voiceLike } from './voice-signal';

const RATE = 16_000;
const dB = (power: number) => 10 * Math.log10(power);
const power = (signal: Float32Array, from = 0, to = signal.length) => {
  let sum = 0;
  for (let index = from; index < to; index++) sum += signal[index]! ** 2;
  return sum / (to - from);
};
const dry = { directToReverberantDb: undefined, reverberationS: undefined };

/** The pause of the voice: sin(2π·0.45·t) is below −0.7 from about 1.39 to 2.06 s. */
const PAUSE = [1.5 * RATE, 2 * RATE] as const;

describe('a voice-like sound', () => {
  it('is the same each time, and never loud', () => {
    const hearing = { speechToNoiseDb: 20, ...dry };
    const signal = voiceLike(RATE, 3, hearing);
    expect(voiceLike(RATE, 3, hearing)).toEqual(signal);
    expect(Math.max(...signal.map(Math.abs))).toBeCloseTo(0.25, 6);
  });

  it.each([5, 20, 35])('stands %i dB over the noise that is left in its pauses', (wanted) => {
    const signal = voiceLike(RATE, 8, { speechToNoiseDb: wanted, ...dry });
    const noise = power(signal, ...PAUSE);
    expect(dB((power(signal) - noise) / noise)).toBeCloseTo(wanted, -0.3);
    expect(Math.abs(dB((power(signal) - noise) / noise) - wanted)).toBeLessThan(1);
  });

  it('fills its pauses with the room, the more the longer and the nearer the room is', () => {
    const inPause = (directToReverberantDb: number, reverberationS: number) => {
      const signal = voiceLike(RATE, 3, {
        speechToNoiseDb: 60,
        directToReverberantDb,
        reverberationS
      });
      return dB(power(signal, PAUSE[0], PAUSE[0] + 0.1 * RATE) / power(signal));
    };
    expect(inPause(0, 0.9)).toBeGreaterThan(inPause(0, 0.3) + 10);
    expect(inPause(0, 0.9)).toBeGreaterThan(inPause(15, 0.9) + 8);
  });
});
