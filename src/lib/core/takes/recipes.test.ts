import { describe, expect, it } from 'vitest';
import { demos } from '../../catalogue/demos';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { figureOf } from '../figures/record';
import { calmKit, judged } from '../judge/tests/calm-kit';
import { anyProject, Chances } from '../judge/tests/random-kits';
import { measurePicture } from '../proof/measure-picture';
import { pictureVerdict } from './picture-verdict';
import { soundRecipeOf, stillRecipeOf } from './recipes';
import { simulatedFace, SIMULATED_GREY, simulatedStill } from './simulated-still';
import { simulatedSound } from './simulated-sound';
import { roomNoiseFrom, soundVerdict } from './sound-verdict';
import { measureSound } from '../proof/measure-sound';

describe('a recipe', () => {
  it('is there for every scene of every demo, or says by its absence that the judge does not know', async () => {
    for (const { project } of demos) {
      const made = await project();
      for (const { record, scene, rig } of judged(made).angles) {
        const recipe = soundRecipeOf(record, made.mainsHz, 6, 1);
        const told = figureOf(record, 'speechToNoise');
        expect(recipe === undefined).toBe(told === undefined || !Number.isFinite(told));
        if (recipe) {
          expect(recipe.speechToNoiseDb).toBe(told);
          expect(recipe.clapS === undefined).toBe(scene.room === undefined);
        }
        const still = stillRecipeOf(record, scene, 1);
        if (rig.body) expect(still === undefined || Number.isFinite(still.underStops)).toBe(true);
      }
    }
  });

  it('of any kit makes a take and a still that measure as numbers', () => {
    for (let seed = 1; seed <= 10; seed++) {
      const project = anyProject(new Chances(seed));
      for (const { record, scene } of judged(project).angles) {
        const recipe = soundRecipeOf(record, project.mainsHz, 2, seed, { hum: true, gainDb: 6 });
        if (recipe) {
          const measures = measureSound([simulatedSound(recipe)], recipe.sampleRate);
          const verdict = soundVerdict(measures, { scene, record });
          expect(JSON.stringify([measures, verdict.rows, verdict.advice])).not.toMatch(
            /NaN|Infinity/
          );
        }
        const still = stillRecipeOf(record, scene, seed, { balanceLeft: true });
        if (!still) continue;
        const small = { ...still, width: 64, height: 36 };
        const looked = measurePicture(simulatedStill(small), 64, 36, {
          face: simulatedFace(small),
          grey: SIMULATED_GREY
        });
        expect(JSON.stringify([looked, pictureVerdict(looked)])).not.toMatch(/NaN|Infinity/);
      }
    }
  });

  it('takes mishaps in, each by itself', () => {
    const { record } = judged(demoProject()).angles[1]!;
    expect(soundRecipeOf(record, 60, 5, 1, { hum: true })!.hum).toEqual({ hz: 60, levelDb: -48 });
    expect(soundRecipeOf(record, 50, 5, 1)!.hum).toBeUndefined();
    expect(soundRecipeOf(record, 50, 5, 1, { gainDb: 9 })!.gainDb).toBe(9);
    const { scene } = judged(demoProject()).angles[1]!;
    expect(stillRecipeOf(record, scene, 1, { balanceLeft: true })!.balanceK).toBe(5600);
  });
});

describe('the noise of a place from a take', () => {
  it('comes back as it was told where the take says what the judge said', () => {
    for (const { record, scene } of judged(calmKit()).angles) {
      const told = figureOf(record, 'speechToNoise')!;
      const found = roomNoiseFrom(told, record);
      if (found !== undefined) expect(found).toBeCloseTo(scene.noiseDbA, 6);
    }
  });

  it('grows as the voice stands out less, decibel for decibel once nothing else counts', () => {
    const { record } = judged(demoProject()).angles[1]!;
    const atValue = (over: number) => roomNoiseFrom(over, record)!;
    expect(atValue(10)).toBeGreaterThan(atValue(20));
    expect(atValue(0) - atValue(10)).toBeCloseTo(10, 1);
    // Cleaner than the microphone itself can be: the place says nothing.
    expect(roomNoiseFrom(90, record)).toBeUndefined();
  });
});
