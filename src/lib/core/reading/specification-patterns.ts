import { currencyPattern, readAmount } from './amount';
import { usualCurrencies } from '../money/rates';
import { carryingPatterns } from './carrying-patterns';
import { readMeasure } from './measure';
import { N, gap, measured, ci, type Pattern } from './pattern';
import { picturePatterns } from './picture-patterns';
import { soundAndLightPatterns } from './sound-and-light-patterns';

export const sensorWords: readonly (readonly [RegExp, string])[] = [
  [/full[- ]frame|35\.?9? ?[x×] ?24|36 ?[x×] ?24/i, 'full frame'],
  [/APS-?C small|22\.[23] ?[x×] ?14\.[89]/i, 'APS-C small'],
  [/APS-?C/i, 'APS-C'],
  [/4\/3[- ]?(?:type|inch)?|four[- ]thirds/i, '4/3-type'],
  [/1\/1\.3/i, '1/1.3-type'],
  [/1\/2\.3/i, '1/2.3-type'],
  [/1(?:\.0)?[- ]?(?:inch|type)|1"/i, '1-inch type']
];

const CODES = usualCurrencies.join('|');
const AMOUNT = String.raw`\d{1,3}(?:[ .,'’\u00a0\u2009\u202f]\d{3})+(?:[.,]\d{1,2})?(?!\d)|\d+(?:[.,]\d{1,2})?(?!\d)`;

/** What every sheet may say: weight, size, price. */
const generalPatterns: readonly Pattern[] = [
  {
    key: 'massG',
    pattern: ci(String.raw`(?:weight|weighs?|mass|wt\.?)${gap}(${N}\s*(?:kg|g|lbs?|oz|grams?)\b)`),
    read: measured('g')
  },
  {
    key: 'massG',
    pattern: ci(
      String.raw`(?:^|[\n,;|•·/—]|\.\s)\s*(${N}\s*(?:kg|g|grams?|oz|lbs?))\b(?!\s*(?:payload|load|max))`
    ),
    read: measured('g')
  },
  {
    key: 'sizeMm',
    pattern: ci(
      String.raw`(${N})\s*(?:mm)?\s*[x×]\s*(${N})\s*(?:mm)?\s*[x×]\s*(${N})\s*(mm|cm|in|")`
    ),
    read: (match) => {
      const [width, height, depth] = [1, 2, 3].map((group) =>
        readMeasure(`${match[group]!} ${match[4]!}`, 'mm')
      );
      return { width, height, depth };
    }
  },
  {
    key: 'priceNew',
    pattern: ci(
      String.raw`(?:${currencyPattern}|\b${CODES})\s?(?:${AMOUNT})(?:[.,][-–])?|(?:${AMOUNT})(?:[.,][-–])?\s?(?:${currencyPattern}|${CODES})(?!\w)`
    ),
    read: (match, _kind, own) => {
      const { minor, currency } = readAmount(match[0], own);
      return { likely: minor, currency };
    }
  }
];

/** Each figure in its context; the first pattern that finds a key keeps it. */
export const patterns: readonly Pattern[] = [
  ...generalPatterns,
  ...picturePatterns,
  ...soundAndLightPatterns,
  ...carryingPatterns
];

/** One match may fill two fields: both ends of a zoom, a colour range, a density range. */
export const pairs: Readonly<Record<string, readonly [string, string]>> = {
  focalLengths: ['focalLengthMinMm', 'focalLengthMaxMm'],
  apertures: ['apertureWideN', 'apertureTeleN'],
  colours: ['colourMinK', 'colourMaxK'],
  densities: ['stopsMin', 'stopsMax']
};
