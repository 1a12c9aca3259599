import { describe, expect, it } from 'vitest';
import { demos } from '$lib/catalogue/demos';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { solveExposure } from '../exposure/exposure-plan';
import { judgePlan } from '../judge/judge-plan';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { type Attempt, isAttempt, type Level, skills } from './attempt';
import { type Drill, drillFor, type Settings } from './drill';
import { histogramOf } from './histogram';
import { markAttempt, readSettings } from './mark';
import { nextSkill, skillStates } from './schedule';

const anglesOf = (project: Project) =>
  judgePlan(project, activePlan(project), shelfOf(project)).angles;
const lesson = anglesOf(demoProject())[1]!;
const levels: readonly Level[] = [1, 2, 3];

/** Every drill there is in the demos. */
async function allDrills(): Promise<Drill[]> {
  const drills: Drill[] = [];
  for (const { project } of demos)
    for (const angle of anglesOf(await project()))
      for (const skill of skills)
        for (const level of levels)
          for (const seed of [1, 7]) {
            const drill = drillFor(angle, skill, level, seed);
            if (drill) drills.push(drill);
          }
  return drills;
}

const nearest = (marks: readonly number[], wanted: number) =>
  marks.reduce((best, mark) =>
    Math.abs(Math.log2((mark + 1e-9) / (wanted + 1e-9))) <
    Math.abs(Math.log2((best + 1e-9) / (wanted + 1e-9)))
      ? mark
      : best
  );

/** What the plan for the drill would be set to on these dials. */
function bestOn(drill: Drill): Settings {
  const { best } = markAttempt(drill, drill.start);
  return {
    apertureN: nearest(drill.dials.apertures, best.apertureN),
    shutterS: nearest(drill.dials.shutters, best.shutterS),
    iso: nearest(drill.dials.isos, best.iso),
    densityStops: nearest(drill.dials.densities, best.densityStops),
    whiteBalanceK: nearest(drill.dials.kelvins, drill.lightK)
  };
}

describe('drills', () => {
  it('are made of every scene that can show them, and begin on marks of the dials', async () => {
    const drills = await allDrills();
    expect(new Set(drills.map(({ skill }) => skill))).toEqual(new Set(skills));
    for (const { start, dials, tells, task } of drills) {
      expect(dials.apertures).toContain(start.apertureN);
      expect(dials.shutters).toContain(start.shutterS);
      expect(dials.isos).toContain(start.iso);
      expect(dials.densities).toContain(start.densityStops);
      expect(dials.kelvins).toContain(start.whiteBalanceK);
      expect(tells).toMatch(/\.$/);
      expect(tells).not.toMatch(/NaN|undefined|Infinity/);
      expect(solveExposure(task)).toBeDefined();
    }
  });

  it('are the same for the same seed, and get harder', () => {
    expect(drillFor(lesson, 'the meter', 2, 5)).toEqual(drillFor(lesson, 'the meter', 2, 5));
    const [easy, three] = ([1, 3] as const).map((level) =>
      drillFor(lesson, 'a lamp is added', level, 1)!
    );
    // One stop and a half of light more against four.
    const had = lesson.record.exposures.dim!.task;
    const before = had.placeLx + had.lampsLx;
    expect((easy!.task.placeLx + easy!.task.lampsLx) / before).toBeCloseTo(2 ** 1.5, 6);
    expect((three!.task.placeLx + three!.task.lampsLx) / before).toBeCloseTo(16, 6);
    expect([easy!.metered, three!.metered]).toEqual([true, false]);
  });
});

