import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { beforeEach, describe, expect, it } from 'vitest';
import { demoProject } from '../catalogue/demos/saltmarsh-loom';
import type { Act } from '../core/acts/act';
import { ActError } from '../core/acts/apply-act';
import { applyRecorded } from '../core/acts/record-act';
import { activePlan } from '../core/model/active-plan';
import version1 from '../core/formats/fixtures/version-1.satchel.json';
import { CHECKS, SatchelDatabase } from './database';
import type { KeptProject } from './project-reader';
import { ProjectRepository } from './project-repository';
import { StoredProjectError } from './stored-project';

let db: SatchelDatabase;
let repository: ProjectRepository;
let number = 0;
const id = 'saltmarsh-loom';
const now = async () => (await repository.load(id))!;
const commit = async (act: Act) => repository.commit(await now(), act);
const lines = ({ project }: KeptProject) => activePlan(project).lines;

beforeEach(async () => {
  db = new SatchelDatabase(`test-${number++}`);
  repository = new ProjectRepository(db);
  await repository.add(demoProject());
});

describe('what is kept', () => {
  it('is the project as it was, and opens last', async () => {
    expect((await now()).project).toEqual(demoProject());
    expect(await repository.openId()).toBe(id);
    expect(await repository.list()).toMatchObject([{ id, name: 'Saltmarsh loom' }]);
  });

  it('goes back and forth over acts with their words', async () => {
    await commit({ type: 'step quantity', lineId: 'line-1', by: 1 });
    const removed = await commit({ type: 'remove line', lineId: 'line-2' });
    const words = { undo: 'remove Quillfeather Ray 65 + 55 cm dome', redo: undefined };
    expect(removed).toMatchObject(words);
    expect(await now()).toMatchObject(words);
    await repository.undo(await now());
    const begun = await repository.undo(await now());
    expect(begun).toMatchObject({ undo: undefined, redo: 'change Dunmarrow Plover' });
    expect((await now()).project).toEqual(demoProject());
    expect((await repository.undo(await now())).head.revision).toBe(begun.head.revision);
    await repository.redo(await now());
    expect(lines(await now())[0]!.quantity).toBe(2);
    await commit({ type: 'set project', patch: { limitMinor: 5 } });
    expect((await now()).redo).toBeUndefined();
    expect(await repository.recentActs(id, 9)).toEqual([
      'change the settings',
      'change Dunmarrow Plover'
    ]);
  });

  it('stays whole when an act cannot be done', async () => {
    await expect(
      commit({
        type: 'batch',
        acts: [
          { type: 'remove line', lineId: 'line-1' },
          { type: 'remove line', lineId: 'gone' }
        ]
      })
    ).rejects.toThrow(ActError);
    expect((await now()).project).toEqual(demoProject());
    expect(await now()).toMatchObject({ undo: undefined, redo: undefined });
  });

  it('loses nothing when two tabs act at once, and both steps count', async () => {
    const known = await now();
    const other = new ProjectRepository(new SatchelDatabase(db.name));
    const more: Act = { type: 'step quantity', lineId: 'line-1', by: 1 };
    await Promise.all([
      ...Array.from({ length: 20 }, () => repository.commit(known, more)),
      ...Array.from({ length: 20 }, () => other.commit(known, more)),
      other.commit(known, { type: 'remove line', lineId: 'line-2' })
    ]);
    expect(lines(await now())[0]!.quantity).toBe(41);
    expect(lines(await now()).some((line) => line.id === 'line-2')).toBe(false);
  });

  it('is the same after a snapshot, which leaves no journal and the whole undo', async () => {
    for (let time = 0; time < 70; time++)
      await commit({ type: 'step quantity', lineId: 'line-1', by: 1 });
    expect(await repository.snapshotIsDue(id)).toBe(true);
    const before = await now();
    await repository.takeSnapshot(id);
    expect(await now()).toEqual(before);
    expect(await db.journal.count()).toBe(0);
    expect((await db.projects.get(id))!.revision).toBe(before.head.revision);
    // A tab that slept through the snapshot goes on from what is kept, not from what it knew.
    const stale = { ...before, project: demoProject(), head: { ...before.head, revision: 1 } };
    await repository.commit(stale, { type: 'step quantity', lineId: 'line-1', by: 1 });
    expect(lines(await now())[0]!.quantity).toBe(72);
    for (let time = 0; time < 71; time++) await repository.undo(await now());
    expect((await now()).project).toEqual(demoProject());
  });

  it('writes little for an act, however large the project', async () => {
    await commit({ type: 'step quantity', lineId: 'line-1', by: 1 });
    const [row] = await db.journal.toArray();
    expect(JSON.stringify(row).length).toBeLessThan(200);
    expect((await db.projects.get(id))!.project).toEqual(demoProject());
  });
});

