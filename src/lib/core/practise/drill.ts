import type { ExposurePlan, ExposureTask } from '../exposure/exposure-task';
import { solveExposure } from '../exposure/exposure-plan';
import { aperturesOf, shuttersOf } from '../exposure/marked-settings';
import { figureWords } from '../figures/figure-words';
import { figureOf } from '../figures/record';
import { isoSteps, isoToSet } from '../judge/exposure-settings';
import type { AngleJudgement } from '../judge/incremental';
import { showsFace } from '../model/scene-facts';
import type { Level, Skill } from './attempt';
import { DAYLIGHT_K } from '../relations/lighting/colour';

/** What the dials say. */
export interface Settings {
  apertureN: number;
  shutterS: number;
  iso: number;
  densityStops: number;
  whiteBalanceK: number;
}

/** What the dials of this camera, this lens and these filters can be set to. */
export interface Dials {
  apertures: readonly number[];
  shutters: readonly number[];
  isos: readonly number[];
  densities: readonly number[];
  kelvins: readonly number[];
}

/** A scene of one's own with something changed, and the camera still set for what was. */
export interface Drill {
  skill: Skill;
  level: Level;
  sceneId: string;
  angleId: string;
  sceneName: string;
  /** What happens, in a sentence or two. */
  tells: string;
  task: ExposureTask;
  /** Colour of the light on the face. */
  lightK: number;
  /** Of the other light that falls on it; the same where there is one colour. */
  otherK: number;
  start: Settings;
  dials: Dials;
  /** The meter is part of the picture; on the last level it is not. */
  metered: boolean;
}

export const kelvinSteps = [
  2500, 2800, 3200, 3600, 4000, 4400, 4800, 5200, 5600, 6000, 6500, 7000, 7500, 8500, 10_000
] as const;
const ROOM_LAMP_K = 2900;
const SUN_LX = { 1: 20_000, 2: 50_000, 3: 100_000 } as const;
const NEAR_M = { 1: 0.8, 2: 0.6, 3: 0.45 } as const;
/** Stops by which the light falls, the settings start wrong, and a lamp adds. */
const STOPS = { 1: 1.5, 2: 2.5, 3: 4 } as const;

function dialsOf(task: ExposureTask): Dials {
  const densities = new Set<number>([0]);
  for (const { stopsMin, stopsMax } of task.filters) {
    densities.add(stopsMin);
    for (let stops = Math.ceil(stopsMin); stops <= stopsMax; stops++) densities.add(stops);
  }
  const free = { ...task, set: undefined };
  return {
    apertures: aperturesOf(free)
      .map(({ n }) => n)
      .sort((a, b) => a - b),
    shutters: shuttersOf(free)
      .map(({ s }) => s)
      .sort((a, b) => b - a),
    isos: isoSteps.filter((iso) => iso >= task.isoLowest * 0.99 && iso <= task.isoHighest * 1.01),
    densities: [...densities].sort((a, b) => a - b),
    kelvins: kelvinSteps
  };
}

/** The mark of a dial nearest to a value, by ratio. */
export const nearestMark = (marks: readonly number[], wanted: number): number =>
  marks.reduce((best, mark) =>
    Math.abs(Math.log2(mark / wanted)) < Math.abs(Math.log2(best / wanted)) ? mark : best
  );

function settingsOf(plan: ExposurePlan, dials: Dials, whiteBalanceK: number): Settings {
  return {
    apertureN: nearestMark(dials.apertures, plan.apertureN),
    shutterS: nearestMark(dials.shutters, plan.shutterS),
    iso: nearestMark(dials.isos, isoToSet(plan.iso)),
    densityStops: dials.densities.reduce((best, stops) =>
      Math.abs(stops - plan.densityStops) < Math.abs(best - plan.densityStops) ? stops : best
    ),
    whiteBalanceK: nearestMark(kelvinSteps, whiteBalanceK)
  };
}

/** A number from 0 to 1 that a seed and a place in the drill fix. */
function chance(seed: number, index: number): number {
  let mixed = Math.imul(seed + 1, 2_654_435_761) ^ Math.imul(index + 1, 40_503);
  mixed = Math.imul(mixed ^ (mixed >>> 15), 2_246_822_519);
  return ((mixed ^ (mixed >>> 13)) >>> 0) / 2 ** 32;
}

/**
 * A drill of a skill in one angle of one's own scenes, with the ranges of one's own camera.
 *
 * @param seed the same seed is the same drill
 * @returns undefined where this angle cannot show it: no lens, no face, no light of the place
 */
