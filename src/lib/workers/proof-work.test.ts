import { describe, expect, it } from 'vitest';
import { measureSound } from '../core/proof/measure-sound';
import { wavOf } from '../core/proof/wav';
import { simulatedSound } from '../core/takes/simulated-sound';
import { makeProofWork } from './proof-work';

const recipe = { seconds: 20, sampleRate: 48_000, seed: 2, speechToNoiseDb: 30, gainDb: 0 };
const sound = simulatedSound(recipe);
const file = (samples = sound) => new Blob([wavOf([samples], 48_000, 32)]);

describe('measuring in the worker', () => {
  it('reads a file a stretch at a time and comes to the same as all of it at once', async () => {
    const told: number[] = [];
    const { measures } = await makeProofWork().measureWav(file(), (share) => told.push(share));
    expect(measures).toEqual(measureSound([sound], 48_000));
    expect(told.length).toBeGreaterThan(2);
    expect(told.at(-1)).toBe(1);
    expect([...told].sort((a, b) => a - b)).toEqual(told);
  });

  it('refuses with a sentence, and ends when it is stopped or asked again', async () => {
    const work = makeProofWork();
    const { refused } = await work.measureWav(new Blob(['no sound at all']), () => undefined);
    expect(refused).toMatch(/not a WAV file/);
    const first = work.measureWav(file(), () => work.stop());
    expect(await first).toEqual({});
    const older = work.measureWav(file(), () => undefined);
    const newer = work.measureWav(file(), () => undefined);
    expect(await older).toEqual({});
    expect((await newer).measures).toBeDefined();
  });

  it('lays a recording on another of a different rate', async () => {
    const later = sound.subarray(48_000 * 2);
    const half = Float32Array.from(
      { length: Math.floor(later.length / 2) },
      (_, index) => later[2 * index]!
    );
    const found = await makeProofWork().align(file(), {
      channels: [half],
      sampleRate: 24_000
    });
    // Two seconds are missing at its start: all of it comes two seconds earlier.
    expect(found!.offsetS).toBeCloseTo(-2, 2);
  });

  it('makes a take that is a WAV file of 24 bits', async () => {
    const made = await makeProofWork().simulateSound(recipe);
    const { measures } = await makeProofWork().measureWav(made, () => undefined);
    expect(measures!.seconds).toBeCloseTo(20, 6);
    expect(Math.abs(measures!.speechToNoiseDb! - 30)).toBeLessThan(2);
  });
});
