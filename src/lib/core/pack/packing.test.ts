import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { droversRoad } from '../../catalogue/demos/drovers-road';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { settleAll } from '../judge/settle-all';
import { applyAct } from '../acts/apply-act';
import type { KitMerit } from '../merit/kit-merit';
import { activePlan } from '../model/active-plan';
import { pocketOf } from '../model/gear';
import type { Project } from '../model/project';
import { makeShelf } from '../model/shelf';
import { boundFor } from './bound/kit-bound';
import { actsToKit, changedLines, scenesChosenAnew } from './kit-changes';
import { frontSteps, goodEnoughOf, spendableOf } from './front-steps';
import { ladderOf } from './ladder';
import { mending } from './mend';
import { frameOf, noRules, type PackRules } from './pack-rules';
import { compareWorth, filmsAll, judged, type PackedKit, withKit } from './packed-kit';
import type { PackProgress } from './kit-search';
import { pack } from './packing';
import { runnersUp } from './runners-up';
import { bestOfAll, tinyShelf } from './tests/brute-force';
import { bestByModel, middlingShelf } from './tests/mixed-integer';
import { answered } from './tests/walk-grid';

const demo = demoProject();
const shelf = shelfOf(demo);
const oneScene: Project = { ...demo, scenes: demo.scenes.slice(0, 1) };
const found = pack(oneScene, shelf);
const bestOf = (project: Project, { front }: PackProgress) =>
  front.filter(({ priceMinor }) => priceMinor <= spendableOf(project)).at(-1)!;
const partsOf = ({ lines }: PackedKit) => lines.map(({ gearId }) => shelf.byId.get(gearId)!);

