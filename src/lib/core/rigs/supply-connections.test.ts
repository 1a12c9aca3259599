import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { closeJoints } from '../judge/close-joints';
import { judgePlan } from '../judge/judge-plan';
import { line } from '../judge/tests/calm-kit';
import { newProject } from '../model/new-project';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { startScene } from '../model/scene-starts';

/** A talk by the window filmed with these parts. */
function filmedWith(...gearIds: string[]): Project {
  const project: Project = {
    ...newProject('p', 'P', {
      styles: [],
      limitMinor: 200_000,
      school: 'sound and light first',
      currency: 'GBP',
      mainsHz: 50,
      units: 'metric'
    }),
    scenes: [{ ...startScene('seated', [], 100), id: 's', name: 'Talk' }]
  };
  activePlan(project).lines = gearIds.map((gearId) => line(gearId));
  return project;
}
const judged = (project: Project) => judgePlan(project, activePlan(project), catalogue);
const closed = (project: Project) => closeJoints(project, catalogue, judged(project));
const bought = (project: Project) => closed(project).buy.map(({ model }) => model);
const codeOf = (project: Project, code: string) =>
  judged(project).findings.find((finding) => finding.code === code);

describe('power', () => {
  it('comes from a bank through the cheapest lead that carries the watts', () => {
    // Linnet II draws 6.6 W, so 7.3 W at the plug: the short lead of 18 W does.
    const project = filmedWith('orrowby-linnet-ii', 'pellamund-hearth-74');
    expect(bought(project)).toContain('USB-C cable C to C, short');
    const steps = closed(project).steps.find(({ joint }) => joint.includes('Hearth 74'))!;
    expect(steps.steps).toEqual([
      'USB-C socket into USB-C cable C to C, short, USB-C plug',
      'USB-C plug into USB-C socket'
    ]);
  });

  it('reaches a body without USB power through its battery’s contacts', () => {
    expect(bought(filmedWith('orrowby-linnet', 'pellamund-hearth-74'))).toContain(
      'Dummy battery cable, Ember 8'
    );
  });

  it('does not flow where the watts are too few, and says so with both figures', () => {
    const weak = filmedWith(
      'orrowby-linnet-ii',
      'pellamund-hearth-18',
      'nibsworth-usb-c-cable-c-to-c-1-m'
    );
    expect(codeOf(weak, 'P3')).toBeUndefined();
    const project = filmedWith('ellowen-dragonfly', 'pellamund-hearth-18');
    project.scenes[0]!.angles[0]!.cameraPlace = 'in the air';
    expect(codeOf(project, 'P3')?.severity).toBe('note');
    const own = filmedWith(
      'orrowby-linnet-ii',
      'pellamund-hearth-18',
      'nibsworth-usb-c-cable-c-to-c-1-m'
    );
    const thirsty = structuredClone(catalogue.byId.get('orrowby-linnet-ii')!);
    Object.assign(thirsty, { drawW: 13 });
    const shelf = { ...catalogue, byId: new Map(catalogue.byId).set(thirsty.id, thirsty) };
    const finding = judgePlan(own, activePlan(own), shelf).findings.find(
      ({ code }) => code === 'P3'
    )!;
    expect([finding.has, finding.unit, finding.why()]).toEqual([
      12,
      'W',
      'Pellamund Hearth 18 gives 12 W and 14.4 W are needed.'
    ]);
    expect(finding.needs).toBeCloseTo(14.44, 2);
  });

  it('is closed for a monitor by a battery, or by a bank in the kit with the right voltage', () => {
    const alone = filmedWith('orrowby-linnet-ii', 'tesselind-pane-5');
    expect(codeOf(alone, 'P7')?.title()).toBe('No Ember 16 batteries for Pane 5');
    const { act } = closed(alone);
    expect(codeOf(applyAct(alone, act!), 'P7')).toBeUndefined();
    const away = structuredClone(alone);
    away.scenes[0]!.daysWithoutSocket = 2;
    expect(bought(away)).toContain('Ember 16 battery, third-party');
    const withBank = filmedWith('orrowby-linnet-ii', 'tesselind-pane-5', 'pellamund-hearth-74');
    expect(bought(withBank)).toContain('Step-up cable C to barrel 12 V');
    expect(bought(withBank)).not.toContain('Ember 16 battery, third-party');
  });

  it('comes from the wall through USB where there is a socket', () => {
    const project = filmedWith(
      'orrowby-linnet-ii',
      'pellamund-wall-plug-20',
      'nibsworth-usb-c-cable-c-to-c-1-m'
    );
    expect(judged(project).angles[0]!.rig.hasSocket).toBe(true);
    expect(codeOf(project, 'P3')).toBeUndefined();
    expect(codeOf(project, 'P1')).toBeUndefined();
  });

  it('a block of another battery fits nowhere and is said to', () => {
    const finding = codeOf(
      filmedWith('orrowby-linnet-ii', 'quillfeather-dummy-battery-quill-9'),
      'P3'
    )!;
    expect(finding.title()).toBe('Dummy battery Quill 9 does not keep Linnet II going');
  });
});

describe('cards', () => {
  it('go into a larger slot in a sleeve, and count there', () => {
    const bare = filmedWith('orrowby-linnet-ii', 'quillfeather-microsd-128-v30');
    expect(codeOf(bare, 'T3')?.title()).toBe('microSD 128 V30 does not go into Linnet II');
    expect(bought(bare)).toContain('Sleeve, microSD in SD');
    const sleeved = filmedWith(
      'orrowby-linnet-ii',
      'quillfeather-microsd-128-v30',
      'quillfeather-sleeve-microsd-in-sd'
    );
    expect(codeOf(sleeved, 'T3')).toBeUndefined();
    expect(codeOf(sleeved, 'M7')?.title()).not.toMatch(/card/i);
  });

  it('find a reader, or the computer’s own', () => {
    const unread = filmedWith('orrowby-linnet-ii', 'quillfeather-sd-64-v30');
    expect(bought(unread)).toContain('Reader SD');
    expect(
      bought(filmedWith('orrowby-linnet-ii', 'quillfeather-sd-64-v30', 'harkelow-desk-slate'))
    ).not.toContain('Reader SD');
  });
});
