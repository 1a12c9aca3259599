import { describe, expect, it } from 'vitest';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { checkProject } from '../formats/satchel-file';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { remediesFor } from './settle';
import { calmKit, judged, line } from './tests/calm-kit';

/** The calm talk with a second body and support for another angle of it. */
function twoCameras(): Project {
  const project = calmKit();
  const scene = project.scenes[0]!;
  scene.angles.push({ ...structuredClone(scene.angles[0]!), id: 'b', name: 'aside' });
  activePlan(project).lines.push(
    line('orrowby-linnet-ii', { id: 'second-body' }),
    line('pellamund-24-f-1-5', { id: 'second-lens' }),
    line('nibsworth-hob-mini-tripod-wide', { id: 'second-support' })
  );
  return project;
}
const record = (project: Project, index: number) => judged(project).angles[index]!.record;

describe('a camera that films otherwise than its scene', () => {
  it('is judged by its own minutes', () => {
    const project = twoCameras();
    Object.assign(project.scenes[0]!, { recordedMin: 90, longestTakeMin: 40 });
    Object.assign(project.scenes[0]!.angles[1]!, { recordedMin: 12 });
    expect([record(project, 0).recorded, record(project, 0).longestTake]).toEqual([90, 40]);
    expect([record(project, 1).recorded, record(project, 1).longestTake]).toEqual([12, 12]);
    project.scenes[0]!.angles[1]!.longestTakeMin = 5;
    expect(record(project, 1).longestTake).toBe(5);
  });

  it('turns, or stands still while the first turns', () => {
    const turning = (project: Project) =>
      judged(project)
        .findings.filter(({ code }) => code === 'S3')
        .map(({ angleId }) => angleId);
    const project = twoCameras();
    expect(turning(project)).toEqual([]);
    project.scenes[0]!.wantsPan = true;
    expect(turning(project)).toEqual(['a', 'b']);
    project.scenes[0]!.angles[1]!.wantsPan = false;
    expect(turning(project)).toEqual(['a']);
    project.scenes[0]!.wantsPan = false;
    project.scenes[0]!.angles[1]!.wantsPan = true;
    expect(turning(project)).toEqual(['b']);
    const finding = judged(project).findings.find(({ code }) => code === 'S3')!;
    const still = remediesFor(project, shelfOf(project), judged(project), finding).find(
      ({ label }) => label === 'Keep the camera still'
    )!;
    // What was said of one camera is changed there.
    expect(applyAct(project, still.act).scenes[0]!.angles[1]!.wantsPan).toBe(false);
    expect(turning(applyAct(project, still.act))).toEqual([]);
  });

  it('is refused in a file where a take would be longer than all it records', () => {
    const project = twoCameras();
    Object.assign(project.scenes[0]!.angles[1]!, { recordedMin: 12, longestTakeMin: 13 });
    expect(checkProject(project).map(({ field }) => field)).toEqual([
      expect.stringContaining('scenes[0].angles[1].longestTakeMin')
    ]);
  });
});
