import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { fullName, gearKindNames } from '../../core/model/gear';
import { makePartSearch } from './part-search';
import { makeWordSearch, tokensOf } from './word-search';

const search = makePartSearch(catalogue.items);
const kindsOf = (typed: string) => [...new Set(search(typed)!.map(({ kind }) => kind))];

describe('a search by words', () => {
  it('takes words and figures apart however they are joined', () => {
    expect(tokensOf('50mm f/1.8 Côte-ND64')).toEqual(['50', 'mm', 'f', '1.8', 'cote', 'nd', '64']);
  });

  it('puts what the name says before what stands beside it, and whole words first', () => {
    const things = [
      { name: 'Lamp', more: 'tripod' },
      { name: 'Tripods of wood', more: '' },
      { name: 'Tripod', more: '' }
    ];
    const find = makeWordSearch(
      things,
      ({ name }) => name,
      ({ more }) => more
    );
    expect(find('tripod')!.map(({ name }) => name)).toEqual(['Tripod', 'Tripods of wood', 'Lamp']);
    expect(find('the tripod of wood')!.map(({ name }) => name)).toEqual(['Tripods of wood']);
    expect(find('')).toBeUndefined();
    expect(find('tripod zebra')).toEqual([]);
    expect(find('zebra tripod', { passOver: true })).toHaveLength(3);
  });

  it('does not guess at short words or at figures', () => {
    const find = makeWordSearch(
      ['map', '512 GB'],
      (name) => name,
      () => ''
    );
    expect(find('mop')).toEqual([]);
    expect(find('513')).toEqual([]);
  });
});

describe('parts of the shelf', () => {
  it.each([
    ['tripod', 'support'],
    ['battery', 'battery'],
    ['batteries', 'battery'],
    ['zoom', 'lens'],
    ['prime', 'lens'],
    ['lavalier', 'microphone'],
    ['lapel mic', 'microphone'],
    ['memory card', 'card'],
    ['action camera', 'body'],
    ['laptop', 'computer'],
    ['softbox', 'lamp'],
    ['power bank', 'power bank'],
    ['webcam', 'capture device'],
    ['ND', 'filter'],
    ['selfie stick', 'support'],
    ['dummy battery', 'mains adapter'],
    ['deadcat', 'windscreen'],
    ['ssd', 'drive'],
    ['smartphone', 'body'],
    ['teleprompter', 'mirror box']
  ])('“%s” finds a %s', (typed, kind) => {
    expect(
      search(typed)!
        .slice(0, 8)
        .map((gear) => gear.kind)
    ).toContain(kind);
  });

  it.each([
    ['micrphone', 'microphone'],
    ['tripdo', 'support'],
    ['battrey', 'battery'],
    ['lavelier', 'microphone'],
    ['gimbel', 'support'],
    ['fliter', 'filter'],
    ['lense', 'lens']
  ])('“%s”, mistyped, finds a %s', (typed, kind) => {
    expect(kindsOf(typed)).toContain(kind);
  });

  it('every part is found by its full name, first or among those of the same name', () => {
    for (const gear of catalogue.items)
      expect(
        search(fullName(gear))!.map(({ id }) => id),
        fullName(gear)
      ).toContain(gear.id);
  });

  it('every kind is found by what it is called', () => {
    for (const kind of gearKindNames)
      if (catalogue.items.some((gear) => gear.kind === kind))
        expect(kindsOf(kind), kind).toContain(kind);
  });
});
