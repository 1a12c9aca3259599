import { describe, expect, it } from 'vitest';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { figureOf } from '../figures/record';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { headMomentNm, headShare } from '../relations/support/head';
import { calmKit, judged, line, ownCopy, swap } from './tests/calm-kit';
import { remediesFor } from './settle';

const BARE = 'cobberly-meadow-tripod-bare';
const BALL = 'cobberly-cobble-ball';

/** The calm talk on legs that came without a head, and the heads given. */
function onLegsWithoutHead(...heads: string[]): Project {
  const project = calmKit();
  project.scenes[0]!.angles[0]!.cameraPlace = 'tripod';
  swap(project, 'nibsworth-hob-mini-tripod-wide', BARE);
  activePlan(project).lines.push(...heads.map((id) => line(id)));
  return project;
}
const rigOf = (project: Project) => judged(project).angles[0]!;
const found = (project: Project, code: string, about = '') =>
  judged(project).findings.find(
    (finding) => finding.code === code && (finding.about ?? '') === about
  );
const asHead = (project: Project, change: (gear: GearOf<'head'>) => void) =>
  ownCopy<GearOf<'head'>>(project, BALL, change);

describe('a head bought by itself', () => {
  it('stands on legs that came without one, and on no others', () => {
    expect(rigOf(onLegsWithoutHead(BALL)).rig.head?.gear.id).toBe(BALL);
    const own = calmKit();
    activePlan(own).lines.push(line(BALL));
    expect(rigOf(own).rig.head).toBeUndefined();
  });

  it('is the strongest of the bag, and a fluid one where a pan is wanted', () => {
    const project = onLegsWithoutHead(
      'cobberly-pebble-ball',
      BALL,
      'cobberly-millrace-fluid-small'
    );
    expect(rigOf(project).rig.head?.gear.id).toBe(BALL);
    project.scenes[0]!.wantsPan = true;
    expect(rigOf(project).rig.head?.gear.id).toBe('cobberly-millrace-fluid-small');
    expect(found(project, 'S3')).toBeUndefined();
  });

  it('joins legs and camera by its two threads, weighs on the legs and in the hand', () => {
    const without = onLegsWithoutHead();
    const withHead = onLegsWithoutHead(BALL);
    expect(found(without, 'S5', 'camera held')?.severity).toBe('stop');
    expect(found(withHead, 'S5', 'camera held')).toBeUndefined();
    const load = (project: Project) => figureOf(rigOf(project).record, 'loadOnSupport')!;
    const headKg = catalogue.byId.get(BALL)!.massG! / 1000;
    expect(load(withHead) - load(without)).toBeCloseTo(headKg, 9);
    const mass = (project: Project) => figureOf(rigOf(project).record, 'rigMass')!;
    expect(mass(withHead) - mass(without)).toBeCloseTo(headKg, 9);
  });

  it('serves one angle at a time', () => {
    const project = onLegsWithoutHead(BALL);
    const [first] = project.scenes[0]!.angles;
    project.scenes[0]!.angles = [first!, { ...first!, id: 'b' }];
    activePlan(project).lines.push(line(BARE, { id: 'second legs' }), line('tesselind-vale'));
    const [a, b] = judged(project).angles;
    expect([a!.rig.head?.gear.id, b!.rig.head]).toEqual([BALL, undefined]);
  });
});

describe('what a head may bear', () => {
  it('is a weight and a moment, the worse of the two', () => {
    expect(headMomentNm(1.3, 60)).toBeCloseTo(0.76518, 6);
    expect(headShare(1.3, 4, headMomentNm(1.3, 110), headMomentNm(4, 55))).toBeCloseTo(0.65, 9);
    expect(headShare(1.3, 4, headMomentNm(1.3, 30), headMomentNm(4, 55))).toBeCloseTo(0.325, 9);
    expect(() => headMomentNm(1, 0)).toThrow('heightMm');
    expect(() => headShare(1, 0, 1, 1)).toThrow('payloadKg');
  });

  it('is figured from the body’s height and what rides on it', () => {
    const { rig, record } = rigOf(onLegsWithoutHead(BALL));
    const { massG, sizeMm } = rig.body!.gear;
    const lens = catalogue.byId.get('pellamund-24-f-1-5')!;
    const kg = (massG! + lens.massG!) / 1000;
    expect(figureOf(record, 'loadOnHead')).toBeCloseTo(kg, 9);
    expect(figureOf(record, 'loadCentre')).toBeCloseTo(sizeMm!.height! / 2, 9);
    expect(figureOf(record, 'headMoment')).toBeCloseTo((kg * 9.81 * sizeMm!.height!) / 2000, 9);
  });

  it.each([
    // Body and lens weigh 0.732 kg: ÷ ⅔ is 1.098.
    ['payloadKg', 1.1, undefined],
    ['payloadKg', 1.08, 'warn'],
    ['payloadKg', 0.73, 'stop']
  ] as const)('warns from two thirds of it, stops past it: %s %f', (field, value, severity) => {
    const project = onLegsWithoutHead(BALL);
    asHead(project, (gear) => {
      gear[field] = value;
      gear.ratedAtMm = 200;
    });
    expect(found(project, 'S1', 'head')?.severity).toBe(severity);
  });

  it('is asked about when the moment hangs on what nobody has stated', () => {
    const project = onLegsWithoutHead(BALL);
    asHead(project, (gear) => delete gear.ratedAtMm);
    const { findings } = judged(project);
    expect(
      findings.some((finding) => finding.code === 'Q1' && finding.figure === 'headRatedHeight')
    ).toBe(true);
    expect(found(project, 'S1', 'head')).toBeUndefined();
  });

  it('is mended by a head that bears it', () => {
    const project = onLegsWithoutHead(BALL);
    asHead(project, (gear) => (gear.payloadKg = 0.5));
    const judgement = judged(project);
    const finding = judgement.findings.find(
      (finding) => finding.code === 'S1' && finding.about === 'head'
    )!;
    const [remedy] = remediesFor(project, shelfOf(project), judgement, finding);
    expect(remedy?.label).toMatch(/^Swap to /);
    const mended = applyAct(project, remedy!.act);
    expect(found(mended, 'S1', 'head')).toBeUndefined();
    expect(rigOf(mended).rig.head).toBeDefined();
  });
});

describe('a pan on bare legs', () => {
  it('needs a fluid head, and a head is what is offered', () => {
    const project = onLegsWithoutHead(BALL);
    project.scenes[0]!.wantsPan = true;
    const judgement = judged(project);
    const finding = judgement.findings.find(({ code }) => code === 'S3')!;
    expect(finding.title()).toBe('Cobble ball cannot pan smoothly');
    const remedies = remediesFor(project, shelfOf(project), judgement, finding);
    expect(remedies.map(({ label }) => label)).toContain('Swap to Millrace fluid small');
    const mended = applyAct(
      project,
      remedies.find(({ label }) => label.startsWith('Swap to Millrace'))!.act
    );
    expect(found(mended, 'S3')).toBeUndefined();
  });
});
