import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { droversRoad } from '../../catalogue/demos/drovers-road';
import { lanternlightDesk } from '../../catalogue/demos/lanternlight-desk';
import { shelfOf } from '../../catalogue/load-catalogue';
import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { calmKit, judged } from '../judge/tests/calm-kit';
import { Chances, silenced, statableFields } from '../judge/tests/random-kits';
import { activePlan } from '../model/active-plan';
import { habits } from '../model/habits';
import type { GearItem } from '../model/gear';
import type { Project } from '../model/project';
import type { ChanceId, HabitId } from '../model/rehearsal';
import { chanceIds, habitIds } from '../model/word-lists';
import { chances, chancesOf } from './chances';
import { dayPlanOf, daysOf, inOrder } from './day-plan';
import { dayStory } from './day-words';
import { runDays } from './many-days';
import type { Cause } from './day-outcome';
import { runDay } from './run-day';
import { showDay } from './shown-day';
import { battery, day, device, filming, noChance, scene } from './tests/made-day';

const demos = { demoProject, droversRoad, lanternlightDesk, calmKit };
const together = (project: Project): Project => {
  for (const scene of project.scenes) scene.day = 1;
  return project;
};
function planOf(project: Project) {
  const { angles } = judged(project);
  return dayPlanOf(project, angles, daysOf(angles)[0]!);
}

describe('every chance', () => {
  /** What each chance costs takes by, where it costs any by itself. */
  const costs: Record<ChanceId, Cause | undefined> = {
    'battery not charged': 'battery empty',
    'battery not checked': 'battery empty',
    'card not emptied': 'card full',
    'switch left off': 'switch left off',
    'left on in between': 'battery empty',
    'setting left wrong': 'setting left wrong',
    'radio drop-out': 'radio drop-out',
    gust: 'gust',
    'file lost': 'file lost',
    'battery spread': undefined,
    'set-up spread': undefined
  };
  /** Enough of everything for the day, and no more. */
  const tight = day({
    // Three takes of 4.17 Wh each, and the other two from the second battery.
    pieces: [battery(0, 13), battery(1, 13), battery(2, 5.3)],
    devices: [
      device(),
      device({ lineId: 'rec', name: 'Recorder', canBeLeftOn: true, pieces: [2] })
    ],
    cards: [{ lineId: 'c', name: 'Card', gigabytes: 26, isBuiltIn: false, key: 1 }],
    recordings: [{ lineId: 'camera', name: 'Camera', cards: [0] }],
    scenes: [
      scene({
        isOutdoors: true,
        windMps: 5,
        usesRadio: true,
        filming: [filming({ recording: 0, gigabytesPerMin: 0.2 })],
        uses: [{ device: 1, watts: 2.5, minutes: 25 }],
        switches: [{ name: 'Recorder', lineId: 'rec', key: 8, device: 1 }]
      })
    ]
  });

  it('left away, such a day loses nothing', () => {
    expect(runDay(tight, { seed: 1, day: 1 }).lost).toEqual([]);
  });

  it.each(chanceIds.map((id) => [id, costs[id]] as const))(
    'come true for sure: %s costs takes by %s',
    (id, cause) => {
      const sure = { ...tight, chances: { ...noChance, [id]: chances[id].isSpread ? 0.05 : 1 } };
      const found = new Set(
        Array.from({ length: 20 }, (_, on) => runDay(sure, { seed: 1, day: on }))
          .flatMap(({ lost }) => lost)
          .map((take) => take.cause)
      );
      if (cause === undefined) {
        for (const cause of found) expect(['battery empty', 'no time left']).toContain(cause);
      } else expect([...found]).toEqual([cause]);
    }
  );

  it('has a figure, what it is of, what it does and why, in sentences', () => {
    for (const id of chanceIds) {
      const { percent, per, does, reason } = chances[id];
      expect(percent).toBeGreaterThan(0);
      expect(percent).toBeLessThanOrEqual(25);
      for (const words of [per, does, reason]) expect(words).toMatch(/^[a-z].*[^.]$/);
    }
  });

  it('is what a person says where they say it, else the usual', () => {
    const shares = chancesOf({ chances: [{ chance: 'gust', percent: 0 }] });
    expect(shares.gust).toBe(0);
    expect(shares['file lost']).toBe(chances['file lost'].percent / 100);
  });
});

