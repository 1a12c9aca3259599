import { describe, expect, it } from 'vitest';
import { showsFace } from '../model/scene-facts';
import { startScene } from '../model/scene-starts';
import type { Project } from '../model/project';
import { sceneStyles } from '../model/word-lists';
import { activePlan } from '../model/active-plan';
import { settingsOf } from './settings';
import { calmKit, judged, line, ownCopy } from './tests/calm-kit';
import type { GearOf } from '../model/gear';

/** A calm kit for another kind of scene, in its own light and in the dark. */
function filming(style: (typeof sceneStyles)[number], dark: boolean): Project {
  const project = calmKit();
  const scene = { ...startScene(style, [], 100), id: 'talk', name: 'Scene' };
  if (dark) Object.assign(scene, { lightDimLx: 4, lightBrightLx: 40 });
  project.scenes = [scene];
  activePlan(project).lines.push(
    line('harkelow-plain-tripod'),
    line('ellowen-damselfly'),
    line('quillfeather-microsd-128-v30')
  );
  return project;
}

const faceless = sceneStyles.filter((style) =>
  startScene(style, [], 100).angles.every((angle) => !showsFace(angle))
);

describe('a scene without a face', () => {
  it('is some of the kinds there are', () => {
    expect(faceless).toEqual(expect.arrayContaining(['hands', 'product', 'landscape', 'flying']));
  });

  it.each(faceless.flatMap((style) => [false, true].map((dark) => [style, dark] as const)))(
    '%s, dark %s: no sentence speaks of one',
    (style, dark) => {
      const judgement = judged(filming(style, dark));
      const sentences = [
        ...judgement.findings
          .filter(({ sceneId }) => sceneId !== undefined)
          .flatMap((finding) => [finding.title(), finding.why()]),
        ...judgement.angles.flatMap((angle) =>
          settingsOf(angle).flatMap(({ why, others = '' }) => [why, others])
        )
      ];
      expect(sentences.length).toBeGreaterThan(4);
      // That there is none to follow is true.
      for (const sentence of sentences.filter(
        (sentence) => !sentence.startsWith('No face is there')
      ))
        expect(sentence).not.toMatch(/\bfaces?\b|\bnose\b|\bears\b/);
    }
  );
});

describe('cards of another camera', () => {
  it('are no fault of the one that records inside', () => {
    const project = calmKit();
    const scene = project.scenes[0]!;
    scene.angles.push({ ...scene.angles[0]!, id: 'b' });
    const cardless = (more: Partial<GearOf<'body'>>) => {
      const copy = structuredClone(project);
      ownCopy<GearOf<'body'>>(copy, 'orrowby-linnet', (gear) => {
        Object.assign(gear, more);
        gear.ports = gear.ports.filter(({ role }) => role !== 'card');
      });
      activePlan(copy).lines.push(line('orrowby-linnet'));
      return judged(copy).findings.filter(({ code }) => code === 'T3');
    };
    expect(cardless({ internalStorageGb: 128 })).toEqual([]);
  });
});
