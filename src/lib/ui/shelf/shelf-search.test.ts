import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { makeEntries, openSieve, sift } from './shelf-search';

const entries = makeEntries(catalogue.items);
const none = new Set<string>();

describe('the shelf', () => {
  it('is found by any words in any order, marks aside', () => {
    expect(
      sift(entries, { ...openSieve, words: 'wireless lapel two' }, none, none).map(
        ({ gear }) => gear.model
      )
    ).toEqual(['Thimble Two']);
    expect(sift(entries, { ...openSieve, words: 'THÍMBLE' }, none, none).length).toBe(4);
    expect(sift(entries, { ...openSieve, words: 'no such thing' }, none, none)).toEqual([]);
  });

  it('narrows by pocket, kind, mount, price and what is in the bag', () => {
    expect(
      sift(entries, { ...openSieve, mount: 'Pell' }, none, none).every(
        ({ gear }) => gear.kind === 'lens' || gear.kind === 'body'
      )
    ).toBe(true);
    const cheap = sift(entries, { ...openSieve, kind: 'lamp', mostMinor: 5000 }, none, none);
    expect(cheap.length).toBeGreaterThan(1);
    expect(cheap.every(({ gear }) => gear.priceNew!.likely <= 5000)).toBe(true);
    expect(
      sift(entries, { ...openSieve, inBagOnly: true }, none, new Set(['dunmarrow-perch']))
    ).toHaveLength(1);
  });
});
