import { describe, expect, it } from 'vitest';
import { checkProject } from '../../core/formats/satchel-file';
import { applyAct } from '../../core/acts/apply-act';
import { judgePlan } from '../../core/judge/judge-plan';
import { remediesFor } from '../../core/judge/settle';
import { activePlan } from '../../core/model/active-plan';
import type { Project } from '../../core/model/project';
import { shelfOf } from '../load-catalogue';
import { demos } from '.';

const judged = (project: Project) => judgePlan(project, activePlan(project), shelfOf(project));
const stopsOf = (project: Project) =>
  judged(project).findings.filter(({ severity }) => severity === 'stop');

describe.each(demos)('the demo $name', ({ id, name, project: made }) => {
  it('is a project of its own that the checks of a file pass', async () => {
    const project = await made();
    expect(project).toMatchObject({ id, name });
    expect(checkProject(project, 'project')).toEqual([]);
    const { byId } = shelfOf(project);
    for (const { gearId } of activePlan(project).lines) expect(byId.has(gearId), gearId).toBe(true);
    expect(project.scenes.reduce((sum, { sharePercent }) => sum + sharePercent, 0)).toBe(100);
  });

  it('has real things left to settle, and every scene works once they are, within the limit', async () => {
    let project = await made();
    // The loom is over its budget on purpose: something has to be moved to later, which is for a person to say.
    if (id === 'saltmarsh-loom') project.limitMinor += 20_000;
    expect(stopsOf(project).length).toBeGreaterThan(0);
    for (let round = 0; round < 12; round++) {
      const now = judged(project);
      const act = stopsOf(project)
        .flatMap((finding) => remediesFor(project, shelfOf(project), now, finding))
        .find(
          ({ mends, costMinor }) => mends && costMinor <= Math.max(0, now.money.remainingMinor)
        )?.act;
      if (!act) break;
      project = applyAct(project, act);
    }
    expect(stopsOf(project).map((finding) => finding.title())).toEqual([]);
    expect(judged(project).money.remainingMinor).toBeGreaterThanOrEqual(0);
    expect(judged(project).merit.meritHundredths).toBeGreaterThan(5000);
  });
});
