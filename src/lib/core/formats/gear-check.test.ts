import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { type GearItem, type GearKind, gearKindNames } from '../model/gear';
import { fieldNames, specSheet } from '../model/gear/spec-sheet';
import type { FieldAsk } from '../model/stated';
import { checkGear } from './gear-check';

/** A part of the shelf as a file would carry it: what is unsaid is left out. */
const carried = (gear: GearItem) => JSON.parse(JSON.stringify(gear)) as Record<string, unknown>;
const partOf = (kind: GearKind) => carried(catalogue.ofKind(kind)[0]!);
const saysOf = (part: unknown, field: string) =>
  checkGear(part, 'part')
    .filter((fault) => fault.field === `part.${field}`)
    .map(({ says }) => says);

/** What each way of asking must not take, and what it must. */
function wrongFor(ask: FieldAsk): unknown[] {
  switch (ask.type) {
    case 'number':
      return [ask.min - 1, ask.max + 1, 'many', Number.NaN, Infinity, {}];
    case 'word':
      return ['no such word', 7, ''];
    case 'yes/no':
      return ['yes', 1, {}];
    case 'text':
      return ['x'.repeat(ask.maxLength + 1), 7, {}];
  }
}
function rightFor(ask: FieldAsk): unknown[] {
  switch (ask.type) {
    case 'number':
      return [ask.min, ask.max];
    case 'word':
      return [...ask.words];
    case 'yes/no':
      return [true, false];
    case 'text':
      return ['<img onerror>', '=1+1', 'x'.repeat(ask.maxLength), '🎥 \u202eback'];
  }
}

describe.each(gearKindNames)('a %s', (kind) => {
  const sheet = specSheet(kind);

  it('of the shelf passes as it is', () => {
    for (const gear of catalogue.ofKind(kind))
      expect(checkGear(carried(gear), 'part'), gear.id).toEqual([]);
  });

  it('is asked for fields that have a name', () => {
    expect(sheet.length).toBeGreaterThan(1);
    for (const { key } of sheet) expect(fieldNames[key], key).toBeTruthy();
  });

  it('takes each field to its ends, and says of each one past them what to put right', () => {
    for (const { key: field, ask } of sheet) {
      for (const right of rightFor(ask))
        expect(
          saysOf({ ...partOf(kind), [field]: right }, field),
          `${field}: ${String(right)}`
        ).toEqual([]);
      for (const wrong of wrongFor(ask)) {
        const says = saysOf({ ...partOf(kind), [field]: wrong }, field);
        expect(says, `${field}: ${String(wrong).slice(0, 20)}`).toHaveLength(1);
        expect(says[0]).toMatch(/^must be /);
        if (ask.type === 'number') expect(says[0]).toContain(ask.unit);
        if (ask.type === 'word') expect(says[0]).toContain(ask.words[0]);
      }
    }
  });

  it('may leave out what may be unsaid, and nothing else', () => {
    for (const { key: field, ask } of sheet) {
      const without = partOf(kind);
      delete without[field];
      expect(saysOf(without, field).length > 0, field).toBe(ask.needed);
    }
  });
});

describe('what is no part', () => {
  it.each([[undefined], [null], [7], ['lens'], [[]], [true]])('%j is told so', (value) => {
    expect(checkGear(value, 'shelf[3]')).toEqual([
      { field: 'shelf[3]', says: 'must be a part: an object with a kind' }
    ]);
  });

  it('of a kind nobody knows is told the kinds there are', () => {
    const [fault, ...others] = checkGear({ kind: 'kite' }, 'shelf[0]');
    expect(others).toEqual([]);
    expect(fault).toMatchObject({ field: 'shelf[0].kind' });
    for (const kind of gearKindNames) expect(fault!.says).toContain(kind);
  });

  it('with ports that are none is told which', () => {
    const part = { ...partOf('cable'), ports: [{ family: 'audio', type: 'XLR', end: 'middle' }] };
    const faults = checkGear(part, 'part');
    expect(faults.map(({ field }) => field)).toEqual(['part.ports[0].end', 'part.ports[0].role']);
    expect(checkGear({ ...partOf('cable'), ports: 'XLR' }, 'part')[0]).toMatchObject({
      field: 'part.ports'
    });
  });

  it('with a price that is none is told which figure of it', () => {
    const part = partOf('lens');
    const price = part.priceNew as Record<string, unknown>;
    for (const [field, wrong] of [
      ['likely', 1.5],
      ['low', -1],
      ['currency', 'pounds'],
      ['date', 'yesterday']
    ] as const)
      expect(
        checkGear({ ...part, priceNew: { ...price, [field]: wrong } }, 'part').map(
          (fault) => fault.field
        ),
        field
      ).toEqual([`part.priceNew.${field}`]);
  });
});
