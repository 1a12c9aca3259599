import { describe, expect, it } from 'vitest';
import type { OwnedPiece } from '../model/owned-piece';
import { ageWords, boughtDays, monthsSince } from './owned-age';

describe('the age of what one owns', () => {
  it('is in whole months, and nobody is younger than nothing', () => {
    expect(monthsSince('2025-08-30', '2026-12-01')).toBe(15);
    expect(monthsSince('2026-11-30', '2026-12-01')).toBe(0);
    expect(monthsSince('2027-01-01', '2026-12-01')).toBe(0);
  });

  it('says an age in years and months', () => {
    expect([0, 1, 11, 12, 13, 24, 27].map(ageWords)).toEqual([
      'under a month',
      '1 month',
      '11 months',
      '1 year',
      '1 year 1 month',
      '2 years',
      '2 years 3 months'
    ]);
  });

  it('is that of the oldest piece of a part, where its day was written down', () => {
    const piece = (gearId: string, boughtOn?: string) =>
      ({
        id: `${gearId} ${boughtOn}`,
        gearId,
        name: gearId,
        quantity: 1,
        state: 'here',
        boughtOn
      }) as OwnedPiece;
    const days = boughtDays([
      piece('a', '2025-02-01'),
      piece('a', '2024-07-09'),
      piece('a'),
      piece('b')
    ]);
    expect([...days]).toEqual([['a', '2024-07-09']]);
  });
});
