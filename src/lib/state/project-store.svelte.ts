import { liveQuery, type Subscription } from 'dexie';
import { catalogue, shelfOf } from '../catalogue/load-catalogue';
import { demoProject } from '../catalogue/demo-project';
import { ActError, applyAct } from '../core/acts/apply-act';
import type { Act } from '../core/acts/act';
import { faultSentence } from '../core/formats/faults';
import {
  makeSatchel,
  projectFromSatchel,
  readSatchel,
  writeSatchel
} from '../core/formats/satchel-file';
import { judgePlan } from '../core/judge/judge-plan';
import type { JointsClosed } from '../core/judge/close-joints';
import type { Remedy } from '../core/judge/settle';
import { activePlan, type Project } from '../core/model/project';
import { type ProjectRow, SatchelDatabase } from '../data/database';
import { ProjectRepository, type UndoState } from '../data/project-repository';
import { connectJudge } from '../workers/connect-judge';

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
  settling = $state(false);
  /** The scene the bag shows its pictures for. */
  sceneId = $state('');

  readonly shelf = $derived(this.project ? shelfOf(this.project) : catalogue);
  readonly plan = $derived(this.project && activePlan(this.project));
  readonly judgement = $derived(
    this.project && this.plan ? judgePlan(this.project, this.plan, this.shelf) : undefined
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
      this.status = 'failed';
      this.failure = sentenceOf(error);
    }
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
    await this.begin(await connectJudge().packFirst(project));
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

  async undo(): Promise<void> {
    const id = this.project?.id;
    if (id !== undefined) await this.write(() => this.repository.undo(id));
  }

  async redo(): Promise<void> {
    const id = this.project?.id;
    if (id !== undefined) await this.write(() => this.repository.redo(id));
  }

  /** The satchel file of what is on screen; works even when the browser keeps nothing. */
  exportText(): string {
    return this.project ? writeSatchel(makeSatchel(this.project, this.shelf)) : '';
  }

  /** Reads a satchel file; answers with sentences when it cannot, and then nothing has changed. */
  async importText(text: string): Promise<string[]> {
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
    const projects = await this.repository.all();
    return writeBackup(projects.map((project) => makeSatchel(project, shelfOf(project))));
  }

  /** Takes every project of a backup, all or none; answers with sentences when it cannot. */
  async restore(bytes: Uint8Array): Promise<string[]> {
    const { readBackup } = await import('../core/formats/backup');
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
  private async settle(project: Project): Promise<void> {
    const round = ++this.settleRound;
    this.settling = true;
    const settled = await connectJudge().settle(project);
    if (round !== this.settleRound) return;
    this.remedies = settled.remedies;
    this.joints = settled.joints;
    this.settling = false;
  }
}

export const satchel = new ProjectStore();
