import { describe, expect, it } from 'vitest';
import type { OwnedPiece } from '../model/owned-piece';
import type { DayLog } from '../model/rehearsal';
import { calmKit, judged } from '../judge/tests/calm-kit';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { boughtDays } from '../ledger/owned-age';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { figureOf } from '../figures/record';
import { activePlan } from '../model/active-plan';
import type { GearItem, GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { chancesOf } from './chances';
import { dayPlanOf, daysOf } from './day-plan';
import {
  draftLog,
  learnedFrom,
  lessonsOf,
  logbookCsv,
  logbookMarkdown,
  updated,
  takeOverBattery,
  wearOf,
  yearOf
} from './logbook';
import { showDay } from './shown-day';

const page = (more: Partial<DayLog> = {}): DayLog => ({
  id: `day ${more.date ?? '2026-11-24'}`,
  date: '2026-11-24',
  scenes: 'Marsh path',
  takes: 9,
  takesLost: 1,
  tallies: [],
  batteries: [],
  used: [],
  ...more
});

describe('experience', () => {
  it('weighs against the usual figure as much as there is of it', () => {
    // 2 % stands for 50 times; 3 in 100 of one's own: (1 + 3) ÷ 150.
    expect(updated(0.02, 50, 3, 100)).toBeCloseTo(4 / 150, 12);
    expect(updated(0.02, 50, 0, 0)).toBe(0.02);
  });

  it('brings chances, set-up and batteries up to date, and shows before and after', () => {
    const logbook = [
      page({
        setUpMin: 30,
        setUpReckonedMin: 20,
        tallies: [{ chance: 'switch left off', opportunities: 10, happened: 2 }],
        batteries: [{ lineId: 'b', minutes: 60, reckonedMin: 90 }]
      }),
      page({
        date: '2026-11-25',
        setUpMin: 20,
        setUpReckonedMin: 20,
        tallies: [{ chance: 'switch left off', opportunities: 40, happened: 2 }]
      })
    ];
    const lessons = lessonsOf({ logbook });
    expect(lessons.chances).toEqual([
      {
        chance: 'switch left off',
        opportunities: 50,
        happened: 4,
        beforePercent: 3,
        // (0.03 · 50 + 4) ÷ 100
        afterPercent: expect.closeTo(5.5, 9)
      }
    ]);
    // (30 + 50) ÷ (30 + 40) and (60 + 60) ÷ (60 + 90)
    expect(lessons.setUp!.factor).toBeCloseTo(80 / 70, 9);
    expect(lessons.batteries[0]!.health).toBeCloseTo(0.8, 9);
    const learned = learnedFrom({ logbook });
    expect(learned.percent['switch left off']).toBeCloseTo(5.5, 9);
    expect(chancesOf(undefined, learned.percent)['switch left off']).toBeCloseTo(0.055, 9);
    // A figure set by hand is where experience begins.
    const byHand = { chances: [{ chance: 'switch left off' as const, percent: 20 }] };
    expect(lessonsOf({ logbook, rehearsal: byHand }).chances[0]).toMatchObject({
      beforePercent: 20,
      afterPercent: expect.closeTo(14, 9)
    });
  });

  it('runs the next day with weaker batteries and longer set-ups', () => {
    const project = demoProject();
    const { angles } = judged(project);
    const [marsh] = daysOf(angles);
    const fresh = dayPlanOf(project, angles, marsh!);
    const lineId = fresh.pieces[0]!.lineId;
    project.logbook = [
      page({
        setUpMin: 60,
        setUpReckonedMin: 30,
        batteries: [{ lineId, minutes: 60, reckonedMin: 120 }]
      })
    ];
    const wise = dayPlanOf(project, angles, marsh!, learnedFrom(project));
    expect(wise.pieces[0]!.capacity / fresh.pieces[0]!.capacity).toBeCloseTo(120 / 180, 9);
    expect(wise.setUpFactor).toBeCloseTo(1.5, 9);
  });
});

describe('a page of the logbook', () => {
  it('begins as the day was planned, with every chance it had', () => {
    const project = demoProject();
    for (const scene of project.scenes) scene.day = 1;
    const { angles } = judged(project);
    const plan = dayPlanOf(project, angles, daysOf(angles)[0]!);
    const draft = draftLog(plan, showDay(plan), angles, 'id', '2026-11-24');
    expect(draft).toMatchObject({
      scenes: 'Marsh path, Loom lesson, Shuttle hands',
      // 45 min in takes of 6, 95 in takes of 25, 40 in takes of 12.
      takes: 8 + 4 + 4,
      takesLost: 0
    });
    const of = (chance: string) =>
      draft.tallies.find((tally) => tally.chance === chance)?.opportunities;
    expect(of('setting left wrong')).toBe(3);
    // Microphone on two scenes, lamp on two.
    expect(of('switch left off')).toBe(4);
    // Eight takes outdoors in 6 m/s, told for every 5.
    expect(of('gust')).toBeCloseTo(9.6, 6);
    expect(of('radio drop-out')).toBeUndefined();
    expect(draft.batteries[0]!.reckonedMin).toBeCloseTo((60 * 8.3 * 0.88) / 5.9, 0);
    expect(draft.used.map(({ name }) => name)).toContain('Dunmarrow Plover');
  });

  it('goes out as CSV and Markdown in the order of time, harmless and whole', () => {
    const logbook = [
      page({ date: '2026-11-25', note: '=2+2' }),
      page({
        scenes: 'Loom, lesson',
        setUpMin: 12,
        setUpReckonedMin: 9,
        tallies: [{ chance: 'gust', opportunities: 9, happened: 2 }]
      })
    ];
    const rows = logbookCsv(logbook).split('\r\n');
    expect(rows[0]).toMatch(/^date,scenes,takes,takes lost/);
    expect(rows[1]).toBe('2026-11-24,"Loom, lesson",9,1,12,9,gust 2 times,,,');
    expect(rows[2]).toMatch(/,"'=2\+2"$/);
    const text = logbookMarkdown('Loom *plan*', logbook);
    expect(text).toContain('# Logbook: Loom \\*plan\\*');
    expect(text.indexOf('2026-11-24')).toBeLessThan(text.indexOf('2026-11-25'));
    expect(text).toContain('- 8 of 9 takes in the can');
  });

  it('puts what a battery holds in the place of its sheet, once, and undo brings both back', () => {
    const project = calmKit();
    const shelf = shelfOf(project);
    const line = activePlan(project).lines.find(
      ({ gearId }) => shelf.byId.get(gearId)!.kind === 'battery'
    )!;
    const battery = shelf.byId.get(line.gearId) as GearOf<'battery'>;
    const tried = { lineId: line.id, minutes: 60, reckonedMin: 80 };
    project.logbook = [page({ batteries: [tried] }), page({ id: 'other', batteries: [] })];
    const [lesson] = lessonsOf(project).batteries;
    // (60 + 60) ÷ (60 + 80)
    expect(lesson!.health).toBeCloseTo(0.857, 3);
    const { wattHours, act } = takeOverBattery(project, lesson!, battery)!;
    expect(wattHours).toBeCloseTo(battery.energyWh! * 0.857, 1);
    const after = applyAct(project, act);
    const now = after.ownGear.find(({ id }) => id === battery.id) as GearOf<'battery'>;
    expect(now.energyWh).toBe(wattHours);
    // What has taught once teaches no second time: the rehearsal goes on at what was written down.
    expect(lessonsOf(after).batteries[0]!.health).toBeCloseTo(1, 9);
    expect(takeOverBattery(after, lessonsOf(after).batteries[0]!, now)).toBeUndefined();
    expect(after.logbook![1]).toEqual(project.logbook[1]);
    const energy = (project: Project) =>
      figureOf(judged(project).angles[0]!.record, 'batteriesEnergy');
    expect(energy(after)).toBeLessThan(energy(project)!);
    // The battery that came with a camera is written down on the camera.
    const body = { ...shelf.byId.get('orrowby-linnet')!, includedBatteryWh: 8 } as GearItem;
    expect(takeOverBattery(project, { ...lesson!, health: 0.75 }, body)!.wattHours).toBe(6);
    // As good as its sheet, or nothing stated: nothing to write down.
    const good = { ...lesson!, health: 0.99 };
    expect(takeOverBattery(project, good, battery)).toBeUndefined();
    expect(takeOverBattery(project, lesson!, undefined)).toBeUndefined();
  });

  it('adds up to a year and to the wear of each part', () => {
    const used = (minutes: number) => [{ gearId: 'g', name: 'Camera', pieces: 1, minutes }];
    const logbook = [
      page({ date: '2026-03-02', used: used(90) }),
      page({ date: '2026-11-24', used: used(30), takesLost: 2 }),
      page({ date: '2025-01-01', used: [] })
    ];
    const year = yearOf(logbook, 2026);
    expect(year.months.map(({ days }) => days.length)).toEqual([
      0, 0, 1, 0, 0, 0, 0, 0, 0, 0, 1, 0
    ]);
    expect([year.takes, year.lost]).toEqual([18, 3]);
    expect(wearOf(logbook, '2026-12-01')).toEqual([
      {
        gearId: 'g',
        name: 'Camera',
        days: 2,
        hours: 2,
        firstOn: '2026-03-02',
        lastOn: '2026-11-24',
        ageMonths: 8,
        isAgeSinceFirstDay: true
      }
    ]);
    const pieces = [
      { id: 'a', gearId: 'g', name: 'Camera', quantity: 1, state: 'here' },
      { id: 'b', gearId: 'g', name: 'Camera', quantity: 1, state: 'here', boughtOn: '2025-08-30' },
      { id: 'c', gearId: 'g', name: 'Camera', quantity: 1, state: 'here', boughtOn: '2026-01-01' }
    ] as OwnedPiece[];
    expect(wearOf(logbook, '2026-12-01', boughtDays(pieces))[0]).toMatchObject({
      ageMonths: 15,
      isAgeSinceFirstDay: false
    });
    // A day in the future, written by a clock that was wrong, makes nobody younger than nothing.
    expect(wearOf(logbook, '2024-01-01')[0]!.ageMonths).toBe(0);
  });
});
