import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { activePlan } from '../model/active-plan';
import { applyAct } from './apply-act';
import { putLineActs } from './put-lines';

const project = demoProject();
const plan = activePlan(project);
const there = plan.lines.find((line) => line.state === 'wanted')!;
const thereGear = catalogue.byId.get(there.gearId)!;
const fresh = catalogue.items.find(({ id }) => !plan.lines.some(({ gearId }) => gearId === id))!;

describe('listed parts put in a plan', () => {
  it('are added once, with their quantity, and owned where the list says so', () => {
    const acts = putLineActs(plan, [
      { gear: fresh, quantity: 2, owned: true },
      { gear: fresh, quantity: 3, owned: false },
      { gear: thereGear, quantity: there.quantity, owned: true },
      { gear: thereGear, quantity: there.quantity, owned: false }
    ]);
    const { lines } = activePlan(applyAct(project, { type: 'batch', acts }));
    expect(lines.length).toBe(plan.lines.length + 1);
    expect(lines.find(({ gearId }) => gearId === fresh.id)).toMatchObject({
      quantity: 3,
      state: 'owned'
    });
    expect(lines.find(({ id }) => id === there.id)!.state).toBe('owned');
  });

  it('change nothing that is as listed already', () => {
    expect(
      putLineActs(plan, [{ gear: thereGear, quantity: there.quantity, owned: false }])
    ).toEqual([]);
  });
});
