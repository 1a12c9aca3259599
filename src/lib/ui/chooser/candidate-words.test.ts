import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { type GearItem, type GearOf, gearKindNames } from '../../core/model/gear';
import { pockets } from '../../core/model/pocket';
import { partGist, pocketQuestions } from './candidate-words';

const copy = <G extends GearItem>(id: string, patch: Partial<G>) =>
  ({ ...catalogue.byId.get(id)!, ...patch }) as G;

describe('a part in half a line', () => {
  it('is said of every kind on the shelf, in words and without holes', () => {
    for (const kind of gearKindNames) {
      const parts = catalogue.ofKind(kind);
      expect(parts.length, kind).toBeGreaterThan(0);
      for (const gear of parts) {
        const gist = partGist(gear);
        expect(gist.length, gear.model).toBeGreaterThan(2);
        expect(gist, gear.model).not.toMatch(/undefined|NaN|null|\[object/);
      }
    }
  });

  it('says what one asks first', () => {
    expect(partGist(catalogue.byId.get('pellamund-17-f-1-5')!)).toBe('Tarn mount, 17 mm, f/1.5');
    expect(partGist(catalogue.byId.get('orrowby-15-43-f-3-5-5-6')!)).toBe(
      'Tarn mount, 15–43 mm, f/3.5'
    );
    expect(partGist(catalogue.byId.get('quillfeather-sd-128-v30')!)).toBe('SD, 128 GB, V30');
    expect(partGist(catalogue.byId.get('pellamund-dusk-2-5-62-mm')!)).toMatch(
      /^62 mm, variable density, 2 to 5 stops$/
    );
    expect(partGist(catalogue.byId.get('quillfeather-charger-ember-16-two-bays')!)).toBe(
      'Ember 16, 2 bays'
    );
  });

  it('says what nobody has stated', () => {
    expect(
      partGist(copy<GearOf<'microphone'>>('dunmarrow-burr', { selfNoiseDbA: undefined! }))
    ).toMatch(/self-noise not stated$/);
    expect(partGist(copy<GearOf<'body'>>('orrowby-linnet', { screen: undefined! }))).toMatch(
      /screen not stated/
    );
    expect(
      partGist(copy<GearOf<'card'>>('quillfeather-sd-128-v30', { speedClass: undefined! }))
    ).toBe('SD, 128 GB, class not stated');
    expect(
      partGist(copy<GearOf<'filter'>>('pellamund-dusk-2-5-62-mm', { stopsMax: undefined! }))
    ).toMatch(/stops not stated$/);
    expect(
      partGist(copy<GearOf<'battery'>>('orrowby-ember-16-battery', { energyWh: undefined! }))
    ).toBe('Ember 16, ? Wh');
  });

  it('every pocket asks a question', () => {
    for (const pocket of pockets) expect(pocketQuestions[pocket]).toMatch(/^What .*\?$/);
  });
});
