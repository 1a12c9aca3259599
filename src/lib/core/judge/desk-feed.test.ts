import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { figureOf } from '../figures/record';
import { activePlan } from '../model/active-plan';
import { newLine } from '../model/new-line';
import { newProject } from '../model/new-project';
import type { Project } from '../model/project';
import { judgeCandidate } from './candidates';
import { judgePlan } from './judge-plan';
import { remediesFor } from './settle';

const judged = (project: Project) => judgePlan(project, activePlan(project), catalogue);

/** A talk, filmed from the back of a hall with a camera that has a microphone input. */
function talk(hasDeskFeed: boolean, ...gearIds: string[]): Project {
  const project = newProject('p', 'talk', {
    styles: ['event'],
    limitMinor: 200_000,
    school: 'sound and light first',
    currency: 'GBP',
    mainsHz: 50,
    units: 'metric'
  });
  Object.assign(project.scenes[0]!, { hasDeskFeed });
  const plan = activePlan(project);
  for (const id of ['orrowby-linnet-ii', ...gearIds])
    plan.lines.push(newLine(plan, catalogue.byId.get(id)!));
  return project;
}
const heard = (project: Project) => judged(project).angles[0]!.rig;

describe('the sound of the house, from its mixing desk', () => {
  it('is taken where the place gives it, and nowhere else', () => {
    expect(heard(talk(true, 'nibsworth-pew-lead')).micPlace).toBe('desk feed');
    expect(heard(talk(false, 'nibsworth-pew-lead')).mic).toBeUndefined();
    // Before a microphone on the camera, twenty times as far from the mouth.
    expect(heard(talk(true, 'nibsworth-button', 'nibsworth-pew-lead')).mic!.gear.form).toBe(
      'desk feed'
    );
    expect(heard(talk(false, 'nibsworth-button', 'nibsworth-pew-lead')).mic!.gear.form).toBe(
      'shoe'
    );
  });

  it('hears the voice as near as a lectern’s microphone', () => {
    const project = talk(true, 'nibsworth-pew-lead');
    const { record } = judged(project).angles[0]!;
    const at1m = figureOf(record, 'voiceAt1m')!;
    // 20·log10(1 ÷ 0.2)
    expect(figureOf(record, 'voiceAtMic')! - at1m).toBeCloseTo(13.98, 2);
    const shoe = judged(talk(false, 'nibsworth-button')).angles[0]!.record;
    expect(figureOf(record, 'speechToNoise')!).toBeGreaterThan(
      figureOf(shoe, 'speechToNoise')! + 10
    );
  });

  it('as line level is told where a camera takes a microphone’s alone', () => {
    const said = (id: string) =>
      judged(talk(true, id))
        .findings.filter(({ severity }) => severity === 'stop')
        .map((finding) => `${finding.title()} ${finding.why()}`)
        .join(' ');
    const project = talk(true, 'withrick-vestry-two');
    const body = catalogue.byId.get('orrowby-linnet-ii')!;
    project.ownGear = [{ ...body, takesLineLevel: false } as typeof body];
    const { findings } = judgePlan(project, activePlan(project), {
      ...catalogue,
      byId: new Map([...catalogue.byId, [body.id, project.ownGear[0]!]])
    });
    expect(findings.map((finding) => finding.why()).join(' ')).toMatch(/line level/);
    expect(said('nibsworth-pew-lead')).not.toMatch(/line level/);
  });

  it('is offered where the voice is poor and the place has it', () => {
    const labels = (hasDeskFeed: boolean) => {
      const project = talk(hasDeskFeed, 'nibsworth-button');
      const judgement = judged(project);
      return judgement.findings
        .filter(({ code }) => code.startsWith('A'))
        .flatMap((finding) => remediesFor(project, catalogue, judgement, finding));
    };
    const offered = labels(true).find(({ label }) => label.startsWith('Take the house’s sound'))!;
    expect(offered).toBeDefined();
    expect(heard(applyAct(talk(true, 'nibsworth-button'), offered.act)).micPlace).toBe('desk feed');
    expect(labels(false).some(({ label }) => label.startsWith('Take the house’s'))).toBe(false);
  });

  it('cannot be used, and says so in the chooser, where the place gives none', () => {
    const lead = catalogue.byId.get('nibsworth-pew-lead')!;
    const group = (hasDeskFeed: boolean) => {
      const project = talk(hasDeskFeed, 'nibsworth-button');
      return judgeCandidate(project, catalogue, judged(project), lead);
    };
    expect(group(false).group).toBe('unusable');
    expect(group(true).group).not.toBe('unusable');
  });
});
