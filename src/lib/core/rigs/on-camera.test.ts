import { describe, expect, it } from 'vitest';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { figureOf } from '../figures/record';
import { remediesFor } from '../judge/settle';
import { calmKit, codes, judged, line, ownCopy, swap } from '../judge/tests/calm-kit';
import { activePlan } from '../model/active-plan';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';

const gramsOf = (...ids: string[]): number =>
  ids.reduce((sum, id) => sum + catalogue.byId.get(id)!.massG!, 0);
const loadG = (project: Project): number =>
  Math.round(figureOf(judged(project).angles[0]!.record, 'loadBare')! * 1000);
const add = (project: Project, ...ids: string[]): Project => {
  activePlan(project).lines.push(...ids.map((id) => line(id)));
  return project;
};
/** The calm kit with a body whose screen only tilts, beside what a monitor needs. */
function withScreen(screen: GearOf<'body'>['screen'], ...ids: string[]): Project {
  const project = calmKit();
  project.scenes[0]!.wantsSeeSelf = true;
  ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) => {
    if (screen) gear.screen = screen;
    else delete gear.screen;
  });
  return add(project, ...ids);
}
const tilting = (...ids: string[]): Project => withScreen('tilts', ...ids);
const shown = 'nibsworth-look-back-mirror';

describe('what shows oneself', () => {
  it('rides on the camera and weighs on what holds it', () => {
    expect(loadG(tilting(shown))).toBe(loadG(tilting()) + gramsOf(shown));
  });

  it('stays in the bag where the screen turns to the front, may do so, or nobody asks to be seen', () => {
    expect(loadG(withScreen('side hinge', shown))).toBe(loadG(tilting()));
    expect(loadG(withScreen(undefined, shown))).toBe(loadG(tilting()));
    const unasked = tilting(shown);
    unasked.scenes[0]!.wantsSeeSelf = false;
    expect(loadG(unasked)).toBe(loadG(tilting()));
  });
});

describe('a screen that something blocks', () => {
  /** The screen flips up behind the microphone on the shoe. */
  const blocked = (...ids: string[]): Project => {
    const project = withScreen('flips up', ...ids);
    swap(project, 'dunmarrow-burr', 'dunmarrow-plover-plain');
    return project;
  };
  const monitor = ['tesselind-pane-5', 'nibsworth-hdmi-cable-d-to-a-1-m'];
  const ball = 'nibsworth-shoe-ball-1-4';

  it('stays blocked while the microphone has the only shoe, and the monitor stays in the bag', () => {
    expect(codes(blocked())).toContain('B2');
    const crowded = blocked(...monitor, ball);
    expect(codes(crowded)).toContain('B2');
    expect(codes(crowded)).not.toContain('B18');
    expect(loadG(crowded)).toBe(loadG(blocked()));
    expect(codes(withScreen('flips up'))).not.toContain('B2');
  });

  it('is made up for by a monitor that is joined and held in a shoe of its own, where it weighs', () => {
    const cage = 'cobberly-crate-for-linnet-ii';
    const apart = blocked(...monitor, ball, cage);
    expect(codes(apart)).not.toContain('B2');
    expect(loadG(apart)).toBe(loadG(blocked(cage)) + gramsOf('tesselind-pane-5'));
    expect(codes(blocked(...monitor, cage)), 'held by nothing').toContain('B2');
    expect(codes(blocked(ball, cage, 'tesselind-pane-5')), 'joined by nothing').toContain('B2');
  });

  it('is mended by a monitor that comes with its lead and its ball', () => {
    const project = blocked();
    const judgement = judged(project);
    const told = judgement.findings.find(({ code }) => code === 'B2')!;
    const labels = remediesFor(project, shelfOf(project), judgement, told).map(
      ({ label }) => label
    );
    for (const label of labels.filter((label) => label.includes('HDMI')))
      expect(label).toContain('ball');
  });
});

describe('the receiver of a radio', () => {
  const radio = 'withrick-thimble-one';
  const withRadio = (project: Project): Project => {
    swap(project, 'dunmarrow-burr', radio);
    return add(project, 'nibsworth-cable-trs-to-trs-0-5-m');
  };

  it('weighs as one of its transmitters does, and one nobody has weighed leaves the load open', () => {
    const alone = loadG(tilting());
    expect(loadG(withRadio(tilting()))).toBe(alone + gramsOf(radio) / 2);
    const two = withRadio(tilting());
    ownCopy<GearOf<'microphone'>>(two, radio, (gear) => (gear.transmitters = 2));
    expect(loadG(two)).toBe(Math.round(alone + gramsOf(radio) / 3));
    const unweighed = withRadio(tilting());
    ownCopy<GearOf<'microphone'>>(unweighed, radio, (gear) => delete gear.massG);
    const { record, rig } = judged(unweighed).angles[0]!;
    expect(figureOf(record, 'loadBare')).toBeUndefined();
    expect(rig.mic!.gear.massG).toBeUndefined();
  });

  it('and a mirror want the one shoe; a cage brings another', () => {
    expect(codes(withRadio(tilting()))).not.toContain('B18');
    const both = withRadio(tilting(shown));
    const shelf = shelfOf(both);
    const judgement = judged(both);
    const told = judgement.findings.find(({ code }) => code === 'B18')!;
    expect(told.title()).toBe('Linnet II has one shoe for Thimble One and Look-back mirror');
    const remedies = remediesFor(both, shelf, judgement, told);
    expect(remedies.map(({ label }) => label).join()).toMatch(
      /Crate for Linnet II|Look-back mirror/
    );
    expect(remedies.every(({ mends }) => mends)).toBe(true);
  });
});
