import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { droversRoad } from '../../catalogue/demos/drovers-road';
import { lanternlightDesk } from '../../catalogue/demos/lanternlight-desk';
import { catalogue } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { judgePlan } from './judge-plan';
import { remediesFor } from './settle';
import { settleAll } from './settle-all';
import { calmKit } from './tests/calm-kit';
import { Chances } from './tests/random-kits';

const project = demoProject();
const demos = [project, droversRoad(), lanternlightDesk()];
const judged = (kit = project) => judgePlan(kit, activePlan(kit), catalogue);

describe('settling all that blocks', () => {
  const all = settleAll(project, catalogue);

  it('makes every must-do scene work, for what it says', () => {
    expect([all.workingBefore, all.workingAfter, all.mustDoScenes]).toEqual([1, 3, 3]);
    expect(all.left).toEqual([]);
    const done = applyAct(project, all.act!);
    const after = judged(done);
    expect(after.merit.mustDoWorking).toBe(3);
    expect(after.money.firmMinor - judged().money.firmMinor).toBe(all.costMinor);
    expect(all.steps.reduce((sum, { costMinor }) => sum + costMinor, 0)).toBe(all.costMinor);
  });

  it('has no step that could be left out', () => {
    const { acts } = all.act as Extract<typeof all.act, { type: 'batch' }>;
    for (const step of acts) {
      const fewer = acts.filter((act) => act !== step);
      const after = judged(applyAct(project, { type: 'batch', acts: fewer }));
      expect(after.merit.mustDoWorking).toBeLessThan(3);
    }
  });

  it('is nothing where nothing blocks', () => {
    const calm = settleAll(calmKit(), catalogue);
    expect([calm.act, calm.steps, calm.costMinor]).toEqual([undefined, [], 0]);
  });
});

