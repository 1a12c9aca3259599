import { describe, expect, it } from 'vitest';
import { demoOf, demos } from '../../catalogue/demos';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import type { KitMerit } from '../merit/kit-merit';
import { belowAll, costOfPoint, spendableOf } from './front-steps';
import { changesBetween } from './kit-changes';
import { KitFront } from './kit-front';
import { bareProject, frameOf, noRules } from './pack-rules';
import { keepsLimits } from './limits';
import { filmsAll, judged, type PackedKit, withKit } from './packed-kit';
import { pack } from './packing';

const merit = (meritHundredths: number, mustDoWorking = 2, stops = 0): KitMerit => ({
  mustDoWorking,
  mustDoScenes: 2,
  stops,
  meritHundredths,
  onceSettledHundredths: meritHundredths,
  scenes: []
});
const kit = (priceMinor: number, of: KitMerit): PackedKit => ({
  lines: [],
  rigs: [],
  priceMinor,
  merit: of
});
const demo = demoProject();
const shelf = shelfOf(demo);

describe('kits nothing beats', () => {
  it('are kept cheapest first, and what is beaten goes', () => {
    const front = new KitFront();
    expect(front.add(kit(300, merit(5000)))).toBe(true);
    expect(front.add(kit(100, merit(4000)))).toBe(true);
    expect(front.add(kit(200, merit(3900)))).toBe(false);
    expect(front.add(kit(200, merit(5000)))).toBe(true);
    expect(front.all.map(({ kit: kit }) => kit.priceMinor)).toEqual([100, 200]);
    expect(front.bestFor(199)!.priceMinor).toBe(100);
    expect(front.bestFor(99)).toBeUndefined();
  });

  it('film more before they are worth more', () => {
    const front = new KitFront();
    front.add(kit(100, merit(9000, 1)));
    expect(front.admits(kit(200, merit(1000, 2)))).toBe(true);
    expect(front.admits(kit(200, merit(9500, 1, 1)))).toBe(false);
  });

  it('say below which spend how much can be filmed', () => {
    const front = [
      kit(50, merit(0, 0)),
      kit(60, merit(10, 1)),
      kit(70, merit(20, 1)),
      kit(90, merit(30))
    ];
    expect(belowAll(front)).toEqual([
      { fromMinor: 50, works: 0 },
      { fromMinor: 60, works: 1 }
    ]);
    expect(belowAll(front.slice(3))).toEqual([]);
  });
});

describe('what a point may cost', () => {
  it('is a hundred pounds, or as much in other money, or a share of the limit where nobody knows a rate', () => {
    expect(costOfPoint(demo)).toBe(10_000);
    expect(
      costOfPoint({
        currency: 'EUR',
        limitMinor: 1,
        rates: [{ currency: 'GBP', perUnit: 1.2, date: '2026-11-28' }]
      })
    ).toBe(12_000);
    expect(costOfPoint({ currency: 'XTS', limitMinor: 600_000 })).toBe(50_000);
    expect(spendableOf({ limitMinor: 100, reserveMinor: 300 })).toBe(0);
  });
});

