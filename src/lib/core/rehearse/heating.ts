import { BODY_HEAT_LIMIT_C } from '../figures/heat-rows';
import { heatRiseFromTime } from '../relations/power/heat';

/** How a body warms in a scene: from the same figures as the judge's minutes to the limit. */
export interface Heating {
  minutesAt20: number;
  /** What cage, fan and sun make of its rise. */
  load: number;
  airC: number;
  quickMin: number;
  slowMin: number;
}

/** Where it comes to in the end, and how fast. */
export interface HeatCurve {
  endC: number;
  timeConstantMin: number;
}

/** One that switched itself off starts again once it has cooled so far; an estimate. */
export const RESTART_C = 50;

/**
 * The curve of one day.
 *
 * @param slowness 0 the quickest body of its kind, 1 the slowest: between both ends by their ratio
 */
export function heatCurve(heating: Heating, slowness: number): HeatCurve {
  const { minutesAt20, load, airC, quickMin, slowMin } = heating;
  const timeConstantMin = quickMin * (slowMin / quickMin) ** slowness;
  return {
    endC: airC + heatRiseFromTime(BODY_HEAT_LIMIT_C, 20, minutesAt20, timeConstantMin) * load,
    timeConstantMin
  };
}

/** Temperature after so many minutes on the way to an end. @returns °C */
export const heatAfter = (
  nowC: number,
  { endC, timeConstantMin }: HeatCurve,
  minutes: number
): number => endC + (nowC - endC) * Math.exp(-minutes / timeConstantMin);

/** Minutes until a temperature is met on the way to an end; Infinity when it never is. */
export function minutesUntil(
  nowC: number,
  { endC, timeConstantMin }: HeatCurve,
  atC: number
): number {
  if (nowC === atC) return 0;
  const share = (endC - atC) / (endC - nowC);
  return share > 0 && share < 1 ? -timeConstantMin * Math.log(share) : Infinity;
}
