import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { changeWords, points } from './kit-words';

const buyer = { currency: 'GBP' };
const gear = (id: string) => ({ gear: catalogue.byId.get(id)!, pieces: 1 });
const words = (comesIn: string[], goesOut: string[]) =>
  changeWords({ comesIn: comesIn.map(gear), goesOut: goesOut.map(gear), stays: [] }, buyer);

describe('a change of kits in a few words', () => {
  it('names the dearest part that comes, and what of its kind it takes the place of', () => {
    expect(words(['dunmarrow-burr', 'orrowby-linnet'], ['ellowen-slip-4'])).toBe(
      'Linnet for Slip 4'
    );
    expect(words(['dunmarrow-burr'], ['ellowen-slip-4'])).toBe('+ Burr');
    expect(words([], ['dunmarrow-burr', 'orrowby-linnet'])).toBe('without Linnet');
    expect(words([], [])).toBe('');
  });

  it('counts pieces', () => {
    const two = { ...gear('quillfeather-sd-64-v30'), pieces: 2 };
    expect(changeWords({ comesIn: [two], goesOut: [], stays: [] }, buyer)).toBe('+ 2 × SD 64 V30');
  });

  it('says worth in whole points', () => {
    expect([points(0), points(49), points(7150), points(10_000)]).toEqual(['0', '0', '72', '100']);
  });
});
