import type { Candidate, CandidateGroup } from '../../core/judge/candidates';
import { candidateGroups } from '../../core/judge/candidates';

/** Rows of the list as they are drawn: a heading before each group, then its parts. */
export type ListRow =
  | { kind: 'group'; key: string; group: CandidateGroup; count: number; folded: number }
  | { kind: 'part'; key: string; candidate: Candidate; place: number };

/** Of a group that is folded so many are shown. */
const FOLDED_TO = 3;

/**
 * Candidates in their groups. Only what is within the budget opens in full, and what a person has unfolded; the part
 * looked at always shows.
 */
export function listRows(
  candidates: readonly Candidate[],
  unfolded: readonly CandidateGroup[],
  chosenId: string | undefined
): ListRow[] {
  const rows: ListRow[] = [];
  let place = 0;
  for (const group of candidateGroups) {
    const parts = candidates.filter((candidate) => candidate.group === group);
    if (parts.length === 0) continue;
    const drawn =
      group === 'within' || unfolded.includes(group)
        ? parts
        : parts.filter((candidate, index) => index < FOLDED_TO || candidate.gear.id === chosenId);
    rows.push({
      kind: 'group',
      key: `group ${group}`,
      group,
      count: parts.length,
      folded: parts.length - drawn.length
    });
    for (const candidate of drawn)
      rows.push({ kind: 'part', key: candidate.gear.id, candidate, place: place++ });
  }
  return rows;
}
