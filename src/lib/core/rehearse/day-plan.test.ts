import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { droversRoad } from '../../catalogue/demos/drovers-road';
import { lanternlightDesk } from '../../catalogue/demos/lanternlight-desk';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { calmKit, judged, line, ownCopy, swap } from '../judge/tests/calm-kit';
import type { GearOf } from '../model/gear';
import { anyProject, Chances } from '../judge/tests/random-kits';
import type { Project } from '../model/project';
import { suppliesOfDays } from '../supplies/supplies-of-days';
import { dayPlanOf, daysOf, takesOf } from './day-plan';
import { type DayPlan } from './planned-day';
import { runDay } from './run-day';
import { showDay } from './shown-day';
import { lookingForSavings } from './what-saves';

const onOneDay = (project: Project): Project => {
  for (const scene of project.scenes) scene.day = 1;
  return project;
};
function plansOf(project: Project): DayPlan[] {
  const { angles } = judged(project);
  return daysOf(angles).map((day) => dayPlanOf(project, angles, day));
}

describe('the plan of a day', () => {
  it('has as few takes as the longest allows, unless somebody counts them', () => {
    const [talk] = calmKit().scenes;
    expect(takesOf({ ...talk!, recordedMin: 45, longestTakeMin: 6 })).toBe(8);
    expect(takesOf({ ...talk!, recordedMin: 12, longestTakeMin: 6 })).toBe(2);
    expect(takesOf({ ...talk!, recordedMin: 45, longestTakeMin: 6, takes: 20 })).toBe(20);
  });

  it('films its scenes in the order one gives it', () => {
    const project = onOneDay(demoProject());
    project.rehearsal = { sceneOrder: ['shuttle-hands', 'gone'] };
    expect(plansOf(project)[0]!.scenes.map(({ id }) => id)).toEqual([
      'shuttle-hands',
      'marsh-path',
      'loom-lesson'
    ]);
  });

  it('says what nobody states, and neither guesses it nor lets it fail', () => {
    const project = calmKit();
    const gear = structuredClone(shelfOf(project).byId.get('orrowby-linnet-ii')!);
    if (gear.kind !== 'body') throw new Error('no body');
    delete gear.drawW;
    const changed = applyAct(project, { type: 'put gear', gear });
    const [plan] = plansOf(changed);
    expect(plan!.unsaid).toContain('what Linnet II draws');
    expect(runDay(plan!).lost.map(({ cause }) => cause)).not.toContain('battery empty');
  });

  it('says that nobody states how far a radio reaches, and lets it be well within', () => {
    const withRadio = (radioRangeM: number | undefined) => {
      const project = calmKit();
      swap(project, 'dunmarrow-burr', 'withrick-thimble-one');
      ownCopy<GearOf<'microphone'>>(project, 'withrick-thimble-one', (gear) => {
        if (radioRangeM === undefined) delete gear.radioRangeM;
        else gear.radioRangeM = radioRangeM;
      });
      return plansOf(project)[0]!;
    };
    expect(withRadio(undefined).unsaid).toContain('how far the radio of Thimble One reaches');
    expect(withRadio(undefined).scenes[0]!.radioStretch).toBe(0);
    const stated = withRadio(100);
    expect(stated.unsaid.join()).not.toContain('radio');
    // 0.9 m of 21.5.
    expect(stated.scenes[0]!.radioStretch).toBeCloseTo(0.9 / 21.544, 2);
    expect(plansOf(calmKit())[0]!.unsaid.join()).not.toContain('radio');
  });

  it('takes two camera positions for one take: lost when either is', () => {
    const project = calmKit();
    const [talk] = project.scenes;
    talk!.angles.push({ ...structuredClone(talk!.angles[0]!), id: 'b', name: 'Close' });
    const [plan] = plansOf(project);
    expect(plan!.scenes[0]!.filming.length).toBeLessThanOrEqual(2);
    expect(plan!.scenes).toHaveLength(1);
  });
});

