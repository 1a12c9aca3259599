import { describe, expect, it } from 'vitest';
import { demos } from '../../catalogue/demos';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { applyAct } from '../acts/apply-act';
import type { SolvedExposure } from '../exposure/solved-exposure';
import { figureOf } from '../figures/record';
import { calmKit, judged } from '../judge/tests/calm-kit';
import type { MicrophoneGear } from '../model/gear/microphone';
import { measurePicture } from '../proof/measure-picture';
import { measureSound } from '../proof/measure-sound';
import { luxFrom, pictureVerdict } from './picture-verdict';
import { soundRecipeOf, stillRecipeOf } from './recipes';
import { simulatedFace, SIMULATED_GREY, simulatedStill, type StillRecipe } from './simulated-still';
import { simulatedSound } from './simulated-sound';
import { differenceWords, ownNoiseFrom, soundVerdict } from './sound-verdict';

const angleOf = (sceneId: string, project = demoProject()) =>
  judged(project).angles.find(({ scene }) => scene.id === sceneId)!;
const still = (recipe: StillRecipe) =>
  measurePicture(simulatedStill(recipe), recipe.width, recipe.height, {
    face: simulatedFace(recipe),
    grey: SIMULATED_GREY
  });

describe('light from a grey card', () => {
  const exposed = (lx: number, offStops: number) =>
    ({ plan: { lx, offStops } }) as unknown as SolvedExposure;

  it('is as far from the planned light as the card is from where that would put it', () => {
    // A card of 18 % that is written as 36 % has twice the light.
    expect(luxFrom(0.36, exposed(400, 0))).toBeCloseTo(800, 6);
    // Planned a stop under, it would be at 9 %: at 18 % there is twice the light.
    expect(luxFrom(0.18, exposed(400, -1))).toBeCloseTo(800, 6);
    expect(luxFrom(0.18, exposed(400, 1))).toBeCloseTo(200, 6);
    // White and black say no more.
    expect(luxFrom(0.95, exposed(400, 0))).toBeUndefined();
    expect(luxFrom(0, exposed(400, 0))).toBeUndefined();
    expect(luxFrom(0.18, exposed(0, 0))).toBeUndefined();
  });

  it('of a still the kit would make is as told, in every scene of every demo', async () => {
    let looked = 0;
    for (const { project } of demos)
      for (const { record, scene } of judged(await project()).angles) {
        const recipe = stillRecipeOf(record, scene, 1);
        if (!recipe || Math.abs(recipe.underStops) > 2) continue;
        const { rows, takeOver } = pictureVerdict(still(recipe), { scene, record });
        const light = rows.find(({ name }) => name === 'light on the grey card')!;
        expect(light.word, scene.name).toBe('as told');
        expect(light.gap).toBeUndefined();
        expect(takeOver).toEqual([]);
        looked += 1;
      }
    expect(looked).toBeGreaterThan(3);
  });

  it('takes the place of a guess out of doors, and the judge follows', () => {
    const project = demoProject();
    const { record, scene } = angleOf('marsh-path', project);
    const recipe = stillRecipeOf(record, scene, 1)!;
    const { rows, takeOver } = pictureVerdict(
      still({ ...recipe, underStops: recipe.underStops + 1 }),
      { scene, record }
    );
    const light = rows.find(({ name }) => name === 'light on the grey card')!;
    expect(light.gap).toBe('1 stop less than told');
    expect(light.value! / record.exposures.dim!.plan.lx).toBeCloseTo(0.5, 1);
    expect(rows[0]!.gap).toMatch(/darker than told$/);
    expect(rows[0]!.explains).toMatch(/^less light falls on it/);
    const after = applyAct(project, takeOver[0]!.act!);
    const now = after.scenes.find(({ id }) => id === scene.id)!;
    expect(now.lightDimLx / scene.lightDimLx).toBeCloseTo(0.5, 1);
    expect(now.lightBrightLx).toBe(scene.lightBrightLx);
    expect(angleOf('marsh-path', after).record.exposures.dim!.plan.lx).toBeCloseTo(
      now.lightDimLx,
      6
    );
  });

  it('of lamps says what is there and takes no guess’s place: the place is not what lights it', () => {
    const project = calmKit();
    const { record, scene } = judged(project).angles[0]!;
    const recipe = stillRecipeOf(record, scene, 1)!;
    const exposure = record.exposures.dim!;
    expect(exposure.plan.lampShare * exposure.task.lampsLx).toBeGreaterThan(exposure.plan.lx / 2);
    const verdict = pictureVerdict(still({ ...recipe, underStops: recipe.underStops - 0.8 }), {
      scene,
      record
    });
    expect(verdict.rows.at(-1)!.gap).toMatch(/more than told$/);
    expect(verdict.takeOver).toEqual([]);
  });

  it('is not told of a take that was measured before there was such a figure', () => {
    const { record, scene } = angleOf('marsh-path');
    const measures = still(stillRecipeOf(record, scene, 1)!);
    const old = { ...measures, patch: { kelvin: 6500, castMired: 0 } };
    expect(pictureVerdict(old, { scene, record }).rows.map(({ name }) => name)).not.toContain(
      'light on the grey card'
    );
  });

  it('a cast is beside none, for the kit tells a balance that is set', () => {
    const { record, scene } = angleOf('loom-lesson');
    const recipe = stillRecipeOf(record, scene, 1)!;
    const cast = (more: Partial<StillRecipe>) =>
      pictureVerdict(still({ ...recipe, ...more }), { scene, record }).rows.find(
        ({ name }) => name === 'colour cast'
      )!;
    expect(cast({}).gap).toBeUndefined();
    expect(cast({ lightK: 3200, balanceK: 5600 }).gap).toMatch(/^\d+ mired warmer than told$/);
  });
});

