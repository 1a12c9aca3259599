import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
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

  it('name the angle where a scene is filmed from several, and are one where both say the same', () => {
    const two = structuredClone(project);
    const lesson = two.scenes.find(({ name }) => name === 'Loom lesson')!;
    lesson.angles.push({ ...structuredClone(lesson.angles[0]!), id: 'b', name: 'From the side' });
    const body = activePlan(two).lines.find(({ gearId }) => gearId === 'orrowby-linnet')!;
    body.quantity = 2;
    const judged = judgePlan(two, activePlan(two), catalogue).findings;
    const groups = groupFindings(judged);
    const titles = groups.map(({ finding }) => `${finding.code} ${finding.title()}`);
    expect(new Set(titles).size).toBe(titles.length);
    const places = groups.flatMap(({ scenes }) => scenes);
    expect(places).toContain('Loom lesson, From the side');
    expect(places).toContain('Loom lesson');
    for (const { scenes } of groups) expect(new Set(scenes).size).toBe(scenes.length);
  });

  it('leave out what is ignored, and nothing else', () => {
    const [first] = findings;
    const rest = groupFindings(findings, [{ key: first!.key, reason: 'fine' }]);
    expect(rest.some(({ finding }) => finding.key === first!.key)).toBe(false);
    expect(rest.length).toBe(groupFindings(findings).length - 1);
  });
});
