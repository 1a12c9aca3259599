import { describe, expect, it } from 'vitest';
import { align } from './align';
import { decayOf } from './decay';
import { measureSound, SoundMeter } from './measure-sound';

const RATE = 48_000;
const sine = (hz: number, size: number, seconds: number, phase = 0, rate = RATE) =>
  Float32Array.from(
    { length: Math.round(seconds * rate) },
    (_, index) => size * Math.sin((2 * Math.PI * hz * index) / rate + phase)
  );
const sum = (...all: Float32Array[]) =>
  Float32Array.from(all[0]!, (_, index) =>
    all.reduce((total, channel) => total + channel[index]!, 0)
  );
/** Noise from the far digits of a sine: nothing the analyser uses, and it never comes round again. */
function noise(size: number, seconds: number, seed: number): Float32Array {
  return Float32Array.from({ length: Math.round(seconds * RATE) }, (_, index) => {
    const far = Math.sin((index + 1) * (12.9898 + seed * 0.01371)) * 43_758.5453;
    return size * (2 * (far - Math.floor(far)) - 1);
  });
}
/** Two seconds on, one off. */
const phrases = (samples: Float32Array) =>
  samples.map((sample, index) => (index % (3 * RATE) < 2 * RATE ? sample : 0));

describe('levels', () => {
  it('of a full sine are −3.01 dBFS, its peak nothing', () => {
    const { rmsDb, samplePeakDb, rmsADb, clippedRuns } = measureSound(
      [sine(1000, 0.9999, 2)],
      RATE
    );
    expect(rmsDb).toBeCloseTo(-3.01, 2);
    expect(samplePeakDb).toBeCloseTo(0, 2);
    // At 1 kHz the ear's curve changes nothing.
    expect(rmsADb).toBeCloseTo(-3.01, 1);
    expect(clippedRuns).toBe(0);
  });

  it.each([
    // The A curve as its standard prints it.
    [100, -19.1],
    [250, -8.6],
    [500, -3.2],
    [2000, 1.2],
    [4000, 1.0],
    [8000, -1.1]
  ])('weigh %s Hz by %s dB', (hz, by) => {
    const { rmsDb, rmsADb } = measureSound([sine(hz, 0.5, 2)], RATE);
    expect(Math.abs(rmsADb - rmsDb - by)).toBeLessThan(hz < 6000 ? 0.3 : 1);
  });

  it('find the peak between two samples', () => {
    // A quarter of the rate, an eighth of a turn off: every sample stands at 0.707 of the peak.
    const { samplePeakDb, truePeakDb } = measureSound([sine(RATE / 4, 0.5, 1, Math.PI / 4)], RATE);
    expect(samplePeakDb).toBeCloseTo(-9.03, 1);
    expect(Math.abs(truePeakDb + 6.02)).toBeLessThan(0.3);
  });

  it('count where it is clipped: three in a row at least, in any channel', () => {
    const channel = sine(100, 0.5, 0.5);
    channel.set([1, 1, 1, 1], 100);
    channel.set([-1, -1], 2000);
    channel.set([-1, -1, -1], 4000);
    expect(measureSound([channel, sine(100, 0.5, 0.5)], RATE).clippedRuns).toBe(2);
  });

  it('tell voice from noise by their own moments', () => {
    // A tone of 1 kHz at 0.2, −16.99 dBFS, over noise: white, so its A level is its own less about 2 dB.
    const take = sum(phrases(sine(1000, 0.2, 12)), noise(0.002, 12, 5));
    const { speechDb, floorDb, speechToNoiseDb } = measureSound([take], RATE);
    expect(speechDb).toBeCloseTo(-16.99, 0);
    const silence = measureSound([noise(0.002, 12, 5)], RATE);
    expect(floorDb).toBeCloseTo(silence.rmsADb, 0);
    expect(Math.abs(speechToNoiseDb! - (-16.99 - silence.rmsADb))).toBeLessThan(0.7);
    // What never stops has no floor to be told from.
    expect(silence.speechToNoiseDb).toBeUndefined();
  });

  it('come out the same however the take is cut up', () => {
    const take = sum(phrases(sine(400, 0.2, 8)), noise(0.01, 8, 9));
    const meter = new SoundMeter(RATE, 1);
    for (let index = 0; index < take.length; index += 7001)
      meter.push([take.subarray(index, index + 7001)]);
    expect(meter.result()).toEqual(measureSound([take], RATE));
  });

  it('of silence and of nothing are numbers all the same', () => {
    for (const samples of [new Float32Array(RATE), new Float32Array(0), new Float32Array(5)]) {
      const measures = measureSound([samples], RATE);
      expect(JSON.stringify(measures)).not.toMatch(/null|NaN/);
      expect(measures.rmsDb).toBe(-140);
    }
  });
});

