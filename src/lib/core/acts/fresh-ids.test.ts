import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { activePlan } from '../model/active-plan';
import { startScene } from '../model/scene-starts';
import type { Act } from './act';
import { applyAct } from './apply-act';
import { withFreshIds } from './fresh-ids';

const demo = demoProject();
const line = { ...activePlan(demo).lines[0]!, id: 'line-99' };
const counted = () => {
  let number = 0;
  return (kind: string) => `${kind}-fresh-${number++}`;
};

describe('fresh ids', () => {
  it('leave an act that adds nothing as it is', () => {
    const act: Act = { type: 'remove line', lineId: 'line-1' };
    expect(withFreshIds(act, counted())).toBe(act);
  });

  it('are followed wherever the act speaks of what it adds, and nowhere else', () => {
    const act: Act = {
      type: 'batch',
      acts: [
        { type: 'add line', line, before: 'line-2' },
        { type: 'remove line', lineId: 'line-2' },
        {
          type: 'set rig',
          sceneId: 'marsh-path',
          angleId: 'a',
          patch: {
            micLineId: 'line-99',
            bodyLineId: 'line-3',
            lamps: [{ lineId: 'line-99', distanceM: 1, angleDeg: 0 }]
          }
        },
        { type: 'move line', lineId: 'line-99', before: undefined }
      ]
    };
    expect(withFreshIds(act, counted())).toEqual({
      type: 'batch',
      acts: [
        { type: 'add line', line: { ...line, id: 'line-fresh-0' }, before: 'line-2' },
        { type: 'remove line', lineId: 'line-2' },
        {
          type: 'set rig',
          sceneId: 'marsh-path',
          angleId: 'a',
          patch: {
            micLineId: 'line-fresh-0',
            bodyLineId: 'line-3',
            lamps: [{ lineId: 'line-fresh-0', distanceM: 1, angleDeg: 0 }]
          }
        },
        { type: 'move line', lineId: 'line-fresh-0', before: undefined }
      ]
    });
  });

  it('keep scenes, angles and plans apart from lines of the same name', () => {
    const scene = { ...startScene('hands', [], 50), id: 'line-99' };
    const fresh = withFreshIds(
      {
        type: 'batch',
        acts: [
          { type: 'add scene', scene },
          { type: 'change scene', sceneId: 'line-99', patch: { name: 'Bench' } },
          { type: 'add plan', plan: { id: 'line-99', name: 'b', lines: [], rigs: [] } },
          { type: 'show plan', planId: 'line-99' },
          { type: 'add line', line }
        ]
      },
      counted()
    );
    const after = applyAct(demo, fresh);
    expect(after.scenes.at(-1)).toMatchObject({ id: 'scene-fresh-0', name: 'Bench' });
    expect(after.activePlanId).toBe('plan-fresh-1');
    expect(activePlan(after).lines.map(({ id }) => id)).toEqual(['line-fresh-2']);
  });

  it('let two proposals for the same plan both be done', () => {
    const id = counted();
    const twice = [1, 2].reduce(
      (project) => applyAct(project, withFreshIds({ type: 'add line', line }, id)),
      demo
    );
    expect(activePlan(twice).lines.length).toBe(activePlan(demo).lines.length + 2);
  });
});
