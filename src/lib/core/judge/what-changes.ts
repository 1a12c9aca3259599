import type { Finding } from '../findings/finding';
import type { Judgement } from './judgement';

/** A finding that comes or goes when something is changed, in its own words. */
export interface FindingChange {
  code: string;
  severity: string;
  title: string;
}

/** The same thing said of two scenes is said once. */
function onceEach(findings: readonly Finding[]): FindingChange[] {
  const changes: FindingChange[] = [];
  for (const { code, severity, words } of findings)
    if (!changes.some(({ title }) => title === words))
      changes.push({ code, severity, title: words });
  return changes;
}

/** Findings of one judgement that the other lacks or has milder; what is only good to know is left out. */
function worseIn(a: Judgement, b: Judgement): FindingChange[] {
  const isWorse = (finding: Finding): boolean => {
    if (finding.severity === 'note') return false;
    // One that stands as it was is taken over as it is, which is told apart sooner than its key.
    if (b.findings.includes(finding)) return false;
    const there = b.findings.find(
      (other) => other.code === finding.code && other.key === finding.key
    );
    return there === undefined || there.rank < finding.rank;
  };
  return onceEach(a.findings.filter(isWorse));
}

/** What a change settles and what it breaks. */
export function whatChanges(
  before: Judgement,
  after: Judgement
): { settles: FindingChange[]; breaks: FindingChange[] } {
  const breaks = worseIn(after, before);
  const settles = worseIn(before, after).filter(
    ({ code }) => !breaks.some(({ code: broken }) => broken === graver[code])
  );
  return { settles, breaks };
}

/** A code that goes only because a graver one says more has not been settled: past the limit the reserve is gone too. */
const graver: Readonly<Partial<Record<string, string>>> = { M3: 'M1' };
