import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import Dexie from 'dexie';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { demoProject } from '../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../catalogue/load-catalogue';
import { activePlan } from '../core/model/active-plan';
import type { GearOf } from '../core/model/gear';
import { newLine } from '../core/model/new-line';
import type { Project } from '../core/model/project';
import { startScene } from '../core/model/scene-starts';
import { makeJudgeWork } from '../workers/judge-work';
import type { JudgeWorker, Outcome, SentProject, Share } from '../workers/judge-protocol';

/** The real judge, asked in this thread; a test may let it break off. */
const judge = { breaks: false };
vi.mock('../workers/connect-judge', async (actual) => {
  const { doneOf, isCancelled, proxy } = await actual<typeof import('../workers/connect-judge')>();
  const work = makeJudgeWork();
  type Ask<T> = (
    worker: JudgeWorker,
    send: <P>(project: P) => P,
    share: Share
  ) => Promise<T | Outcome<T>>;
  const askThis = async <T>(ask: Ask<T>) => {
    if (judge.breaks) throw new Error('the judge did not start');
    return doneOf(await ask(work, (project) => project, { index: 0, of: 1 }));
  };
  return {
    isCancelled,
    proxy,
    askJudge: askThis,
    askPatientJudge: askThis,
    packFirst: (project: Project, ontold: (judged: number) => void) =>
      askThis((worker) => worker.packFirst(project as SentProject, ontold)),
    askJudges: async <T>(ask: Ask<T>) => [await askThis(ask)]
  };
});

type Store = (typeof import('./project-store.svelte'))['satchel'];

/** A tab: a store of its own on the one database of this browser. */
async function openTab(): Promise<Store> {
  return (await openTabWithLibrary()).satchel;
}
async function openTabWithLibrary() {
  vi.resetModules();
  const { satchel } = await import('./project-store.svelte');
  const { library } = await import('./library.svelte');
  await satchel.open();
  return { satchel, library };
}
const settled = (store: Store) =>
  vi.waitFor(() => expect(store.advice.settling).toBe(false), 10_000);
/** Taking what was proposed to a tab; the module under test is loaded anew for each. */
const proposalsOf = async (store: Store) => new (await import('./proposals')).Proposals(store);
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
    expect(Object.keys(store.advice.remedies).sort()).toEqual(
      store.judgement!.findings.map(({ key }) => key).sort()
    );
    const filter = store.judgement!.findings.find(({ code }) => code === 'L8')!;
    expect(store.advice.remedies[filter.key]!.length).toBeGreaterThan(0);
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

  it('shows an act within a frame and says when it is kept', async () => {
    const store = await openTab();
    await store.beginDemo();
    const keeping = store.act({ type: 'set project', patch: { limitMinor: 7 } });
    expect(store.saved).toBe('saving');
    await vi.waitFor(() => expect(store.project!.limitMinor).toBe(7), { interval: 1 });
    await keeping;
    expect(store.saved).toBe('saved');
  });

  it('refuses an act that names what is not there, says so, and stays as it was', async () => {
    const store = await openTab();
    await store.beginDemo();
    const before = store.project;
    await store.act({ type: 'remove line', lineId: 'gone' });
    expect(store.failure).toBe(
      '“remove a part” was not done. There is no line "gone" here any more.'
    );
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
      'remove Orrowby Linnet',
      'remove Quillfeather Ray 65 + 55 cm dome'
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
    await store.begin({ ...demoProject(), scenes: [scene], limitMinor: 40_000 });
    await store.beginPlan();
    const judged: number[] = [];
    await (await proposalsOf(store)).packPlan((kits) => judged.push(kits));
    expect(judged.at(-1)).toBeGreaterThan(judged[0]!);
    expect(store.judgement!.kit.of('body')).toHaveLength(1);
    expect(store.judgement!.money.remainingMinor).toBeGreaterThanOrEqual(0);
    await store.undo();
    expect(store.plan!.lines).toEqual([]);
  });

  it('that hold something already are left alone by the packer, also what came in while it packed', async () => {
    const store = await openTab();
    await store.beginDemo();
    const before = lineIds(store);
    const proposals = await proposalsOf(store);
    const packPlan = () => proposals.packPlan(() => undefined);
    await packPlan();
    expect(lineIds(store)).toEqual(before);
    await store.begin({
      ...demoProject(),
      id: 'hands',
      scenes: [{ ...startScene('hands', [], 100), id: 'hands', name: 'Hands' }],
      limitMinor: 30_000
    });
    await store.beginPlan();
    const packing = packPlan();
    const line = newLine(store.plan!, catalogue.byId.get('ellowen-slip-4')!);
    await store.act({ type: 'add line', line });
    await packing;
    expect(store.plan!.lines.map(({ gearId }) => gearId)).toEqual([line.gearId]);
  });
});

