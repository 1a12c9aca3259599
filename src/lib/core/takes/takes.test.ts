import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { applyAct } from '../acts/apply-act';
import { figureOf } from '../figures/record';
import { judged } from '../judge/tests/calm-kit';
import { measurePicture } from '../proof/measure-picture';
import { measureSound } from '../proof/measure-sound';
import { pictureVerdict } from './picture-verdict';
import { soundRecipeOf, stillRecipeOf } from './recipes';
import { simulatedFace, SIMULATED_GREY, simulatedStill } from './simulated-still';
import { simulatedSound, type SoundRecipe } from './simulated-sound';
import { differenceWords, soundVerdict } from './sound-verdict';

const lesson = () => judged(demoProject()).angles.find(({ scene }) => scene.id === 'loom-lesson')!;
const recipe = (more: Partial<SoundRecipe> = {}): SoundRecipe => ({
  seconds: 12,
  sampleRate: 48_000,
  seed: 3,
  speechToNoiseDb: 30,
  gainDb: 0,
  ...more
});
const measured = (more: Partial<SoundRecipe> = {}) =>
  measureSound([simulatedSound(recipe(more))], 48_000);
const row = (measures: ReturnType<typeof measured>, name: string) =>
  soundVerdict(measures).rows.find((row) => row.name.startsWith(name))!;

describe('a simulated take', () => {
  it.each([18, 30, 40])('of %s dB of voice over noise measures so', (speechToNoiseDb) => {
    expect(Math.abs(measured({ speechToNoiseDb }).speechToNoiseDb! - speechToNoiseDb)).toBeLessThan(
      2
    );
  });

  it('peaks about where they are wanted, hums and rings as it is told', () => {
    const plain = measured();
    expect(plain.voicePeakDb).toBeGreaterThan(-20);
    expect(plain.voicePeakDb).toBeLessThan(-6);
    expect(plain.hum).toBeUndefined();
    const hums = measured({ hum: { hz: 50, levelDb: -48 }, clapS: 0.5, seconds: 14 });
    expect(hums.hum!.hz).toBe(50);
    expect(hums.hum!.levelDb).toBeCloseTo(-48, 0);
    // The hum hides how long the clap rings on, and nothing is made up in its place.
    expect(hums.decay).toBeUndefined();
    const spoilt = measured({ clapS: 0.5, seconds: 14 });
    expect(spoilt.decay!.reverberationS / 0.5).toBeCloseTo(1, 0);
    // Gain is set by the voice: the clap is higher, and counts for nothing.
    expect(spoilt.voicePeakDb).toBeCloseTo(plain.voicePeakDb, 0);
    expect(spoilt.truePeakDb).toBeGreaterThanOrEqual(spoilt.voicePeakDb);
  });

  it('is the same again with the same seed, and clips with too much gain', () => {
    expect(simulatedSound(recipe())).toEqual(simulatedSound(recipe()));
    expect(simulatedSound(recipe({ seed: 4 }))).not.toEqual(simulatedSound(recipe()));
    expect(measured({ gainDb: 20 }).clippedRuns).toBeGreaterThan(0);
  });

  it('of the loom’s kit measures what the judge told', () => {
    const { record, scene } = lesson();
    const made = soundRecipeOf(record, 50, 14, 1)!;
    const measures = measureSound([simulatedSound(made)], made.sampleRate);
    const told = figureOf(record, 'speechToNoise')!;
    expect(Math.abs(measures.speechToNoiseDb! - told)).toBeLessThan(2);
    const verdict = soundVerdict(measures, { scene, record });
    const over = verdict.rows.find(({ name }) => name === 'voice over noise')!;
    expect(over.predicted).toBe(told);
    expect(over.gap).toBeUndefined();
    // Nothing measured differs from what was guessed, so nothing is to take over.
    expect(verdict.takeOver.filter(({ does }) => does.includes('noise'))).toEqual([]);
  });
});

