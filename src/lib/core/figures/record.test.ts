import { describe, expect, it } from 'vitest';
import { demoOf, demos } from '../../catalogue/demos';
import { shelfOf } from '../../catalogue/load-catalogue';
import { judgePlan } from '../judge/judge-plan';
import { activePlan } from '../model/active-plan';
import { absent, computeFigures, figureSet } from './record';
import { figureIndex, figureOrder } from './table';

describe('some figures of a rig', () => {
  it.each(demos.map(({ id }) => [id]))(
    'of %s are each what they are among all, without what they do not need',
    async (id) => {
      const project = await demoOf(id);
      const { angles } = judgePlan(project, activePlan(project), shelfOf(project));
      for (const { rig } of angles) {
        const all = computeFigures([rig])[0]!;
        for (const figure of figureOrder) {
          const place = figureIndex[figure];
          const some = computeFigures([rig], [], figureSet([place]))[0]!;
          expect([some.states[place], some.values[place]], figure).toEqual([
            all.states[place],
            all.values[place]
          ]);
        }
        const mass = computeFigures([rig], [], figureSet([figureIndex.rigMass]))[0]!;
        expect(mass.states[figureIndex.exposureCost]).toBe(absent);
      }
    }
  );
});