describe('several projects', () => {
  const other = () => ({ ...demoProject(), id: 'another', name: 'Another loom' });

  it('are listed, the last changed first, and opened by name', async () => {
    const { satchel: store, library } = await openTabWithLibrary();
    await store.beginDemo();
    await store.begin(other());
    expect((await library.list()).map(({ name }) => name)).toEqual([
      'Another loom',
      'Saltmarsh loom'
    ]);
    await library.open('saltmarsh-loom');
    expect(store.project!.name).toBe('Saltmarsh loom');
    await library.open('nobody');
    expect(store.project!.name).toBe('Saltmarsh loom');
  });

  it('come back with their undo when deleted, and the next one opens meanwhile', async () => {
    const { satchel: store, library } = await openTabWithLibrary();
    await store.beginDemo();
    await store.begin(other());
    await store.act({ type: 'remove line', lineId: 'line-1' });
    await library.remove('another');
    expect(store.project!.name).toBe('Saltmarsh loom');
    await library.bringBack(library.deleted!.number);
    expect(library.deleted).toBeUndefined();
    expect(store.project!.name).toBe('Another loom');
    expect(lineIds(store)).not.toContain('line-1');
    await store.undo();
    expect(lineIds(store)).toContain('line-1');
    await library.remove('another');
    await library.remove('saltmarsh-loom');
    expect([store.status, store.project]).toEqual(['no project', undefined]);
    expect(await library.copies()).toHaveLength(2);
  });

  it('begun twice under one id stand beside each other', async () => {
    const { satchel: store, library } = await openTabWithLibrary();
    await store.beginDemo();
    await store.act({ type: 'remove line', lineId: 'line-1' });
    await store.beginDemo();
    expect(lineIds(store)).toContain('line-1');
    expect(await library.list()).toHaveLength(2);
  });

  it('can be reached when nobody knows which was open last', async () => {
    const first = await openTab();
    await first.beginDemo();
    const { SatchelDatabase } = await import('../data/database');
    await new SatchelDatabase().settings.clear();
    expect((await openTab()).project!.name).toBe('Saltmarsh loom');
  });

  it('that cannot be read never hide the others', async () => {
    const first = await openTab();
    await first.begin(other());
    await first.beginDemo();
    const { SatchelDatabase } = await import('../data/database');
    await new SatchelDatabase().projects.update('saltmarsh-loom', { project: 'spoilt' as never });
    const { satchel: store, library } = await openTabWithLibrary();
    expect(store.status).toBe('failed');
    expect(await store.rawText()).toContain('"project": "spoilt"');
    await library.open('another');
    expect([store.status, store.project!.name]).toEqual(['ready', 'Another loom']);
    await library.open('saltmarsh-loom');
    expect(store.failure).toMatch(/cannot be read/);
    expect(store.project!.name).toBe('Another loom');
  });
});