describe('what may change', () => {
  it('leaves in the bare plan what is owned, paid, locked, sent back or for later', () => {
    const changes = [
      ['line-1', { locked: true }],
      ['line-2', { state: 'bought' }],
      ['line-3', { state: 'ordered' }],
      ['line-4', { state: 'returned' }],
      ['line-5', { step: 'later' }],
      ['line-6', { step: 'next' }]
    ] as const;
    const project = changes.reduce(
      (project, [lineId, patch]) => applyAct(project, { type: 'change line', lineId, patch }),
      demo
    );
    const { lines } = activePlan(bareProject(frameOf(project, shelf, noRules)));
    expect(lines.map(({ id }) => id).sort()).toEqual(
      ['line-1', 'line-14', 'line-2', 'line-3', 'line-4', 'line-5'].sort()
    );
  });

  it('leaves out parts without a price in this money, and beyond the reach of the budget', () => {
    const { parts, mostMinor } = frameOf({ ...demo, limitMinor: 40_000 }, shelf, noRules);
    const all = Object.values(parts).flat();
    expect(all.length).toBeGreaterThan(100);
    for (const gear of all) {
      expect(gear.priceNew?.currency ?? gear.priceUsed?.currency).toBe('GBP');
      expect(
        Math.min(gear.priceNew?.likely ?? Infinity, gear.priceUsed?.likely ?? Infinity)
      ).toBeLessThanOrEqual(mostMinor);
    }
  });

  it('keeps to weight, minutes and switches where they are set', () => {
    const free = { ...demo, pocketLimitsMinor: {} };
    const keeps = (project: Project) =>
      keepsLimits(frameOf(project, shelf, noRules), judged(project, shelf));
    expect(keeps(free)).toBe(true);
    // The lens of the demo lies over the limit of its pocket.
    expect(keeps(demo)).toBe(false);
    expect(keeps({ ...free, carriedLimitKg: 0.5 })).toBe(false);
    expect(keeps({ ...free, carriedLimitKg: 90 })).toBe(true);
    expect(keeps({ ...free, setUpLimitMin: 0.5 })).toBe(false);
    expect(keeps({ ...free, switchLimit: 1 })).toBe(false);
  });
});

describe('changes from kit to kit', () => {
  it('count pieces, and leave out what is sent back or for later', () => {
    const { lines } = activePlan(demo);
    const more = lines.map((line) => (line.id === 'line-9' ? { ...line, quantity: 3 } : line));
    expect(changesBetween(lines, more, shelf).comesIn).toMatchObject([{ pieces: 2 }]);
    expect(changesBetween(more, lines, shelf).goesOut).toMatchObject([{ pieces: 2 }]);
    const later = lines.map((line) =>
      line.id === 'line-9' ? { ...line, step: 'later' as const } : line
    );
    expect(changesBetween(lines, later, shelf).goesOut.map(({ gear }) => gear.kind)).toEqual([
      'card'
    ]);
    expect(changesBetween(lines, lines, shelf)).toMatchObject({ comesIn: [], goesOut: [] });
  });
});

describe('the other demos', () => {
  // The loom is packed in packing.test.ts.
  it.each(demos.slice(1).map(({ id }) => [id]))(
    '%s is packed within its budget so that all of it works',
    async (id) => {
      const project = await demoOf(id);
      const own = shelfOf(project);
      const { front } = pack(project, own, noRules, { mostJudged: 2500 });
      const best = front.filter(({ priceMinor }) => priceMinor <= spendableOf(project)).at(-1)!;
      expect(filmsAll(best.merit)).toBe(true);
      const now = judged(project, own);
      expect(best.merit.meritHundredths).toBeGreaterThanOrEqual(now.merit.meritHundredths);
      const owned = activePlan(project).lines.filter(({ state }) => state === 'owned');
      for (const { id: lineId } of owned)
        expect(best.lines.map((line) => line.id)).toContain(lineId);
    }
  );
});

describe('a scene', () => {
  it('is packed in other money for as much', () => {
    const abroad = applyAct(
      { ...demo, scenes: demo.scenes.slice(0, 1) },
      {
        type: 'change currency',
        currency: 'EUR',
        perUnit: 1.25,
        date: '2026-11-28'
      }
    );
    const priced = shelfOf(abroad);
    const { front } = pack(abroad, priced, noRules, { mostJudged: 1500 });
    const films = front.find(({ merit: of }) => filmsAll(of))!;
    expect(judged(withKit(abroad, films), priced).money.currency).toBe('EUR');
    expect(films.priceMinor).toBeGreaterThan(0);
    expect(catalogue.items.length).toBeLessThanOrEqual(priced.items.length);
  });
});
