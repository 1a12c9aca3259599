import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import { judgePlan } from './judge-plan';
import { remediesFor } from './settle';
import { settleAll } from './settle-all';
import { calmKit } from './tests/calm-kit';

const project = demoProject();
const judged = (one = project) => judgePlan(one, activePlan(one), catalogue);

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
    for (const one of acts) {
      const fewer = acts.filter((act) => act !== one);
      const after = judged(applyAct(project, { type: 'batch', acts: fewer }));
      expect(after.merit.mustDoWorking).toBeLessThan(3);
    }
  });

  it('is nothing where nothing blocks', () => {
    const calm = settleAll(calmKit(), catalogue);
    expect([calm.act, calm.steps, calm.costMinor]).toEqual([undefined, [], 0]);
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
      for (let at = 1; at < remedies.length; at++) {
        const [one, next] = [remedies[at - 1]!, remedies[at]!];
        if (one.mends === next.mends && one.brings.length === next.brings.length)
          expect(one.gainPerMoney).toBeGreaterThanOrEqual(next.gainPerMoney);
      }
  });

  it('speak of the budget only where they are the first to go over it', () => {
    expect(judgement.money.remainingMinor).toBeLessThan(0);
    for (const { finding, remedies } of offered)
      for (const { brings } of remedies)
        expect(brings.join(), finding.code).not.toMatch(/over budget/);
  });
});
