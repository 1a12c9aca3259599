import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { cardsOf } from '../cards/cards';
import { makeSatchel, readSatchel, writeSatchel } from '../formats/satchel-file';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { judgePlan } from './judge-plan';
import { backToLock, changesSinceLock, lockOf } from './scene-lock';

const judge = (project: Project) => judgePlan(project, activePlan(project), shelfOf(project));
const lesson = (project: Project) =>
  judge(project).angles.find(({ scene }) => scene.id === 'loom-lesson')!;
const evidence = [{ takeId: 'take-2', name: 'Take 2', word: 'clean' }];

describe('a lock', () => {
  const project = demoProject();
  const lock = lockOf(project, lesson(project), '2026-11-15', evidence);
  const locked = applyAct(project, { type: 'lock angle', lock });

  it('holds while nothing it rests on has changed, and the settings card says so', () => {
    expect(changesSinceLock(lock, lesson(locked))).toEqual([]);
    const settings = cardsOf(locked, judge(locked)).find(({ id }) => id === 'settings')!;
    expect(settings.groups.map(({ name }) => name)).toContain('Loom lesson, locked on 2026-11-15');
    // What has nothing to do with it leaves it alone.
    const dearer = applyAct(locked, { type: 'set project', patch: { limitMinor: 1 } });
    expect(changesSinceLock(lock, lesson(dearer))).toEqual([]);
  });

  it('breaks when a cause changes, names it, and is put back', () => {
    const moved = applyAct(locked, {
      type: 'change angle',
      sceneId: 'loom-lesson',
      angleId: 'a',
      patch: { distanceM: 1.6 }
    });
    const changes = changesSinceLock(lock, lesson(moved));
    expect(changes.find(({ name }) => name === 'camera to subject')).toEqual({
      name: 'camera to subject',
      was: '0.90 m',
      is: '1.60 m'
    });
    const settings = cardsOf(moved, judge(moved)).find(({ id }) => id === 'settings')!;
    expect(
      settings.groups.some(({ name }) => /no longer as locked on 2026-11-15: /.test(name))
    ).toBe(true);
    const back = applyAct(moved, backToLock(lock));
    expect(changesSinceLock(lock, lesson(back))).toEqual([]);
  });

  it('breaks by a lamp that is moved by hand, which is let go again', () => {
    const lamp = lesson(locked).rig.keyLamp!.part.line.id;
    const moved = applyAct(locked, {
      type: 'set rig',
      sceneId: 'loom-lesson',
      angleId: 'a',
      patch: { lamps: [{ lineId: lamp, distanceM: 1.9, angleDeg: 30 }] }
    });
    expect(changesSinceLock(lock, lesson(moved)).map(({ name }) => name)).toContain('key lamp');
    expect(changesSinceLock(lock, lesson(applyAct(moved, backToLock(lock))))).toEqual([]);
  });

  it('that says nothing of the angle puts the rig back alone', () => {
    const { angle, ...bare } = lock;
    expect(angle!.distanceM).toBe(0.9);
    const act = backToLock(bare);
    expect(act.type === 'batch' && act.acts.map(({ type }) => type)).toEqual(['set rig']);
    expect(() => applyAct(locked, act)).not.toThrow();
  });

  it('goes through a file and back', () => {
    const reading = readSatchel(writeSatchel(makeSatchel(locked, shelfOf(locked))));
    if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
    expect(reading.file.project.locks).toEqual(locked.locks);
  });
});
