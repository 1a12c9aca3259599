import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../../catalogue/load-catalogue';
import type { Project } from '../../core/model/project';
import { activePlan } from '../../core/model/active-plan';
import { statementOf } from '../../core/money/statement';
import { layStrap } from './strap-layout';

function strapOf(change: (project: Project) => void) {
  const project = structuredClone(demoProject());
  change(project);
  return layStrap(statementOf(project, activePlan(project), shelfOf(project)));
}

it('leaves out figures that would run into each other on a narrow strap', () => {
  const project = demoProject();
  const statement = statementOf(project, activePlan(project), shelfOf(project));
  const ticks = (widthPx: number) =>
    layStrap(statement, widthPx).lengths.filter(({ tick }) => tick);
  expect(ticks(520).length).toBeLessThan(ticks(1800).length);
  for (const widthPx of [320, 520, 950, 1800]) {
    const ends = ticks(widthPx).map(
      ({ fromPercent, widthPercent }) => ((fromPercent + widthPercent) * widthPx) / 100
    );
    // Four figures and a comma of the smallest type stand apart.
    ends.slice(1).forEach((end, index) => expect(end - ends[index]!).toBeGreaterThan(32));
  }
});

describe('the strap', () => {
  it('is one length after another without a gap, in proportion to the prices', () => {
    const { lengths, firmPercent } = strapOf(() => {});
    let end = 0;
    for (const length of lengths) {
      expect(length.fromPercent).toBeCloseTo(end, 6);
      end = length.fromPercent + length.widthPercent;
    }
    expect(end).toBeCloseTo(firmPercent, 6);
    const [a, b] = lengths;
    expect(a!.widthPercent / b!.widthPercent).toBeCloseTo(
      a!.statement.firmMinor / b!.statement.firmMinor,
      6
    );
  });

  it('holds one line, forty lines, no limit and a huge one', () => {
    expect(strapOf((project) => (project.plans[0]!.lines.length = 1)).lengths).toHaveLength(1);
    const forty = strapOf((project) => {
      const [first] = project.plans[0]!.lines;
      project.plans[0]!.lines = Array.from({ length: 40 }, (_, index) => ({
        ...first!,
        id: `n-${index}`
      }));
    });
    expect(forty.lengths).toHaveLength(40);
    expect(forty.lengths.filter((length) => length.tick).length).toBeLessThan(25);
    expect(forty.lengths.at(-1)!.tick).toBe(true);
    const none = strapOf((project) => {
      project.limitMinor = 0;
      project.reserveMinor = 0;
    });
    expect(none.limitPercent).toBe(0);
    expect(none.lengths.every((length) => length.over)).toBe(true);
    const huge = strapOf((project) => (project.limitMinor = 100_000_000));
    expect(huge.firmPercent).toBeLessThan(2);
    expect(huge.lengths.every((length) => Number.isFinite(length.widthPercent))).toBe(true);
  });
});
