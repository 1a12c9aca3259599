import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { judgePlan } from '../../core/judge/judge-plan';
import { calmKit, judged } from '../../core/judge/tests/calm-kit';
import { activePlan } from '../../core/model/active-plan';
import { verdictWords } from './verdict-words';

describe('the verdict in a sentence', () => {
  it('counts what blocks and weakens, and says what the kit is worth', () => {
    const project = demoProject();
    const judgement = judgePlan(project, activePlan(project), catalogue);
    const words = verdictWords(judgement, []);
    expect(words).toMatch(
      /^\d+ findings block a scene, \d+ weakens? one\. The kit is worth \d+ of 100 once that is settled\.$/
    );
    const ignored = judgement.findings.map(({ key }) => ({ key, reason: 'x' }));
    expect(verdictWords(judgement, ignored)).toMatch(/^Nothing blocks a scene, 0 weaken one\./);
    expect(verdictWords(judged(calmKit()), [])).toMatch(/The kit is worth \d+ of 100\.$/);
  });
});
