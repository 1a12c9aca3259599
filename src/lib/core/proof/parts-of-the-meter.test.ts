import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AWeighting } from './a-weighting';
import { BandMeter, BANDS_HZ } from './bands';
import { DECAY_STEP_S, decayOf } from './decay';
import { decibels, gatedLevels, loudest, quietest, SILENCE_DB } from './gating';
import { HumMeter } from './hum';
import { TruePeak } from './true-peak';

const RATE = 48_000;
const sine = (hz: number, size: number, frames: number, rate = RATE) =>
  Float64Array.from(
    { length: frames },
    (_, index) => size * Math.sin((2 * Math.PI * hz * index) / rate)
  );

describe('the A curve', () => {
  it('comes out the same in pieces as at once', () => {
    const samples = sine(700, 0.5, 10_000);
    const whole = new Float64Array(samples.length);
    new AWeighting(RATE).run(samples, samples.length, whole);
    const filter = new AWeighting(RATE);
    const pieces: number[] = [];
    for (let index = 0; index < samples.length; index += 777) {
      const piece = samples.subarray(index, index + 777);
      const out = new Float64Array(piece.length);
      filter.run(piece, piece.length, out);
      pieces.push(...out);
    }
    expect(pieces).toEqual([...whole]);
  });

  it.each([16_000, 44_100, 48_000, 96_000])('leaves 1 kHz alone at %s samples a second', (rate) => {
    const samples = sine(1000, 1, rate, rate);
    const out = new Float64Array(samples.length);
    new AWeighting(rate).run(samples, samples.length, out);
    // Once it has settled.
    const late = out.subarray(out.length / 2);
    const meanSquare = late.reduce((sum, value) => sum + value * value, 0) / late.length;
    expect(10 * Math.log10(meanSquare)).toBeCloseTo(-3.01, 1);
  });

  it('lets nothing through that stands still', () => {
    const out = new Float64Array(RATE);
    new AWeighting(RATE).run(new Float64Array(RATE).fill(0.5), RATE, out);
    expect(Math.abs(out.at(-1)!)).toBeLessThan(1e-6);
  });
});

describe('the true peak', () => {
  it('is never below the highest sample, and the same however the take is cut', () => {
    fc.assert(
      fc.property(
        fc.array(fc.float({ min: -1, max: 1, noNaN: true }), { minLength: 1, maxLength: 400 }),
        fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 8 }),
        (values, cuts) => {
          const samples = Float32Array.from(values);
          const whole = new TruePeak();
          whole.push(samples);
          const pieces = new TruePeak();
          for (let index = 0, turn = 0; index < samples.length; turn++) {
            const length = cuts[turn % cuts.length]!;
            pieces.push(samples.subarray(index, index + length));
            index += length;
          }
          const highest = Math.max(...samples.map(Math.abs));
          expect(whole.peak).toBeGreaterThanOrEqual(highest - 1e-7);
          expect(pieces.peak).toBeCloseTo(whole.peak, 6);
        }
      ),
      { numRuns: 200 }
    );
  });

  it.each([0.1, 0.3, 0.5, 0.7, 0.9])(
    'of a tone whose top falls %s of the way between samples is its own',
    (off) => {
      // A sixth of the rate: three samples up, three down.
      const peak = new TruePeak();
      peak.push(
        Float32Array.from(
          { length: 600 },
          (_, index) => 0.8 * Math.sin((2 * Math.PI * (index + off)) / 6)
        )
      );
      expect(Math.abs(20 * Math.log10(peak.peak / 0.8))).toBeLessThan(0.35);
    }
  );
});

describe('thirds of an octave', () => {
  it.each([100, 400, 1000, 4000, 10_000])(
    'a tone of %s Hz lies in its own band, at its level',
    (hz) => {
      const meter = new BandMeter(RATE);
      const samples = sine(hz, 0.5, RATE * 2);
      meter.push(samples, samples.length);
      const { hz: bands, voiceDb } = meter.result();
      const own = bands.indexOf(hz as (typeof BANDS_HZ)[number]);
      expect(voiceDb[own]).toBe(Math.max(...voiceDb));
      // A² ÷ 2.
      expect(voiceDb[own]).toBeCloseTo(10 * Math.log10(0.125), 0);
      for (const [index, level] of voiceDb.entries())
        if (Math.abs(index - own) > 2) expect(level).toBeLessThan(voiceDb[own]! - 30);
    }
  );

  it('stop where the rate stops', () => {
    expect(new BandMeter(16_000).result().hz.at(-1)).toBe(6300);
    expect(new BandMeter(RATE).result().hz.at(-1)).toBe(16_000);
  });
});