describe('marks', () => {
  it('the best the dials can do scores well in every drill, what is told is said whole', async () => {
    for (const drill of await allDrills()) {
      const marks = markAttempt(drill, bestOn(drill));
      expect(
        marks.score,
        `${drill.sceneName}: ${drill.skill} ${drill.level}`
      ).toBeGreaterThanOrEqual(80);
      for (const { what, why } of markAttempt(drill, drill.start).faults) {
        expect(what).not.toMatch(/^$|NaN|undefined|Infinity/);
        expect(why).toMatch(/\.$/);
      }
    }
  });

  it('says by how many stops, by hand: 1 600 lx at f/4 and 1/50 want ISO 125', () => {
    const drill = drillFor(lesson, 'the meter', 1, 1)!;
    const task = {
      ...drill.task,
      placeLx: 1600,
      lampsLx: 0,
      transmission: 1,
      magnification: 0,
      depthN: undefined,
      blurN: undefined
    };
    const settings: Settings = {
      apertureN: 4,
      shutterS: 1 / 50,
      iso: 500,
      densityStops: 0,
      whiteBalanceK: 5600
    };
    const { offStops, faults } = markAttempt({ ...drill, task, lightK: 5600 }, settings);
    // 250·16/(1600/50) = 125; 500 is two stops over.
    expect(offStops).toBeCloseTo(2, 9);
    expect(faults[0]!.what).toBe('2 stops over');
    expect(faults[0]!.why).toContain('want ISO 125; you set ISO 500');
  });

  it('sees flicker, motion, balance and depth', () => {
    const base = drillFor(lesson, 'the meter', 1, 1)!;
    const atValue = (change: Partial<Settings>, drill = base) =>
      markAttempt(drill, { ...bestOn(drill), ...change })
        .faults.map(({ what }) => what)
        .join('; ');
    const pulsing: Drill = { ...base, task: { ...base.task, pulsing: { place: 1, lamps: 1 } } };
    expect(readSettings(pulsing, { ...base.start, shutterS: 1 / 60 }).flickerPercent).toBeCloseTo(
      16.5,
      1
    );
    expect(atValue({ shutterS: 1 / 60 }, pulsing)).toContain('flicker');
    expect(atValue({ shutterS: 1 / 200 })).toContain('2 stops shorter than half the frame time');
    expect(atValue({ shutterS: 1 / 25 })).toContain('1 stop longer than half the frame time');
    // 10⁶/2500 − 10⁶/5600 = 221.
    expect(atValue({ whiteBalanceK: 2500 }, { ...base, lightK: 5600 })).toContain(
      '221 mired too cool'
    );
    const near = drillFor(lesson, 'a face too near', 3, 1)!;
    expect(atValue({ apertureN: near.dials.apertures[0]! }, near)).toContain('short of depth');
  });
});

describe('the histogram', () => {
  it('holds the whole picture, and moves to the ends as it is over or under', () => {
    for (const off of [-6, -2, 0, 2, 6])
      expect(histogramOf(off).bins.reduce((sum, bin) => sum + bin, 0)).toBeCloseTo(1, 1);
    expect(histogramOf(0).clippedPercent).toBeLessThan(6);
    expect(histogramOf(4).clippedPercent).toBeGreaterThan(50);
    expect(histogramOf(-10).crushedPercent).toBeGreaterThan(50);
  });
});

describe('the schedule', () => {
  const day = 86_400_000;
  const attempt = (at: number, score: number, skill: Attempt['skill'] = 'the meter'): Attempt => ({
    at,
    skill,
    level: 1,
    sceneName: 'Loom lesson',
    score,
    lossStops: (100 - score) / 33
  });

  it('brings back sooner what went badly', () => {
    const now = Date.UTC(2026, 10, 29);
    const attempts = [attempt(now - day, 100), attempt(now - day, 20, 'mixed light')];
    const states = skillStates(attempts, now);
    const due = (skill: Attempt['skill']) => states.find((state) => state.skill === skill)!.dueAt;
    expect(due('mixed light')).toBeLessThan(due('the meter'));
    expect(nextSkill(states, new Set(['the meter', 'mixed light']))!.skill).toBe('mixed light');
    expect(nextSkill(states, new Set(['the meter']))!.skill).toBe('the meter');
    expect(nextSkill(states, new Set())).toBeUndefined();
  });

  it('leads on after two good ones in a row, and back after a failed one', () => {
    const level = (...scores: number[]) =>
      skillStates(
        scores.map((score, index) => attempt(index * day, score)),
        10 * day
      )[0]!.level;
    expect(level(80)).toBe(1);
    expect(level(80, 90)).toBe(2);
    expect(level(80, 90, 60, 80, 80)).toBe(3);
    expect(level(80, 90, 30)).toBe(1);
  });

  it('reads nothing that is no attempt', () => {
    expect(isAttempt(attempt(1, 50))).toBe(true);
    for (const odd of [
      null,
      3,
      {},
      { ...attempt(1, 50), skill: 'singing' },
      { ...attempt(1, 50), score: NaN },
      { ...attempt(1, 50), level: 4 }
    ])
      expect(isAttempt(odd)).toBe(false);
  });
});
