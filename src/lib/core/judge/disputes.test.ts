import { describe, expect, it } from 'vitest';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { pockets } from '../model/pocket';
import { disputes, type DisputeId } from './dispute-table';
import { disputesOf, type DisputeView } from './disputes';
import { judgePlan } from './judge-plan';

const demo = demoProject();

function views(project: Project, where?: DisputeView['where']): Map<DisputeId, DisputeView> {
  const shelf = shelfOf(project);
  const judgement = judgePlan(project, activePlan(project), shelf);
  return new Map(disputesOf(project, shelf, judgement, where).map((view) => [view.id, view]));
}

const side = (view: DisputeView | undefined, name: string) =>
  view!.sides.find((side) => side.name === name)!;
const withScenes = (
  change: (scene: Project['scenes'][number]) => Partial<Project['scenes'][number]>
) => ({
  ...demo,
  scenes: demo.scenes.map((scene) => ({ ...scene, ...change(scene) }))
});

describe('where practitioners disagree', () => {
  it('every side has its say in a sentence', () => {
    for (const { question, sides } of Object.values(disputes)) {
      expect(question).toMatch(/\?$/);
      expect(sides.length).toBeGreaterThanOrEqual(2);
      for (const { says } of sides) expect(says).toMatch(/^[A-ZÀ-Ž].{20,}\.$/);
    }
  });

  it('only what something of the project turns on is brought up', () => {
    expect([...views(demo).keys()]).not.toContain('live picture');
    expect([...views(withScenes(() => ({ live: true }))).keys()]).toContain('live picture');
    expect([...views(withScenes(() => ({ room: undefined }))).keys()]).not.toContain(
      'microphone in a room'
    );
  });

  it('each is brought up where it is decided', () => {
    for (const where of ['brief', ...pockets] as const)
      for (const view of views(demo, where).values()) expect(view.where).toBe(where);
    expect([...views(demo, 'lens').keys()]).toEqual(['aperture', 'lens kind']);
  });

  it('one rate in step with the mains serves both sides', () => {
    const rate = views(demo).get('frame rate');
    expect(rate!.sides.map(({ stands }) => stands)).toEqual([true, true]);
    const mixed = views(withScenes((scene) => (scene.room ? {} : { fps: 30 }))).get('frame rate');
    expect(mixed!.sides.map(({ stands }) => stands)).toEqual([true, false]);
    const away = views({ ...demo, mainsHz: 60 }).get('frame rate');
    expect(away!.sides.map(({ stands }) => stands)).toEqual([false, true]);
    const act = side(away, 'in step with the mains').otherWay!.act;
    const after = applyAct({ ...demo, mainsHz: 60 }, act);
    expect(after.scenes.filter(({ room }) => room).every(({ fps }) => fps === 30)).toBe(true);
  });

  it('the effect told is the effect had: money, merit and findings', () => {
    const before = judgePlan(demo, activePlan(demo), shelfOf(demo));
    let tried = 0;
    for (const { sides } of views(demo).values())
      for (const { otherWay } of sides) {
        if (!otherWay) continue;
        tried += 1;
        const after = applyAct(demo, otherWay.act);
        const judged = judgePlan(after, activePlan(after), shelfOf(after));
        expect(judged.money.firmMinor - before.money.firmMinor).toBe(otherWay.costMinor);
        expect(judged.merit.onceSettledHundredths).toBe(otherWay.meritAfterHundredths);
        for (const { code, title } of otherWay.breaks)
          expect(
            judged.findings.some((finding) => finding.code === code && finding.title() === title)
          ).toBe(true);
        for (const { code, title } of otherWay.settles)
          expect(
            judged.findings.some(
              (finding) =>
                finding.code === code && finding.title() === title && finding.severity === 'stop'
            )
          ).toBe(false);
      }
    expect(tried).toBeGreaterThan(8);
  });

  it('once gone over to, a side is the one the kit stands on', () => {
    for (const [id, name] of [
      ['resolution', '3840 across'],
      ['aperture', 'a stop down'],
      ['switch on the microphone', 'no switch'],
      ['microphone in a room', 'dynamic'],
      ['window light', 'window'],
      ['lamps', 'three'],
      ['new or used', 'used']
    ] as const) {
      const { otherWay } = side(views(demo).get(id), name);
      const after = views(applyAct(demo, otherWay!.act)).get(id);
      expect(side(after, name).stands, `${id}: ${name}`).toBe(true);
    }
  });

  it('a side all is on has no other way', () => {
    const fixed = views(demo).get('colour');
    expect(fixed!.sides.map(({ otherWay }) => otherWay)).toEqual([undefined, undefined]);
    expect(side(views(demo).get('resolution'), '1920 across').otherWay).toBeUndefined();
  });

  it('batteries go over to another maker’s of the same fit, and back', () => {
    const line = activePlan(demo).lines.find(({ gearId }) => gearId.includes('ember-8-battery'));
    const batteries = line
      ? demo
      : applyAct(demo, {
          type: 'add line',
          line: {
            id: 'batteries',
            gearId: 'harkelow-ember-8-battery-third-party',
            quantity: 2,
            basis: 'new',
            state: 'wanted',
            step: 'now',
            locked: false
          }
        });
    const dispute = views(batteries).get('whose batteries');
    expect(dispute).toBeDefined();
    const other = dispute!.sides.find(({ stands }) => !stands)!;
    expect(other.otherWay!.takes.length).toBeGreaterThan(0);
  });

  it('running out of the reserve and over the limit is no settling of the first', () => {
    for (const { sides } of views(demo).values())
      for (const { otherWay } of sides)
        if (otherWay?.breaks.some(({ code }) => code === 'M1'))
          expect(otherWay.settles.map(({ code }) => code)).not.toContain('M3');
  });
});
