import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { wholeSheet } from '../../core/model/gear/spec-sheet';
import { valueAt } from '../../core/model/gear/stated-at';
import { draftOf, emptyDraft, readDraft } from './part-draft';

const today = '2026-11-25';

describe('a part in the form', () => {
  it.each(catalogue.items.map((gear) => [gear.id, gear] as const))(
    '%s opens and closes unchanged',
    (id, gear) => {
      const { gear: read, faults } = readDraft(draftOf(gear, 'GBP'), id, 'GBP', today);
      expect(faults).toEqual({});
      const sorted = (value: unknown) =>
        JSON.stringify(value, (_, inner: unknown) =>
          inner && typeof inner === 'object' && !Array.isArray(inner)
            ? Object.fromEntries(Object.entries(inner).sort())
            : inner
        );
      const ports = (list: readonly unknown[]) => list.map(sorted).sort();
      expect(sorted({ ...read, ports: [], modes: [] })).toBe(
        sorted({ ...gear, ports: [], modes: [] })
      );
      expect(ports(read!.ports)).toEqual(ports(gear.ports));
      if (gear.kind === 'body' && read!.kind === 'body') {
        expect(read!.modes.map(sorted)).toEqual(gear.modes.map(sorted));
      }
    }
  );

  it.each(catalogue.items.map((gear) => [gear.id, gear] as const))(
    '%s can be typed in whole: the form has a place for everything it states',
    (id, gear) => {
      const draft = draftOf(gear, 'GBP');
      // What was only carried along would be lost to a person who types.
      expect(draft.rest).toEqual({});
      for (const mode of draft.modes) expect(mode.rest).toEqual({});
      const typed = { ...draft, rest: {}, modes: draft.modes.map(({ rest: _, ...mode }) => mode) };
      const { gear: read } = readDraft(typed, id, 'GBP', today);
      for (const { key } of wholeSheet(gear.kind))
        expect(valueAt(read!, key), key).toEqual(valueAt(gear, key));
    }
  );

  it('takes the lens of a phone as its sheet states it, by real or equivalent focal length', () => {
    const draft = emptyDraft('body');
    draft.maker = 'own';
    draft.model = 'phone';
    draft.fields = {
      form: 'phone',
      'builtInLens.focalLengthMinMm': '24 mm equivalent',
      'builtInLens.focalLengthMaxMm': '24 mm (35 mm equiv.)',
      'builtInLens.apertureWideN': 'f/1.8',
      'builtInLens.minimumFocusDistanceM': '10 cm',
      'builtInLens.stabilised': 'yes'
    };
    const before = readDraft(draft, 'own-phone', 'GBP', today).faults;
    expect(before.sensorFormat).toMatch(/cannot do without/);
    expect(before['builtInLens.focalLengthMinMm']).toMatch(/Choose the sensor first/);
    expect(before['builtInLens.apertureTeleN']).toMatch(/cannot do without/);
    draft.fields.sensorFormat = '1/1.3-type';
    draft.fields['builtInLens.apertureTeleN'] = '1.8';
    const { gear, faults } = readDraft(draft, 'own-phone', 'GBP', today);
    expect(faults).toEqual({});
    // 24 · 9.8 / 36, to a hundredth of a millimetre.
    expect(gear).toMatchObject({
      builtInLens: {
        focalLengthMinMm: 6.53,
        focalLengthMaxMm: 6.53,
        apertureWideN: 1.8,
        minimumFocusDistanceM: 0.1,
        stabilised: true
      }
    });
  });

  it('asks no lens of a body that takes lenses', () => {
    const draft = emptyDraft('body');
    Object.assign(draft, { maker: 'own', model: 'body' });
    draft.fields = { form: 'interchangeable', sensorFormat: 'APS-C' };
    const { gear, faults } = readDraft(draft, 'own-body', 'GBP', today);
    expect(faults).toEqual({});
    expect(gear).not.toHaveProperty('builtInLens');
  });

  it('takes codec, face focus and heat of a mode as chosen, and leaves what is unsaid unsaid', () => {
    const draft = draftOf(catalogue.byId.get('orrowby-linnet')!, 'GBP');
    Object.assign(draft.modes[0]!, { codec: '4:2:2 10-bit', faceFocus: 'no', noHeatLimit: 'yes' });
    delete draft.modes[1]!.codec;
    const { gear } = readDraft(draft, 'own', 'GBP', today);
    const modes = gear!.kind === 'body' ? gear!.modes : [];
    expect(modes[0]).toMatchObject({ codec: '4:2:2 10-bit', faceFocus: false, noHeatLimit: true });
    expect(modes[1]).not.toHaveProperty('codec');
  });

  it('says beside each field what is wrong and how to mend it', () => {
    const draft = emptyDraft('lens');
    draft.maker = 'm';
    draft.fields = {
      mount: 'Tarn',
      focalLengthMinMm: '24',
      focalLengthMaxMm: 'long',
      apertureWideN: 'f/1.8',
      apertureTeleN: '1:1.8',
      massG: '90 kg'
    };
    const { gear, faults } = readDraft(draft, 'x', 'GBP', today);
    expect(gear).toBeUndefined();
    expect(faults.model).toMatch(/needs a name/);
    expect(faults.focalLengthMaxMm).toMatch(/“long” is not a number/);
    expect(faults.massG).toMatch(/lies from 0.1 to 60000 g; this is 90000/);
  });

  it('takes a price with its spread, its day and its source', () => {
    const draft = emptyDraft('small item');
    Object.assign(draft, { maker: 'm', model: 'x', fields: { use: 'tape' } });
    draft.prices.priceNew = { low: '£4.50', likely: '5', high: '6,25', date: '', source: '' };
    expect(readDraft(draft, 'x', 'GBP', today).gear!.priceNew).toEqual({
      low: 450,
      likely: 500,
      high: 625,
      currency: 'GBP',
      date: today,
      source: 'noted by hand'
    });
    draft.prices.priceNew.likely = 'cheap';
    expect(readDraft(draft, 'x', 'GBP', today).faults.priceNew).toMatch(/“cheap” is not an amount/);
  });
});
