import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { judgePlan } from '../judge/judge-plan';
import { newProject } from '../model/new-project';
import type { SchoolId } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { SceneStyle } from '../model/scene';
import { packFirstKit } from './first-kit';

function packed(
  styles: SceneStyle[],
  limitMinor: number,
  school: SchoolId = 'sound and light first'
) {
  const project = packFirstKit(
    newProject('p', 'first', {
      styles,
      limitMinor,
      school,
      currency: 'GBP',
      mainsHz: 50,
      units: 'metric'
    }),
    catalogue
  );
  return { project, judgement: judgePlan(project, activePlan(project), catalogue) };
}

describe('a first kit', () => {
  it.each([
    [['seated'], 120_000],
    [['live call'], 120_000]
  ] as [SceneStyle[], number][])(
    'for %j with %i pence stays within the limit and every scene works',
    (styles, limit) => {
      const { judgement } = packed(styles, limit);
      expect(judgement.money.remainingMinor).toBeGreaterThanOrEqual(0);
      expect(
        judgement.findings
          .filter((finding) => finding.severity === 'stop')
          .map((finding) => finding.title())
      ).toEqual([]);
      expect(judgement.merit.meritHundredths).toBeGreaterThan(4500);
    }
  );

  // Begun with a few bodies alone, 600 bought 60, 66 and 59 points: lens and lamp, or body and lens, pay only together.
  it.each([
    ['product', 79],
    ['landscape', 84],
    ['ride', 70]
  ] as const)(
    'of a scene of the style %s for 600 and a reserve is worth at least %i',
    (style, points) => {
      expect(packed([style], 67_000).judgement.merit.meritHundredths).toBeGreaterThan(100 * points);
    }
  );

  it('with nothing to spend stays empty and says what is missing', () => {
    const { project, judgement } = packed(['walk'], 0);
    expect(activePlan(project).lines).toEqual([]);
    expect(judgement.findings.some((finding) => finding.code === 'M7')).toBe(true);
  });

  it('is the same every time', () => {
    expect(packed(['hands'], 45_000).project).toEqual(packed(['hands'], 45_000).project);
  });
});