describe('what is taken away', () => {
  it('comes back with its log, open, for thirty days', async () => {
    await commit({ type: 'remove line', lineId: 'line-2' });
    const kept = await now();
    const removed = (await repository.remove(id))!;
    expect(await repository.list()).toEqual([]);
    expect(await repository.openId()).toBeUndefined();
    expect([await db.log.count(), await db.journal.count()]).toEqual([0, 0]);
    expect(await repository.remove(id)).toBeUndefined();
    expect(await repository.copies()).toMatchObject([{ name: 'Saltmarsh loom', why: 'deleted' }]);
    expect(await repository.putBack(removed.number)).toBe(id);
    expect((await now()).project).toEqual(kept.project);
    expect(await repository.openId()).toBe(id);
    expect((await repository.undo(await now())).project).toEqual(demoProject());
    expect(await repository.copies()).toEqual([]);
    await repository.remove(id);
    const inAMonth = Date.now() + 31 * 24 * 3600 * 1000;
    expect(await repository.copies(inAMonth)).toEqual([]);
  });

  it('comes back beside what has taken its place meanwhile', async () => {
    const { number: copy } = (await repository.remove(id))!;
    await repository.add({ ...demoProject(), limitMinor: 7 });
    expect(await repository.putBack(copy)).toBe(`${id}-2`);
    expect((await repository.load(`${id}-2`))!.project).toEqual({
      ...demoProject(),
      id: `${id}-2`
    });
    expect((await now()).project.limitMinor).toBe(7);
  });

  it('is kept as a copy when it is replaced, and undo takes the replacing back', async () => {
    await commit({ type: 'remove line', lineId: 'line-2' });
    const before = await now();
    const other = { ...demoProject(), name: 'Another loom', scenes: [] };
    await repository.replace({ project: other, marks: ['m1'] });
    expect((await now()).project).toEqual(other);
    expect((await now()).head.marks).toMatchObject([{ id: 'm1' }]);
    expect((await repository.undo(await now())).project).toEqual(before.project);
    expect(await repository.copies()).toMatchObject([{ why: 'replaced', name: 'Saltmarsh loom' }]);
    await expect(repository.add(other)).rejects.toThrow(/already saved here/);
  });

  it('is kept as it lies when what is replaced cannot be read', async () => {
    await db.projects.update(id, { project: 'spoilt' as never });
    await repository.replace({ project: demoProject(), marks: [] });
    expect((await now()).project).toEqual(demoProject());
    expect((await db.copies.toArray())[0]!.row.project).toBe('spoilt');
  });
});

describe('files', () => {
  it('leave their mark, with the state they were made at', async () => {
    expect(await repository.mark(id, 'one')).toEqual(['one']);
    const { head } = await commit({ type: 'remove line', lineId: 'line-2' });
    expect(head.marks).toEqual([{ id: 'one', revision: 1 }]);
    expect(await repository.mark(id, 'two')).toEqual(['one', 'two']);
    expect((await now()).head.marks.at(-1)).toEqual({ id: 'two', revision: head.revision });
  });
});

describe('what cannot be trusted', () => {
  it.each([
    ['a limit below zero', { ...demoProject(), limitMinor: -3 }, 0, /project\.limitMinor must be/],
    ['no project at all', 'garbage', 0, /must be an object/],
    ['no project at all that was checked once', 'garbage', CHECKS, /must be an object/],
    ['nothing', undefined, CHECKS, /must be an object/],
    ['plans that are none', { ...demoProject(), plans: [null] }, CHECKS, /plan/]
  ])('%s is told, and hides no other project', async (_, project, checkedAs, says) => {
    await repository.add({ ...demoProject(), id: 'another', name: 'Another loom' });
    await db.projects.put({ id, project: project as never, revision: 1, checkedAs });
    await expect(repository.load(id)).rejects.toThrow(StoredProjectError);
    await expect(repository.load(id)).rejects.toThrow(says);
    expect((await repository.list()).map((kept) => kept.name)).toContain('Another loom');
    expect((await repository.load('another'))!.project.name).toBe('Another loom');
    const everything = await repository.everything();
    expect(everything.map((kept) => [kept.id, kept.kept === undefined])).toEqual([
      ['another', false],
      [id, true]
    ]);
    expect(everything[1]!.raw!.row!.project).toEqual(project);
  });

  it('is a change that is none, told without touching the snapshot', async () => {
    await db.journal.add({ projectId: id, revision: 2, patches: 'garbage' as never });
    await expect(repository.load(id)).rejects.toThrow(/saved change cannot be read/);
    expect((await repository.raw(id)).row!.project).toEqual(demoProject());
  });

  it('is mended where an older build let null stand for nothing', async () => {
    const project = { ...demoProject(), itemLimitMinor: null, rules: null };
    await db.projects.put({ id, project: project as never, revision: 1, checkedAs: 2 });
    expect((await now()).project).toEqual(demoProject());
  });
});

