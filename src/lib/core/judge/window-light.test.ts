import { describe, expect, it } from 'vitest';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { figureOf } from '../figures/record';
import type { Project } from '../model/project';
import { calmKit, judged, without } from './tests/calm-kit';
import { remediesFor } from './settle';

const LAMP = 'quillfeather-ray-65-two-colour-55-cm-dome';
/** R is 1 m and so is the distance: half of π·L·τ arrives, 628 lx from a dull sky and four times that from a bright one. */
const WINDOW = {
  areaM2: Math.PI,
  distanceM: 1,
  transmittance: 0.8,
  skyDimCdM2: 500,
  skyBrightCdM2: 2000
};
const DIM = Math.PI * 500 * 0.8 * 0.5;
const PLACE = 200;

function byTheWindow(wantsKeyToFill?: number): Project {
  const project = calmKit();
  without(project, LAMP);
  Object.assign(project.scenes[0]!, {
    lightSource: 'window',
    lightDimLx: PLACE,
    lightBrightLx: PLACE,
    window: WINDOW,
    ...(wantsKeyToFill === undefined ? {} : { wantsKeyToFill })
  });
  return project;
}
const figures = (project: Project) => judged(project).angles[0]!.record;
const shadowSide = (project: Project) => judged(project).findings.find(({ code }) => code === 'G9');

describe('a window', () => {
  it('lights the face between its dimmest and its brightest sky', () => {
    const record = figures(byTheWindow());
    expect(figureOf(record, 'windowDim')).toBeCloseTo(DIM, 6);
    expect(figureOf(record, 'windowBright')).toBeCloseTo(4 * DIM, 6);
    expect(figureOf(record, 'faceDim')).toBeCloseTo(PLACE + DIM, 6);
    expect(figureOf(record, 'faceBright')).toBeCloseTo(PLACE + 4 * DIM, 6);
  });

  it('is the key where no lamp is, at both ends of its sky', () => {
    const record = figures(byTheWindow());
    expect(figureOf(record, 'keyToFill')).toBeCloseTo((DIM + PLACE) / PLACE, 6);
    expect(figureOf(record, 'keyToFillBright')).toBeCloseTo((4 * DIM + PLACE) / PLACE, 6);
  });

  it('fills from the other side where a lamp is the key', () => {
    const project = calmKit();
    Object.assign(project.scenes[0]!, { lightDimLx: PLACE, lightBrightLx: PLACE, window: WINDOW });
    const record = figures(project);
    const key = figureOf(record, 'keyLight')!;
    expect(key).toBeGreaterThan(0);
    const dark = PLACE + DIM;
    expect(figureOf(record, 'keyToFill')).toBeCloseTo((key + dark) / dark, 6);
    expect(figureOf(record, 'keyToFillBright')).toBeLessThan(figureOf(record, 'keyToFill')!);
  });

  it('is told by the end of the day that is further from what was asked', () => {
    // 4.1 at the dull end, 13.6 at the bright one.
    expect(shadowSide(byTheWindow())).toBeUndefined();
    const dark = shadowSide(byTheWindow(4))!;
    expect(dark.has).toBeCloseTo((4 * DIM + PLACE) / PLACE, 6);
    expect(dark.title()).toContain('too dark');
    const bright = shadowSide(byTheWindow(13))!;
    expect(bright.has).toBeCloseTo((DIM + PLACE) / PLACE, 6);
    expect(bright.title()).toContain('too bright');
  });

  it('offers ways that truly mend it', () => {
    const project = byTheWindow(2);
    const judgement = judged(project);
    const finding = judgement.findings.find(({ code }) => code === 'G9')!;
    const remedies = remediesFor(project, shelfOf(project), judgement, finding);
    expect(remedies.length).toBeGreaterThan(0);
    for (const { act, mends } of remedies.filter((remedy) => remedy.mends)) {
      expect(mends).toBe(true);
      expect(shadowSide(applyAct(project, act))).toBeUndefined();
    }
  });
});

describe('a face nothing shines on from the side', () => {
  it('has one side as bright as the other', () => {
    const project = byTheWindow(4);
    delete project.scenes[0]!.window;
    expect(figureOf(figures(project), 'keyToFill')).toBe(1);
    expect(shadowSide(project)?.title()).toContain('too bright');
  });
});