describe('the front', () => {
  it('holds whole kits, each judged as any plan is, cheapest first and each better than the one before', () => {
    expect(found.isDone).toBe(true);
    expect(found.front.length).toBeGreaterThan(8);
    let before: PackedKit | undefined;
    for (const kit of found.front) {
      const { merit, money } = judged(withKit(oneScene, kit), shelf);
      expect(money.firmMinor).toBe(kit.priceMinor);
      expect(merit).toEqual(kit.merit);
      if (before) {
        expect(kit.priceMinor).toBeGreaterThan(before.priceMinor);
        expect(compareWorth(kit.merit, before.merit)).toBeGreaterThan(0);
      }
      before = kit;
    }
  });

  it.each([
    ['product', true],
    ['ride', false]
  ] as const)('of %s is worth no less where there is more money', (style, isFirst) => {
    const bestWith = (limit: number) => {
      const start = answered([style], limit, 'sound and light first', false, false);
      // To its end on a third of the shelf, which takes a third of the time.
      const from = isFirst
        ? catalogue
        : makeShelf(catalogue.items.filter((_, index) => index % 3 === 0));
      return bestOf(start, pack(start, from, noRules, { thorough: !isFirst })).merit;
    };
    const [usual, ample] = (isFirst ? [1200, 2500] : [600, 1200]).map(bestWith) as [
      KitMerit,
      KitMerit
    ];
    expect(compareWorth(ample, usual)).toBeGreaterThanOrEqual(0);
  });

  it('is the same every time, in whatever order the shelf lies', () => {
    const turned = makeShelf([...shelf.items].reverse());
    const gist = ({ front }: PackProgress) =>
      front.map(({ priceMinor, merit }) => [
        priceMinor,
        merit.mustDoWorking,
        merit.meritHundredths
      ]);
    expect(gist(pack(oneScene, shelf))).toEqual(gist(found));
    const otherWay = bestOf(oneScene, pack(oneScene, turned));
    // Ties may be broken by the order; what the budget buys may not.
    expect(otherWay.merit.meritHundredths).toBe(bestOf(oneScene, found).merit.meritHundredths);
  });

  it('has nothing in its best kit that it is as good without, and no better kit one change away', () => {
    const kit = bestOf(oneScene, found);
    const project = withKit(oneScene, kit);
    for (const line of kit.lines) {
      if (line.state === 'owned') continue;
      const without = judged(applyAct(project, { type: 'remove line', lineId: line.id }), shelf);
      expect(compareWorth(kit.merit, without.merit), line.gearId).toBeGreaterThan(0);
    }
    for (const next of runnersUp(frameOf(oneScene, shelf, noRules), kit))
      expect(next.gainHundredths, next.gear.id).toBeLessThanOrEqual(0);
  });

  it('is equal to trying every kit of a tiny shelf', () => {
    let films = 0;
    const SHELVES = 16;
    // Then one whose first body has no lens, one whose light pays only where the camera leaves it the clamp, and one
    // whose microphone records by itself.
    const met = [164, 38, 364];
    for (const seed of [...Array.from({ length: SHELVES }, (_, index) => index + 1), ...met]) {
      const { project, shelf: tiny } = tinyShelf(seed);
      const best = bestOfAll(project, tiny);
      const found = pack(project, tiny);
      const packed = bestOf(project, found);
      const most = boundFor(found.bound!, spendableOf(project))!;
      expect(most, `shelf ${seed}`).toBeGreaterThanOrEqual(packed.merit.meritHundredths);
      // Several pieces of a part, which only the packer tries, may even be better.
      expect(compareWorth(packed.merit, best.merit), `shelf ${seed}`).toBeGreaterThanOrEqual(0);
      if (filmsAll(best.merit)) films += 1;
    }
    expect(films).toBeGreaterThan(SHELVES / 2);
  });

  it('is equal to the best kit of a mixed-integer model on shelves of two scenes', async () => {
    for (const seed of [1, 4, 8]) {
      const { project, shelf: middling } = middlingShelf(seed);
      const { kit } = await bestByModel(project, middling);
      const packed = bestOf(project, pack(project, middling));
      const worth = ({ merit }: typeof kit) => [merit.mustDoWorking, merit.meritHundredths];
      expect(worth(packed), `shelf ${seed}`).toEqual(worth(kit));
      expect(filmsAll(kit.merit), `shelf ${seed}`).toBe(true);
    }
  });

  it('says what the cheapest kit that films all costs where the budget buys none', () => {
    const poor = { ...oneScene, limitMinor: 10_000, reserveMinor: 0 };
    const { front } = pack(poor, shelf);
    const films = front.find(({ merit }) => filmsAll(merit))!;
    expect(films.priceMinor).toBeGreaterThan(10_000);
    const enough = { ...poor, limitMinor: films.priceMinor };
    expect(filmsAll(bestOf(enough, pack(enough, shelf)).merit)).toBe(true);
  });
});

