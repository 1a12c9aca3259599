import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { judged } from '../judge/tests/calm-kit';
import type { Project } from '../model/project';
import { dayPlanWith, lookingForSavings, rehearsing, type Savings } from './what-saves';
import { runDays } from './many-days';

function together(): Project {
  const project = demoProject();
  for (const scene of project.scenes) scene.day = 1;
  return project;
}
function savingsOf(project: Project): Savings {
  const looking = lookingForSavings(project, shelfOf(project), 'marsh-path', undefined);
  for (;;) {
    const step = looking.next();
    if (step.done) return step.value;
  }
}
const lostOf = (project: Project) =>
  runDays(dayPlanWith(project, judged(project), 'marsh-path')!, 200).lostTakes;

describe('the order of scenes', () => {
  it('that is told is the best of all of them, tried one by one', () => {
    const project = together();
    const ids = project.scenes.map(({ id }) => id);
    const [a, b, c] = ids as [string, string, string];
    const orders = [
      [a, b, c],
      [a, c, b],
      [b, a, c],
      [b, c, a],
      [c, a, b],
      [c, b, a]
    ].map((order) => ({
      order,
      lost: lostOf(applyAct(project, rehearsing(project, { sceneOrder: order })))
    }));
    const best = Math.min(...orders.map(({ lost }) => lost));
    const told = savingsOf(project).list.find(({ label }) => label === 'Another order of scenes')!;
    const now = lostOf(applyAct(project, told.act));
    // 400 days told it, 200 look again: no other is better by more than chance.
    expect(now).toBeLessThanOrEqual(best * 1.03);
    expect(now).toBeLessThan(orders[0]!.lost);
  });

  it('is let be where there is one scene alone', () => {
    const project = demoProject();
    expect(savingsOf(project).list.map(({ label }) => label)).not.toContain(
      'Another order of scenes'
    );
  });

  it('keeps what else the rehearsal holds', () => {
    const project = together();
    project.rehearsal = { seed: 7, habits: ['first take played back'] };
    const told = savingsOf(project).list.find(({ label }) => label === 'Another order of scenes')!;
    const after = applyAct(project, told.act).rehearsal!;
    expect(after).toMatchObject({ seed: 7, habits: ['first take played back'] });
    expect(after.sceneOrder).toHaveLength(3);
  });
});

describe('what is kept already', () => {
  it('is not offered again, and what is bought is one undo', () => {
    const project = together();
    project.rehearsal = { habits: ['charged while there is a socket'] };
    const { list, together: all } = savingsOf(project);
    expect(list.map(({ habit }) => habit)).not.toContain('charged while there is a socket');
    expect(all!.habits).not.toContain('charged while there is a socket');
    // What is put on the list stands beside what was there.
    const after = applyAct(project, all!.act);
    expect(after.rehearsal!.habits).toEqual(['charged while there is a socket', ...all!.habits]);
    for (const { act, costMinor } of list.filter((saving) => saving.costMinor > 0)) {
      const bought = applyAct(project, act);
      const before = judged(project).money.firmMinor;
      expect(judged(bought).money.firmMinor - before).toBe(costMinor);
    }
  });
});
