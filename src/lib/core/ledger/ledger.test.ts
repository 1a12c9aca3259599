import fc from 'fast-check';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { PlanLine } from '../model/plan';
import type { Project } from '../model/project';
import { lineStates, steps } from '../model/word-lists';
import { linesByShop, linesToBuy } from '../formats/buying-list';
import { statementOf } from '../money/statement';
import { calendarOf } from './calendar';
import { comparePlans, takeAcross } from './compare-plans';
import { dayReached } from '../money/savings';
import { buyingSteps, moneyDays, savingsByMonth } from './steps';

const demo = demoProject();
const shelf = shelfOf(demo);
const moneyOf = (project: Project) => statementOf(project, activePlan(project), shelf);
const change = (project: Project, lineId: string, patch: Partial<PlanLine>) =>
  applyAct(project, { type: 'change line', lineId, patch });

describe('what was paid', () => {
  it('stands in place of the price, to the penny and without a range', () => {
    const before = moneyOf(demo);
    const paid = moneyOf(
      change(demo, 'line-1', { state: 'bought', paidMinor: 12_275, paidOn: '2026-11-09' })
    );
    // The Plover was planned at 132.00.
    expect(before.lines[0]!.firmMinor).toBe(13_200);
    expect(paid.lines[0]!.firmMinor).toBe(12_275);
    expect(paid.lines[0]!.range).toEqual({ low: 12_275, likely: 12_275, high: 12_275 });
    expect(paid.remainingMinor - before.remainingMinor).toBe(925);
  });

  it('counts only once it is bought, and what did not come back of a return is lost', () => {
    expect(moneyOf(change(demo, 'line-1', { paidMinor: 1 })).lines[0]!.firmMinor).toBe(13_200);
    const back = (refundMinor?: number) =>
      moneyOf(change(demo, 'line-1', { state: 'returned', paidMinor: 13_895, refundMinor }))
        .lines[0]!.firmMinor;
    expect(back(13_200)).toBe(695);
    expect(back()).toBe(0);
    expect(back(20_000)).toBe(0);
  });

  it('adds up line by line, however lines are paid, sent back and moved to later', () => {
    const anyPatch = fc.record(
      {
        state: fc.constantFrom(...lineStates),
        step: fc.constantFrom(...steps),
        quantity: fc.integer({ min: 1, max: 5 }),
        paidMinor: fc.nat(90_000),
        refundMinor: fc.nat(90_000),
        shippingMinor: fc.nat(2000),
        discountPercent: fc.integer({ min: 0, max: 100 })
      },
      { requiredKeys: [] }
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(12), anyPatch), { maxLength: 12 }), (patches) => {
        let project = demo;
        const ids = activePlan(demo).lines.map(({ id }) => id);
        for (const [index, patch] of patches) project = change(project, ids[index]!, patch);
        const money = moneyOf(project);
        // Counted again the plain way, from the lines themselves.
        let sum = 0;
        for (const { line, price, firmMinor, runningMinor } of money.lines) {
          let cost = 0;
          if (line.state === 'returned')
            cost = Math.max(0, (line.paidMinor ?? 0) - (line.refundMinor ?? line.paidMinor ?? 0));
          else if (line.state !== 'owned' && line.step !== 'later') {
            const goods = price!.likely! * line.quantity;
            const off = Math.round((goods * (line.discountPercent ?? 0)) / 100);
            cost = goods - off + (line.shippingMinor ?? 0);
            if (
              (line.state === 'bought' || line.state === 'ordered') &&
              line.paidMinor !== undefined
            )
              cost = line.paidMinor;
          }
          expect(firmMinor).toBe(cost);
          sum += cost;
          expect(runningMinor).toBe(sum);
        }
        expect(money.firmMinor).toBe(sum);
        expect(money.remainingMinor).toBe(115_000 - sum);
      }),
      { numRuns: 300 }
    );
  });
});

