import { figureOf } from '../figures/record';
import type { AngleJudgement } from '../judge/incremental';

/** Light on the face at an hour of the day. */
export interface LightAtHour {
  hour: number;
  lx: number;
}

const SUNRISE_H = 6;
const SUNSET_H = 18;

/**
 * Light on the face through a day of twelve hours of sun, about: what comes of the sky goes from its dim end in the
 * morning and evening to its bright end at noon, as the height of the sun does. Empty where no daylight falls.
 */
export function lightByHour({ record, scene }: AngleJudgement): LightAtHour[] {
  const fromSky = scene.lightSource === 'sky' || scene.window !== undefined;
  const dim = figureOf(record, 'faceDim');
  const bright = figureOf(record, 'faceBright');
  if (!fromSky || dim === undefined || bright === undefined || bright <= dim) return [];
  const hours: LightAtHour[] = [];
  for (let hour = SUNRISE_H; hour <= SUNSET_H; hour++) {
    const height = Math.sin((Math.PI * (hour - SUNRISE_H)) / (SUNSET_H - SUNRISE_H));
    hours.push({ hour, lx: dim + (bright - dim) * height });
  }
  return hours;
}
