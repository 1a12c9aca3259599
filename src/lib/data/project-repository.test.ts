import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { beforeEach, describe, expect, it } from 'vitest';
import { demoProject } from '../catalogue/demo-project';
import { ActError } from '../core/acts/apply-act';
import { activePlan } from '../core/model/active-plan';
import { SatchelDatabase } from './database';
import { ProjectRepository, StoredProjectError } from './project-repository';

let db: SatchelDatabase;
let repository: ProjectRepository;
let number = 0;
const id = 'saltmarsh-loom';

beforeEach(async () => {
  db = new SatchelDatabase(`test-${number++}`);
  repository = new ProjectRepository(db);
  await repository.add(demoProject());
});

describe('what is kept', () => {
  it('is the project as it was, and opens last', async () => {
    expect((await repository.load(id))!.project).toEqual(demoProject());
    expect(await repository.openId()).toBe(id);
    expect(await repository.list()).toMatchObject([{ id, name: 'Saltmarsh loom' }]);
  });

  it('goes back and forth over acts with their words', async () => {
    await repository.commit(id, { type: 'change line', lineId: 'line-1', patch: { quantity: 2 } });
    await repository.commit(id, { type: 'remove line', lineId: 'line-2' });
    expect(await repository.undoState(id)).toEqual({
      undo: 'leave Quillfeather Ray 65 + 55 cm dome',
      redo: undefined
    });
    await repository.undo(id);
    await repository.undo(id);
    expect((await repository.load(id))!.project).toEqual(demoProject());
    expect(await repository.undo(id)).toBeUndefined();
    await repository.redo(id);
    expect(activePlan((await repository.load(id))!.project).lines[0]!.quantity).toBe(2);
    await repository.commit(id, { type: 'set project', patch: { limitMinor: 5 } });
    expect((await repository.undoState(id)).redo).toBeUndefined();
  });

  it('is dropped with its log and comes back with it, open', async () => {
    await repository.commit(id, { type: 'remove line', lineId: 'line-2' });
    const kept = (await repository.load(id))!;
    const removed = await repository.remove(id);
    expect(await repository.list()).toEqual([]);
    expect(await repository.openId()).toBeUndefined();
    expect(await db.steps.count()).toBe(0);
    expect(await repository.remove(id)).toBeUndefined();
    await repository.putBack(removed!);
    expect(await repository.load(id)).toEqual(kept);
    expect(await repository.openId()).toBe(id);
    await repository.undo(id);
    expect((await repository.load(id))!.project).toEqual(demoProject());
  });

  it('stays whole when an act cannot be done', async () => {
    await expect(
      repository.commit(id, {
        type: 'together',
        acts: [
          { type: 'remove line', lineId: 'line-1' },
          { type: 'remove line', lineId: 'gone' }
        ]
      })
    ).rejects.toThrow(ActError);
    expect((await repository.load(id))!.project).toEqual(demoProject());
    expect(await repository.undoState(id)).toEqual({ undo: undefined, redo: undefined });
  });

  it('loses nothing when two tabs act at once', async () => {
    const other = new ProjectRepository(new SatchelDatabase(db.name));
    await Promise.all([
      repository.commit(id, { type: 'change line', lineId: 'line-1', patch: { quantity: 3 } }),
      other.commit(id, { type: 'change line', lineId: 'line-2', patch: { quantity: 4 } })
    ]);
    const lines = activePlan((await repository.load(id))!.project).lines;
    expect([lines[0]!.quantity, lines[1]!.quantity]).toEqual([3, 4]);
  });

  it('is checked before it is trusted', async () => {
    await db.projects.put({
      id,
      project: { ...demoProject(), limitMinor: -3 },
      savedAt: 1,
      revision: 3,
      checkedAs: 0
    });
    await expect(repository.load(id)).rejects.toThrow(StoredProjectError);
    await expect(repository.load(id)).rejects.toThrow(/project\.limitMinor must be a whole number/);
  });

  it('of version 1 is brought up to date and checked', async () => {
    const name = `old-${number++}`;
    const old = new Dexie(name);
    old.version(1).stores({
      projects: 'id, savedAt',
      steps: '++sequence, projectId, [projectId+undone]',
      settings: 'key'
    });
    await old.table('projects').put({ id, project: demoProject(), savedAt: 5 });
    old.close();
    const row = (await new ProjectRepository(new SatchelDatabase(name)).load(id))!;
    expect(row.project).toEqual(demoProject());
    expect(row.revision).toBe(1);
  });
});
