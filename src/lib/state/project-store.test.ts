import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import Dexie from 'dexie';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { demoProject } from '../catalogue/demo-project';
import { activePlan } from '../core/model/active-plan';
import type { GearOf } from '../core/model/gear';
import { startScene } from '../core/model/scene-starts';
import { judgeWork } from '../workers/judge-work';
import type { JudgeWorker } from '../workers/judge-protocol';

/** The real judge, asked in this thread; a test may let it break off. */
const judge = { breaks: false };
vi.mock('../workers/connect-judge', () => ({
  askJudge: <T>(ask: (worker: JudgeWorker) => Promise<T>) =>
    judge.breaks ? Promise.reject(new Error('the judge did not start')) : ask(judgeWork)
}));

type Store = (typeof import('./project-store.svelte'))['satchel'];

/** A tab: a store of its own on the one database of this browser. */
async function openTab(): Promise<Store> {
  vi.resetModules();
  const { satchel } = await import('./project-store.svelte');
  await satchel.open();
  return satchel;
}
const settled = (store: Store) => vi.waitFor(() => expect(store.settling).toBe(false));
const lineIds = (store: Store) => store.plan!.lines.map(({ id }) => id);

beforeEach(() => {
  judge.breaks = false;
  Dexie.dependencies.indexedDB = new IDBFactory();
});

describe('the project of a tab', () => {
  it('is none at first, then the one begun, judged and with remedies', async () => {
    const store = await openTab();
    expect(store.status).toBe('no project');
    expect(store.judgement).toBeUndefined();
    await store.beginDemo();
    expect(store.status).toBe('ready');
    expect(store.judgement!.findings.length).toBeGreaterThan(0);
    await settled(store);
    expect(Object.keys(store.remedies).sort()).toEqual(
      store.judgement!.findings.map(({ key }) => key).sort()
    );
    const filter = store.judgement!.findings.find(({ code }) => code === 'L8')!;
    expect(store.remedies[filter.key]!.length).toBeGreaterThan(0);
  });

  it('is there again when the tab is opened again, with what was done and its undo', async () => {
    const first = await openTab();
    await first.beginDemo();
    await first.act({ type: 'remove line', lineId: 'line-1' });
    expect(first.saved).toBe('saved');
    const second = await openTab();
    expect(lineIds(second)).not.toContain('line-1');
    await second.undo();
    expect(lineIds(second)).toContain('line-1');
    await second.redo();
    expect(lineIds(second)).not.toContain('line-1');
  });

  it('shows an act at once and keeps it after', async () => {
    const store = await openTab();
    await store.beginDemo();
    const keeping = store.act({ type: 'set project', patch: { limitMinor: 7 } });
    expect(store.project!.limitMinor).toBe(7);
    expect(store.saved).toBe('saving');
    await keeping;
    expect(store.saved).toBe('saved');
  });

  it('refuses an act that names what is not there, says so, and stays as it was', async () => {
    const store = await openTab();
    await store.beginDemo();
    const before = store.project;
    await store.act({ type: 'remove line', lineId: 'gone' });
    expect(store.failure).toBe('There is no line "gone" here any more.');
    expect(store.project).toBe(before);
    store.forgetFailure();
    expect(store.failure).toBe('');
  });

  it('takes back several acts at a time, the newest first', async () => {
    const store = await openTab();
    await store.beginDemo();
    for (const lineId of ['line-1', 'line-2', 'line-3'])
      await store.act({ type: 'remove line', lineId });
    expect((await store.recentActs()).slice(0, 2)).toEqual([
      'leave Orrowby Linnet',
      'leave Quillfeather Ray 65 + 55 cm dome'
    ]);
    await store.undoLast(2);
    expect(lineIds(store)).toEqual(expect.arrayContaining(['line-2', 'line-3']));
    expect(lineIds(store)).not.toContain('line-1');
  });

  it('is seen by another tab, and neither loses what the other did', async () => {
    const here = await openTab();
    await here.beginDemo();
    const there = await openTab();
    await here.act({ type: 'remove line', lineId: 'line-1' });
    await vi.waitFor(() => expect(lineIds(there)).not.toContain('line-1'));
    await there.act({ type: 'remove line', lineId: 'line-2' });
    await vi.waitFor(() => expect(lineIds(here)).not.toContain('line-2'));
    expect(lineIds(here)).toEqual(lineIds(there));
  });
});

describe('plans', () => {
  it('branch with all they hold, are shown at once and get a number of their own', async () => {
    const store = await openTab();
    await store.beginDemo();
    const { id, name } = store.plan!;
    const held = lineIds(store);
    await store.branchPlan(id);
    expect(store.plan!.name).toBe(`${name}, branched`);
    expect(lineIds(store)).toEqual(held);
    await store.beginPlan();
    expect(store.plan!.lines).toEqual([]);
    expect(new Set(store.project!.plans.map((plan) => plan.id)).size).toBe(3);
    await store.branchPlan('no such plan');
    expect(store.project!.plans).toHaveLength(3);
  });

  it('that are empty are packed as one act', async () => {
    const store = await openTab();
    const scene = { ...startScene('seated', [], 100), id: 'talk', name: 'Talk' };
    await store.begin({ ...demoProject(), scenes: [scene], limitMinor: 90_000 });
    await store.beginPlan();
    await store.packPlan();
    expect(store.judgement!.kit.of('body')).toHaveLength(1);
    expect(store.judgement!.money.remainingMinor).toBeGreaterThanOrEqual(0);
    await store.undo();
    expect(store.plan!.lines).toEqual([]);
  });

  it('that hold something already are left alone by the packer', async () => {
    const store = await openTab();
    await store.beginDemo();
    const before = lineIds(store);
    await store.packPlan();
    expect(lineIds(store)).toEqual(before);
  });
});

