import { liveQuery, type Subscription } from 'dexie';
import { catalogue, shelfOf } from '../catalogue/load-catalogue';
import { demoProject } from '../catalogue/demo-project';
import { answerAct } from '../core/acts/answer-act';
import { ActError, applyAct } from '../core/acts/apply-act';
import type { Act } from '../core/acts/act';
import { faultSentence } from '../core/formats/faults';
import { judgePlan } from '../core/judge/judge-plan';
import type { JointsClosed } from '../core/judge/close-joints';
import type { Question } from '../core/judge/questions';
import type { Remedy } from '../core/judge/settle';
import type { Plan } from '../core/model/plan';
import type { Project } from '../core/model/project';
import { activePlan } from '../core/model/active-plan';
import { type ProjectRow, SatchelDatabase } from '../data/database';
import {
  ProjectRepository,
  type RemovedProject,
  StoredProjectError,
  type UndoState
} from '../data/project-repository';
import { askJudge } from '../workers/connect-judge';
import { asOfToday } from './as-of-today';

/** Reading and checking files is fetched when a file is asked for, not with the first view. */
const files = () => import('../core/formats/satchel-file');

type Status = 'loading' | 'no project' | 'ready' | 'failed';
type Saved = 'saved' | 'saving' | 'failed';

/** The database wraps the browser's own error, sometimes twice. */
function isStorageFull(error: unknown): boolean {
  for (
    let inner = error;
    typeof inner === 'object' && inner !== null;
    inner = (inner as { inner?: unknown }).inner
  ) {
    if ((inner as { name?: unknown }).name === 'QuotaExceededError') return true;
  }
  return false;
}

/** A fault a person should read, with what to do about it. */
function sentenceOf(error: unknown): string {
  if (error instanceof ActError) return error.message;
  if (isStorageFull(error)) {
    return 'The browser has no room left to keep this. Export the project to a file, then make room.';
  }
  return error instanceof Error ? error.message : String(error);
}

/**
 * The one project store: what is kept, what follows from it, and the acts that change it. The truth
 * is the row in the database; everything else is derived.
 */
class ProjectStore {
  status = $state<Status>('loading');
  saved = $state<Saved>('saved');
  failure = $state('');
  project = $state.raw<Project | undefined>(undefined);
  undoState = $state.raw<UndoState>({ undo: undefined, redo: undefined });
  remedies = $state.raw<Record<string, Remedy[]>>({});
  joints = $state.raw<JointsClosed | undefined>(undefined);
  questions = $state.raw<readonly Question[]>([]);
  settling = $state(false);
  /** Why remedies could not be looked for. The findings themselves are judged on the page and stand. */
  settleFailure = $state('');
  /** The project dropped last; it comes back as long as this tab is open. */
  dropped = $state.raw<RemovedProject | undefined>(undefined);
  /** Where what is done is kept: a browser that refuses storage leaves this tab's memory. */
  keeping = $state<'browser' | 'tab'>('browser');
  /** The scene the bag shows its pictures for. */
  sceneId = $state('');

  readonly shelf = $derived(this.project ? shelfOf(this.project) : catalogue);
  readonly plan = $derived(this.project && activePlan(this.project));
  /** The project as it is judged: prices looked at as of today. What is kept carries no day. */
  readonly asJudged = $derived(this.project && asOfToday(this.project));
  readonly judgement = $derived(
    this.asJudged && this.plan ? judgePlan(this.asJudged, this.plan, this.shelf) : undefined
  );

  private repository = new ProjectRepository(new SatchelDatabase());
  private watching: Subscription | undefined;
  /** The revision on screen; an act of ours is shown before its own is known. */
  private revision = 0;
  private pending = 0;
  private settleRound = 0;

  /** Opens what was open last, or says there is nothing yet. */
  async open(): Promise<void> {
    if (this.status === 'ready') return;
    try {
      const id = await this.repository.openId();
      const row = id === undefined ? undefined : await this.repository.load(id);
      if (row) this.show(row.project, row.revision);
      else this.status = 'no project';
    } catch (error) {
      if (error instanceof StoredProjectError) {
        this.status = 'failed';
        this.failure = sentenceOf(error);
      } else await this.keepInTab();
    }
  }

  /** A private window or forbidden storage: everything works, undo included, until the tab is closed. */
  private async keepInTab(): Promise<void> {
    const { indexedDB, IDBKeyRange } = await import('fake-indexeddb');
    this.repository = new ProjectRepository(
      new SatchelDatabase('in this tab', { indexedDB, IDBKeyRange })
    );
    this.keeping = 'tab';
    this.status = 'no project';
  }