describe('a simulated still', () => {
  it('frames as the lens does: a face is as large as the picture is small', () => {
    const { record, scene } = angleOf('loom-lesson');
    const recipe = stillRecipeOf(record, scene, 1)!;
    expect(recipe.pictureHeightM).toBe(figureOf(record, 'pictureHeight'));
    expect(recipe.width / recipe.height).toBeCloseTo(16 / 9, 1);
    const face = simulatedFace(recipe)!;
    // 0.23 m of a face, of which the box takes three quarters.
    expect(face.bottom - face.top).toBeCloseTo((0.75 * 0.23) / recipe.pictureHeightM, 6);
    const far = simulatedFace({ ...recipe, pictureWidthM: 9.8, pictureHeightM: 5.5 })!;
    expect((far.bottom - far.top) * 5.5).toBeCloseTo(
      (face.bottom - face.top) * recipe.pictureHeightM,
      6
    );
  });

  it('of hands or of the land has no face, and upright it stands upright', () => {
    const { record, scene } = angleOf('shuttle-hands');
    expect(simulatedFace(stillRecipeOf(record, scene, 1)!)).toBeUndefined();
    const project = demoProject();
    project.scenes.find(({ id }) => id === 'loom-lesson')!.orientation = 'upright turned';
    const upright = angleOf('loom-lesson', project);
    const recipe = stillRecipeOf(upright.record, upright.scene, 1)!;
    expect(recipe.height).toBe(640);
    expect(recipe.width).toBeLessThan(640);
  });

  it('blurs the edges of the background by as much as the judge says', () => {
    const { record, scene } = angleOf('loom-lesson');
    const recipe = { ...stillRecipeOf(record, scene, 1)!, noise: 0 };
    /** A row of points across the edge of the shelf, high up. */
    const rowOf = (blurPercent: number) => {
      const rgba = simulatedStill({ ...recipe, blurPercent });
      return Array.from({ length: 300 }, (_, x) => rgba[(10 * recipe.width + x) * 4]!);
    };
    const sharp = rowOf(0);
    const changed = rowOf(5).filter((red, x) => Math.abs(red - sharp[x]!) > 2).length;
    // Five per cent of 640 points are 32.
    expect(changed).toBeGreaterThan(24);
    expect(changed).toBeLessThanOrEqual(32);
    expect(stillRecipeOf(record, scene, 1)!.blurPercent).toBe(figureOf(record, 'backgroundBlur'));
  });
});

describe('the noise of the microphone itself', () => {
  const { record } = angleOf('loom-lesson');
  const voice = figureOf(record, 'voiceAtMic')!;
  const place = figureOf(record, 'roomNoiseHeard')!;

  it('is at most all noise there is, where its sheet says more', () => {
    expect(ownNoiseFrom(voice - 12, record, { selfNoiseDbA: 18 })).toBe(12);
    expect(ownNoiseFrom(voice - 17.5, record, { selfNoiseDbA: 18 })).toBeUndefined();
    expect(ownNoiseFrom(voice - 30, record, { selfNoiseDbA: 18 })).toBeUndefined();
  });

  it('is what the place leaves of it, where its sheet says nothing', () => {
    // Twice the power of the place: the other half is the microphone’s.
    const all = place + 10 * Math.log10(2);
    expect(ownNoiseFrom(voice - all, record, {})).toBe(Math.round(place));
    // A place that is nearly all of it leaves nothing sure.
    expect(ownNoiseFrom(voice - place - 0.5, record, {})).toBeUndefined();
    expect(ownNoiseFrom(voice - 90, record, {})).toBeUndefined();
  });

  it('is written on the part, and undone with it', () => {
    const project = demoProject();
    const { scene, rig } = angleOf('loom-lesson', project);
    const mic = rig.mic!.gear as MicrophoneGear;
    const own = { ...mic, selfNoiseDbA: 40 };
    const measures = measureSound(
      [
        simulatedSound({
          seconds: 12,
          sampleRate: 48_000,
          seed: 2,
          speechToNoiseDb: voice - 25,
          gainDb: 0
        })
      ],
      48_000
    );
    const { takeOver } = soundVerdict(measures, { scene, record, mic: own });
    const take = takeOver.find(({ does }) => does.includes('itself'))!;
    expect(take.does).toContain(mic.model);
    expect(take.brings).toContain('its sheet says 40');
    const after = applyAct(project, take.act!);
    const kept = after.ownGear?.find(({ id }) => id === mic.id) as MicrophoneGear;
    expect(Math.abs(kept.selfNoiseDbA! - 25)).toBeLessThanOrEqual(2);
  });
});

