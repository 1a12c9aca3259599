import { describe, expect, it } from 'vitest';
import {
  aboutAgainstLimit,
  againstNeed,
  figureWords,
  lengthWords,
  massWords,
  minutesWords,
  shutterWords
} from './figure-words';
import type { FigureUnit } from './rows';

describe('a figure in words', () => {
  it.each<[number, FigureUnit, string, string]>([
    [0.55, 'm', '0.55 m', '21.7 in (55 cm)'],
    [12.25, 'm', '12.3 m', '40 ft 2 in (12.3 m)'],
    [Infinity, 'm', 'far away', 'far away'],
    [0.732, 'kg', '0.73 kg', '1.61 lb'],
    [431, 'g', '431 g', '15.2 oz'],
    [5.5, 'm/s', '5.5 m/s', '12 mph'],
    [30, '°C', '30 °C', '86 °F'],
    [-10, '°C', '−10 °C', '14 °F'],
    [0.02, 's', '1/50 s', '1/50 s'],
    [2.5, 's', '2.5 s', '2.5 s'],
    [90, 'min', '90 min', '90 min'],
    [4, 'f/', 'f/4', 'f/4'],
    [1.5, 'f/', 'f/1.5', 'f/1.5'],
    [2.2, 'T', 'T2.2', 'T2.2'],
    [1234, 'ISO', 'ISO 1\u00a0230', 'ISO 1\u00a0230'],
    [64, 'ISO', 'ISO 64', 'ISO 64'],
    [1.267, '×', '1.27×', '1.27×'],
    [3, 'count', '3', '3'],
    [7.25, 'px', '7.3 px', '7.3 px'],
    [1920, 'px', '1\u00a0920 px', '1\u00a0920 px'],
    [1, 'yes/no', 'yes', 'yes'],
    [0, 'yes/no', 'no', 'no'],
    [12.6, '°', '13°', '13°'],
    [62.5, '%', '62.5 %', '62.5 %'],
    [1.25, 'stops', '1.3 stops', '1.3 stops'],
    [43.21, 'dB(A)', '43.2 dB(A)', '43.2 dB(A)'],
    [0.021, 'mm', '0.021 mm', '0.021 mm'],
    [1, 'days', '1 day', '1 day'],
    [4, 'days', '4 days', '4 days'],
    [16.2, 'Wh', '16.2 Wh', '16.2 Wh'],
    [1420, 'lx', '1\u00a0420 lx', '1\u00a0420 lx']
  ])('%d %s', (value, unit, metric, imperial) => {
    expect(figureWords(value, unit, 'metric')).toBe(metric);
    expect(figureWords(value, unit, 'imperial')).toBe(imperial);
    expect(figureWords(value, unit)).toBe(metric);
  });
});

describe('times', () => {
  it('are said as one says them', () => {
    expect(minutesWords(4.25)).toBe('4.3 min');
    expect(minutesWords(119)).toBe('119 min');
    expect(minutesWords(120)).toBe('2 h');
    expect(minutesWords(125)).toBe('2 h 05 min');
    expect(minutesWords(Infinity)).toBe('unlimited');
    expect(shutterWords(1 / 48)).toBe('1/48 s');
    expect(shutterWords(0.5)).toBe('0.5 s');
  });
});

describe('lengths and masses', () => {
  it('keep to the person’s units, with centimetres beside inches', () => {
    expect(lengthWords(0.2, 'metric')).toBe('0.20 m');
    expect(lengthWords(2.54, 'imperial')).toBe('8 ft 4 in (2.54 m)');
    expect(lengthWords(0.2, 'imperial')).toBe('7.9 in (20 cm)');
    expect(lengthWords(1.8288, 'imperial')).toBe('6 ft (1.83 m)');
    expect(massWords(0.2835, 'imperial')).toBe('10 oz');
    expect(massWords(0.45359237, 'imperial')).toBe('1 lb');
    expect(massWords(1.95, 'metric')).toBe('1.95 kg');
  });

  it('says by which side two figures differ that are the same in words', () => {
    expect(againstNeed(24.6, 25, 'min')).toBe('just under 25 min (needs 25 min)');
    expect(againstNeed(23, 25, 'min')).toBe('23 min (needs 25 min)');
    expect(againstNeed(265, 275, 'min')).toBe('4 h 25 min (needs 4 h 35 min)');
    expect(againstNeed(1.2, 3, 'm', 'imperial')).toBe(
      '3 ft 11 in (1.20 m) (needs 9 ft 10 in (3.00 m))'
    );
    expect(aboutAgainstLimit(3, 2, 'min')).toBe('about 3 min (limit 2 min)');
    expect(aboutAgainstLimit(1.22, 1.2, 'min')).toBe('just over 1.2 min (limit 1.2 min)');
  });
});
