import type { Finding } from '../findings/finding';
import type { Judgement } from './judge-plan';

/** A finding that comes or goes when something is changed, in its own words. */
export interface FindingChange {
  code: string;
  severity: string;
  title: string;
}

/** The same thing said of two scenes is said once. */
function onceEach(findings: readonly Finding[]): FindingChange[] {
  const changes = new Map<string, FindingChange>();
  for (const { code, severity, words } of findings) {
    if (!changes.has(words)) changes.set(words, { code, severity, title: words });
  }
  return [...changes.values()];
}

const ranksByJudgement = new WeakMap<Judgement, ReadonlyMap<string, number>>();

/** How bad each finding of a judgement is, by its key. */
function ranksOf(judgement: Judgement): ReadonlyMap<string, number> {
  let ranks = ranksByJudgement.get(judgement);
  if (!ranks)
    ranksByJudgement.set(
      judgement,
      (ranks = new Map(judgement.findings.map(({ key, rank }) => [key, rank])))
    );
  return ranks;
}

/** Findings of one judgement that the other lacks or has milder; what is only worth knowing is left out. */
function worseIn(one: Judgement, other: Judgement): FindingChange[] {
  const ranks = ranksOf(other);
  return onceEach(
    one.findings.filter(
      (finding) => finding.severity !== 'note' && (ranks.get(finding.key) ?? -1) < finding.rank
    )
  );
}

/** What a change settles and what it breaks. */
export function whatChanges(
  before: Judgement,
  after: Judgement
): { settles: FindingChange[]; breaks: FindingChange[] } {
  const breaks = worseIn(after, before);
  const settles = worseIn(before, after).filter(
    ({ code }) => !breaks.some((one) => one.code === graver[code])
  );
  return { settles, breaks };
}

/** A code that goes only because a graver one says more has not been settled: past the limit the reserve is gone too. */
const graver: Readonly<Partial<Record<string, string>>> = { M3: 'M1' };