describe('buying in steps', () => {
  it('is reached on the first of the month in which there is enough', () => {
    // 320 in hand, 95 a month: 306.30 today; 555.34 takes three months; 704.34 five.
    expect(
      dayReached(30_630, { inHandMinor: 32_000, savedPerMonthMinor: 9_500 }, '2026-11-16')
    ).toBe('2026-11-16');
    expect(
      dayReached(55_534, { inHandMinor: 32_000, savedPerMonthMinor: 9_500 }, '2026-11-16')
    ).toBe('2027-02-01');
    expect(
      dayReached(70_434, { inHandMinor: 32_000, savedPerMonthMinor: 9_500 }, '2026-11-16')
    ).toBe('2027-04-01');
    expect(
      dayReached(32_001, { inHandMinor: 32_000, savedPerMonthMinor: 0 }, '2026-11-16')
    ).toBeUndefined();
    expect(
      dayReached(1_000_000, { inHandMinor: 0, savedPerMonthMinor: 1 }, '2026-11-16')
    ).toBeUndefined();
  });

  it('says what is still to pay, and what can be filmed by then', () => {
    let project: Project = { ...demo, inHandMinor: 50_000, savedPerMonthMinor: 10_000 };
    project = change(project, 'line-1', { step: 'later' });
    project = change(project, 'line-2', { step: 'next' });
    project = change(project, 'line-3', { state: 'bought' });
    const buying = buyingSteps(project, shelf, moneyOf(project), '2026-11-29');
    expect(buying.map(({ step }) => step)).toEqual(['now', 'next', 'later']);
    expect(buying[1]!.toPayMinor).toBe(16_500);
    expect(buying[2]!.toPayMinor).toBe(13_200);
    expect(buying[2]!.togetherMinor).toBe(buying[0]!.toPayMinor + 16_500 + 13_200);
    // What is bought is not paid again.
    expect(buying[0]!.toPayMinor).toBe(moneyOf(project).firmMinor - 32_500 - 16_500);
    for (const { works, blocked } of buying)
      expect([...works, ...blocked].sort()).toEqual(demo.scenes.map(({ name }) => name).sort());
    const saved = savingsByMonth(project, buying, '2026-11-29');
    expect(saved[0]).toEqual({ day: '2026-11-29', minor: 50_000 });
    expect(saved[1]).toEqual({ day: '2026-12-01', minor: 60_000 });
    expect(saved.at(-1)!.day > buying.at(-1)!.reachedOn!).toBe(true);
  });
});

describe('plans side by side', () => {
  it('tell only what differs, and take a choice across', () => {
    const first = activePlan(demo);
    const second = {
      ...structuredClone(first),
      id: 'other',
      name: 'other',
      lines: structuredClone(first.lines)
        .filter(({ id }) => id !== 'line-13')
        .map((line) => (line.id === 'line-5' ? { ...line, quantity: 2 } : line))
    };
    const project: Project = { ...demo, plans: [first, second] };
    const { lines, alike, plans, findings } = comparePlans(project, shelf, [first, second]);
    expect(lines.map(({ name }) => name).sort()).toEqual([
      'Brackenholt Stand 2',
      'Nibsworth Remote button'
    ]);
    expect(alike).toBe(first.lines.length - 2);
    // One stand more at 22, one button less at 13.
    expect(plans[1]!.judgement.money.firmMinor - plans[0]!.judgement.money.firmMinor).toBe(
      2200 - 1300
    );
    for (const { stands } of findings) expect(new Set(stands).size).toBe(2);
    let after: Project = project;
    for (const row of lines) {
      const act = takeAcross(first, row, row.lines[1]);
      after = applyAct(after, act!);
    }
    expect(comparePlans(after, shelf, after.plans).lines).toEqual([]);
    // And the other way round, where the button has to come.
    const back = takeAcross(
      second,
      lines.find(({ name }) => name.endsWith('button'))!,
      first.lines.find(({ id }) => id === 'line-13')
    );
    expect(back).toMatchObject({ type: 'add line', line: { quantity: 1, basis: 'new' } });
    expect(takeAcross(first, lines[0]!, lines[0]!.lines[0])).toBeUndefined();
  });
});

