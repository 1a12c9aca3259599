import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { applyAct } from './apply-act';
import { changeMains, scenesMovedBy } from './change-mains';

const rates = (fps: readonly number[]) => {
  const project = demoProject();
  project.scenes.forEach((scene, index) => (scene.fps = fps[index]!));
  return project;
};

describe('other mains', () => {
  it('take the frame rates along that keep step with lamps, and leave the others', () => {
    const project = rates([25, 50, 24]);
    const moved = applyAct(project, changeMains(project, 60));
    expect(moved.mainsHz).toBe(60);
    expect(moved.scenes.map(({ fps }) => fps)).toEqual([30, 60, 24]);
    expect(scenesMovedBy(project, 60)).toHaveLength(2);
    expect(applyAct(moved, changeMains(moved, 50))).toEqual(project);
  });

  it('of the same kind change nothing', () => {
    const project = rates([25, 30, 60]);
    expect(applyAct(project, changeMains(project, 50))).toEqual(project);
  });
});