export function drillFor(
  judged: AngleJudgement,
  skill: Skill,
  level: Level,
  seed: number
): Drill | undefined {
  const { dim, bright } = judged.record.exposures;
  if (!dim || !bright || dim.plan.lx <= 0) return undefined;
  const { scene, angle } = judged;
  const base: ExposureTask = { ...dim.task, set: undefined };
  const indoors = scene.room !== undefined;
  const ownK = indoors
    ? (scene.lightColourK ?? (dim.task.lampsLx > 0 ? DAYLIGHT_K : ROOM_LAMP_K))
    : DAYLIGHT_K;
  const begin = (task: ExposureTask) => solveExposure({ ...task, set: undefined });
  const made = (
    tells: string,
    before: ExposureTask,
    task: ExposureTask,
    change: Partial<Pick<Drill, 'lightK' | 'otherK'>> & { startK?: number; wrong?: boolean } = {}
  ): Drill | undefined => {
    const plan = begin(before);
    if (!plan || !begin(task)) return undefined;
    const dials = dialsOf(task);
    const start = settingsOf(plan, dials, change.startK ?? change.lightK ?? ownK);
    if (change.wrong === true) {
      // One dial wrong at first, then two, then three.
      const by = STOPS[level] * (chance(seed, 1) < 0.5 ? -1 : 1);
      start.iso = nearestMark(dials.isos, start.iso * 2 ** by);
      if (level > 1) start.shutterS = nearestMark(dials.shutters, start.shutterS / 2 ** 1.5);
      if (level > 2)
        start.apertureN = nearestMark(dials.apertures, start.apertureN * (by > 0 ? 1.4 : 0.71));
    }
    return {
      skill,
      level,
      sceneId: scene.id,
      angleId: angle.id,
      sceneName: scene.name,
      tells,
      task,
      lightK: ownK,
      otherK: change.lightK ?? ownK,
      start,
      dials,
      metered: level < 3,
      ...('lightK' in change ? { lightK: change.lightK! } : {}),
      ...('otherK' in change ? { otherK: change.otherK! } : {})
    };
  };

  switch (skill) {
    case 'the meter':
      return made(
        `${scene.name}, as it is: ${figureWords(Math.round(base.placeLx + base.lampsLx), 'lx')} on the subject. The camera comes out of the bag with somebody else’s settings.`,
        base,
        base,
        { wrong: true }
      );
    case 'a cloud passes': {
      if (indoors && !scene.window) return undefined;
      const before = { ...bright.task, set: undefined };
      const stops = STOPS[level];
      const task = { ...before, placeLx: before.placeLx / 2 ** stops };
      return made(
        `${scene.name}: you are set for ${figureWords(Math.round(before.placeLx), 'lx')}, and a cloud takes the sun away. Now there are ${figureWords(Math.round(task.placeLx), 'lx')}.`,
        before,
        task
      );
    }
    case 'a lamp is added': {
      if (!indoors) return undefined;
      const had = base.placeLx + base.lampsLx;
      const task = { ...base, lampsLx: base.lampsLx + had * (2 ** STOPS[level] - 1) };
      return made(
        `${scene.name}: somebody puts up one more lamp. From ${figureWords(Math.round(had), 'lx')} the light goes to ${figureWords(Math.round(task.placeLx + task.lampsLx), 'lx')}; it cannot be dimmed.`,
        base,
        task
      );
    }
    case 'the frame rate changes': {
      const fps = level === 1 ? base.fps * 2 : level === 2 ? 24 : 4 * base.fps;
      if (fps === base.fps) return undefined;
      return made(
        `${scene.name}: the next take is wanted at ${fps} instead of ${base.fps} frames a second.${indoors ? ` The lamps pulse with ${base.mainsHz} Hz mains.` : ''}`,
        base,
        { ...base, fps, shutterShortestS: Math.min(base.shutterShortestS, 1 / (2 * fps)) }
      );
    }
    case 'out into the sun': {
      const task = {
        ...base,
        placeLx: SUN_LX[level],
        lampsLx: 0,
        pulsing: { place: 0, lamps: 0 },
        blurN: undefined
      };
      return made(
        `You walk out of doors with the settings of ${scene.name}: ${figureWords(SUN_LX[level], 'lx')} now. Motion is to stay natural.`,
        base,
        task,
        { lightK: DAYLIGHT_K, startK: indoors ? ROOM_LAMP_K : DAYLIGHT_K }
      );
    }
    case 'a face too near': {
      const f = figureOf(judged.record, 'focalLength');
      const coc = figureOf(judged.record, 'circleOfConfusion');
      if (!showsFace(angle) || f === undefined || coc === undefined) return undefined;
      const nearM = NEAR_M[level];
      const d = nearM * 1000;
      // The farther of nose and ears decides: ears 0.10 m behind the eyes.
      const depthN = (f ** 2 * 100) / (coc * (d + 100) * (d - f));
      return made(
        `${scene.name}: the face comes to ${figureWords(nearM, 'm')} from the lens, and is wanted sharp from nose to ears.`,
        { ...base, depthN: undefined, blurN: undefined },
        {
          ...base,
          depthN: Math.min(base.apertureSmallestN, Math.max(base.apertureWidestN, depthN)),
          blurN: undefined
        }
      );
    }
    case 'mixed light': {
      if (!indoors) return undefined;
      const lightK = kelvinSteps[4 + Math.floor(chance(seed, 2) * 8)]!;
      const otherK = level === 1 ? lightK : level === 2 ? lightK * 0.8 : lightK * 0.6;
      return made(
        `${scene.name}: the key is ${figureWords(lightK, 'K')}${level === 1 ? '' : `, and a lamp of ${figureWords(Math.round(otherK / 50) * 50, 'K')} cannot be switched off`}. Balance to the key; the rest is seen as it is.`,
        base,
        base,
        { lightK, otherK, startK: lightK > 4400 ? 3200 : 6500 }
      );
    }
  }
}