  /** What is kept but cannot be read, just as it is, so that it can be mended by hand. */
  async unreadableText(): Promise<string> {
    return `${JSON.stringify(await this.repository.openAsKept(), null, 2)}\n`;
  }

  /** Leaves what cannot be read where it is and begins anew beside it. */
  beginBeside(): void {
    this.failure = '';
    this.status = 'no project';
  }

  /** Keeps a project that is new here and shows it. */
  async begin(project: Project): Promise<void> {
    let revision = 0;
    try {
      revision = await this.repository.add(project);
    } catch (error) {
      this.saved = 'failed';
      this.failure = sentenceOf(error);
    }
    this.show(project, revision);
  }

  async beginDemo(): Promise<void> {
    await this.begin(demoProject());
  }

  /** Packs a first kit for an empty project, in the worker, and shows it. */
  async beginPacked(project: Project): Promise<void> {
    await this.begin(await askJudge((judge) => judge.packFirst(project)));
  }

  /** Packs a first kit into the empty plan shown, as one act that undo takes back. */
  async packPlan(): Promise<void> {
    const project = this.project;
    if (!project) return;
    const packed = activePlan(await askJudge((judge) => judge.packFirst(project)));
    // Somebody may have put something in while parts were tried.
    if (!this.plan || this.judgement?.kit.parts.length !== 0) return;
    const there = new Set(this.plan.lines.map(({ id }) => id));
    await this.act({
      type: 'together',
      acts: [
        ...packed.lines
          .filter(({ id }) => !there.has(id))
          .map((line): Act => ({ type: 'add line', line })),
        ...packed.rigs.map(({ sceneId, angleId, ...patch }): Act => ({
          type: 'set rig',
          sceneId,
          angleId,
          patch
        }))
      ]
    });
  }

  /** Does an act: at once on screen, then in the database, where it is logged for undo. */
  async act(act: Act): Promise<void> {
    const project = this.project;
    if (!project) return;
    try {
      this.take(applyAct(project, act));
    } catch (error) {
      this.failure = sentenceOf(error);
      return;
    }
    await this.write(() => this.repository.commit(project.id, act), true);
  }

  /** Writes a seller's answer on the part; everything is judged anew. */
  async answer({ field }: Question, value: number | string | boolean): Promise<void> {
    const gear = field && this.shelf.byId.get(field.gearId);
    if (gear) await this.act(answerAct(gear, field.key, value));
  }

  async undo(): Promise<void> {
    const id = this.project?.id;
    if (id !== undefined) await this.write(() => this.repository.undo(id));
  }

  /** What was done last, newest first. */
  async recentActs(): Promise<string[]> {
    return this.project ? this.repository.recentActs(this.project.id, 12) : [];
  }

  /** Takes back the last so many acts. */
  async undoLast(count: number): Promise<void> {
    for (let step = 0; step < count; step++) await this.undo();
  }

  async redo(): Promise<void> {
    const id = this.project?.id;
    if (id !== undefined) await this.write(() => this.repository.redo(id));
  }

  /** The satchel file of what is on screen; works even when the browser keeps nothing. */
  async exportText(): Promise<string> {
    if (!this.project) return '';
    const { makeSatchel, writeSatchel } = await files();
    return writeSatchel(makeSatchel(this.project, this.shelf));
  }

  /** Reads a satchel file; answers with sentences when it cannot, and then nothing has changed. */
  async importText(text: string): Promise<string[]> {
    const { projectFromSatchel, readSatchel } = await files();
    const reading = readSatchel(text);
    if (!reading.ok) return reading.faults.map(faultSentence);
    const project = projectFromSatchel(reading.file, catalogue);
    if (this.project && this.project.id === project.id)
      await this.act({ type: 'replace project', project });
    else await this.begin(project);
    return [];
  }

  /** Every project kept here in one ZIP. */
  async backup(): Promise<Uint8Array> {
    const { writeBackup } = await import('../core/formats/backup');
    const { makeSatchel } = await files();
    const projects = await this.repository.all();
    return writeBackup(projects.map((project) => makeSatchel(project, shelfOf(project))));
  }

  /** Takes every project of a backup, all or none; answers with sentences when it cannot. */
  async restore(bytes: Uint8Array): Promise<string[]> {
    const { readBackup } = await import('../core/formats/backup');
    const { projectFromSatchel } = await files();
    const reading = readBackup(bytes);
    if (!reading.ok) return reading.faults.map(faultSentence);
    const projects = reading.files.map((file) => projectFromSatchel(file, catalogue));
    const revision = await this.repository.addAll(projects);
    this.show(projects[0]!, revision);
    return [];
  }

