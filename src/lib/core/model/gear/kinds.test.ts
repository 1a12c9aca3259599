import { describe, expect, it } from 'vitest';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { fieldsOfClass } from '../stated';
import { gearClasses } from './classes';
import { describeKind, type GearKind, gearKindNames, gearKinds } from './index';
import type { KindDescriptor } from './kind-descriptor';
import { fieldNames } from './spec-sheet';

const fieldsOf = (kind: GearKind) => (gearKinds[kind] as KindDescriptor<never>).fields ?? {};

describe.each(gearKindNames)('the kind “%s”', (kind) => {
  it('names its own fields, and only fields its class has', () => {
    const stated = [...fieldsOfClass(gearClasses[kind]).keys()];
    expect(Object.keys(fieldsOf(kind)).filter((key) => !stated.includes(key))).toEqual([]);
    expect(stated.filter((key) => key !== 'id' && fieldNames[key] === undefined)).toEqual([]);
  });

  it('says half a line about every part of the shelf, without a broken word', () => {
    for (const gear of catalogue.ofKind(kind)) {
      const gist = describeKind(gear).gist(gear, {
        length: (metres) => `${metres} m`,
        mass: (kg) => `${kg} kg`
      });
      expect(gist).not.toBe('');
      expect(gist).not.toMatch(/undefined|NaN|\[object/);
    }
  });
});

describe('the kinds together', () => {
  it('name no field twice: what several kinds have is named once for all', () => {
    const owners = new Map<string, GearKind[]>();
    for (const kind of gearKindNames)
      for (const key of Object.keys(fieldsOf(kind)))
        owners.set(key, [...(owners.get(key) ?? []), kind]);
    expect([...owners].filter(([, kinds]) => kinds.length > 1)).toEqual([]);
  });

  it('are replaced only by parts that do the same job', () => {
    const job = (id: string) => {
      const gear = catalogue.byId.get(id)!;
      return describeKind(gear).job?.(gear);
    };
    expect(job('orrowby-linnet')).toBe('body');
    expect(job('quillfeather-sd-128-v30')).toBe('card SD');
    expect(job('nibsworth-cable-trrs-to-trs')).toBeUndefined();
  });
});