describe('hum', () => {
  const voice = sum(phrases(sine(330, 0.2, 12)), noise(0.0005, 12, 3));
  it.each([
    [50, 0.004],
    [60, 0.02]
  ])('of %s Hz is found at its level', (hz, size) => {
    const found = measureSound(
      [sum(voice, sine(hz, size, 12), sine(2 * hz, size / 2, 12))],
      RATE
    ).hum;
    expect(found!.hz).toBe(hz);
    // A² ÷ 2 of both harmonics.
    expect(found!.levelDb).toBeCloseTo(10 * Math.log10((size ** 2 + (size / 2) ** 2) / 2), 0);
  });

  it('is not found where nothing hums', () => {
    expect(measureSound([voice], RATE).hum).toBeUndefined();
  });
});

describe('a clap', () => {
  it.each([0.2, 0.5, 1.1])('that takes %s s to fall by 60 dB is timed', (seconds) => {
    // By energy: 10^(−6·t/T) in steps of 5 ms, over a floor.
    const powers = Array.from({ length: 500 }, (_, index) =>
      index < 100 ? 1e-9 : 1e-9 + 10 ** ((-6 * (index - 100) * 0.005) / seconds)
    );
    const found = decayOf(powers)!;
    expect(found.atS).toBeCloseTo(0.5, 3);
    expect(found.reverberationS / seconds).toBeCloseTo(1, 1);
  });

  it('that is none is not taken for one', () => {
    expect(decayOf(Array.from({ length: 500 }, () => 1e-4))).toBeUndefined();
    expect(decayOf([])).toBeUndefined();
  });
});

describe('two recordings', () => {
  const shared = noise(0.3, 40, 77);
  const from = (startS: number, seconds: number, ppm = 0) => {
    // Read at another speed, between samples along a line.
    const rate = 1 / (1 + ppm / 1e6);
    return Float32Array.from({ length: Math.round(seconds * RATE) }, (_, index) => {
      const place = startS * RATE + index * rate;
      const low = Math.floor(place);
      const share = place - low;
      return (shared[low] ?? 0) * (1 - share) + (shared[low + 1] ?? 0) * share;
    });
  };

  it('are found to lie apart by what they were moved', () => {
    // The second begins 1.7 s later in the same sound, so all of it comes so much earlier there.
    expect(align(from(0, 10), from(1.7, 8), RATE)!.offsetS).toBeCloseTo(-1.7, 3);
    expect(align(from(3, 10), from(0.25, 12), RATE)!.offsetS).toBeCloseTo(2.75, 3);
  });

  it('of clocks that differ say by how much', () => {
    const found = align(from(0, 36), from(0, 36, 40), RATE)!;
    expect(found.driftPpm!).toBeGreaterThan(30);
    expect(found.driftPpm!).toBeLessThan(50);
    const slow = align(from(0, 36), from(0, 36, -80), RATE)!;
    expect(slow.driftPpm!).toBeGreaterThan(-92);
    expect(slow.driftPpm!).toBeLessThan(-68);
    // Too short to tell.
    expect(align(from(0, 8), from(0, 8, 40), RATE)!.driftPpm).toBeUndefined();
  });

  it('of different sounds have nothing in common, and say so', () => {
    expect(align(noise(0.3, 8, 5), noise(0.3, 8, 1234), RATE)).toBeUndefined();
    expect(align(new Float32Array(RATE), from(0, 2), RATE)).toBeUndefined();
  });
});