describe('rules', () => {
  const under = (rules: Partial<PackRules>, project = oneScene) =>
    bestOf(project, pack(project, shelf, { ...noRules, ...rules }, { mostJudged: 6000 }));
  const inPocket = (kit: PackedKit, pocket: string) =>
    kit.lines.filter(({ gearId }) => pocketOf(shelf.byId.get(gearId)!) === pocket);

  it('leave a locked pocket as it is', () => {
    const kit = under({ lockedPockets: ['sound', 'body'] });
    for (const pocket of ['sound', 'body'])
      expect(inPocket(kit, pocket)).toEqual(
        inPocket({ ...kit, lines: activePlan(oneScene).lines }, pocket)
      );
  });

  it('take nothing new from a maker that is left out', () => {
    const kit = under({ excludedMakers: ['Orrowby', 'Dunmarrow'] });
    const had = new Set(activePlan(oneScene).lines.map(({ gearId }) => gearId));
    for (const gear of partsOf(kit))
      if (!had.has(gear.id)) expect(['Orrowby', 'Dunmarrow']).not.toContain(gear.maker);
  });

  it('buy never used, or only', () => {
    for (const { basis, state } of under({ used: 'never' }).lines)
      if (state === 'wanted') expect(basis).toBe('new');
    for (const { basis, state } of under({ used: 'only' }, { ...oneScene, limitMinor: 300_000 })
      .lines)
      if (state === 'wanted') expect(basis).toBe('used');
  });

  it('keep to the limits of pockets and of one part, and to what is owned, paid or locked', () => {
    const bounded = {
      ...oneScene,
      itemLimitMinor: 25_000,
      pocketLimitsMinor: { light: 6_000, support: 5_000 }
    };
    const kit = under({}, bounded);
    const { money } = judged(withKit(bounded, kit), shelf);
    expect(money.pockets.light.firmMinor).toBeLessThanOrEqual(6_000);
    expect(money.pockets.support.firmMinor).toBeLessThanOrEqual(5_000);
    for (const { unitMinor, line } of money.lines)
      if (line.state === 'wanted') expect(unitMinor).toBeLessThanOrEqual(25_000);
    const fixed = applyAct(
      applyAct(oneScene, { type: 'change line', lineId: 'line-7', patch: { locked: true } }),
      { type: 'change line', lineId: 'line-2', patch: { state: 'bought', paidMinor: 15_000 } }
    );
    const ids = under({}, fixed).lines.map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(['line-7', 'line-2', 'line-14']));
  });
});

describe('what is told of a kit', () => {
  const kit = bestOf(oneScene, found);

  it('becomes the plan in one act, and back', () => {
    const act = actsToKit(activePlan(oneScene), kit)!;
    const after = applyAct(oneScene, act);
    expect(judged(after, shelf).merit.meritHundredths).toBe(kit.merit.meritHundredths);
    expect(changedLines(activePlan(after).lines, kit.lines, shelf)).toBe(0);
    expect(actsToKit(activePlan(after), kit)).toBeUndefined();
    const back = actsToKit(activePlan(after), activePlan(oneScene))!;
    expect(
      changedLines(activePlan(applyAct(after, back)).lines, activePlan(oneScene).lines, shelf)
    ).toBe(0);
  });

  it('is good enough where no dearer kit brings a point for what a point may cost', () => {
    const atValue = (priceMinor: number, meritHundredths: number) =>
      ({
        priceMinor,
        merit: { mustDoWorking: 1, mustDoScenes: 1, stops: 0, meritHundredths }
      }) as PackedKit;
    const front = [
      atValue(40_000, 5000),
      atValue(50_000, 6000),
      atValue(60_000, 6090),
      atValue(75_000, 6300)
    ];
    // 60.90 costs 100 more for 0.9; 63.00 costs 250 more for 3.0: that is a point for less than 100.
    expect(goodEnoughOf(front, 10_000)).toBe(front[3]);
    expect(goodEnoughOf(front, 8_000)).toBe(front[1]);
    expect(goodEnoughOf([], 8_000)).toBeUndefined();
  });

  it('is shown in steps one can tell apart, among them the good enough and the best', () => {
    const steps = frontSteps(oneScene, shelf, found.front);
    expect(steps.filter(({ isGoodEnough }) => isGoodEnough)).toHaveLength(1);
    expect(steps.find(({ isBestForBudget }) => isBestForBudget)!.priceMinor).toBe(kit.priceMinor);
    for (const [index, { changes }] of steps.entries())
      if (index > 0) expect(changes!.comesIn.length + changes!.goesOut.length).toBeGreaterThan(0);
  });

  it('is bought in goes that hold each other, each filming something, the last being the kit', () => {
    const saving = { ...demo, inHandMinor: 40_000, savedPerMonthMinor: 10_000 };
    const all = pack(saving, shelf, noRules, { mostJudged: 8000 });
    const last = bestOf(saving, all);
    expect(filmsAll(last.merit)).toBe(true);
    expect(last.merit.meritHundredths).toBeGreaterThanOrEqual(
      judged(demo, shelf).merit.meritHundredths
    );
    const rungs = ladderOf(frameOf(saving, shelf, noRules), last, all.front, '2026-11-29');
    expect(rungs.length).toBeGreaterThan(1);
    expect(rungs.at(-1)!.kit.priceMinor).toBe(last.priceMinor);
    for (const [index, rung] of rungs.entries()) {
      expect(rung.films.length).toBeGreaterThan(0);
      const above = rungs[index + 1];
      if (!above) continue;
      const held = new Set(above.kit.lines.map(({ id }) => id));
      expect(rung.kit.lines.every(({ id }) => held.has(id))).toBe(true);
      expect(above.costMinor).toBe(above.kit.priceMinor - rung.kit.priceMinor);
      expect(above.reachedOn! >= rung.reachedOn!).toBe(true);
    }
  });
});

