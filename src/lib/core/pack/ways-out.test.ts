import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { pockets } from '../model/pocket';
import { makeShelf } from '../model/shelf';
import { spendableOf } from './front-steps';
import { keepsLimits, limitsTaken } from './limits';
import { frameOf, noRules, type PackRules } from './pack-rules';
import { filmsAll, judged, withKit } from './packed-kit';
import { packing } from './packing';
import { waysOut } from './ways-out';

const demo = demoProject();
const shelf = shelfOf(demo);
const inPlan = new Set(activePlan(demo).lines.map(({ gearId }) => gearId));
/** A part in three of the shelf, and those of the plan: a smaller one is gone through sooner. */
const part = makeShelf(shelf.items.filter(({ id }, index) => index % 3 === 0 || inPlan.has(id)));
const hands: Project = {
  ...demo,
  scenes: demo.scenes.filter(({ id }) => id === 'shuttle-hands'),
  pocketLimitsMinor: {}
};

function lookedFor(project: Project, rules: PackRules = noRules) {
  const looking = waysOut(project, part, rules);
  for (;;) {
    const step = looking.next();
    if (step.done === true) return step.value;
    expect(step.value.isDone).toBe(false);
  }
}

describe('what stands in the way of filming all of it', () => {
  const limits: [string, Partial<Project>, RegExp][] = [
    ['what is set aside', { limitMinor: 60_000, reserveMinor: 58_000 }, /^Set nothing aside$/],
    ['a pocket', { pocketLimitsMinor: { body: 5_000 } }, /^Raise the limit of body to £\d+$/],
    ['the price of one part', { itemLimitMinor: 5_000 }, /^Let one part cost up to £\d+$/],
    ['mass', { carriedLimitKg: 0.1 }, /^Carry up to [\d.]+ kg$/],
    ['minutes', { setUpLimitMin: 0.5 }, /^Allow \d+ min to set up$/],
    ['switches', { switchLimit: 1 }, /^Remember \d+ switches$/]
  ];
  it.each(limits)(
    'is told for %s, with a kit that films all of it once that is changed',
    (_what, patch, label) => {
      const project = { ...hands, ...patch };
      const { ways, isDone } = lookedFor(project);
      expect(isDone).toBe(true);
      const way = ways.find((way) => label.test(way.label));
      expect(way, ways.map(({ label }) => label).join()).toBeDefined();
      const after = applyAct(project, way!.act!);
      const judgement = judged(withKit(after, way!.kit), part);
      expect(filmsAll(judgement.merit)).toBe(true);
      expect(judgement.money.firmMinor).toBeLessThanOrEqual(spendableOf(after));
      expect(keepsLimits(frameOf(after, part, noRules), judgement)).toBe(true);
    },
    120_000
  );

  it('is told for rules of packing', () => {
    const rules: PackRules = { ...noRules, lockedPockets: [...pockets] };
    const bare: Project = {
      ...hands,
      plans: [{ ...activePlan(hands), lines: [], rigs: [] }]
    };
    const { ways } = lookedFor(bare, rules);
    expect(ways.map(({ label }) => label)).toContain('Unlock all pockets');
    for (const { act, rules } of ways) expect(act === undefined).toBe(rules !== undefined);
  }, 120_000);

  it('is not made up where no single change is enough', () => {
    const { ways } = lookedFor({ ...hands, limitMinor: 1_000, reserveMinor: 0 });
    expect(ways).toEqual([]);
  }, 120_000);
});

describe('limits beside the budget', () => {
  it('say nothing of a pocket in which nothing may change', () => {
    // The lens of the demo lies over the limit of its pocket.
    const judgement = judged(demo, shelf);
    const locked = frameOf(demo, shelf, { ...noRules, lockedPockets: ['lens'] });
    expect(keepsLimits(frameOf(demo, shelf, noRules), judgement)).toBe(false);
    expect(keepsLimits(locked, judgement)).toBe(true);
  });

  it('hold for parts of the plan as for those that come in', () => {
    const dear = { ...demo, pocketLimitsMinor: {}, itemLimitMinor: 20_000 };
    const frame = frameOf(dear, shelf, noRules);
    expect(limitsTaken(frame, judged(dear, shelf))).toEqual([
      { limit: 'one part', most: 20_000, takes: expect.any(Number) }
    ]);
    expect(keepsLimits(frame, judged(dear, shelf))).toBe(false);
  });
});

describe('makers left out', () => {
  it('have nothing in a kit, but what stays whatever is packed', () => {
    const { lines } = activePlan(demo);
    const makerOf = (gearId: string) => shelf.byId.get(gearId)!.maker;
    const wanted = lines.find(({ state, locked }) => state === 'wanted' && !locked)!;
    const excludedMakers = [makerOf(wanted.gearId)];
    const frame = frameOf(demo, shelf, { ...noRules, excludedMakers });
    const rest = lines.filter(
      (line) => frame.isFixed(line) || !excludedMakers.includes(makerOf(line.gearId))
    );
    expect(frame.respects(lines)).toBe(false);
    expect(frame.respects(rest)).toBe(true);
    const owned = lines.map((line) => ({ ...line, state: 'owned' as const }));
    const ownedDemo = { ...demo, plans: [{ ...activePlan(demo), lines: owned }] };
    expect(frameOf(ownedDemo, shelf, { ...noRules, excludedMakers }).respects(owned)).toBe(true);
  });
});

describe('with any pocket locked', () => {
  it.each(pockets)('kits are found, and each leaves it as it is: %s', (pocket) => {
    const rules: PackRules = { ...noRules, lockedPockets: [pocket] };
    const frame = frameOf(demo, shelf, rules);
    for (const { front, judged: tried } of packing(demo, shelf, rules, false)) {
      for (const { lines } of front) expect(frame.respects(lines)).toBe(true);
      if (front.length > 0) return;
      if (tried > 300) break;
    }
    expect.unreachable('no kit was found');
  });
});