describe('every line of a list', () => {
  it.each(habitIds.map((id) => [id] as const))(
    '%s keeps its own chances small, and no other',
    (habit) => {
      const usual = chancesOf(undefined);
      const kept = chancesOf({ habits: [habit] });
      for (const id of chanceIds) {
        const left = habits[habit].leaves[id] ?? 1;
        expect(kept[id]).toBeCloseTo(usual[id] * left, 12);
      }
    }
  );

  it('together they never lose more takes over many days than none of them', () => {
    for (const make of [demoProject, droversRoad]) {
      const project = together(make());
      const without = runDays(planOf(project), 300).lostTakes;
      const all = runDays(
        planOf({ ...project, rehearsal: { habits: [...habitIds] as HabitId[] } }),
        300
      ).lostTakes;
      expect(all).toBeLessThan(without);
    }
  });
});

describe('every figure nobody states', () => {
  /** A demo with figures of its parts taken away, by part, must run and be told. */
  function runsWithout(
    project: Project,
    gone: ReadonlyMap<GearItem, readonly string[]>,
    index: number
  ) {
    const acts = [...gone].map(([gear, fields]): Act => ({
      type: 'put gear',
      gear: silenced(gear, fields)
    }));
    const plan = planOf(applyAct(project, { type: 'batch', acts }));
    const shown = showDay(plan, { seed: 1, day: index });
    const what = [...gone].map(([gear, fields]) => `${gear.id} without ${fields.join(' and ')}`);
    expect(Number.isFinite(shown.endsAtMin), what.join(', ')).toBe(true);
    const words = JSON.stringify([dayStory(shown), plan.unsaid]);
    expect(words, what.join(', ')).not.toMatch(/NaN|undefined|Infinity|null/);
  }
  const partsOf = (project: Project): GearItem[] => {
    const shelf = shelfOf(project);
    return activePlan(project).lines.map(({ gearId }) => shelf.byId.get(gearId)!);
  };

  it.each(Object.keys(demos) as (keyof typeof demos)[])(
    'of %s leaves a day that runs, alone and with the next one',
    (name) => {
      const project = together(demos[name]());
      for (const gear of partsOf(project)) {
        const fields = statableFields(gear);
        for (const [index, field] of fields.entries())
          for (const gone of [[field], [field, fields[index + 1] ?? field]])
            runsWithout(project, new Map([[gear, gone]]), index);
      }
    },
    60_000
  );

  it.each(Object.keys(demos) as (keyof typeof demos)[])(
    'of %s, any two of any two parts, on one day and on days in a row',
    (name) => {
      const random = new Chances(7);
      const project = together(demos[name]());
      const all = partsOf(project).flatMap((gear) =>
        statableFields(gear).map((field) => ({ gear, field }))
      );
      for (let index = 0; index < 150; index++) {
        const [first, other] = [random.of(all), random.of(all)];
        project.rehearsal = { daysInARow: 1 + (index % 3) };
        runsWithout(
          project,
          first.gear === other.gear
            ? new Map([[first.gear, [first.field, other.field]]])
            : new Map([
                [first.gear, [first.field]],
                [other.gear, [other.field]]
              ]),
          index
        );
      }
    },
    60_000
  );
});

