import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { makeEntries, openSieve, sift } from './shelf-search';

const entries = makeEntries(catalogue.items);
const none: ReadonlySet<string> = new Set();
const nothing = { owned: none, own: none, inBag: none };

describe('the shelf', () => {
  it('is found by any words in any order, marks aside', () => {
    expect(
      sift(entries, { ...openSieve, words: 'wireless lapel two' }, nothing).map(
        ({ gear }) => gear.model
      )
    ).toEqual(['Thimble Two']);
    expect(sift(entries, { ...openSieve, words: 'THÍMBLE' }, nothing).length).toBe(4);
    expect(sift(entries, { ...openSieve, words: 'no such thing' }, nothing)).toEqual([]);
  });

  it('narrows to what one owns and to what one has entered, each by itself', () => {
    const standing = {
      ...nothing,
      owned: new Set(['orrowby-15-43-f-3-5-5-6']),
      own: new Set(['dunmarrow-perch'])
    };
    const ids = (sieve: Partial<typeof openSieve>) =>
      sift(entries, { ...openSieve, ...sieve }, standing).map(({ gear }) => gear.id);
    expect(ids({ ownedOnly: true })).toEqual(['orrowby-15-43-f-3-5-5-6']);
    expect(ids({ ownOnly: true })).toEqual(['dunmarrow-perch']);
    expect(ids({ ownedOnly: true, ownOnly: true })).toEqual([]);
  });

  it('narrows by pocket, kind, mount, price and what is in the bag', () => {
    expect(
      sift(entries, { ...openSieve, mount: 'Pell' }, nothing).every(
        ({ gear }) => gear.kind === 'lens' || gear.kind === 'body'
      )
    ).toBe(true);
    const cheap = sift(entries, { ...openSieve, kind: 'lamp', mostMinor: 5000 }, nothing);
    expect(cheap.length).toBeGreaterThan(1);
    expect(cheap.every(({ gear }) => gear.priceNew!.likely <= 5000)).toBe(true);
    expect(
      sift(
        entries,
        { ...openSieve, inBagOnly: true },
        { ...nothing, inBag: new Set(['dunmarrow-perch']) }
      )
    ).toHaveLength(1);
  });
});
