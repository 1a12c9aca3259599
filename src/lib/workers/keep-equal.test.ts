import { describe, expect, it } from 'vitest';
import { demoProject } from '../catalogue/demos/saltmarsh-loom';
import { applyAct } from '../core/acts/apply-act';
import { activePlan } from '../core/model/active-plan';
import { keepEqual } from './keep-equal';

const copyOf = <T>(value: T): T => structuredClone(value);

describe('what came over, made the same as before where it is equal', () => {
  it('is the very one from before where nothing differs', () => {
    const before = demoProject();
    expect(keepEqual(before, copyOf(before))).toBe(before);
    expect(keepEqual([], [])).toEqual([]);
    expect(keepEqual(undefined, before)).toBe(before);
  });

  it('is equal to what came, and keeps all that an act left alone', () => {
    const before = demoProject();
    const lineId = activePlan(before).lines[2]!.id;
    const after = applyAct(before, { type: 'change line', lineId, patch: { locked: true } });
    const kept = keepEqual(before, copyOf(after));
    expect(kept).toEqual(after);
    expect(kept.scenes).toBe(before.scenes);
    expect(activePlan(kept).rigs).toBe(activePlan(before).rigs);
    expect(activePlan(kept).lines).not.toBe(activePlan(before).lines);
    for (const [index, line] of activePlan(before).lines.entries())
      expect(activePlan(kept).lines[index] === line).toBe(line.id !== lineId);
  });

  it.each([
    [
      [1, 2, 3],
      [1, 2]
    ],
    [
      [1, 2],
      [1, 2, 3]
    ],
    [{ a: 1, b: 2 }, { a: 1 }],
    [{ a: 1 }, { a: 1, b: undefined }],
    [{ a: undefined }, { b: undefined }],
    [{ 0: 'a' }, ['a']],
    [['a'], { 0: 'a' }],
    [null, {}],
    [{}, null],
    ['1', 1],
    [0, -0],
    [{ a: [{ b: 1 }] }, { a: [{ b: 2 }] }]
  ])('is what came where it differs: %j, %j', (before, now) => {
    expect(keepEqual(before, copyOf(now))).toStrictEqual(now);
    expect(keepEqual(before, copyOf(now))).not.toBe(before);
  });

  it('changes neither', () => {
    const before = Object.freeze([Object.freeze({ a: 1 }), Object.freeze({ b: 1 })]);
    const now = Object.freeze([Object.freeze({ a: 1 }), Object.freeze({ b: 2 })]);
    const kept = keepEqual(before, now);
    expect(kept).toStrictEqual(now);
    expect(kept[0]).toBe(before[0]);
  });

  it('says of not a number that it is the same', () => {
    const before = [NaN];
    expect(keepEqual(before, [NaN])).toBe(before);
  });
});