describe('a day as planned and the judge', () => {
  const projects = [
    demoProject(),
    onOneDay(demoProject()),
    droversRoad(),
    onOneDay(droversRoad()),
    lanternlightDesk(),
    calmKit(),
    ...Array.from({ length: 40 }, (_, index) => anyProject(new Chances(index + 1)))
  ];

  it('agree: where the judge has too little energy or space for the day, takes are lost to it', () => {
    let short = 0;
    for (const project of projects) {
      const { angles } = judged(project);
      const days = daysOf(angles);
      const supplies = suppliesOfDays(angles.map(({ rig }) => rig));
      for (const [index, day] of days.entries()) {
        const plan = dayPlanOf(project, angles, day);
        const air = new Set(day.scenes.map(({ temperatureC }) => temperatureC));
        const { lost } = runDay({ ...plan, endsAtMin: 99_999 });
        const least = (taken: (typeof supplies)[number]['energy']) =>
          Math.min(Infinity, ...(taken.shared?.consumers.map(({ share }) => share) ?? []));
        const { energy, cards } = supplies[index]!;
        // Several airs: the judge counts the coldest for all.
        if (least(energy) < 0.999 && air.size === 1 && energy.unknown.length === 0) {
          short += 1;
          expect(lost.length, `${project.name} ${day.scenes[0]!.name}`).toBeGreaterThan(0);
        }
        if (least(cards) < 0.999) {
          short += 1;
          expect(lost.length, `${project.name} ${day.scenes[0]!.name}`).toBeGreaterThan(0);
        }
      }
    }
    expect(short).toBeGreaterThan(5);
  });

  it('never use more than the judge says is there', () => {
    for (const project of projects) {
      const { angles } = judged(project);
      const days = daysOf(angles);
      for (const day of days) {
        const plan = dayPlanOf(project, angles, day);
        const { startWh, books } = runDay(plan);
        expect(books.usedWh).toBeLessThanOrEqual(startWh + books.chargedWh + 1e-6);
      }
    }
  });

  it('run for every kit and every chance without a fault', () => {
    for (const project of projects)
      for (const plan of plansOf(project))
        for (const on of [0, 1, 2]) {
          const shown = showDay(plan, { seed: 1, day: on });
          expect(Number.isFinite(shown.endsAtMin)).toBe(true);
          for (const { points } of shown.strips)
            for (const [minute, level] of points)
              expect(Number.isFinite(minute) && level >= 0 && level <= 1).toBe(true);
        }
  });
});

describe('what would have saved a day', () => {
  function savingsOf(project: Project) {
    const looking = lookingForSavings(project, shelfOf(project), project.scenes[0]!.id, undefined);
    for (;;) {
      const step = looking.next();
      if (step.done) return step.value;
    }
  }

  it('tries what is free first, and what is bought by what a pound saves', () => {
    const { list, together, isDone } = savingsOf(onOneDay(demoProject()));
    expect(isDone).toBe(true);
    const free = list.filter(({ costMinor }) => costMinor <= 0);
    expect(list.slice(0, free.length)).toEqual(free);
    expect(free[0]!.habit).toBe('charged while there is a socket');
    expect(list.filter(({ label }) => label === 'Another order of scenes')).toHaveLength(1);
    const bought = list.slice(free.length);
    expect(bought.length).toBeGreaterThan(2);
    for (const [index, { savedPerMajor }] of bought.entries())
      if (index > 0) expect(savedPerMajor!).toBeLessThanOrEqual(bought[index - 1]!.savedPerMajor!);
    for (const { savedPer100Days } of list) expect(savedPer100Days).toBeGreaterThanOrEqual(0.5);
    expect(together!.habits[0]).toBe('charged while there is a socket');
    expect(together!.whole.share).toBeGreaterThan(0.3);
  });

  it('comes true when it is done: the change, applied, loses fewer takes on the same days', () => {
    const project = onOneDay(demoProject());
    const before = plansOf(project)[0]!;
    const lostIn = (plan: DayPlan) => {
      let sum = 0;
      for (let on = 0; on < 100; on++)
        sum += runDay(plan, { seed: plan.seed, day: on }).lost.length;
      return sum;
    };
    for (const { act, savedPer100Days, label } of savingsOf(project).list.slice(0, 8)) {
      const after = plansOf(applyAct(project, act))[0]!;
      if (savedPer100Days > 20) expect(lostIn(after), label).toBeLessThan(lostIn(before));
    }
  });

  it('parts a clip that the mode would end, and lets a hot camera cool', () => {
    const project = calmKit();
    Object.assign(project.scenes[0]!, { longestTakeMin: 60, recordedMin: 60 });
    const limits = plansOf(project)[0]!.scenes[0]!.filming[0]!.clipLimitMin;
    const labels = savingsOf(project).list.map(({ label }) => label);
    if (limits < 60) expect(labels.some((label) => /^Talk in \d+ takes$/.test(label))).toBe(true);
    else expect(labels.some((label) => label.includes('takes'))).toBe(false);
  });
});

describe('a recorder beside the camera', () => {
  it('runs through the day with the rest', () => {
    const project = calmKit();
    project.plans[0]!.lines.push(line('withrick-pocket-scribe', { id: 'second-recorder' }));
    expect(() => plansOf(project)).not.toThrow();
  });
});
