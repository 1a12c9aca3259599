import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { activePlan } from '../model/active-plan';
import { pockets } from '../model/pocket';
import { judgePlan } from './judge-plan';
import { pocketFigures } from './pocket-figures';

const project = demoProject();
const judgement = judgePlan(project, activePlan(project), catalogue);

describe('the figure a pocket is chosen by', () => {
  it('is told of every pocket in some scene of the demo, as a share of what is wanted', () => {
    for (const pocket of pockets) {
      const told = pocketFigures(pocket, judgement, 'metric');
      expect(told).toHaveLength(project.scenes.length);
      const known = told.filter((other) => other !== undefined);
      expect(known.length, pocket).toBeGreaterThan(0);
      for (const { share, words, verdict } of known) {
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(1);
        expect(`${words} ${verdict}`).toMatch(/\d|clean|usable|poor|mains/);
      }
    }
  });

  it('of a lamp is its light, whatever the lens then blurs', () => {
    const [, lesson] = pocketFigures('light', judgement, 'metric');
    const { costs } = judgement.angles[1]!.record.exposures.dim!.plan;
    expect(costs.blur).toBeGreaterThan(0.5);
    expect(lesson).toMatchObject({ share: 1, level: 'good' });
  });

  it('of the accessories is the density of the filters against what the sun wants', () => {
    const [path, lesson] = pocketFigures('accessories', judgement, 'metric');
    // The filter in the bag has 67 mm and the lens 62: without a ring nothing of it counts.
    expect(path).toMatchObject({ words: '0 stops', verdict: 'of 2.3 stops ND', level: 'poor' });
    expect(lesson).toBeUndefined();
  });
});
