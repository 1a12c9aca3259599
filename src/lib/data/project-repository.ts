import { applyPatches, type Patch } from '../core/acts/drafts';
import type { Act } from '../core/acts/act';
import { actWords } from '../core/acts/act-words';
import { applyRecorded } from '../core/acts/record-act';
import type { Project } from '../core/model/project';
import { shelfOf } from '../catalogue/load-catalogue';
import {
  CHECKS,
  type CopyRow,
  type FileMark,
  type HeadRow,
  type SatchelDatabase,
  type StepRow
} from './database';
import { OwnedPiecesRepository } from './owned-pieces-repository';
import { TakesRepository } from './takes-repository';
import { PracticeRepository } from './practice-repository';
import { TickRepository } from './tick-repository';
import { type CopyHead, ProjectCopies } from './project-copies';
import { type KeptProject, ProjectReader, type UndoState } from './project-reader';
import { all, looksLikeProject, StoredProjectError } from './stored-project';

/** The log grows no longer than this; older acts can no longer be undone. */
const MOST_STEPS = 500;
/** So many small writes are gone through when a project is opened; past it a snapshot is due. */
const MOST_JOURNAL = 64;
/** Files a project has passed through that are remembered. */
const MOST_MARKS = 50;

/** A project to keep, with the files it has passed through. */
export interface IncomingProject {
  project: Project;
  marks: readonly string[];
}

const marksAt = (marks: readonly string[], revision: number): FileMark[] =>
  marks.slice(-MOST_MARKS).map((id) => ({ id, revision }));

/**
 * Reads and writes projects. A write is one transaction: a small patch in the journal, a step in the
 * log, and the head. The snapshot is written anew only now and then.
 */
export class ProjectRepository extends ProjectReader {
  private readonly copiesKept: ProjectCopies;
  /** Attempts at setting a camera by hand: the person's, not a project's. */
  readonly practice: PracticeRepository;
  /** What is ticked on the cards. */
  readonly ticks: TickRepository;
  /** What the person owns, beside all projects. */
  readonly pieces: OwnedPiecesRepository;
  readonly takes: TakesRepository;

  constructor(db: SatchelDatabase) {
    super(db);
    this.copiesKept = new ProjectCopies(db);
    this.practice = new PracticeRepository(db);
    this.ticks = new TickRepository(db);
    this.pieces = new OwnedPiecesRepository(db);
    this.takes = new TakesRepository(db);
  }

  private get tables() {
    const { heads, projects, journal, log, copies, settings } = this.db;
    return [heads, projects, journal, log, copies, settings];
  }

  async openId(): Promise<string | undefined> {
    return (await this.db.settings.get('open project'))?.value;
  }

  async setOpenId(id: string): Promise<void> {
    await this.db.settings.put({ key: 'open project', value: id });
  }

  /** Keeps projects that are not here yet in one transaction and opens the first. @throws when an id is taken */
  async addAll(incoming: readonly IncomingProject[]): Promise<void> {
    await this.db.transaction('rw', this.tables, async () => {
      for (const project of incoming) await this.addOne(project);
      if (incoming[0]) await this.setOpenId(incoming[0].project.id);
    });
  }

  private async addOne({ project, marks }: IncomingProject): Promise<void> {
    const { id } = project;
    if (await this.db.heads.get(id)) throw new Error(`A project "${id}" is already saved here.`);
    await this.db.projects.put({ id, project, revision: 1, checkedAs: CHECKS });
    await this.db.heads.put({
      id,
      name: project.name,
      savedAt: Date.now(),
      revision: 1,
      position: 0,
      top: 0,
      marks: marksAt(marks, 1)
    });
  }

  /** Keeps one project that is not here yet, and opens it. */
  async add(project: Project, marks: readonly string[] = []): Promise<KeptProject> {
    await this.addAll([{ project, marks }]);
    return (await this.load(project.id))!;
  }

  /** An id like the one given that no project here has. */
  async freeId(wanted: string): Promise<string> {
    const taken = new Set(await this.db.heads.toCollection().primaryKeys());
    let id = wanted;
    for (let number = 2; taken.has(id); number++) id = `${wanted.slice(0, 50)}-${number}`;
    return id;
  }

  /**
   * Puts another project in the place of the one kept under its id. The one replaced is kept as a copy,
   * and where it could be read the replacing is an act that undo takes back.
   */
  async replace({ project, marks }: IncomingProject): Promise<void> {
    // Before the transaction, which would not wait for the checks to be fetched.
    const known = await this.load(project.id).catch(() => undefined);
    await this.db.transaction('rw', this.tables, async () => {
      await this.copiesKept.keep(project.id, await this.raw(project.id), 'replaced');
      const kept = known && (await this.load(project.id));
      if (kept) {
        const { head } = await this.commit(kept, { type: 'replace project', project });
        await this.db.heads.update(project.id, { marks: marksAt(marks, head.revision) });
      } else {
        await this.forget(project.id);
        await this.addOne({ project, marks });
      }
      await this.setOpenId(project.id);
    });
  }

  /** Takes a project away, with its log; it is kept as a copy for a while. */
  async remove(id: string): Promise<CopyRow | undefined> {
    return this.db.transaction('rw', this.tables, async () => {
      const copy = await this.copiesKept.keep(id, await this.raw(id), 'deleted');
      await this.forget(id);
      if ((await this.openId()) === id) await this.db.settings.delete('open project');
      return copy;
    });
  }

