import { describe, expect, it } from 'vitest';
import { dayWords } from './day-words';

const plain = (text: string) => text.replaceAll('\u00a0', ' ');

describe('a day in words', () => {
  it('is written as people of the place do', () => {
    expect(plain(dayWords('2026-11-01', 'en-GB'))).toBe('1 Nov 2026');
    expect(plain(dayWords('2026-11-01', 'en-US'))).toBe('Nov 1, 2026');
    expect(plain(dayWords('2026-11-01', 'de-DE'))).toBe('01.11.2026');
  });

  it('is the day that was kept, whatever the clock here', () => {
    expect(plain(dayWords('2026-01-01', 'en-GB'))).toBe('1 Jan 2026');
    expect(plain(dayWords('2026-12-31', 'en-GB'))).toBe('31 Dec 2026');
  });

  it('stays on one line', () => {
    expect(dayWords('2026-11-01', 'en-GB')).not.toContain(' ');
  });

  it('that is no day is given back as it is', () => {
    for (const text of ['', 'last week', '2026-13-45', '<b>'])
      expect(dayWords(text, 'en-GB')).toBe(text);
  });
});
