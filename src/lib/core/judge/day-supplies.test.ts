import { describe, expect, it } from 'vitest';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { energyOfDay } from '../supplies/energy-of-day';
import { filmingDays } from '../supplies/filming-days';
import { remediesFor } from './settle';
import { calmKit, judged, line, ownCopy } from './tests/calm-kit';

/** Two talks, each of so many minutes, on one day or each on a day of its own. */
function twoTalks(minutes: number, sameDay: boolean): Project {
  const project = calmKit();
  const [talk] = project.scenes;
  Object.assign(talk!, { recordedMin: minutes, ...(sameDay ? { day: 1 } : {}) });
  project.scenes.push({
    ...structuredClone(talk!),
    id: 'second',
    name: 'Second talk',
    sharePercent: 50
  });
  return project;
}
const ofPlan = (project: Project, code: string) =>
  judged(project).findings.filter(
    (finding) => finding.code === code && finding.row.scope === 'plan'
  );
const bodyId = 'orrowby-linnet-ii';
/** Watt-hours of the body in the calm kit: what came with it, and the loose battery. */
function batteriesOf(project: Project): number {
  const shelf = shelfOf(project);
  const body = shelf.byId.get(bodyId) as GearOf<'body'>;
  const loose = activePlan(project).lines.reduce((sum, { gearId, quantity }) => {
    const gear = shelf.byId.get(gearId);
    return gear?.kind === 'battery'
      ? sum + gear.energyWh! * quantity * (gear.otherMaker ? 0.85 : 1)
      : sum;
  }, 0);
  return body.batteriesIncluded! * body.includedBatteryWh! + loose;
}
/** Minutes at which either talk alone has three quarters of the energy left over, but not both together. */
function tightMinutes(): number {
  const project = calmKit();
  const { drawW } = shelfOf(project).byId.get(bodyId) as GearOf<'body'>;
  return Math.round((0.7 * batteriesOf(project) * 60) / drawW!);
}

describe('a day’s batteries', () => {
  it('serve two talks of one day once, and two days twice', () => {
    const minutes = tightMinutes();
    expect(ofPlan(twoTalks(minutes, false), 'P2')).toEqual([]);
    const [short] = ofPlan(twoTalks(minutes, true), 'P2');
    const { drawW } = shelfOf(calmKit()).byId.get(bodyId) as GearOf<'body'>;
    expect(short!.severity).toBe('stop');
    expect(short!.sceneIds).toEqual(['talk', 'second']);
    // Needed: both talks; had: every battery once, at 20 °C nothing lost to the cold.
    expect(short!.needs).toBeCloseTo((2 * minutes * drawW!) / 60, 6);
    expect(short!.has).toBeCloseTo(batteriesOf(calmKit()), 3);
    expect(short!.title()).toMatch(
      /^One day, Talk and Second talk: Linnet II gets \S+ Wh \(needs \S+ Wh\)$/
    );
    expect(short!.why()).toContain('Each used once and the least served first');
  });

  it('are told once: for the day where scenes share it, by the talk where it has a day of its own', () => {
    const together = twoTalks(tightMinutes() * 3, true);
    expect(judged(together).findings.filter(({ code }) => code === 'P2')).toHaveLength(1);
    expect(ofPlan(together, 'P2')).toHaveLength(1);
    const apart = twoTalks(tightMinutes() * 3, false);
    expect(judged(apart).findings.filter(({ code }) => code === 'P2')).toHaveLength(2);
    expect(ofPlan(apart, 'P2')).toEqual([]);
  });

  it('are enough again with a battery more or a day apart, which is offered and mends', () => {
    const project = twoTalks(tightMinutes(), true);
    const judgement = judged(project);
    const [short] = ofPlan(project, 'P2');
    const remedies = remediesFor(project, shelfOf(project), judgement, short!);
    expect(remedies.map(({ label }) => label)).toContain('Film Talk on a day of its own');
    expect(remedies.length).toBeGreaterThan(1);
    for (const { act, mends } of remedies)
      if (mends) expect(ofPlan(applyAct(project, act), 'P2')).toEqual([]);
  });

  it('are shared with the monitor one frames oneself by', () => {
    const project = calmKit();
    const scene = project.scenes[0]!;
    scene.wantsSeeSelf = true;
    ownCopy<GearOf<'body'>>(project, bodyId, (gear) => (gear.screen = 'fixed'));
    ownCopy<GearOf<'monitor'>>(project, 'tesselind-pane-5', (gear) => {
      gear.batteryType = (shelfOf(project).byId.get(bodyId) as GearOf<'body'>).batteryType!;
      gear.ports = gear.ports.filter(({ role }) => role !== 'power');
    });
    activePlan(project).lines.push(
      line('tesselind-pane-5'),
      line('nibsworth-hdmi-cable-d-to-a-1-m'),
      line('nibsworth-shoe-ball-1-4')
    );
    scene.recordedMin = Math.round(tightMinutes() * 1.3);
    const [short] = ofPlan(project, 'P2');
    expect(short?.why()).toMatch(/Linnet II \S+ Wh of \S+ Wh and Pane 5 \S+ Wh of \S+ Wh/);
    const without = structuredClone(project);
    activePlan(without).lines = activePlan(without).lines.filter(
      ({ gearId }) => gearId !== 'tesselind-pane-5'
    );
    expect(ofPlan(without, 'P2')).toEqual([]);
  });

  it('stay unknown where a draw or a battery is not stated', () => {
    const withoutDraw = twoTalks(tightMinutes(), true);
    ownCopy<GearOf<'body'>>(withoutDraw, bodyId, (gear) => delete gear.drawW);
    expect(
      energyOfDay(filmingDays(judged(withoutDraw).angles.map(({ rig }) => rig))[0]!)
    ).toMatchObject({
      consumers: [],
      unknown: [{ gear: { id: bodyId } }]
    });
    const noDraw = twoTalks(tightMinutes(), true);
    ownCopy<GearOf<'body'>>(noDraw, bodyId, (gear) => delete gear.drawW);
    expect(ofPlan(noDraw, 'P2')).toEqual([]);
    const noEnergy = twoTalks(tightMinutes(), true);
    ownCopy<GearOf<'body'>>(noEnergy, bodyId, (gear) => delete gear.includedBatteryWh);
    expect(ofPlan(noEnergy, 'P2')).toEqual([]);
  });
});

describe('a day’s cards', () => {
  /** Minutes that fill seven tenths of the one card. */
  const minutes = () => {
    const rig = judged(calmKit()).angles[0]!;
    return Math.round(0.7 * rig.record.cardMinutes!);
  };
  const withPower = (project: Project): Project => {
    activePlan(project).lines.find(({ gearId }) => gearId.includes('ember-16'))!.quantity = 30;
    return project;
  };

  it('serve two talks of one day once, and two days twice', () => {
    expect(ofPlan(withPower(twoTalks(minutes(), false)), 'T1')).toEqual([]);
    const [short] = ofPlan(withPower(twoTalks(minutes(), true)), 'T1');
    expect(short!.needs! / short!.has!).toBeCloseTo(1.4, 1);
    expect(short!.title()).toMatch(/has room for \S+ GB \(needs \S+ GB\)$/);
    expect(short!.why()).toContain('There is');
  });

  it('are enough again with one more', () => {
    const project = withPower(twoTalks(minutes(), true));
    const [short] = ofPlan(project, 'T1');
    const remedies = remediesFor(project, shelfOf(project), judged(project), short!);
    const more = remedies.find(({ label }) => label.startsWith('One more'))!;
    expect(ofPlan(applyAct(project, more.act), 'T1')).toEqual([]);
  });
});