describe('the calendar file', () => {
  it('is read back by an independent parser, whole days and all', () => {
    let project: Project = { ...demo, inHandMinor: 1000, savedPerMonthMinor: 50_000 };
    project = change(project, 'line-2', { cashBackMinor: 1500, cashBackUntil: '2026-12-30' });
    project = change(project, 'line-3', { cashBackMinor: 100, cashBackUntil: '2026-01-30' });
    const money = moneyOf(project);
    const days = moneyDays(
      money,
      buyingSteps(project, shelf, money, '2026-11-29'),
      '2026-11-29',
      (amount) => `£${(amount / 100).toFixed(2)}`
    );
    // What was to be claimed in January is past.
    expect(days.map(({ day }) => day)).toContain('2026-12-30');
    expect(days.every(({ day }) => day >= '2026-11-29')).toBe(true);
    const made = new Date('2026-11-29T10:00:00Z');
    const text = calendarOf('Saltmarsh loom; money, days', 'loom', days, made);
    expect(text).toBe(calendarOf('Saltmarsh loom; money, days', 'loom', days, made));
    const events = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent');
    expect(events).toHaveLength(days.length);
    const read = events.map((event) => new ICAL.Event(event));
    expect(read.map(({ startDate }) => startDate.toString())).toEqual(days.map(({ day }) => day));
    expect(read.every(({ startDate }) => startDate.isDate)).toBe(true);
    expect(new Set(read.map(({ uid }) => uid)).size).toBe(days.length);
    expect(
      read.some(
        ({ summary }) => summary === 'Last day to claim £15.00 back for Ray 65 + 55 cm dome'
      )
    ).toBe(true);
  });
});

describe('the days that matter', () => {
  const today = '2026-11-29';
  const plover = shelf.byId.get('dunmarrow-plover')!;
  const dealing = (dealEnds: string): Project =>
    applyAct(demo, {
      type: 'put gear',
      gear: { ...plover, priceNew: { ...plover.priceNew!, dealEnds } }
    });
  const daysOf = (project: Project) => {
    const money = statementOf(project, activePlan(project), shelfOf(project));
    const buying = buyingSteps(project, shelfOf(project), money, today);
    return moneyDays(money, buying, today, (minor) => `${minor}`, project);
  };

  it('hold deals that end, until they have', () => {
    expect(daysOf(dealing('2026-12-03'))).toContainEqual({
      day: '2026-12-03',
      what: 'last day Plover is 13200 at the town shop'
    });
    expect(daysOf(dealing(today)).map(({ day }) => day)).toContain(today);
    expect(daysOf(dealing('2026-11-28'))).toEqual([]);
  });

  it('hold no deal of what is bought or moved to later', () => {
    for (const patch of [{ state: 'bought' }, { step: 'later' }] as const)
      expect(daysOf(change(dealing('2026-12-03'), 'line-1', patch))).toEqual([]);
  });

  it('hold money that comes in, in the order of the days, and go into the calendar', () => {
    const income = (id: string, date: string) => ({
      id,
      label: `commission ${id}`,
      date,
      amountMinor: 5_000
    });
    const project = {
      ...dealing('2026-12-03'),
      incomes: [income('b', '2027-02-01'), income('a', '2026-12-01'), income('past', '2026-01-01')]
    };
    const days = daysOf(project);
    expect(days.map(({ day }) => day)).toEqual(['2026-12-01', '2026-12-03', '2027-02-01']);
    const text = calendarOf('Loom', 'loom', days, new Date('2026-11-29T09:00:00Z'));
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');
    expect(events.map((event) => String(event.getFirstPropertyValue('summary')))).toEqual([
      'Commission a brings 5000',
      'Last day Plover is 13200 at the town shop',
      'Commission b brings 5000'
    ]);
  });
});

describe('the list by shop', () => {
  it('holds every line once, by name of the shop, what has no price last', () => {
    const project = applyAct(demo, {
      type: 'put gear',
      gear: { ...shelf.byId.get('dunmarrow-plover')!, priceNew: undefined, priceUsed: undefined }
    });
    const money = statementOf(project, activePlan(project), shelfOf(project));
    const lines = linesToBuy(money);
    const shops = linesByShop(lines);
    expect(shops.flatMap((shop) => shop.lines)).toHaveLength(lines.length);
    expect(shops.reduce((sum, { togetherMinor }) => sum + togetherMinor, 0)).toBe(money.firmMinor);
    const names = shops.map(({ shop }) => shop);
    expect(names.at(-1)).toBe('no shop known');
    expect(names.slice(0, -1)).toEqual([...names.slice(0, -1)].sort());
    expect(shops.at(-1)!.lines.map(({ line }) => line.id)).toEqual(['line-1']);
  });
});
