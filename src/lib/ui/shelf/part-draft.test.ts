import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
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
    expect(readDraft(draft, 'x', 'GBP', today).faults.priceNew).toMatch(/“cheap” is no amount/);
  });
});