describe('files', () => {
  async function withDemo() {
    const tab = await openTabWithLibrary();
    await tab.satchel.beginDemo();
    return tab;
  }
  const standing = (library: { waiting: readonly { standing: string }[] | undefined }) =>
    library.waiting?.map((project) => project.standing);

  it('of a project that is kept just like that open it and change nothing', async () => {
    const { satchel: store, library } = await withDemo();
    const text = await store.exportText();
    expect(await library.importText(text)).toEqual([]);
    expect(library.waiting).toBeUndefined();
    expect(store.project).toEqual(demoProject());
    expect(await library.list()).toHaveLength(1);
  });

  it('older than what is kept change nothing before it is said what to do', async () => {
    const { satchel: store, library } = await withDemo();
    const text = await store.exportText();
    await store.act({ type: 'remove line', lineId: 'line-1' });
    const newer = store.project;
    expect(await library.importText(text)).toEqual([]);
    expect(standing(library)).toEqual(['older']);
    expect(store.project).toBe(newer);
    library.leave();
    expect([library.waiting, store.project]).toEqual([undefined, newer]);
  });

  it('replace what is kept only when chosen; undo and a copy bring back', async () => {
    const { satchel: store, library } = await withDemo();
    const text = await store.exportText();
    await store.act({ type: 'remove line', lineId: 'line-1' });
    await library.importText(text);
    await library.take(library.waiting!, { 0: 'replace' });
    expect(store.project).toEqual(demoProject());
    expect(await library.copies()).toMatchObject([{ why: 'replaced' }]);
    await store.undo();
    expect(lineIds(store)).not.toContain('line-1');
  });

  it('stand beside what is kept when both are wanted', async () => {
    const { satchel: store, library } = await withDemo();
    const text = await store.exportText();
    await store.act({ type: 'remove line', lineId: 'line-1' });
    await library.importText(text);
    await library.take(library.waiting!, { 0: 'keep both' });
    expect(store.project).toMatchObject({ id: 'saltmarsh-loom-2', name: 'Saltmarsh loom (2)' });
    expect(lineIds(store)).toContain('line-1');
    await library.open('saltmarsh-loom');
    expect(lineIds(store)).not.toContain('line-1');
  });

  it('that have gone on elsewhere are newer, and then both have changed', async () => {
    const { satchel: store } = await withDemo();
    const text = await store.exportText();
    // Another machine goes on from the file.
    const { indexedDB } = Dexie.dependencies;
    Dexie.dependencies.indexedDB = new IDBFactory();
    const elsewhere = await openTabWithLibrary();
    await elsewhere.library.importText(text);
    await elsewhere.satchel.act({ type: 'remove line', lineId: 'line-2' });
    const gone = await elsewhere.satchel.exportText();
    Dexie.dependencies.indexedDB = indexedDB;
    const home = await openTabWithLibrary();
    await home.library.importText(gone);
    expect(standing(home.library)).toEqual(['newer']);
    home.library.leave();
    await home.satchel.act({ type: 'remove line', lineId: 'line-1' });
    await home.library.importText(gone);
    expect(standing(home.library)).toEqual(['both changed']);
  });

  it('with faults change nothing and say what is wrong', async () => {
    const { satchel: store, library } = await withDemo();
    const before = store.project;
    const text = (await store.exportText()).replace(/"limitMinor": \d+/, '"limitMinor": -5');
    const faults = await library.importText(text);
    expect(faults.join(' ')).toMatch(/limitMinor/);
    expect(await library.importText('no satchel')).toHaveLength(1);
    expect(store.project).toBe(before);
  });

  it('the demo as it ships never takes the place of the one worked in', async () => {
    const { satchel: store, library } = await withDemo();
    await store.act({ type: 'remove line', lineId: 'line-1' });
    await library.openDemo('saltmarsh-loom');
    expect(lineIds(store)).not.toContain('line-1');
    expect(library.waiting).toHaveLength(1);
  });

  it('of everything bring every project back, or none', async () => {
    const { satchel: store, library } = await withDemo();
    await store.begin({ ...demoProject(), id: 'another', name: 'Another loom' });
    const zip = await library.backup();
    await library.remove('another');
    await library.remove('saltmarsh-loom');
    expect(await library.importBackup(zip)).toEqual([]);
    expect(await library.list()).toHaveLength(2);
    const broken = await library.importBackup(zip.slice(0, 40));
    expect(broken.length).toBeGreaterThan(0);
    expect(await library.list()).toHaveLength(2);
  });

  it('of everything ask project by project where one is kept', async () => {
    const { satchel: store, library } = await withDemo();
    await store.begin({ ...demoProject(), id: 'another', name: 'Another loom' });
    const zip = await library.backup();
    await store.act({ type: 'remove line', lineId: 'line-1' });
    await library.importBackup(zip);
    expect(standing(library)!.sort()).toEqual(['older', 'same']);
    expect(lineIds(store)).not.toContain('line-1');
  });

  it('of everything lose no project whose id is written with other signs', async () => {
    const { satchel: store, library } = await withDemo();
    for (const id of ['a b', 'a-b', 'A/b', 'ä'])
      await store.begin({ ...demoProject(), id, name: id });
    const zip = await library.backup();
    for (const { id } of await library.list()) await library.remove(id);
    await library.importBackup(zip);
    expect((await library.list()).map(({ id }) => id).sort()).toEqual([
      'A/b',
      'a b',
      'a-b',
      'saltmarsh-loom',
      'ä'
    ]);
  });
});

