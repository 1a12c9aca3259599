import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gearKindNames } from '../model/gear';
import { fieldNames, specSheet } from '../model/gear/spec-sheet';
import type { StatedUnit } from '../model/stated';
import { MeasureError, parseNumber, readMeasure } from './measure';

describe('a number as written', () => {
  it.each([
    ['1 250', 1250],
    ['1,250', 1250],
    ['1.250,5', 1250.5],
    ['7,2', 7.2],
    ['.5', 0.5],
    ['−38', -38],
    ['1 1/4', 1.25],
    ['1¼', 1.25],
    ['½', 0.5],
    ["12'000", 12000]
  ])('%s is %f', (text, value) => {
    expect(parseNumber(text)).toBeCloseTo(value, 9);
  });

  it('is not made of words', () => {
    for (const text of ['', 'abc', '1..2', '1/0', '--3', 'NaN', 'Infinity'])
      expect(parseNumber(text)).toBeUndefined();
  });
});

describe('a figure as typed', () => {
  it.each([
    ['2600 mAh 7.2 V', 'Wh', 18.72],
    ['2.6Ah × 7,2V', 'Wh', 18.72],
    ['0.9 lb', 'g', 408.233],
    ['67 mm', 'mm', 67],
    ['1 1/4"', 'mm', 31.75],
    ['5 ft', 'm', 1.524],
    ['f/1.8', 'f/', 1.8],
    ['1:2.8', 'f/', 2.8],
    ['T1.6', 'T', 1.6],
    ['T/2,2', 'T', 2.2],
    ['ND64', 'stops', 6],
    ['ND 1.8 D', 'stops', 5.979],
    ['12.6 mV/Pa', 'dBV/Pa', -37.99],
    ['-38 dB re 1 V/Pa', 'dBV/Pa', -38],
    ['−128 dBu', 'dBV', -130.2],
    ['100 Mb/s', 'MB/s', 12.5],
    ['30 MB/s', 'MB/s', 30],
    ['12.5 MB/s', 'Mb/s', 100],
    ['1.5 h', 'min', 90],
    ['120 fc', 'lx', 1291.67],
    ['1 TB', 'GB', 1000],
    ['ISO 800', 'ISO', 800],
    ['450', 'g', 450]
  ] as [string, StatedUnit, number][])('%s in %s is %f', (typed, unit, value) => {
    expect(readMeasure(typed, unit)).toBeCloseTo(value, 2);
  });

  it('says what is missing or wrong', () => {
    expect(() => readMeasure('2600 mAh', 'Wh')).toThrow(/write its voltage too/);
    expect(() => readMeasure('heavy', 'g')).toThrow(/is not a number/);
    expect(() => readMeasure('12 parsecs', 'm')).toThrow(/“parsecs” is not a unit/);
  });

  it('throws nothing but a sentence, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom<StatedUnit>('g', 'Wh', 'mm', 'f/', 'stops', 'dBV/Pa', 'lx'),
        (typed, unit) => {
          try {
            expect(Number.isFinite(readMeasure(typed, unit))).toBe(true);
          } catch (error) {
            expect(error).toBeInstanceOf(MeasureError);
          }
        }
      ),
      { numRuns: 2000 }
    );
  });
});

describe('specification sheets', () => {
  it('name every field of every kind', () => {
    for (const kind of gearKindNames)
      for (const { key } of specSheet(kind))
        expect(fieldNames[key], `${kind}.${key}`).toBeDefined();
  });

  it('tells megabytes from megabits by their capital', () => {
    expect(readMeasure('90 MBps', 'MB/s')).toBe(90);
    expect(readMeasure('90 MB/s', 'MB/s')).toBe(90);
    expect(readMeasure('720 Mbps', 'MB/s')).toBe(90);
    expect(readMeasure('90 MBps', 'Mb/s')).toBe(720);
    expect(readMeasure('100 Mb/s', 'Mb/s')).toBe(100);
  });

  it.each([
    ['ND0', 'stops', /a factor is 1 or more/],
    ['-5 mV/Pa', 'dBV/Pa', /millivolts are above zero/],
    ['0 mV/Pa', 'dBV/Pa', /millivolts are above zero/]
  ] as const)('refuses %s, which no logarithm can tell', (typed, unit, says) => {
    expect(() => readMeasure(typed, unit)).toThrow(says);
  });
});