describe('a gap', () => {
  const { record, scene } = angleOf('loom-lesson');
  const told = figureOf(record, 'speechToNoise')!;
  const gapOf = (speechToNoiseDb: number, more = {}) =>
    soundVerdict(
      measureSound(
        [
          simulatedSound({
            seconds: 12,
            sampleRate: 48_000,
            seed: 2,
            speechToNoiseDb,
            gainDb: 0,
            ...more
          })
        ],
        48_000
      ),
      { scene, record }
    ).rows[0]!.explains;

  it('is explained by what the take itself shows', () => {
    expect(gapOf(told)).toBeUndefined();
    expect(gapOf(told - 8)).toMatch(/^the place is louder than stated/);
    expect(gapOf(told + 8)).toMatch(/^the place is quieter/);
    expect(gapOf(told - 8, { hum: { hz: 50, levelDb: -40 } })).toMatch(/^hum is in it/);
    expect(gapOf(told - 8, { windShare: 0.97 })).toMatch(/^rumble or wind/);
  });
});

describe('a voice that is lost in wind', () => {
  it('is poor, and nothing is said against what was told of it', () => {
    const project = demoProject();
    const { record, scene } = angleOf('marsh-path', project);
    expect(figureOf(record, 'speechToNoise')).toBeLessThan(0);
    const recipe = soundRecipeOf(record, 50, 12, 1)!;
    const { rows, word } = soundVerdict(measureSound([simulatedSound(recipe)], recipe.sampleRate), {
      scene,
      record
    });
    expect(word).toMatch(/poor|no voice found/);
    expect(rows[0]!.gap).toBeUndefined();
    // Its peaks are the wind’s, and no gain is blamed.
    expect(rows[1]!.explains).toMatch(/^the noise is as loud as the voice/);
  });
});

describe('wind in a simulated take', () => {
  it('is there where the judge counts it, and rumbles', () => {
    const project = demoProject();
    const walk = project.scenes.find(({ id }) => id === 'marsh-path')!;
    walk.windMps = 9;
    const { record } = angleOf('marsh-path', project);
    const recipe = soundRecipeOf(record, 50, 12, 1)!;
    expect(recipe.windShare).toBeGreaterThan(0.5);
    const rumble = (windShare: number) =>
      measureSound(
        [simulatedSound({ ...recipe, speechToNoiseDb: 25, windShare })],
        recipe.sampleRate
      ).rumbleDb!;
    expect(rumble(0.9)).toBeGreaterThan(rumble(0) + 10);
    // Indoors there is none.
    expect(soundRecipeOf(angleOf('loom-lesson').record, 50, 12, 1)!.windShare).toBeUndefined();
  });

  it('leaves the voice as far over all noise as told', () => {
    const recipe = {
      seconds: 14,
      sampleRate: 48_000,
      seed: 5,
      speechToNoiseDb: 25,
      gainDb: 0,
      windShare: 0.8
    };
    expect(
      Math.abs(measureSound([simulatedSound(recipe)], 48_000).speechToNoiseDb! - 25)
    ).toBeLessThan(3);
  });
});

describe('three takes', () => {
  it('are each told against the first, by their names', () => {
    const measured = (speechToNoiseDb: number, seed = 1) =>
      measureSound(
        [simulatedSound({ seconds: 8, sampleRate: 48_000, seed, speechToNoiseDb, gainDb: 0 })],
        48_000
      );
    expect(differenceWords(measured(25), measured(36), 'third')[0]).toMatch(
      /^The third is \d+ dB cleaner\.$/
    );
    expect(differenceWords(measured(30), measured(30, 7), 'third')).toEqual([
      'The third is not cleaner than the first.'
    ]);
  });
});