describe('settling all that blocks a kit that lacks parts', () => {
  const without = (whole: Project, ...gearIds: string[]): Project =>
    activePlan(whole)
      .lines.filter(({ gearId }) => gearIds.includes(gearId))
      .reduce((left, { id }) => applyAct(left, { type: 'remove line', lineId: id }), whole);

  it.each<[string, Project]>([
    [
      'neither body nor support',
      without(lanternlightDesk(), 'harkelow-outset-turn', 'nibsworth-hob-mini-tripod-wide')
    ],
    [
      'neither body, lamp nor drive',
      without(
        demoProject(),
        'orrowby-linnet',
        'quillfeather-ray-65-55-cm-dome',
        'pellamund-cellar-1-tb'
      )
    ],
    [
      'the body that sees in the dark, for which nothing is as good but another that weakens it',
      without(droversRoad(), 'cobberly-pocketwright-vista')
    ],
    ['any part at all but a microphone', onlyMicrophone()]
  ])('a kit with %s films all again', (_, lacking) => {
    const all = settleAll(lacking, catalogue, { mostLooked: 60 });
    expect(all.left).toEqual([]);
    expect(all.workingAfter).toBe(all.mustDoScenes);
    expect(judged(applyAct(lacking, all.act!)).merit.mustDoWorking).toBe(all.mustDoScenes);
  });

  it.each(demos.map((whole) => [whole.name, whole] as const))(
    'whatever is taken out of %s, all of it films again',
    (_, whole) => {
      const chances = new Chances(30);
      for (let kit = 0; kit < 12; kit++) {
        const share = chances.next();
        const gone = activePlan(whole).lines.filter(() => chances.is(share));
        const lacking = without(whole, ...gone.map(({ gearId }) => gearId));
        const all = settleAll(lacking, catalogue);
        expect([all.left, all.workingAfter], gone.map(({ gearId }) => gearId).join()).toEqual([
          [],
          all.mustDoScenes
        ]);
      }
    }
  );

  function onlyMicrophone(): Project {
    const demo = demoProject();
    const others = activePlan(demo).lines.filter(({ gearId }) => gearId !== 'dunmarrow-plover');
    return without(demo, ...others.map(({ gearId }) => gearId));
  }

  it('finds what costs nothing: other parts of the kit for the angle that is stopped', () => {
    const all = settleAll(droversRoad(), catalogue, { mostLooked: 60 });
    expect(all.costMinor).toBe(0);
    expect(all.steps.map(({ label }) => label)).toEqual(['Use the best of the kit in The way']);
  });

  it('tells of other ways that change less or are worth more', () => {
    const lacking = without(droversRoad(), 'cobberly-pocketwright-vista');
    const { mostWorth, ...cheapest } = settleAll(lacking, catalogue, { mostLooked: 60 });
    expect(mostWorth!.meritHundredths).toBeGreaterThanOrEqual(cheapest.meritHundredths + 50);
    expect(mostWorth!.costMinor).toBeGreaterThan(cheapest.costMinor);
    expect(judged(applyAct(lacking, mostWorth!.act!)).merit.meritHundredths).toBe(
      mostWorth!.meritHundredths
    );
  });

  it('never costs more than the cheapest remedy of each stop, one after the other', () => {
    for (const whole of demos)
      for (const { gearId } of activePlan(whole).lines.slice(0, 6)) {
        const lacking = without(whole, gearId);
        const quick = settleAll(lacking, catalogue);
        const wide = settleAll(lacking, catalogue, { mostLooked: 40 });
        expect(wide.workingAfter, gearId).toBeGreaterThanOrEqual(quick.workingAfter);
        if (wide.workingAfter === quick.workingAfter && wide.left.length === quick.left.length)
          expect(wide.costMinor, gearId).toBeLessThanOrEqual(quick.costMinor);
        expect(wide.fewestChanges?.changes ?? 0).toBeLessThan(Math.max(1, wide.changes));
      }
  });

  it('leaves what is said of the scenes alone where it is told to', () => {
    const quiet = without(demoProject(), 'dunmarrow-plover');
    for (const whole of [quiet, droversRoad(), lanternlightDesk()]) {
      const { act } = settleAll(whole, catalogue, { mostLooked: 40, briefStays: true });
      expect(applyAct(whole, act!).scenes).toBe(whole.scenes);
    }
  });

  it('offers bodies to choose from where there is none, though other parts do not fit yet', () => {
    const lacking = onlyMicrophone();
    const now = judged(lacking);
    const finding = now.findings.find(({ code }) => code === 'M7')!;
    const remedies = remediesFor(lacking, catalogue, now, finding);
    expect(remedies).toHaveLength(3);
    expect(remedies.every(({ mends }) => mends)).toBe(true);
  });
});

describe('remedies', () => {
  const judgement = judged();
  const offered = judgement.findings.map((finding) => ({
    finding,
    remedies: remediesFor(project, catalogue, judgement, finding)
  }));

  it('never make the kit worse', () => {
    for (const { finding, remedies } of offered) {
      if (finding.row.family === 'money') continue;
      for (const { act, label } of remedies) {
        const { merit } = judged(applyAct(project, act));
        expect(merit.mustDoWorking, label).toBeGreaterThanOrEqual(judgement.merit.mustDoWorking);
        expect(merit.stops, label).toBeLessThanOrEqual(judgement.merit.stops);
      }
    }
  });

  it('stand by what the kit gains for their price, those that mend first', () => {
    for (const { remedies } of offered)
      for (let index = 1; index < remedies.length; index++) {
        const [remedy, next] = [remedies[index - 1]!, remedies[index]!];
        if (remedy.mends === next.mends && remedy.brings.length === next.brings.length)
          expect(remedy.gainPerMoney).toBeGreaterThanOrEqual(next.gainPerMoney);
      }
  });

  it('speak of the budget only where they are the first to go over it', () => {
    expect(judgement.money.remainingMinor).toBeLessThan(0);
    for (const { finding, remedies } of offered)
      for (const { brings } of remedies)
        expect(brings.join(), finding.code).not.toMatch(/over budget/);
  });
});
