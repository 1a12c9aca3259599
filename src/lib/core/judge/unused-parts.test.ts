import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { newLine } from '../model/new-line';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { judgePlan } from './judge-plan';
import { calmKit, walkOutside } from './tests/calm-kit';
import { anyProject, Chances } from './tests/random-kits';

const outside = (): Project => {
  const project = calmKit();
  walkOutside(project);
  return project;
};
/** Without limits of weight and money: what is carried and paid may change. */
const unlimited = (project: Project): Project => {
  const free = { ...project, pocketLimitsMinor: {} };
  delete free.carriedLimitKg;
  delete free.itemLimitMinor;
  delete free.rules;
  return free;
};
const meritOf = (project: Project) =>
  judgePlan(project, activePlan(project), shelfOf(project)).merit;

describe.each([
  ['the demo', demoProject()],
  ['a calm kit at a desk', calmKit()],
  ['a calm kit on the way', outside()]
])('a part more in %s', (_, start) => {
  const project = unlimited(start);
  const before = meritOf(project);

  it('does no harm where no scene is better for it', () => {
    const harmed = catalogue.items.flatMap((gear) => {
      const line = newLine(activePlan(project), gear);
      const after = meritOf(applyAct(project, { type: 'add line', line }));
      const isWorse =
        after.mustDoWorking < before.mustDoWorking ||
        after.stops > before.stops ||
        after.onceSettledHundredths < before.onceSettledHundredths - 1;
      return isWorse
        ? `${gear.id}: ${before.onceSettledHundredths} ${after.onceSettledHundredths}`
        : [];
    });
    expect(harmed).toEqual([]);
  });
});

describe('the order of the parts in a kit', () => {
  it('says nothing: any kit, turned round, is worth the same', () => {
    for (let seed = 60; seed < 90; seed++) {
      const project = anyProject(new Chances(seed));
      const plan = activePlan(project);
      const turned = {
        ...project,
        plans: [{ ...plan, lines: [...plan.lines].reverse() }]
      };
      const [merit, other] = [meritOf(project), meritOf(turned)];
      expect([other.stops, other.onceSettledHundredths], `kit ${seed}`).toEqual([
        merit.stops,
        merit.onceSettledHundredths
      ]);
    }
  });
});