describe('moments told apart', () => {
  it('have a floor and a top that are theirs', () => {
    const powers = [...Array<number>(60).fill(1e-6), ...Array<number>(40).fill(1e-3)];
    const { floorDb, speechDb, speechToNoiseDb } = gatedLevels(powers);
    expect(floorDb).toBeCloseTo(-60, 6);
    expect(speechDb).toBeCloseTo(-30, 6);
    // The voice alone: a thousand less one of a million.
    expect(speechToNoiseDb).toBeCloseTo(10 * Math.log10(999), 6);
  });

  it('that do not differ have no voice', () => {
    expect(gatedLevels(Array<number>(50).fill(1e-4)).speechDb).toBeUndefined();
    expect(gatedLevels([]).floorDb).toBe(SILENCE_DB);
  });

  it('are not changed by their order, and shift with their level', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1e-9, max: 1, noNaN: true }), { minLength: 5, maxLength: 80 }),
        fc.double({ min: 0.01, max: 100, noNaN: true }),
        (powers, times) => {
          const plain = gatedLevels(powers);
          expect(gatedLevels([...powers].reverse())).toEqual(plain);
          const louder = gatedLevels(powers.map((power) => power * times));
          expect(louder.floorDb).toBeCloseTo(plain.floorDb + 10 * Math.log10(times), 6);
          if (plain.speechToNoiseDb !== undefined)
            expect(louder.speechToNoiseDb!).toBeCloseTo(plain.speechToNoiseDb, 6);
        }
      ),
      { numRuns: 200 }
    );
  });

  it('are shared into a quiet quarter and a loud third', () => {
    const stretches = [5, 1, 9, 3, 7, 2, 8, 4];
    expect(quietest(stretches, (stretch) => stretch)).toEqual([1, 2]);
    expect(loudest(stretches, (stretch) => stretch)).toEqual([9, 8, 7]);
    expect(decibels(0)).toBe(SILENCE_DB);
    expect(decibels(0.5)).toBeCloseTo(-3.01, 2);
  });
});

describe('hum by itself', () => {
  const humOf = (samples: Float64Array, rate = RATE) => {
    const meter = new HumMeter(rate);
    meter.push(samples, samples.length);
    return meter.result();
  };

  it.each([44_100, 48_000, 96_000])('is found at %s samples a second', (rate) => {
    const hum = humOf(sine(50, 0.01, rate * 6, rate), rate)!;
    expect(hum.hz).toBe(50);
    expect(hum.levelDb).toBeCloseTo(10 * Math.log10(0.01 ** 2 / 2), 0);
  });

  it('is none in a take too short to tell, and none of another pitch', () => {
    expect(humOf(sine(50, 0.1, RATE / 2))).toBeUndefined();
    expect(humOf(sine(77, 0.1, RATE * 6))).toBeUndefined();
  });
});

describe('a clap over noise', () => {
  const fall = (seconds: number, noise: number, again = Infinity) =>
    Array.from({ length: 500 }, (_, index) =>
      index < 100
        ? noise
        : noise + 10 ** ((-6 * (index - 100) * DECAY_STEP_S) / seconds) + (index >= again ? 0.2 : 0)
    );

  it('is timed while it stands far enough out, and left alone where it does not', () => {
    expect(decayOf(fall(0.4, 1e-6))!.reverberationS).toBeCloseTo(0.4, 1);
    // 30 dB over: the noise hides the end of the fall.
    expect(decayOf(fall(0.4, 1e-3))).toBeUndefined();
  });

  it('ends where somebody speaks again', () => {
    // A quarter of a second after the clap.
    expect(decayOf(fall(0.3, 1e-7, 190))!.reverberationS).toBeCloseTo(0.3, 1);
  });
});
