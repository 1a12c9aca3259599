import { isQuestion } from '../../core/findings/finding-codes';
import type { Finding } from '../../core/findings/finding';
import type { Ignored } from '../../core/model/project';

/** A finding as it is shown: once, with all the scenes it is said of in the same words. */
export interface FindingGroup {
  finding: Finding;
  scenes: string[];
}

/** What stands to be settled: questions are asked apart, and what is ignored is shown apart. */
export function groupFindings(
  findings: readonly Finding[],
  ignored: readonly Ignored[] = []
): FindingGroup[] {
  const letBe = new Set(ignored.map(({ key }) => key));
  const groups = new Map<string, FindingGroup>();
  for (const finding of findings) {
    if (isQuestion(finding) || letBe.has(finding.key)) continue;
    const sameEverywhere = !finding.title().startsWith(finding.sceneName ?? '\u0000');
    const key = sameEverywhere
      ? `${finding.code}|${finding.title()}|${finding.severity}`
      : finding.key;
    const group = groups.get(key) ?? { finding, scenes: [] };
    if (finding.sceneName) group.scenes.push(finding.sceneName);
    groups.set(key, group);
  }
  return [...groups.values()];
}
