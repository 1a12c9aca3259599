import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import { judgePlan } from './judge-plan';
import { evaluate } from './evaluation';
import { evaluationText } from './evaluation-text';

const project = demoProject();
const evaluation = evaluate(project, activePlan(project), catalogue);

describe('an evaluation', () => {
  it('is the same bytes for the same file', () => {
    expect(JSON.stringify(evaluate(demoProject(), activePlan(demoProject()), catalogue))).toBe(
      JSON.stringify(evaluation)
    );
  });

  it('is plain data: nothing is lost on the way through JSON', () => {
    expect(JSON.parse(JSON.stringify(evaluation))).toEqual(
      JSON.parse(JSON.stringify(structuredClone(evaluation)))
    );
    expect(JSON.stringify(evaluation)).not.toContain('null,"unit"');
  });

  it('answers what docs/api.md shows', () => {
    const shown = JSON.parse(
      /```json\n([\s\S]*?)\n```/.exec(readFileSync('docs/api.md', 'utf8'))![1]!
    ) as unknown;
    /** Everything shown is there; lists are shown in part. */
    const isPart = (part: unknown, whole: unknown): boolean =>
      Array.isArray(part)
        ? Array.isArray(whole) &&
          part.every((piece) => whole.some((other: unknown) => isPart(piece, other)))
        : part !== null && typeof part === 'object'
          ? Object.entries(part).every(([key, value]) =>
              isPart(value, (whole as Record<string, unknown> | undefined)?.[key])
            )
          : part === whole;
    const answer = JSON.parse(JSON.stringify(evaluation)) as Record<string, unknown>;
    for (const [key, value] of Object.entries(shown as Record<string, unknown>))
      expect(isPart(value, answer[key]), key).toBe(true);
  });

  it('says who takes what on each day, once', () => {
    const shared = structuredClone(project);
    shared.scenes[0]!.day = shared.scenes[1]!.day = 4;
    const days = evaluate(shared, activePlan(shared), catalogue).days;
    expect(days.map(({ sceneIds }) => sceneIds.length)).toEqual([2, 1]);
    const [both] = days;
    const taken = both!.energyWh!.supplies.flatMap((supply) => Object.values(supply.taken));
    const had = both!.energyWh!.supplies.reduce((sum, { amount }) => sum + amount!, 0);
    expect(taken.reduce((sum, value) => sum + value, 0)).toBeLessThanOrEqual(had + 1e-6);
    expect(both!.energyWh!.consumers[0]!.got).toBeCloseTo(had, 6);
    expect(both!.cardsGb!.consumers[0]!.share).toBeGreaterThan(1);
  });

  it('says of every finding what would mend it: each does, done to the project', () => {
    const remedied = evaluation.findings.filter(({ remedies }) => remedies.length > 0);
    expect(remedied.length).toBeGreaterThan(8);
    for (const { title, remedies } of remedied)
      for (const { act, costMinor, mends, label } of remedies) {
        const changed = applyAct(project, act);
        const after = judgePlan(changed, activePlan(changed), catalogue);
        expect(after.money.firmMinor - evaluation.money.firmMinor, label).toBe(costMinor);
        // One title may stand in several scenes; the remedy is for one of them.
        const standing = (findings: readonly { title: string }[]) =>
          findings.filter((finding) => finding.title === title).length;
        if (mends)
          expect(
            standing(after.findings.map((finding) => ({ title: finding.title() }))),
            label
          ).toBeLessThan(standing(evaluation.findings));
      }
  });

  it('gives the exposure plan of both ends of the light', () => {
    const walk = evaluation.scenes.find(({ sceneId }) => sceneId === 'marsh-path')!.exposure;
    expect(walk.dim).toMatchObject({ apertureN: 9, shutterS: 1 / 50, offStops: 0, blocks: false });
    expect(walk.bright).toMatchObject({ apertureN: 13, shutterS: 1 / 240, blocks: false });
    // By hand: 250·13²·240/100 000 is ISO 101; standing as near as 0.65 m adds a little.
    expect(walk.bright!.iso).toBeGreaterThan((250 * 169 * 240) / 100_000);
    expect(walk.bright!.iso).toBeLessThan((1.1 * 250 * 169 * 240) / 100_000);
    expect(walk.bright!.costs.shorter).toBeCloseTo(0.3 * Math.log2(240 / 50), 9);
  });

  it('gives the lesson’s figures by hand', () => {
    const lesson = evaluation.scenes.find(({ sceneId }) => sceneId === 'loom-lesson')!
      .figures as Record<string, { value: number; unit: string }>;
    expect(lesson.areaWidth!.value).toBeCloseTo(22.3, 6);
    expect(lesson.focalLengthWanted!.value).toBeCloseTo(
      (((22.3 * 9) / 16) * 0.9) / (0.55 + (22.3 * 9) / 16 / 1000),
      6
    );
    expect(lesson.minutesPerBattery!.value).toBeCloseTo((60 * 8.3 * 0.98) / 5.9, 6);
    expect(lesson.reverberation!.value).toBeCloseTo(0.348, 3);
    expect(lesson.keyLight!.value).toBeCloseTo(
      ((1580 * (1 + 0.275 ** 2)) / (0.8 ** 2 + 0.275 ** 2)) * Math.SQRT1_2,
      6
    );
  });

  it('reads as text with its stops first', () => {
    const text = evaluationText(evaluation, {
      project: 'Saltmarsh loom',
      plan: 'plan B',
      scenes: { 'marsh-path': 'Marsh path' }
    });
    expect(text).toContain('£1,208.00 of £1,150.00 budget: £58.00 over');
    expect(text).toContain('Marsh path: blocked, would be');
    expect(text.indexOf('BLOCKS')).toBeLessThan(text.indexOf('weakens'));
  });
});
