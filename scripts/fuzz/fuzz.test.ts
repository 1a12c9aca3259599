import { describe, expect, it } from 'vitest';
import { randomOf } from './spoil';
import { trial } from './trial';

describe('spoilt files, spreadsheets and backups', () => {
  it('are refused in a sentence, or taken and judged without a fault', () => {
    let taken = 0;
    for (let seed = 1; seed <= 400; seed++) {
      const tried = trial(randomOf(seed));
      expect(tried.fault, `seed ${seed}`).toBeUndefined();
      if (tried.taken) taken += 1;
    }
    // A fuzz that spoils everything past recognition would test nothing but the check.
    expect(taken).toBeGreaterThan(60);
  });
});
