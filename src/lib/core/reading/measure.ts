import type { StatedUnit } from '../model/stated';
import { stopsFromDensity, stopsFromFactor } from '../relations/exposure/exposure';
import { dbVFromDbu, dbVPerPaFromMillivolts } from '../relations/sound/self-noise';
import { KG_PER_POUND, METRES_PER_FOOT, METRES_PER_INCH } from '../model/imperial';

const MM_PER_INCH = METRES_PER_INCH * 1000;

/** What was typed cannot stand for the figure asked for. */
export class MeasureError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'MeasureError';
  }
}

const vulgar: Readonly<Record<string, number>> = {
  '½': 0.5,
  '¼': 0.25,
  '¾': 0.75,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 0.125,
  '⅜': 0.375,
  '⅝': 0.625,
  '⅞': 0.875
};

/**
 * A number as people write it: decimal point or comma, thin or plain spaces between thousands, a
 * proper minus, and fractions such as `1 1/4` or `1¼`.
 * @returns undefined when it is none
 * @example parseNumber('1 1/4') // 1.25
 */
export function parseNumber(text: string): number | undefined {
  const plain = text
    .trim()
    .replace(/[\u2212\u2013]/g, '-')
    .replace(/[\u00a0\u2009\u202f]/g, ' ');
  const mixed = /^(-)?(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(plain);
  if (mixed && Number(mixed[4]) > 0) {
    const value = Number(mixed[2] ?? 0) + Number(mixed[3]) / Number(mixed[4]);
    return mixed[1] ? -value : value;
  }
  const withGlyph = /^(\d+)? ?([½¼¾⅓⅔⅛⅜⅝⅞])$/.exec(plain);
  if (withGlyph) return Number(withGlyph[1] ?? 0) + vulgar[withGlyph[2]!]!;
  if (/^[-+]?\d{1,3}(?:[ ,']\d{3})+(?:\.\d+)?$/.test(plain))
    return Number(plain.replace(/[ ,']/g, ''));
  if (/^[-+]?\d{1,3}(?:\.\d{3})+,\d+$/.test(plain))
    return Number(plain.replace(/\./g, '').replace(',', '.'));
  if (/^[-+]?\d+,\d+$/.test(plain)) return Number(plain.replace(',', '.'));
  return /^[-+]?(?:\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : undefined;
}

/** Other units people write, and what makes one of them ours. */
const conversions: Partial<Record<StatedUnit, Readonly<Record<string, number>>>> = {
  mm: {
    mm: 1,
    cm: 10,
    m: 1000,
    in: MM_PER_INCH,
    '"': MM_PER_INCH,
    inch: MM_PER_INCH,
    inches: MM_PER_INCH
  },
  m: {
    m: 1,
    cm: 0.01,
    mm: 0.001,
    km: 1000,
    ft: METRES_PER_FOOT,
    "'": METRES_PER_FOOT,
    feet: METRES_PER_FOOT,
    in: METRES_PER_INCH,
    '"': METRES_PER_INCH,
    inch: METRES_PER_INCH,
    inches: METRES_PER_INCH
  },
  in: { in: 1, '"': 1, inch: 1, inches: 1, cm: 10 / MM_PER_INCH, mm: 1 / MM_PER_INCH },
  g: { g: 1, gram: 1, grams: 1, kg: 1000, lb: 453.59237, lbs: 453.59237, oz: 28.349523125 },
  kg: { kg: 1, g: 0.001, lb: KG_PER_POUND, lbs: KG_PER_POUND, oz: 0.028349523125 },
  s: { s: 1, sec: 1, ms: 0.001 },
  min: { min: 1, minutes: 1, mins: 1, h: 60, hours: 60, hour: 60, hrs: 60, s: 1 / 60 },
  h: { h: 1, hours: 1, hour: 1, hrs: 1, hr: 1, min: 1 / 60, minutes: 1 / 60 },
  W: { w: 1, watt: 1, watts: 1, mw: 0.001, kw: 1000 },
  Wh: { wh: 1, kwh: 1000, mwh: 0.001 },
  GB: { gb: 1, mb: 0.001, tb: 1000 },
  'MB/s': { 'mb/s': 1, mbps: 0.125, 'gb/s': 1000, 'mbit/s': 0.125 },
  'Mb/s': { 'mb/s': 1, mbps: 1, 'mbit/s': 1, kbps: 0.001, gbps: 1000 },
  'dB(A)': { 'db(a)': 1, dba: 1, db: 1, 'db-a': 1 },
  dB: { db: 1 },
  lx: { lx: 1, lux: 1, klx: 1000, fc: 10.7639104167, footcandles: 10.7639104167 },
  'cd/m²': { 'cd/m²': 1, 'cd/m2': 1, nit: 1, nits: 1 },
  K: { k: 1, kelvin: 1 },
  Hz: { hz: 1, khz: 1000 },
  stops: { stops: 1, stop: 1 },
  mired: { mired: 1, mireds: 1 },
  ppm: { ppm: 1 },
  frames: { frames: 1, frame: 1 },
  fps: { fps: 1, p: 1 },
  px: { px: 1, pixels: 1, k: 1000 },
  'f/': {},
  T: {},
  ISO: { iso: 1 },
  '×': { '×': 1, x: 1 },
  count: {},
  '°': { '°': 1, deg: 1 },
  'm²': { 'm²': 1, m2: 1 },
  '%': { '%': 1 }
};

const number = String.raw`[-+\u2212]?\d[\d .,'\u00a0\u2009\u202f]*(?:\/\d+)?|[½¼¾⅓⅔⅛⅜⅝⅞]`;
const chargeTimesVoltage = new RegExp(
  String.raw`^(${number})\s*(m?)Ah\s*(?:[x×*@,;/]|at)?\s*(${number})\s*V$`,
  'i'
);

/** Rounds away what conversion adds behind the figures anybody states. */
const tidy = (value: number) => Number(value.toPrecision(8));

/**
 * Reads a figure as typed into the unit it is kept in: `0.9 lb` into grams, `1 1/4"` into
 * millimetres, `2600 mAh 7.2 V` into watt-hours, `f/1.8`, `1/50 s`, `ND8` into stops, `−38 dBV/Pa` or
 * `12.6 mV/Pa`. A bare number is taken as in the unit itself.
 *
 * @throws MeasureError with a sentence when it cannot be read
 * @example readMeasure('2600 mAh 7.2 V', 'Wh') // 18.72
 */
export function readMeasure(typed: string, unit: StatedUnit): number {
  const text = typed.trim();
  if (unit === 'Wh') {
    const charge = chargeTimesVoltage.exec(text);
    if (charge) {
      const ampHours = parseNumber(charge[1]!);
      const volts = parseNumber(charge[3]!);
      if (ampHours !== undefined && volts !== undefined)
        return tidy((ampHours * volts) / (charge[2] ? 1000 : 1));
    }
    if (/m?Ah$/i.test(text))
      throw new MeasureError(
        `“${typed}” is a charge; write its voltage too, such as “2600 mAh 7.2 V”.`
      );
  }
  if (unit === 'f/') {
    const stop = /^(?:f\s*\/?|1\s*:\s*)\s*(\d+(?:[.,]\d+)?)$/i.exec(text);
    if (stop) return parseNumber(stop[1]!)!;
  }
  if (unit === 'T') {
    const stop = /^T\s*\/?\s*(\d+(?:[.,]\d+)?)$/i.exec(text);
    if (stop) return parseNumber(stop[1]!)!;
  }
  if (unit === 'stops') {
    const factor = /^ND\s*(\d+)$/i.exec(text);
    if (factor && Number(factor[1]) < 1)
      throw new MeasureError(`“${typed}” is not a filter; a factor is 1 or more, such as ND8.`);
    if (factor) return tidy(stopsFromFactor(Number(factor[1])));
    const density = /^(?:ND\s*)?(0?\.\d+|[1-4]\.\d+)\s*(?:D|density)$/i.exec(text);
    if (density) return tidy(stopsFromDensity(Number(density[1])));
  }
  if (unit === 'dBV/Pa') {
    const millivolts = new RegExp(String.raw`^(${number})\s*mV(?:\s*/\s*Pa)?$`, 'i').exec(text);
    const value = millivolts && parseNumber(millivolts[1]!);
    if (value !== null && value !== undefined) {
      if (value <= 0)
        throw new MeasureError(`“${typed}” is not a sensitivity; millivolts are above zero.`);
      return tidy(dbVPerPaFromMillivolts(value));
    }
  }
  if (unit === 'dBV' || unit === 'dBV/Pa') {
    const level = new RegExp(
      String.raw`^(${number})\s*dB(u|V)?(?:\s*/\s*Pa|\s+re\s+1\s*V\s*/\s*Pa)?(?:\s*\(?A\)?)?$`,
      'i'
    ).exec(text);
    const value = level && parseNumber(level[1]!);
    if (value !== null && value !== undefined)
      return level![2]?.toLowerCase() === 'u' ? tidy(dbVFromDbu(value)) : value;
  }
  if (unit === 'ISO') {
    const iso = /^ISO\s*(\d+)$/i.exec(text);
    if (iso) return Number(iso[1]);
  }
  const parts = new RegExp(String.raw`^(${number})\s*(.*)$`, 'u').exec(text);
  const value = parts ? parseNumber(parts[1]!.trim().replace(/[.,]$/, '')) : undefined;
  if (!parts || value === undefined)
    throw new MeasureError(
      `“${typed}” is not a number; write one${unit === 'count' ? '' : `, in ${unit} or with its unit`}.`
    );
  const word = parts[2]!.trim();
  if (word === '' || word === unit) return value;
  // Megabits and megabytes differ by a capital alone.
  if (unit === 'MB/s' && /^MB(?:yte)?(?:\/s|ps)$/.test(word)) return value;
  if (unit === 'MB/s' && /^Mb(?:it)?(?:\/s|ps)$/.test(word)) return tidy(value / 8);
  if (unit === 'Mb/s' && /^MB(?:yte)?(?:\/s|ps)$/.test(word)) return tidy(value * 8);
  const factor = conversions[unit]?.[word.toLowerCase()];
  if (factor === undefined)
    throw new MeasureError(`“${word}” is not a unit of this figure; write it in ${unit}.`);
  return tidy(value * factor);
}