describe('the verdict on a take', () => {
  it('goes by the bands of the methods, and says what to change in the maker’s terms', () => {
    expect(row(measured({ speechToNoiseDb: 40 }), 'voice over noise').word).toBe('clean');
    expect(row(measured({ speechToNoiseDb: 30 }), 'voice over noise').word).toBe('usable');
    expect(row(measured({ speechToNoiseDb: 15 }), 'voice over noise').word).toBe('poor');
    const { record, scene } = lesson();
    const noisy = measured({ speechToNoiseDb: 25, gainDb: 12 });
    const { advice } = soundVerdict(noisy, { scene, record });
    expect(advice[0]!.does).toMatch(/^gain down \d+ dB$/);
    const distance = figureOf(record, 'micDistance')!;
    const nearer = advice.find(({ does }) => does.endsWith('m nearer'))!;
    // 10 dB are wanting: a third of the way, near enough.
    const to = Number(/at ([\d.]+) m/.exec(nearer.brings)![1]);
    expect(to).toBeCloseTo(
      Math.max(0.1, distance * 10 ** (-(35 - noisy.speechToNoiseDb!) / 20)),
      1
    );
  });

  it('hears hum by how far under the voice it lies', () => {
    // The voice lies at −29 dBFS.
    const hum = (levelDb: number) => row(measured({ hum: { hz: 50, levelDb } }), 'hum').word;
    expect([hum(-45), hum(-65), hum(-85)]).toEqual(['heard', 'faint', 'unheard']);
  });

  it('puts a measured noise in the place of a guessed one, and the judge follows', () => {
    const project = demoProject();
    const { record, scene } = lesson();
    const told = figureOf(record, 'speechToNoise')!;
    const worse = measured({ speechToNoiseDb: told - 10, seconds: 14 });
    const { takeOver, rows } = soundVerdict(worse, { scene, record });
    expect(rows[0]!.gap).toMatch(/^\d+\.\d dB less than told$/);
    const noise = takeOver.find(({ does }) => does.includes('noise of the place'))!;
    const after = judged(applyAct(project, noise.act!));
    const now = figureOf(
      after.angles.find((angle) => angle.scene.id === scene.id)!.record,
      'speechToNoise'
    )!;
    expect(Math.abs(now - worse.speechToNoiseDb!)).toBeLessThan(1);
  });

  it('says in a sentence each how two takes differ', () => {
    const words = differenceWords(
      measured({ speechToNoiseDb: 25, hum: { hz: 50, levelDb: -45 } }),
      measured({ speechToNoiseDb: 36, gainDb: 6 })
    );
    expect(words[0]).toMatch(/^The second is \d+ dB cleaner\.$/);
    expect(words).toContain('Hum at 50 Hz in the first.');
    expect(words.some((word) => /^Its peaks are \d dB higher\.$/.test(word))).toBe(true);
    expect(differenceWords(measured(), measured({ seed: 9 }))).toEqual([
      'Neither is cleaner than the other.'
    ]);
  });
});

describe('a still', () => {
  const flat = (red: number, green = red, blue = red) => {
    const rgba = new Uint8ClampedArray(100 * 50 * 4);
    for (let index = 0; index < rgba.length; index += 4) rgba.set([red, green, blue, 255], index);
    return measurePicture(rgba, 100, 50, {
      face: { left: 0, top: 0, right: 0.5, bottom: 1 },
      grey: { left: 0.5, top: 0, right: 1, bottom: 1 }
    });
  };

  it('of one grey is all in one step, without a cast', () => {
    const { histogram, patch, faceLuma, clippedShare } = flat(118);
    expect(histogram[Math.floor((118 / 256) * 64)]).toBe(1);
    expect(faceLuma).toBeCloseTo(118 / 255, 6);
    expect(Math.abs(patch!.castMired)).toBeLessThan(2);
    expect(clippedShare).toBe(0);
    expect(flat(252).clippedShare).toBe(1);
    expect(flat(3).crushedShare).toBe(1);
  });

  it('of warm grey is warm: the colour of a lamp of 3200 K, worked from its place in xy', () => {
    // x 0.4234, y 0.3990 is 3200 K on McCamy’s line; in light of sRGB that is about 1 : 0.53 : 0.18.
    const written = (light: number) => Math.round(255 * (1.055 * light ** (1 / 2.4) - 0.055));
    const { patch } = flat(written(0.8), written(0.42), written(0.145));
    expect(patch!.kelvin).toBeGreaterThan(2900);
    expect(patch!.kelvin).toBeLessThan(3600);
    expect(patch!.castMired).toBeGreaterThan(120);
  });

  it('made from the kit is as the exposure plan says, and one left at daylight has its cast', () => {
    const { record, scene } = lesson();
    const look = (mishaps = {}) => {
      const made = stillRecipeOf(record, scene, 1, mishaps)!;
      return pictureVerdict(
        measurePicture(simulatedStill(made), made.width, made.height, {
          face: simulatedFace(made),
          grey: SIMULATED_GREY
        })
      );
    };
    const named = (verdict: ReturnType<typeof look>, name: string) =>
      verdict.rows.find((row) => row.name === name)!;
    expect(named(look(), 'brightness of the face').word).toBe('as wanted');
    expect(named(look(), 'colour cast').word).toBe('unseen');
    const dark = stillRecipeOf(record, scene, 1)!;
    const two = pictureVerdict(
      measurePicture(simulatedStill({ ...dark, underStops: 2 }), dark.width, dark.height, {
        face: simulatedFace(dark)
      })
    );
    expect(two.advice[0]!.does).toMatch(/stops? more light$/);
    const warm = pictureVerdict(
      measurePicture(
        simulatedStill({ ...dark, lightK: 3200, balanceK: 5600 }),
        dark.width,
        dark.height,
        { grey: SIMULATED_GREY }
      )
    );
    expect(warm.rows.find(({ name }) => name === 'colour cast')!.word).toBe('strong');
  });
});
