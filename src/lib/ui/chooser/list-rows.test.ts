import { describe, expect, it } from 'vitest';
import type { Candidate, CandidateGroup } from '../../core/judge/candidates';
import { listRows } from './list-rows';

const candidate = (id: string, group: CandidateGroup) =>
  ({ gear: { id }, group }) as unknown as Candidate;
const many = (group: CandidateGroup, count: number) =>
  Array.from({ length: count }, (_, index) => candidate(`${group}-${index}`, group));
const told = (rows: ReturnType<typeof listRows>) =>
  rows.map((row) => (row.kind === 'group' ? `${row.group} ${row.count} −${row.folded}` : row.key));

describe('the rows of the chooser', () => {
  it('stand in their groups, within the budget first and in full, the others folded', () => {
    const rows = listRows([...many('over', 5), ...many('within', 5)], [], undefined);
    expect(told(rows)).toEqual([
      'within 5 −0',
      ...[0, 1, 2, 3, 4].map((index) => `within-${index}`),
      'over 5 −2',
      ...[0, 1, 2].map((index) => `over-${index}`)
    ]);
    expect(rows.flatMap((row) => (row.kind === 'part' ? [row.place] : []))).toEqual([
      0, 1, 2, 3, 4, 5, 6, 7
    ]);
  });

  it('show the part looked at though its group is folded, and all of a group once asked', () => {
    const parts = many('unusable', 6);
    expect(told(listRows(parts, [], 'unusable-5'))).toEqual([
      'unusable 6 −2',
      'unusable-0',
      'unusable-1',
      'unusable-2',
      'unusable-5'
    ]);
    expect(listRows(parts, ['unusable'], undefined)).toHaveLength(7);
    expect(listRows([], [], undefined)).toEqual([]);
  });
});