  private async forget(id: string): Promise<void> {
    await this.db.heads.delete(id);
    await this.db.projects.delete(id);
    await this.db.journal
      .where(':id')
      .between(...all(id))
      .delete();
    await this.db.log
      .where(':id')
      .between(...all(id))
      .delete();
  }

  /** Copies of what was replaced or deleted, the newest first; those whose time is over are dropped. */
  copies(now?: number): Promise<CopyHead[]> {
    return this.copiesKept.list(now);
  }

  /** Puts a copy back, its log too, and opens it: under its own id where that is free, else beside what is there. */
  async putBack(number: number): Promise<string | undefined> {
    return this.db.transaction('rw', this.tables, async () => {
      const copy = await this.db.copies.get(number);
      if (!copy) return undefined;
      const { head, row, steps } = copy;
      const id = await this.freeId(copy.projectId);
      const project =
        id === copy.projectId || !looksLikeProject(row.project)
          ? row.project
          : { ...row.project, id };
      await this.db.projects.put({ ...row, id, project });
      await this.db.heads.put({ ...head, id, savedAt: Date.now(), revision: row.revision });
      await this.db.log.bulkPut(steps.map((step) => ({ ...step, projectId: id })));
      await this.db.copies.delete(number);
      await this.setOpenId(id);
      return id;
    });
  }

  /** Notes that a project as it is now has gone out into a file. Answers with every mark the file carries. */
  async mark(id: string, mark: string): Promise<string[]> {
    return this.db.transaction('rw', this.db.heads, async () => {
      const head = await this.db.heads.get(id);
      if (!head) return [mark];
      const marks = [...head.marks, { id: mark, revision: head.revision }].slice(-MOST_MARKS);
      await this.db.heads.update(id, { marks });
      return marks.map((mark) => mark.id);
    });
  }

  /**
   * Applies an act to what is kept now, which may be newer than what this tab knows, and logs it.
   * @param known the project as this tab last saw it in the database
   * @throws ActError when the act names what another tab has taken away
   */
  async commit(known: KeptProject, act: Act): Promise<KeptProject> {
    return this.write(known, async ({ project, head }) => {
      const { project: next, change } = applyRecorded(project, act);
      if (change.patches.length === 0) return undefined;
      const label = actWords(act, project, shelfOf(project));
      const step = { projectId: head.id, position: head.position, at: Date.now(), label, change };
      if (head.top > head.position)
        await this.db.log
          .where(':id')
          .between([head.id, head.position], [head.id, Infinity])
          .delete();
      return {
        project: next,
        patches: change.patches,
        position: head.position + 1,
        top: head.position + 1,
        step,
        words: { undo: label, redo: undefined }
      };
    });
  }

  async undo(known: KeptProject): Promise<KeptProject> {
    return this.turn(known, 'undo');
  }

  async redo(known: KeptProject): Promise<KeptProject> {
    return this.turn(known, 'redo');
  }

  private async turn(known: KeptProject, way: 'undo' | 'redo'): Promise<KeptProject> {
    const kept = await this.write(known, async ({ project, head }) => {
      const position = way === 'undo' ? head.position - 1 : head.position;
      const step =
        position < 0 || position >= head.top
          ? undefined
          : await this.db.log.get([head.id, position]);
      if (!step) return undefined;
      const patches = way === 'undo' ? step.change.inverse : step.change.patches;
      return {
        project: applyPatches(project, patches),
        patches,
        position: way === 'undo' ? position : position + 1,
        top: head.top
      };
    });
    return this.withWords(kept);
  }

  /** One change in one transaction, on what is kept then. */
  private async write(
    known: KeptProject,
    change: (now: KeptProject) => Promise<
      | {
          project: Project;
          patches: Patch[];
          position: number;
          top: number;
          step?: StepRow;
          words?: UndoState;
        }
      | undefined
    >
  ): Promise<KeptProject> {
    const { heads, projects, journal, log } = this.db;
    const { id } = known.head;
    return this.db.transaction('rw', heads, projects, journal, log, async () => {
      const head = await heads.get(id);
      if (!head)
        throw new StoredProjectError(
          'The project is not saved here any more; it may have been deleted in another tab.'
        );
      const now =
        head.revision === known.head.revision ? { ...known, head } : await this.since(known, head);
      const done = await change(now);
      if (!done) return now;
      const next: HeadRow = {
        ...head,
        name: done.project.name,
        savedAt: Date.now(),
        revision: head.revision + 1,
        position: done.position,
        top: done.top
      };
      await Promise.all([
        journal.add({ projectId: id, revision: next.revision, patches: done.patches }),
        done.step && log.put(done.step),
        heads.put(next)
      ]);
      return { project: done.project, head: next, undo: undefined, redo: undefined, ...done.words };
    });
  }

  /** True when so many writes lie behind the snapshot that a new one should be taken. */
  async snapshotIsDue(id: string): Promise<boolean> {
    return (
      (await this.db.journal
        .where(':id')
        .between(...all(id))
        .count()) >= MOST_JOURNAL
    );
  }

  /** Writes a snapshot of a project as it is and drops the journal before it; the log keeps its newest steps. */
  async takeSnapshot(id: string): Promise<void> {
    await this.db.transaction('rw', this.tables, async () => {
      const kept = await this.load(id);
      if (!kept) return;
      const { project, head } = kept;
      await this.db.projects.put({ id, project, revision: head.revision, checkedAs: CHECKS });
      await this.db.journal
        .where(':id')
        .between(...all(id))
        .delete();
      await this.db.log
        .where(':id')
        .between([id, -Infinity], [id, head.position - MOST_STEPS])
        .delete();
    });
  }
}
