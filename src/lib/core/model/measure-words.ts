import { KG_PER_POUND, METRES_PER_INCH } from './imperial';
import type { UnitSystem } from './project';

/**
 * Rounds for reading: three figures that matter, no trailing noise; thousands never part at a line's end, a minus is as
 * long as a digit, and nothing is less than nought by rounding.
 */
export function plainNumber(value: number, digits: number): string {
  if (value === Infinity) return 'unlimited';
  if (value === -Infinity) return 'none';
  return numberFormats[digits]!.format(value).replace(/,/g, '\u00a0').replace('-', '−');
}

/** Made once: a formatter costs more than a thousand of its words. */
const numberFormats = [0, 1, 2, 3].map(
  (digits) =>
    new Intl.NumberFormat('en-GB', {
      maximumFractionDigits: digits,
      minimumFractionDigits: 0,
      signDisplay: 'negative'
    })
);

const INCHES_PER_FOOT = 12;
/** Longer than this is said in feet and inches. */
const MOST_INCHES = 40;
const OUNCES_PER_POUND = 16;

/** A length; imperial shows inches, or feet and inches, with the metric length beside them. */
export function lengthWords(metres: number, units: UnitSystem): string {
  if (!Number.isFinite(metres)) return 'far away';
  const metric = metres < 10 ? `${metres.toFixed(2)} m` : `${plainNumber(metres, 1)} m`;
  if (units === 'metric') return metric;
  const inches = metres / METRES_PER_INCH;
  if (Math.abs(inches) < MOST_INCHES)
    return `${plainNumber(inches, 1)} in (${plainNumber(metres * 100, 0)} cm)`;
  const whole = Math.round(inches);
  const feet = Math.trunc(whole / INCHES_PER_FOOT);
  const rest = Math.abs(whole % INCHES_PER_FOOT);
  return `${plainNumber(feet, 0)} ft${rest === 0 ? '' : ` ${rest} in`} (${metric})`;
}

/** A mass; imperial shows pounds, and ounces below one. */
export function massWords(kg: number, units: UnitSystem): string {
  if (units === 'metric') return `${plainNumber(kg, 2)} kg`;
  const pounds = kg / KG_PER_POUND;
  return Math.abs(pounds) < 1
    ? `${plainNumber(pounds * OUNCES_PER_POUND, 1)} oz`
    : `${plainNumber(pounds, 2)} lb`;
}
