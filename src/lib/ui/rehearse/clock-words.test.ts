import { describe, expect, it } from 'vitest';
import { clockWords, minuteOf, timeOf } from './clock-words';
import { levelAt } from './strip-at';

describe('the clock of a day', () => {
  it.each([
    [0, 1, '00:00'],
    [760, 1, '12:40'],
    [760.9, 1, '12:40'],
    [1439, 1, '23:59'],
    [1440, 1, '00:00'],
    [1440 + 741, 3, 'day 2, 12:21'],
    [600, 3, 'day 1, 10:00']
  ])('writes minute %s of %s days as %s', (minute, days, words) => {
    expect(clockWords(minute, days, 'en-GB')).toBe(words);
  });

  it('writes it as people elsewhere do', () => {
    expect(clockWords(760, 1, 'en-US')).toMatch(/^12:40.PM$/);
  });

  it('goes into a time field and out again', () => {
    for (let minute = 0; minute < 1440; minute += 7) expect(minuteOf(timeOf(minute))).toBe(minute);
    for (const wrong of ['', '25:00', '10:60', 'noon', '1000', '10:5'])
      expect(minuteOf(wrong), wrong).toBeUndefined();
  });
});

describe('a level at a minute', () => {
  const points: [number, number][] = [
    [0, 1],
    [10, 0.5],
    [10, 1],
    [30, 0]
  ];
  it.each([
    [-5, 1],
    [0, 1],
    [5, 0.75],
    // Swapped at 10: the new one counts.
    [10, 1],
    [20, 0.5],
    [30, 0],
    [99, 0]
  ])('at %s is %s', (minute, level) => {
    expect(levelAt({ points }, minute)).toBeCloseTo(level, 9);
  });

  it('of nothing is nothing', () => {
    expect(levelAt({ points: [] }, 3)).toBe(0);
  });
});
