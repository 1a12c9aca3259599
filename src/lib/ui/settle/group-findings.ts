import { isQuestion } from '../../core/findings/finding-codes';
import type { Finding } from '../../core/findings/finding';
import type { Ignored } from '../../core/model/project';

/** A finding as it is shown: once, with all the places it is said of in the same words. */
export interface FindingGroup {
  finding: Finding;
  /** Scenes, each with its angle where it is said of one of several. */
  scenes: string[];
}

/** What stands to be settled: questions are asked apart, and what is ignored is shown apart. */
export function groupFindings(
  findings: readonly Finding[],
  ignored: readonly Ignored[] = []
): FindingGroup[] {
  const letBe = new Set(ignored.map(({ key }) => key));
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) {
    if (isQuestion(finding) || letBe.has(finding.key)) continue;
    const key = `${finding.code}|${finding.title()}|${finding.severity}`;
    const alike = groups.get(key);
    if (alike) alike.push(finding);
    else groups.set(key, [finding]);
  }
  return [...groups.values()].map((alike) => ({ finding: alike[0]!, scenes: placesOf(alike) }));
}

/** Scene by scene: all its angles, or those it is said of. */
function placesOf(alike: readonly Finding[]): string[] {
  const byScene = new Map<string, Finding[]>();
  for (const finding of alike)
    if (finding.scene)
      byScene.set(finding.scene.id, [...(byScene.get(finding.scene.id) ?? []), finding]);
  return [...byScene.values()].map((ofScene) => {
    const { scene } = ofScene[0]!;
    const names = ofScene.flatMap(({ angleName }) => angleName ?? []);
    return names.length === 0 || names.length === scene!.angles.length
      ? scene!.name
      : `${scene!.name}, ${names.join(' and ')}`;
  });
}