  /** The projects kept here, the last changed first. */
  async list(): Promise<{ id: string; name: string }[]> {
    return this.repository.list();
  }

  async openProject(id: string): Promise<void> {
    const row = await this.repository.load(id);
    if (!row) return;
    await this.repository.setOpenId(id);
    this.show(row.project, row.revision);
  }

  /** Takes a project and its log away; the one changed last is opened in its place. */
  async dropProject(id: string): Promise<void> {
    try {
      this.dropped = (await this.repository.remove(id)) ?? this.dropped;
    } catch (error) {
      this.failure = sentenceOf(error);
      return;
    }
    if (this.project?.id !== id) return;
    const [next] = await this.repository.list();
    if (next) await this.openProject(next.id);
    else {
      this.watching?.unsubscribe();
      this.project = undefined;
      this.status = 'no project';
    }
  }

  /** Brings the project dropped last back, with its undo, and opens it. */
  async bringBack(): Promise<void> {
    const { dropped } = this;
    if (!dropped) return;
    try {
      await this.repository.putBack(dropped);
    } catch (error) {
      this.failure = sentenceOf(error);
      return;
    }
    this.dropped = undefined;
    await this.openProject(dropped.row.id);
  }

  /** Another plan that begins as one of these, shown at once. */
  async branchPlan(planId: string): Promise<void> {
    const plan = this.project?.plans.find((one) => one.id === planId);
    if (plan) await this.addPlan({ ...structuredClone(plan), name: `${plan.name}, branched` });
  }

  async beginPlan(): Promise<void> {
    await this.addPlan({ id: '', name: 'a new plan', lines: [], rigs: [] });
  }

  private async addPlan(plan: Plan): Promise<void> {
    const { plans } = this.project!;
    let number = plans.length + 1;
    while (plans.some(({ id }) => id === `plan-${number}`)) number += 1;
    const id = `plan-${number}`;
    await this.act({
      type: 'together',
      acts: [
        { type: 'add plan', plan: { ...plan, id } },
        { type: 'show plan', planId: id }
      ]
    });
  }

  forgetFailure(): void {
    this.failure = '';
  }

  private show(project: Project, revision: number): void {
    this.take(project, revision);
    this.status = 'ready';
    this.sceneId = project.scenes[0]?.id ?? '';
    this.watching?.unsubscribe();
    this.watching = liveQuery(async () => ({
      row: await this.repository.row(project.id),
      undoState: await this.repository.undoState(project.id)
    })).subscribe({
      next: ({ row, undoState }) => {
        this.undoState = undoState;
        // Our own writes are on screen already; another tab's come in once ours are through.
        if (row && this.pending === 0 && row.revision !== this.revision)
          this.take(row.project, row.revision);
      },
      error: (error) => {
        this.saved = 'failed';
        this.failure = sentenceOf(error);
      }
    });
  }

  private take(project: Project, revision = this.revision): void {
    this.project = project;
    this.revision = revision;
    if (!project.scenes.some((scene) => scene.id === this.sceneId))
      this.sceneId = project.scenes[0]?.id ?? '';
    void this.settle(project);
  }

  private async write(work: () => Promise<ProjectRow | undefined>, shown = false): Promise<void> {
    this.pending += 1;
    const expected = this.revision + this.pending;
    this.saved = 'saving';
    try {
      const kept = await work();
      this.pending -= 1;
      if (this.pending === 0) {
        // With no other tab between, what is kept is what is on screen.
        if (kept && shown && kept.revision === expected) this.revision = kept.revision;
        else if (kept) this.take(kept.project, kept.revision);
        this.saved = 'saved';
      }
    } catch (error) {
      this.pending -= 1;
      this.saved = 'failed';
      this.failure = sentenceOf(error);
    }
  }

  /** Asks the worker for remedies; a newer question makes an older answer stale. */
  async settleAgain(): Promise<void> {
    if (this.project) await this.settle(this.project);
  }

  private async settle(project: Project): Promise<void> {
    const round = ++this.settleRound;
    this.settling = true;
    this.settleFailure = '';
    try {
      const settled = await askJudge((judge) => judge.settle(asOfToday(project)));
      if (round !== this.settleRound) return;
      this.remedies = settled.remedies;
      this.joints = settled.joints;
      this.questions = settled.questions;
    } catch (error) {
      if (round !== this.settleRound) return;
      this.settleFailure = sentenceOf(error);
    }
    this.settling = false;
  }
}

export const satchel = new ProjectStore();