describe('an older database', () => {
  const stores = {
    projects: 'id, savedAt',
    steps: '++sequence, projectId, [projectId+undone]',
    settings: 'key'
  };

  it('of version 1 is brought up to date and checked', async () => {
    const old = new Dexie(`old-${number++}`);
    old.version(1).stores(stores);
    await old.table('projects').put({ id, project: demoProject(), savedAt: 5 });
    old.close();
    const upgraded = new ProjectRepository(new SatchelDatabase(old.name));
    expect(await upgraded.list()).toEqual([{ id, name: 'Saltmarsh loom', savedAt: 5 }]);
    const kept = (await upgraded.load(id))!;
    expect(kept.project).toEqual(demoProject());
    expect(kept.head).toMatchObject({ revision: 1, position: 0, top: 0 });
  });

  it('of version 2 keeps its log, what is undone included', async () => {
    const old = new Dexie(`old-${number++}`);
    old.version(1).stores(stores);
    old.version(2).stores({ projects: 'id, savedAt' });
    const first = applyRecorded(demoProject(), { type: 'remove line', lineId: 'line-1' });
    const second = applyRecorded(first.project, { type: 'remove line', lineId: 'line-2' });
    await old
      .table('projects')
      .put({ id, project: first.project, savedAt: 5, revision: 4, checkedAs: 2 });
    await old.table('steps').bulkAdd([
      { projectId: id, at: 1, label: 'remove one', change: first.change, undone: 0 },
      { projectId: 'other', at: 1, label: 'of another', change: first.change, undone: 0 },
      { projectId: id, at: 2, label: 'remove two', change: second.change, undone: 1 }
    ]);
    await old.table('settings').put({ key: 'open project', value: id });
    old.close();
    const upgraded = new ProjectRepository(new SatchelDatabase(old.name));
    expect(await upgraded.openId()).toBe(id);
    const kept = (await upgraded.load(id))!;
    expect(kept).toMatchObject({ undo: 'remove one', redo: 'remove two' });
    expect(kept.head.revision).toBe(4);
    expect((await upgraded.redo(kept)).project).toEqual(second.project);
    expect((await upgraded.undo((await upgraded.load(id))!)).project).toEqual(first.project);
    expect((await upgraded.undo((await upgraded.load(id))!)).project).toEqual(demoProject());
  });

  it('of version 4 is renamed as the file is, its journal, log and copies too', async () => {
    const old = new Dexie(`old-${number++}`);
    old.version(4).stores({
      heads: 'id, savedAt',
      projects: 'id',
      journal: '[projectId+revision]',
      log: '[projectId+position]',
      copies: '++number, projectId, at',
      settings: 'key'
    });
    const project = structuredClone(version1.project) as unknown as Record<string, unknown> & {
      id: string;
      scenes: { angles: { cameraPlace: string }[] }[];
    };
    const { cameraPlace } = project.scenes[0]!.angles[0]!;
    const path = ['scenes', 0, 'angles', 0, 'cameraPlace'];
    const change = {
      patches: [{ op: 'replace', path, value: 'stick' }],
      inverse: [{ op: 'replace', path, value: cameraPlace }]
    };
    const head = {
      id: project.id,
      name: 'Loom',
      savedAt: 1,
      revision: 2,
      position: 1,
      top: 1,
      marks: []
    };
    const row = { id: project.id, project, revision: 1, checkedAs: 3 };
    const step = { projectId: project.id, position: 0, at: 1, label: 'hold it out', change };
    await old.table('heads').put(head);
    await old.table('projects').put(row);
    await old.table('journal').put({ projectId: project.id, revision: 2, patches: change.patches });
    await old.table('log').put(step);
    await old.table('copies').add({
      projectId: project.id,
      name: 'Loom',
      at: Date.now(),
      why: 'replaced',
      head,
      row,
      steps: [step]
    });
    old.close();
    const upgraded = new ProjectRepository(new SatchelDatabase(old.name));
    const kept = (await upgraded.load(project.id))!;
    expect(kept.project.scenes[0]!.angles[0]!.cameraPlace).toBe('extension pole');
    expect(kept.project.school).toBe('lenses first');
    const undone = await upgraded.undo(kept);
    expect(undone.project.scenes[0]!.angles[0]!.cameraPlace).not.toBe('extension pole');
    const [copy] = await upgraded.copies();
    const id = (await upgraded.putBack(copy!.number))!;
    expect((await upgraded.load(id))!.project.school).toBe('lenses first');
  });
});