describe('several projects', () => {
  const other = () => ({ ...demoProject(), id: 'another', name: 'Another loom' });

  it('are listed, the last changed first, and opened by name', async () => {
    const store = await openTab();
    await store.beginDemo();
    await store.begin(other());
    expect((await store.list()).map(({ name }) => name)).toEqual([
      'Another loom',
      'Saltmarsh loom'
    ]);
    await store.openProject('saltmarsh-loom');
    expect(store.project!.name).toBe('Saltmarsh loom');
    await store.openProject('nobody');
    expect(store.project!.name).toBe('Saltmarsh loom');
  });

  it('come back with their undo when dropped, and the next one opens meanwhile', async () => {
    const store = await openTab();
    await store.beginDemo();
    await store.begin(other());
    await store.act({ type: 'remove line', lineId: 'line-1' });
    await store.dropProject('another');
    expect(store.project!.name).toBe('Saltmarsh loom');
    await store.bringBack();
    expect(store.project!.name).toBe('Another loom');
    expect(lineIds(store)).not.toContain('line-1');
    await store.undo();
    expect(lineIds(store)).toContain('line-1');
    await store.dropProject('another');
    await store.dropProject('saltmarsh-loom');
    expect([store.status, store.project]).toEqual(['no project', undefined]);
  });
});

describe('files', () => {
  it('go out and come in equal, into the same project as one act', async () => {
    const store = await openTab();
    await store.beginDemo();
    const text = await store.exportText();
    await store.act({ type: 'remove line', lineId: 'line-1' });
    expect(await store.importText(text)).toEqual([]);
    expect(store.project).toEqual(demoProject());
    await store.undo();
    expect(lineIds(store)).not.toContain('line-1');
  });

  it('with faults change nothing and say what is wrong', async () => {
    const store = await openTab();
    await store.beginDemo();
    const before = store.project;
    const text = (await store.exportText()).replace(/"limitMinor": \d+/, '"limitMinor": -5');
    const faults = await store.importText(text);
    expect(faults.join(' ')).toMatch(/limitMinor/);
    expect(await store.importText('no satchel')).toHaveLength(1);
    expect(store.project).toBe(before);
  });

  it('of everything bring every project back, or none', async () => {
    const store = await openTab();
    await store.beginDemo();
    await store.begin({ ...demoProject(), id: 'another', name: 'Another loom' });
    const zip = await store.backup();
    await store.dropProject('another');
    await store.dropProject('saltmarsh-loom');
    expect(await store.restore(zip)).toEqual([]);
    expect(await store.list()).toHaveLength(2);
    const broken = await store.restore(zip.slice(0, 40));
    expect(broken.length).toBeGreaterThan(0);
    expect(await store.list()).toHaveLength(2);
  });
});

describe('when something breaks', () => {
  it('a judge that does not start is told, what is judged on the page stands, and asking again helps', async () => {
    judge.breaks = true;
    const store = await openTab();
    await store.beginDemo();
    await vi.waitFor(() => expect(store.settleFailure).toBe('the judge did not start'));
    expect(store.judgement!.findings.length).toBeGreaterThan(0);
    judge.breaks = false;
    await store.settleAgain();
    expect(store.settleFailure).toBe('');
    expect(Object.keys(store.remedies).length).toBeGreaterThan(0);
  });

  it('an older answer never overwrites a newer question', async () => {
    const store = await openTab();
    await store.beginDemo();
    await store.act({ type: 'remove line', lineId: 'line-1' });
    await settled(store);
    const keys = store.judgement!.findings.map(({ key }) => key).sort();
    expect(Object.keys(store.remedies).sort()).toEqual(keys);
  });

  it('a browser that keeps nothing is worked in until the tab is closed', async () => {
    const refusing = vi.spyOn(Dexie.dependencies.indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('storage is switched off', 'SecurityError');
    });
    try {
      const store = await openTab();
      expect([store.keeping, store.status]).toEqual(['tab', 'no project']);
    } finally {
      refusing.mockRestore();
    }
  });

  it('a project that cannot be read is left as it is and told, and one may begin beside it', async () => {
    const first = await openTab();
    await first.beginDemo();
    const { SatchelDatabase } = await import('../data/database');
    const db = new SatchelDatabase();
    await db.projects.toCollection().modify((row) => {
      (row.project as unknown as Record<string, unknown>).scenes = 'spoilt';
      row.checkedAs = 0;
    });
    const store = await openTab();
    expect(store.status).toBe('failed');
    expect(store.failure).toMatch(/scenes/);
    expect(await store.unreadableText()).toContain('"scenes": "spoilt"');
    store.beginBeside();
    expect([store.status, store.failure]).toEqual(['no project', '']);
    db.close();
  });
});

describe('a seller’s answer', () => {
  it('is noted on the part, and the question is gone', async () => {
    const store = await openTab();
    await store.beginDemo();
    const linnet = structuredClone(store.shelf.byId.get('orrowby-linnet')) as GearOf<'body'>;
    delete linnet.drawW;
    await store.act({ type: 'put gear', gear: linnet });
    await settled(store);
    const question = store.questions.find(({ leaf }) => leaf === 'bodyDraw')!;
    const was = store.shelf.byId.get(question.field!.gearId)!;
    await store.answer(question, 5.9);
    expect(store.shelf.byId.get('orrowby-linnet')).toMatchObject({ drawW: 5.9 });
    expect(activePlan(store.project!).lines.some(({ gearId }) => gearId === was.id)).toBe(true);
    await settled(store);
    expect(store.questions.map(({ key }) => key)).not.toContain(question.key);
  });
});
