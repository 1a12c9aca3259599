import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../../catalogue/load-catalogue';
import { judgePlan } from '../../core/judge/judge-plan';
import { pockets } from '../../core/model/pocket';
import type { Project } from '../../core/model/project';
import { activePlan } from '../../core/model/active-plan';
import { pocketSummaries, type PocketSummary } from './pocket-summary';

function summaries(project: Project, index: number): Record<string, PocketSummary> {
  const judgement = judgePlan(project, activePlan(project), shelfOf(project));
  return Object.fromEntries(
    pockets.map((pocket) => [pocket, pocketSummaries[pocket](judgement.angles[index]!, judgement)])
  );
}

function emptied(): Project {
  const project = demoProject();
  activePlan(project).lines = [];
  return project;
}

describe('what a pocket says beneath its parts', () => {
  const path = summaries(demoProject(), 0);
  const lesson = summaries(demoProject(), 1);
  const hands = summaries(demoProject(), 2);

  it('is how near the microphone is, and the word for what it hears', () => {
    expect(path.sound).toMatchObject({
      left: '0.65 m from the mouth, on the shoe',
      right: 'poor',
      short: true
    });
    expect(hands.sound!.left).toBe('no voice in this scene');
  });

  it('is the light of the place under the sky, and of the lamp indoors', () => {
    expect(path.light!.left).toBe('10\u00a0000 lx to 100\u00a0000 lx of the place');
    expect(lesson.light!.left).toBe('1\u00a0687 lx at 0.80 m · very soft');
    expect(lesson.light!.right).toMatch(/^need [\d.]+ lx$/);
  });

  it('is the mode, the framing, the load, the minutes', () => {
    expect(path.body).toMatchObject({
      left: '1920×1080, 25 frames',
      right: 'APS-C small',
      filled: 1
    });
    expect(path.lens!.left).toBe('0.83 m wide at 0.65 m');
    expect(path.lens!.right).toBe('17 mm f/9');
    expect(path.support!.left).toMatch(/^carries 0\.\d+ kg of 1\.2 kg$/);
    expect(path.storage!.left).toBe('4 h 44 min, need 45 min');
    expect(lesson.power).toMatchObject({ left: '83 min, need 95 min', short: true });
    expect(lesson.power!.filled).toBeCloseTo(82.72 / 95, 3);
  });

  it('is what is still wanted of a filter, where one is', () => {
    expect(path.accessories).toMatchObject({ filled: 0, short: true });
    expect(path.accessories!.left).toMatch(/ stops of ND needed$/);
    expect(hands.accessories!.left).toBe('small things on board');
  });

  it('of an empty bag says what is missing and is never a number', () => {
    const empty = summaries(emptied(), 0);
    expect(
      Object.fromEntries(Object.entries(empty).map(([pocket, { left }]) => [pocket, left]))
    ).toEqual({
      sound: 'nothing hears the voice',
      light: 'no picture to light',
      body: 'empty',
      lens: 'empty',
      support: 'held in the bare hand',
      storage: 'nothing to record on',
      power: 'no power',
      accessories: 'nothing to connect here'
    });
    for (const { filled, short } of Object.values(empty))
      expect([filled, short]).toEqual([undefined, false]);
  });

  it('is measured in inches and pounds for those who measure so', () => {
    const imperial = summaries({ ...demoProject(), units: 'imperial' }, 0);
    expect(imperial.sound!.left).toBe('25.6 in (65 cm) from the mouth, on the shoe');
    expect(imperial.support!.left).toMatch(/ lb of 2\.65 lb$/);
  });

  it('never fills a bar past its ends', () => {
    for (const index of [0, 1, 2])
      for (const { filled } of Object.values(summaries(demoProject(), index)))
        if (filled !== undefined) {
          expect(filled).toBeGreaterThanOrEqual(0);
          expect(filled).toBeLessThanOrEqual(1);
        }
  });
});
