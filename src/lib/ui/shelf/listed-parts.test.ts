import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { gearKindNames } from '../../core/model/gear';
import { readPartList } from '../../core/reading/part-list';
import { makePartSearch } from '../search/part-search';
import { asNew, matchListed, neededOf, readMatched } from './listed-parts';

const search = makePartSearch(catalogue.items);
const makers = [...new Set(catalogue.items.map(({ maker }) => maker))];
const matched = (text: string) => matchListed(readPartList(text, 'GBP'), search, makers);
const read = (match: ReturnType<typeof matched>[number]) =>
  readMatched(match, catalogue.byId, 'own-part', 'GBP', '2026-11-25');

describe('a pasted list matched to the shelf', () => {
  it('takes a part that is named, with the price the list gives it', () => {
    const [match] = matched('2 × Dunmarrow Plover – 119,00 €');
    const { gear, changed, faults } = read(match!);
    expect(faults).toEqual({});
    expect(changed).toBe(true);
    expect(gear).toMatchObject({
      id: 'dunmarrow-plover',
      priceNew: { likely: 11_900, currency: 'EUR', date: '2026-11-25', source: 'a pasted list' }
    });
  });

  it('leaves a part without a price as the shelf has it', () => {
    const { gear, changed } = read(matched('Dunmarrow Plover')[0]!);
    expect(gear).toBe(catalogue.byId.get('dunmarrow-plover'));
    expect(changed).toBe(false);
  });

  it('asks which kind a part is that the shelf does not have, and what that kind cannot do without', () => {
    const [match] = matched('Zzyx thing 40 £');
    expect(read(match!).faults.kind).toBe('What kind of part is “Zzyx thing”?');
    const lens = asNew(match!, 'lens');
    expect(Object.keys(read(lens).faults).sort()).toEqual(
      neededOf('lens')
        .map(({ key }) => key)
        .sort()
    );
    lens.fields = {
      mount: 'Tarn',
      focalLengthMinMm: '24',
      focalLengthMaxMm: '24',
      apertureWideN: '1.8',
      apertureTeleN: '1.8'
    };
    expect(read(lens)).toMatchObject({
      faults: {},
      gear: { id: 'own-part', kind: 'lens', model: 'Zzyx thing', priceNew: { likely: 4000 } }
    });
  });

  it('reads from the line what it tells of a new part', () => {
    const [match] = matched('Zzyx lens 16-50 mm f/3.5-5.6, 199 £');
    expect(match!.takenFor).toEqual({ kind: 'lens' });
    expect(match!.fields).toMatchObject({ focalLengthMinMm: '16', focalLengthMaxMm: '50' });
  });

  it('asks who makes a new part, and knows the makers of the shelf', () => {
    const [match] = matched('Dunmarrow Zzyx handle, 12 £');
    const handle = asNew(match!, 'handle');
    expect(handle).toMatchObject({ maker: 'Dunmarrow', model: 'Zzyx handle' });
    expect(read(handle)).toMatchObject({
      faults: {},
      gear: { maker: 'Dunmarrow', model: 'Zzyx handle' }
    });
    const own = { ...handle, maker: ' Made at home ', model: 'Arm' };
    expect(read(own).gear).toMatchObject({ maker: 'Made at home', model: 'Arm' });
  });

  it('can make every kind, once its questions are answered', () => {
    for (const kind of gearKindNames) {
      const part = catalogue.ofKind(kind)[0];
      if (!part) continue;
      const match = asNew(matched('Zzyx thing')[0]!, kind);
      for (const { key } of neededOf(kind))
        match.fields[key] = String((part as unknown as Record<string, unknown>)[key]);
      expect(read(match).faults, kind).toEqual({});
      expect(read(match).gear?.kind, kind).toBe(kind);
    }
  });

  it('leaves out what it is told to', () => {
    const [match] = matched('£12');
    expect(read(match!).faults.line).toMatch(/no name/);
    expect(read({ ...match!, takenFor: 'nothing' })).toMatchObject({ gear: undefined, faults: {} });
  });
});