describe('mending', () => {
  function mended(project: Project) {
    const looking = mending(project, shelf, noRules);
    for (;;) {
      const step = looking.next();
      if (step.done === true) return step.value;
    }
  }

  it('unblocks all that must be filmed, by few lines and by little money', () => {
    const { fewestLines, leastMoney, isWhole } = mended(demo);
    expect(isWhole).toBe(false);
    for (const kit of [fewestLines!, leastMoney!]) {
      const now = judged(withKit(demo, kit), shelf);
      expect(filmsAll(now.merit)).toBe(true);
      expect(now.money.firmMinor).toBe(kit.priceMinor);
      expect(kit.lines.some(({ id }) => id === 'line-14')).toBe(true);
    }
    expect(fewestLines!.changed).toBeLessThanOrEqual(leastMoney!.changed);
    expect(leastMoney!.priceMinor).toBeLessThanOrEqual(fewestLines!.priceMinor);
    expect(mended(applyAct(demo, actsToKit(activePlan(demo), fewestLines!)!)).isWhole).toBe(true);
  });

  it('is never behind what the remedies of the stops come to', () => {
    // Remedies may go over what is set aside for a pocket; mending keeps to it.
    for (const limited of [demo, droversRoad()]) {
      const project = { ...limited, pocketLimitsMinor: {} };
      const settled = settleAll(project, shelf, { mostLooked: 60 });
      const after = judged(applyAct(project, settled.act!), shelf);
      const { fewestLines, leastMoney } = mended(project);
      const { lines } = activePlan(project);
      const changed = changedLines(lines, activePlan(applyAct(project, settled.act!)).lines, shelf);
      expect(fewestLines!.changed).toBeLessThanOrEqual(changed);
      expect(leastMoney!.priceMinor).toBeLessThanOrEqual(after.money.firmMinor);
    }
  });

  it('is worth what it says once it is taken, the parts of an angle chosen anew too', () => {
    const road = droversRoad();
    const { fewestLines } = mended(road);
    expect([fewestLines!.changed, fewestLines!.priceMinor]).toEqual([
      0,
      judged(road, shelf).money.firmMinor
    ]);
    expect(scenesChosenAnew(activePlan(road), fewestLines!)).toEqual(['the-way']);
    const taken = applyAct(road, actsToKit(activePlan(road), fewestLines!)!);
    expect(judged(taken, shelf).merit.meritHundredths).toBe(fewestLines!.merit.meritHundredths);
    expect(filmsAll(judged(taken, shelf).merit)).toBe(true);
  });

  it('changes nothing in the brief, and says how near it comes where nothing helps', () => {
    const nothing = makeShelf(
      catalogue.items.filter(({ id }) => activePlan(demo).lines.some(({ gearId }) => gearId === id))
    );
    const looking = mending(demo, nothing, noRules);
    let last = looking.next();
    while (last.done !== true) last = looking.next();
    expect(last.value.fewestLines).toBeUndefined();
    expect(last.value.isDone).toBe(true);
    expect(last.value.nearest.merit.mustDoWorking).toBeGreaterThanOrEqual(1);
  });
});
