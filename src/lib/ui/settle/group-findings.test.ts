import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demo-project';
import { catalogue } from '../../catalogue/load-catalogue';
import { judgePlan } from '../../core/judge/judge-plan';
import { activePlan } from '../../core/model/active-plan';
import { groupFindings } from './group-findings';

const project = demoProject();
const { findings } = judgePlan(project, activePlan(project), catalogue);

describe('findings as they are shown', () => {
  it('are said once, with every scene they are said of', () => {
    const groups = groupFindings(findings);
    const hidden = groups.find(({ finding }) =>
      finding.title().includes('blocks the flip-up screen')
    )!;
    expect(hidden.scenes).toEqual(['Marsh path', 'Loom lesson']);
    expect(groups.length).toBeLessThan(findings.length);
    expect(new Set(groups.map(({ finding }) => finding.key)).size).toBe(groups.length);
  });

  it('leave out what is ignored, and nothing else', () => {
    const [first] = findings;
    const rest = groupFindings(findings, [{ key: first!.key, reason: 'fine' }]);
    expect(rest.some(({ finding }) => finding.key === first!.key)).toBe(false);
    expect(rest.length).toBe(groupFindings(findings).length - 1);
  });
});
