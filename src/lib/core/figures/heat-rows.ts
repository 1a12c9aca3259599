import { RelationError } from '../relations/argument';
import { heatFromTwo, heatMinutes, heatRelief, heatRiseFromTime } from '../relations/power/heat';
import type { RecordingMode } from '../model/gear/body';
import type { PlacedRig } from '../rigs/placed-rig';
import { type FigureRows, unstatedOf } from './rows';

/** Skin temperature at which bodies switch themselves off; an estimate. */
export const BODY_HEAT_LIMIT_C = 60;
/** Time constants of small and large bodies; an estimate, told as a range. */
export const HEAT_TIME_CONSTANT_MIN = { quick: 12, slow: 35 } as const;
/** Full sun adds this to what a body has to get rid of. */
const SUN_W_PER_M2 = 800;
/** From here on the sky counts as full sun. */
const FULL_SUN_LX = 50_000;
/** Small pictures at ordinary rates warm nobody. */
const COOL_PIXELS_PER_S = 1920 * 1080 * 30;

/** The cage that is made for the body carries its heat away. */
export function cageFor({ kit, body }: Pick<PlacedRig, 'kit' | 'body'>) {
  return kit.of('cage').find(({ gear }) => gear.fitsBodyId === body?.gear.id);
}
export const hasUse = ({ kit }: Pick<PlacedRig, 'kit'>, use: string): boolean =>
  kit.of('small item').some(({ gear }) => gear.use === use);

function inSun(rig: PlacedRig): boolean {
  return (
    !rig.scene.room &&
    rig.scene.lightSource === 'sky' &&
    rig.scene.lightBrightLx >= FULL_SUN_LX &&
    !hasUse(rig, 'shade')
  );
}

export const heatRows = {
  heatAt20: {
    name: 'minutes to the heat limit at 20 °C',
    unit: 'min',
    source: 'body',
    asks: {
      question: 'After how many minutes does % overheat in this mode, at 20 °C (68 °F)?',
      between: [10, 120]
    },
    read: ({ mode, body }) => {
      if (!mode) return unstatedOf(body);
      if (mode.heatMinutesAt20C !== undefined) return mode.heatMinutesAt20C;
      const cool = mode.pixelsAcross * mode.pixelsDown * mode.fps <= COOL_PIXELS_PER_S;
      return mode.noHeatLimit === true || cool ? null : undefined;
    }
  },
  heatRelief: {
    name: 'share of the warming left by cage and fan',
    unit: '×',
    source: 'kit',
    read: (rig) =>
      rig.body
        ? (cageFor(rig) ? heatRelief.cage : 1) * (hasUse(rig, 'fan') ? heatRelief.fan : 1)
        : null
  },
  sunLoad: {
    name: 'warming in full sun against its own',
    unit: '×',
    source: 'body',
    asks: { question: 'How many watts does % draw, and how large is it?', between: [1, 2.5] },
    read: (rig) => {
      if (!rig.body) return null;
      if (!inSun(rig)) return 1;
      const { drawW, sizeMm } = rig.body.gear;
      if (drawW === undefined || sizeMm?.width === undefined || sizeMm.height === undefined)
        return undefined;
      const areaM2 = (sizeMm.width * sizeMm.height) / 1e6;
      return (drawW + SUN_W_PER_M2 * areaM2) / drawW;
    }
  },
  heatQuick: {
    name: 'time constant of the warming, at its quickest',
    unit: 'min',
    source: 'body',
    read: ({ mode }) => (mode ? timeConstants(mode).quick : null)
  },
  heatSlow: {
    name: 'time constant of the warming, at its slowest',
    unit: 'min',
    source: 'body',
    read: ({ mode }) => (mode ? timeConstants(mode).slow : null)
  },
  heatMinutes: {
    name: 'overheats after at least, about',
    unit: 'min',
    from: ['heatAt20', 'heatRelief', 'sunLoad', 'temperature', 'heatQuick', 'heatSlow'],
    relation:
      '−τ·ln(1 − (60 − T)/ΔT), ΔT = 40/(1 − e^(−t/τ)) × relief × sun, the sooner of both τ: 12 and 35 min, or one where minutes at 40 °C are known too',
    compute: (minutes, relief, sun, air, quick, slow) =>
      Math.min(...heatEnds(minutes!, relief!, sun!, air!, quick!, slow!))
  },
  heatMinutesMost: {
    name: 'overheats after at most, about',
    unit: 'min',
    from: ['heatAt20', 'heatRelief', 'sunLoad', 'temperature', 'heatQuick', 'heatSlow'],
    relation: 'the same, the later of both τ',
    compute: (minutes, relief, sun, air, quick, slow) =>
      Math.max(...heatEnds(minutes!, relief!, sun!, air!, quick!, slow!))
  }
} satisfies FigureRows;

/** Minutes to the heat limit for a quick and for a slow body. */
export function heatEnds(
  minutesAt20: number,
  relief: number,
  sun: number,
  airC: number,
  quickMin: number,
  slowMin: number
): [quick: number, slow: number] {
  const minutesFor = (tau: number) =>
    heatMinutes(
      BODY_HEAT_LIMIT_C,
      airC,
      heatRiseFromTime(BODY_HEAT_LIMIT_C, 20, minutesAt20, tau) * relief * sun,
      tau
    );
  return [minutesFor(quickMin), minutesFor(slowMin)];
}

/** Two times at two temperatures say how fast a body warms; one leaves the usual range, and so do two that go with no curve. */
function timeConstants(mode: RecordingMode): { quick: number; slow: number } {
  const tau = timeConstantOf(mode);
  return tau === undefined ? HEAT_TIME_CONSTANT_MIN : { quick: tau, slow: tau };
}

type HeatTimes = Pick<RecordingMode, 'heatMinutesAt20C' | 'heatMinutesAt40C'>;

const bothTimes = ({ heatMinutesAt20C, heatMinutesAt40C }: HeatTimes) =>
  heatMinutesAt20C === undefined || heatMinutesAt40C === undefined
    ? undefined
    : { at20: heatMinutesAt20C, at40: heatMinutesAt40C };

/** Undefined where both times are not stated, or no curve of warming passes them. */
function timeConstantOf(mode: HeatTimes): number | undefined {
  const times = bothTimes(mode);
  if (!times) return undefined;
  try {
    return heatFromTwo(
      BODY_HEAT_LIMIT_C,
      { ambientC: 20, minutes: times.at20 },
      { ambientC: 40, minutes: times.at40 }
    ).timeConstantMin;
  } catch (error) {
    if (error instanceof RelationError) return undefined;
    throw error;
  }
}

/** Minutes to the heat limit are stated at 20 and at 40 °C, and no body warms as they say: the first alone is used. */
export const heatTimesDisagree = (mode: HeatTimes): boolean =>
  bothTimes(mode) !== undefined && timeConstantOf(mode) === undefined;