describe('every way of a day', () => {
  it.each([
    [{ startsAtMin: 0, endsAtMin: 1439, lunchMin: 0 }],
    [{ startsAtMin: 1439, endsAtMin: 0, lunchMin: 240 }],
    [{ startsAtMin: 600, endsAtMin: 600, lunchAtMin: 0, lunchMin: 240 }],
    [{ lunchAtMin: 1439, seed: 999_999 }],
    [{ daysInARow: 1 }],
    [{ sceneOrder: ['gone', 'shuttle-hands', 'shuttle-hands'] }]
  ])('from %j comes to its end', (rehearsal) => {
    const project = together(demoProject());
    project.rehearsal = rehearsal;
    const { outcome, segments } = showDay(planOf(project), { seed: 3, day: 4 });
    expect(outcome.takes).toBe(16);
    expect(outcome.lost.length).toBeLessThanOrEqual(16);
    expect(segments.length).toBeGreaterThan(0);
  });

  it.each([
    [{ takes: 1, pauseMin: 0, carryMin: 0 }],
    [{ takes: 400, pauseMin: 240, carryMin: 480 }],
    [{ recordedMin: 0.1, longestTakeMin: 0.1 }],
    [{ recordedMin: 1440, longestTakeMin: 1440 }],
    [{ temperatureC: -20 }],
    [{ temperatureC: 50 }],
    [{ windMps: 30 }],
    [{ daysWithoutSocket: 60 }],
    [{ notBeforeMin: 1439 }]
  ])('of a scene with %j runs too', (patch) => {
    for (const make of Object.values(demos)) {
      const project = make();
      Object.assign(project.scenes[0]!, patch);
      const plan = planOf(project);
      const { lost, takes, endsAtMin } = runDay(plan, { seed: 1, day: 1 });
      expect(lost.length).toBeLessThanOrEqual(takes);
      expect(Number.isFinite(endsAtMin)).toBe(true);
    }
  });

  it('keeps scenes that are not named in their own order', () => {
    const scenes = demoProject().scenes;
    const ids = (order?: string[]) => inOrder(scenes, order).map(({ id }) => id);
    expect(ids()).toEqual(['marsh-path', 'loom-lesson', 'shuttle-hands']);
    expect(ids([])).toEqual(ids());
    expect(ids(['loom-lesson'])).toEqual(['loom-lesson', 'marsh-path', 'shuttle-hands']);
    expect(ids(['shuttle-hands', 'loom-lesson', 'marsh-path'])).toEqual([
      'shuttle-hands',
      'loom-lesson',
      'marsh-path'
    ]);
  });
});

describe('more of a thing', () => {
  it('never costs a take of a day as planned: a battery more, a card more, a bank more', () => {
    for (const capacity of [3, 6, 10, 14])
      for (const takes of [1, 3, 5, 9]) {
        const base = day({
          pieces: [battery(0, capacity)],
          devices: [device({ pieces: [0] })],
          scenes: [scene({ takes })]
        });
        const lost = runDay(base).lost.length;
        const more = runDay({
          ...base,
          pieces: [battery(0, capacity), battery(1, 5)],
          devices: [device({ pieces: [0, 1] })]
        }).lost.length;
        const banked = runDay({
          ...base,
          banks: [{ lineId: 'bank', name: 'Bank', wattHours: 20 }],
          devices: [device({ pieces: [0], banks: [{ bank: 0, shareWh: 20 }] })]
        }).lost.length;
        expect(more, `${capacity} Wh, ${takes} takes`).toBeLessThanOrEqual(lost);
        expect(banked).toBeLessThanOrEqual(lost);
      }
  });

  it('halved draw or shorter takes lose no more either', () => {
    for (const watts of [6, 10, 18]) {
      const atLoad = (w: number, minutes: number) =>
        runDay(
          day({ scenes: [scene({ filming: [filming({ watts: w, minutes })], takeMin: minutes })] })
        ).lost.length;
      expect(atLoad(watts / 2, 25)).toBeLessThanOrEqual(atLoad(watts, 25));
      expect(atLoad(watts, 12)).toBeLessThanOrEqual(atLoad(watts, 25));
    }
  });
});
