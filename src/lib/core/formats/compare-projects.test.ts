import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { standingOf } from './compare-projects';

const project = demoProject();
const other = { ...demoProject(), limitMinor: 1 };
const kept = (marks: string[], changedSince: boolean, is = project) => ({
  project: is,
  marks,
  changedSince
});

describe('a project that comes in', () => {
  it.each([
    ['is new where none of its id is kept', project, ['a'], undefined, 'new'],
    ['is the same whatever files it has passed', project, ['x'], kept(['a'], true), 'same'],
    [
      'is older when the kept one has gone on from its file',
      other,
      ['a'],
      kept(['a'], true),
      'older'
    ],
    ['is older when other files came after it', other, ['a'], kept(['a', 'b'], false), 'older'],
    [
      'is newer when it has gone on from the last file',
      other,
      ['a', 'b'],
      kept(['a'], false),
      'newer'
    ],
    ['has changed like the kept one', other, ['a', 'b'], kept(['a'], true), 'both changed'],
    ['has parted ways long ago', other, ['a', 'b'], kept(['a', 'c'], false), 'both changed'],
    ['says nothing of its past', other, [], kept(['a'], false), 'unknown'],
    ['meets one that never went out', other, ['a'], kept([], true), 'unknown']
  ] as const)('%s', (_, incoming, marks, there, standing) => {
    expect(standingOf({ project: incoming, marks }, there as never)).toBe(standing);
  });

  it('is the same when only the order of its fields differs', () => {
    const turned = Object.fromEntries(
      Object.entries(project).reverse()
    ) as unknown as typeof project;
    expect(standingOf({ project: turned, marks: [] }, kept([], true))).toBe('same');
  });
});
