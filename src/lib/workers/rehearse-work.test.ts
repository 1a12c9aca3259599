import { describe, expect, it } from 'vitest';
import { demoProject } from '../catalogue/demos/saltmarsh-loom';
import type { ManyDays } from '../core/rehearse/many-days';
import type { Savings } from '../core/rehearse/what-saves';
import { makeJudgeWork } from './judge-work';

const project = demoProject();
for (const scene of project.scenes) scene.day = 1;

describe('days run in the worker', () => {
  it('are told now and then, all of them in the end, the same each time', async () => {
    const last = async () => {
      const told: ManyDays[] = [];
      const { cancelled } = await makeJudgeWork().rehearse(project, 'loom-lesson', (part) =>
        told.push(part)
      );
      expect(cancelled).toBe(false);
      for (const [index, { days }] of told.entries())
        if (index > 0) expect(days).toBeGreaterThan(told[index - 1]!.days);
      return told.at(-1)!;
    };
    const first = await last();
    expect(first.days).toBe(1000);
    expect(await last()).toEqual(first);
  });

  it('of a scene that is gone are none, and nothing is thrown', async () => {
    const told: ManyDays[] = [];
    const { cancelled } = await makeJudgeWork().rehearse(project, 'gone', (part) =>
      told.push(part)
    );
    expect([cancelled, told]).toEqual([false, []]);
    const { done } = await makeJudgeWork().whatSaves(project, 'gone', undefined, () => undefined);
    expect(done).toEqual({ list: [], together: undefined, isDone: true });
  });

  it('and what would have saved them are given up when they are asked anew or stopped', async () => {
    const work = makeJudgeWork();
    const told: Savings[] = [];
    const first = work.whatSaves(project, 'loom-lesson', undefined, (part) => told.push(part));
    const second = work.whatSaves(project, 'loom-lesson', undefined, () => undefined);
    expect((await first).cancelled).toBe(true);
    setTimeout(() => work.stopRehearsing(), 20);
    expect((await second).cancelled).toBe(true);
    // Whatever was told before is left as it was.
    for (const { isDone } of told) expect(isDone).toBe(false);
  });

  it('tell the whole list in the end, no line twice', async () => {
    let last: Savings | undefined;
    await makeJudgeWork().whatSaves(
      project,
      'loom-lesson',
      { seed: 2417, day: 1 },
      (part) => (last = part)
    );
    expect(last!.isDone).toBe(true);
    const names = last!.list.map(({ label, detail }) => `${label} ${detail}`);
    expect(new Set(names).size).toBe(names.length);
    expect(last!.together!.lostThisDay).toBeLessThan(7);
    for (const { mostly } of last!.list) expect(mostly).toBeDefined();
  });
});
