import { describe, expect, it } from 'vitest';
import { heatNote } from './heat-note';

const note = (heatMinutesAt20C: string, heatMinutesAt40C: string) =>
  heatNote({ heatMinutesAt20C, heatMinutesAt40C });

describe('two times to the heat limit of one mode', () => {
  it('are told where no warming passes both: twice as near the limit lasts less than half as long', () => {
    expect(note('30', '20')).toMatch(/^30 min at 20 °C and 20 min at 40 °C do not go together/);
    expect(note('30', '15.5')).toBeDefined();
    expect(note('20', '30')).toBeDefined();
    expect(note('1 h', '50 min')).toMatch(/^60 min/);
  });

  it('are taken without a word where one does, where one is not stated, or cannot be read yet', () => {
    for (const [at20, at40] of [
      ['30', '12'],
      ['30', ''],
      ['', '12'],
      ['abc', '12']
    ] as const)
      expect(note(at20, at40), `${at20}/${at40}`).toBeUndefined();
    expect(heatNote({})).toBeUndefined();
  });
});
