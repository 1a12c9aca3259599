import type { UnitSystem } from '../model/project';
import { fahrenheitOf, MPS_PER_MPH } from '../model/imperial';
import { lengthWords, massWords, plainNumber as plain } from '../model/measure-words';
import type { FigureUnit } from './rows';

function digitsFor(value: number): number {
  const size = Math.abs(value);
  return size >= 100 ? 0 : size >= 10 ? 1 : 2;
}

export { lengthWords, massWords };

/** Shutter times as photographers say them: 1/50 s. */
export function shutterWords(seconds: number): string {
  return seconds >= 0.3 ? `${plain(seconds, 1)} s` : `1/${Math.round(1 / seconds)} s`;
}

/** Minutes as h min once they pass two hours. */
export function minutesWords(minutes: number): string {
  if (!Number.isFinite(minutes)) return 'unlimited';
  if (minutes < 120) return `${plain(minutes, minutes < 10 ? 1 : 0)} min`;
  const whole = Math.round(minutes);
  return whole % 60 === 0
    ? `${whole / 60} h`
    : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')} min`;
}

/** Two ends of minutes, said once where they are the same in words. */
export function minutesRange(least: number, most: number): string {
  const [first, other] = [minutesWords(least), minutesWords(most)];
  if (first === other) return first;
  return most === Infinity ? `${first}, or not at all` : `${first} to ${other}`;
}

/** A figure with its unit, in the person's own units. */
export function figureWords(value: number, unit: FigureUnit, units: UnitSystem = 'metric'): string {
  switch (unit) {
    case 'm':
      return lengthWords(value, units);
    case 'kg':
      return massWords(value, units);
    case 'g':
      return units === 'imperial' ? massWords(value / 1000, units) : `${plain(value, 0)} g`;
    case 'm/s':
      return units === 'imperial'
        ? `${plain(value / MPS_PER_MPH, 0)} mph`
        : `${plain(value, digitsFor(value))} m/s`;
    case '°C':
      return units === 'imperial'
        ? `${plain(fahrenheitOf(value), 0)} °F`
        : `${plain(value, digitsFor(value))} °C`;
    case 's':
      return value > 0 && value < 0.3 ? shutterWords(value) : `${plain(value, 2)} s`;
    case 'min':
      return minutesWords(value);
    case 'f/':
      return `f/${plain(value, value < 10 ? 1 : 0)}`;
    case 'T':
      return `T${plain(value, value < 10 ? 1 : 0)}`;
    case 'ISO':
      return `ISO ${plain(value < 100 ? value : Math.round(value / 10) * 10, 0)}`;
    case '×':
      return `${plain(value, 2)}×`;
    case 'count':
      return plain(value, 0);
    case 'px':
      return value < 50 ? `${plain(value, 1)} px` : `${plain(value, 0)} px`;
    case 'yes/no':
      return value ? 'yes' : 'no';
    case '°':
    case '%':
      return unit === '°' ? `${plain(value, 0)}°` : `${plain(value, 2)} %`;
    case 'stops':
      return plain(value, 1) === '1' ? '1 stop' : `${plain(value, 1)} stops`;
    case 'dB':
    case 'dB(A)':
    case 'dBV':
    case 'dBV/Pa':
      return `${plain(value, 1)} ${unit}`;
    case 'mm':
      return `${plain(value, value < 1 ? 3 : 1)} mm`;
    case 'days':
      return `${plain(value, 0)} ${value === 1 ? 'day' : 'days'}`;
    case 'word':
      return String(value);
    default:
      return `${plain(value, digitsFor(value))} ${unit}`;
  }
}

/** What there is and what is needed; where both are the same in words, by which side they differ. */
export function againstNeed(
  have: number,
  need: number,
  unit: FigureUnit,
  units: UnitSystem = 'metric'
): string {
  const [first, other, side] = besideEachOther(have, need, unit, units);
  return `${side ?? ''}${first} (needs ${other})`;
}

/** An estimate beside the limit it stays below or goes beyond. */
export function aboutAgainstLimit(
  have: number,
  limit: number,
  unit: FigureUnit,
  units: UnitSystem = 'metric'
): string {
  const [first, other, side] = besideEachOther(have, limit, unit, units);
  return `${side ?? 'about '}${first} (limit ${other})`;
}

/** Two figures in words, and on which side the first lies where their words are equal. */
function besideEachOther(
  have: number,
  need: number,
  unit: FigureUnit,
  units: UnitSystem
): [string, string, string | undefined] {
  const [first, other] = [figureWords(have, unit, units), figureWords(need, unit, units)];
  return [first, other, first !== other ? undefined : have < need ? 'just under ' : 'just over '];
}