describe('fast hands', () => {
  it('that take two remedies at once get both, or hear which was not needed any more', async () => {
    const store = await openTab();
    await store.beginDemo();
    await settled(store);
    const takes = store.judgement!.findings.flatMap((finding) => {
      const remedy = store.advice.remedies[finding.key]?.find(({ costMinor }) => costMinor > 0);
      return remedy ? [{ finding, remedy }] : [];
    });
    const [first] = takes;
    const second = takes.find(
      ({ finding, remedy }) =>
        finding.code !== first!.finding.code && remedy.label !== first!.remedy.label
    );
    const proposals = await proposalsOf(store);
    await Promise.all([
      proposals.settleWith(first!.finding.key, first!.remedy),
      proposals.settleWith(second!.finding.key, second!.remedy)
    ]);
    const stands = (key: string) =>
      store.judgement!.findings.some((finding) => finding.key === key);
    expect(stands(first!.finding.key)).toBe(false);
    expect(!stands(second!.finding.key) || store.failure !== '').toBe(true);
    expect(new Set(lineIds(store)).size).toBe(lineIds(store).length);
  });

  it('that take one remedy twice pay once', async () => {
    const store = await openTab();
    await store.beginDemo();
    await settled(store);
    const finding = store.judgement!.findings.find(({ code }) => code === 'L8')!;
    const remedy = store.advice.remedies[finding.key]!.find(({ mends }) => mends)!;
    const proposals = await proposalsOf(store);
    await Promise.all([
      proposals.settleWith(finding.key, remedy),
      proposals.settleWith(finding.key, remedy)
    ]);
    const bought = store.judgement!.money.firmMinor;
    expect(store.failure).toMatch(/not needed any more/);
    await store.undo();
    expect(bought - store.judgement!.money.firmMinor).toBe(remedy.costMinor);
  });

  it('of two tabs on one line count every press', async () => {
    const here = await openTab();
    await here.beginDemo();
    const there = await openTab();
    await Promise.all(
      Array.from({ length: 40 }, (_, press) =>
        (press % 2 ? here : there).act({ type: 'step quantity', lineId: 'line-1', by: 1 })
      )
    );
    await vi.waitFor(() => {
      for (const tab of [here, there]) expect(tab.plan!.lines[0]!.quantity).toBe(41);
    });
  });
});

describe('when something breaks', () => {
  it('a judge that does not start is told, what is judged on the page stands, and asking again helps', async () => {
    judge.breaks = true;
    const store = await openTab();
    await store.beginDemo();
    await vi.waitFor(() => expect(store.advice.failure).toBe('the judge did not start'));
    expect(store.judgement!.findings.length).toBeGreaterThan(0);
    judge.breaks = false;
    await store.settleAgain();
    expect(store.advice.failure).toBe('');
    expect(Object.keys(store.advice.remedies).length).toBeGreaterThan(0);
  });

  it('an older answer never overwrites a newer question', async () => {
    const store = await openTab();
    await store.beginDemo();
    await store.act({ type: 'remove line', lineId: 'line-1' });
    await settled(store);
    const keys = store.judgement!.findings.map(({ key }) => key).sort();
    expect(Object.keys(store.advice.remedies).sort()).toEqual(keys);
  });

  it('a long project is shown once the worker has chosen its rigs, the last state of it, also when it breaks off', async () => {
    const store = await openTab();
    const project = demoProject();
    project.scenes = Array.from({ length: 4 }, () => project.scenes).flatMap((scenes, round) =>
      scenes.map((scene) => ({
        ...scene,
        id: `${scene.id}-${round}`,
        angles: scene.angles.map((angle) => ({ ...angle, id: `${angle.id}-${round}` }))
      }))
    );
    await store.begin(project);
    expect([store.status, store.judgement]).toEqual(['loading', undefined]);
    await vi.waitFor(() => expect(store.status).toBe('ready'));
    expect(store.judgement!.angles).toHaveLength(project.scenes.length);
    void store.act({ type: 'remove line', lineId: 'line-1' });
    await store.act({ type: 'remove line', lineId: 'line-2' });
    await vi.waitFor(() => expect(lineIds(store)).not.toContain('line-2'));
    expect(lineIds(store)).not.toContain('line-1');
    judge.breaks = true;
    await store.act({ type: 'remove line', lineId: 'line-3' });
    await vi.waitFor(() => expect(lineIds(store)).not.toContain('line-3'));
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
    });
    const store = await openTab();
    expect(store.status).toBe('failed');
    expect(store.failure).toMatch(/scenes/);
    expect(await store.rawText()).toContain('"scenes": "spoilt"');
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
    const question = store.advice.questions.find(({ leaf }) => leaf === 'bodyDraw')!;
    const was = store.shelf.byId.get(question.field!.gearId)!;
    await store.answer(question, 5.9);
    expect(store.shelf.byId.get('orrowby-linnet')).toMatchObject({ drawW: 5.9 });
    expect(activePlan(store.project!).lines.some(({ gearId }) => gearId === was.id)).toBe(true);
    await settled(store);
    expect(store.advice.questions.map(({ key }) => key)).not.toContain(question.key);
  });
});
