import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { indexShelf, noFilter, filterShelf } from './shelf-search';

const shelf = indexShelf(catalogue.items);
const none: ReadonlySet<string> = new Set();
const nothing = { owned: none, own: none, inBag: none };

describe('the shelf', () => {
  it('is found by any words in any order, marks aside', () => {
    expect(
      filterShelf(shelf, { ...noFilter, words: 'wireless lapel two' }, nothing).map(
        ({ gear }) => gear.model
      )
    ).toEqual(['Thimble Two']);
    expect(filterShelf(shelf, { ...noFilter, words: 'THÍMBLE' }, nothing).length).toBe(4);
    expect(filterShelf(shelf, { ...noFilter, words: 'no such thing' }, nothing)).toEqual([]);
  });

  it('narrows to what one owns and to what one has entered, each by itself', () => {
    const standing = {
      ...nothing,
      owned: new Set(['orrowby-15-43-f-3-5-5-6']),
      own: new Set(['dunmarrow-plover'])
    };
    const ids = (shelfFilter: Partial<typeof noFilter>) =>
      filterShelf(shelf, { ...noFilter, ...shelfFilter }, standing).map(({ gear }) => gear.id);
    expect(ids({ ownedOnly: true })).toEqual(['orrowby-15-43-f-3-5-5-6']);
    expect(ids({ ownOnly: true })).toEqual(['dunmarrow-plover']);
    expect(ids({ ownedOnly: true, ownOnly: true })).toEqual([]);
  });

  it('narrows by pocket, kind, mount, price and what is in the kit', () => {
    expect(
      filterShelf(shelf, { ...noFilter, mount: 'Pell' }, nothing).every(
        ({ gear }) => gear.kind === 'lens' || gear.kind === 'body'
      )
    ).toBe(true);
    const cheap = filterShelf(shelf, { ...noFilter, kind: 'lamp', mostMinor: 5000 }, nothing);
    expect(cheap.length).toBeGreaterThan(1);
    expect(cheap.every(({ gear }) => gear.priceNew!.likely <= 5000)).toBe(true);
    expect(
      filterShelf(
        shelf,
        { ...noFilter, inBagOnly: true },
        { ...nothing, inBag: new Set(['dunmarrow-plover']) }
      )
    ).toHaveLength(1);
  });
});
