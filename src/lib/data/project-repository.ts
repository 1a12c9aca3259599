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
import { type CopyHead, ProjectCopies } from './project-copies';
import {
  all,
  checkedProject,
  looksLikeProject,
  type RawProject,
  StoredProjectError
} from './stored-project';

/** The log grows no longer than this; older acts can no longer be undone. */
const MOST_STEPS = 500;
/** So many small writes are gone through when a project is opened; past it a snapshot is due. */
const MOST_JOURNAL = 64;
/** Files a project has passed through that are remembered. */
const MOST_MARKS = 50;

/** What can be undone and redone next, in words. */
export interface UndoState {
  undo: string | undefined;
  redo: string | undefined;
}

/** A project as the database holds it. */
export interface KeptProject extends UndoState {
  project: Project;
  head: HeadRow;
}

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
export class ProjectRepository {
  private readonly copiesKept: ProjectCopies;

  constructor(private readonly db: SatchelDatabase) {
    this.copiesKept = new ProjectCopies(db);
  }

  private get tables() {
    const { heads, projects, journal, log, copies, settings } = this.db;
    return [heads, projects, journal, log, copies, settings];
  }

  /** Every project kept here, the last changed first. Nothing but the heads is read. */
  async list(): Promise<{ id: string; name: string; savedAt: number }[]> {
    const heads = await this.db.heads.orderBy('savedAt').reverse().toArray();
    return heads.map(({ id, name, savedAt }) => ({ id, name, savedAt }));
  }

  /** The project as kept, checked when no check has passed it yet. @throws StoredProjectError */
  async load(id: string): Promise<KeptProject | undefined> {
    const { head, row, journal } = await this.db.transaction(
      'r',
      this.db.heads,
      this.db.projects,
      this.db.journal,
      async () => {
        const [head, row] = await Promise.all([this.db.heads.get(id), this.db.projects.get(id)]);
        const since = row ? row.revision + 1 : 0;
        const journal = await this.db.journal
          .where(':id')
          .between([id, since], [id, Infinity])
          .toArray();
        return { head, row, journal };
      }
    );
    if (!head && !row) return undefined;
    if (!head || !row) throw new StoredProjectError('Part of the saved project is missing.');
    let project =
      row.checkedAs === CHECKS && looksLikeProject(row.project)
        ? row.project
        : await checkedProject(this.db, row);
    try {
      for (const { patches } of journal) project = applyPatches(project, patches);
    } catch (error) {
      throw new StoredProjectError(
        `A saved change cannot be read: ${error instanceof Error ? error.message : String(error)}`
      );
    }
    if (journal.length > 0 && !looksLikeProject(project))
      throw new StoredProjectError('The saved project cannot be read after its last changes.');
    return this.withWords({ project, head });
  }

  private async withWords({
    project,
    head
  }: {
    project: Project;
    head: HeadRow;
  }): Promise<KeptProject> {
    const [undo, redo] = await Promise.all([
      head.position > 0 ? this.db.log.get([head.id, head.position - 1]) : undefined,
      head.position < head.top ? this.db.log.get([head.id, head.position]) : undefined
    ]);
    return { project, head, undo: undo?.label, redo: redo?.label };
  }

  /** Everything kept of a project as it lies there, readable or not. */
  async raw(id: string): Promise<RawProject> {
    const [head, row, journal, log] = await Promise.all([
      this.db.heads.get(id),
      this.db.projects.get(id),
      this.db.journal
        .where(':id')
        .between(...all(id))
        .toArray(),
      this.db.log
        .where(':id')
        .between(...all(id))
        .toArray()
    ]);
    return { head, row, journal, log };
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
      for (const one of incoming) await this.addOne(one);
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
      return marks.map((one) => one.id);
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
      const at = way === 'undo' ? head.position - 1 : head.position;
      const step = at < 0 || at >= head.top ? undefined : await this.db.log.get([head.id, at]);
      if (!step) return undefined;
      const patches = way === 'undo' ? step.change.inverse : step.change.patches;
      return {
        project: applyPatches(project, patches),
        patches,
        position: way === 'undo' ? at : at + 1,
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

  /** What another tab has written since, on top of what this one knows; from the snapshot where that is newer. */
  private async since(known: KeptProject, head: HeadRow): Promise<KeptProject> {
    const rows = await this.db.journal
      .where(':id')
      .between([head.id, known.head.revision + 1], [head.id, Infinity])
      .toArray();
    if (rows.length === 0 || rows.length !== head.revision - known.head.revision)
      return (await this.load(head.id))!;
    let { project } = known;
    for (const { patches } of rows) project = applyPatches(project, patches);
    return { project, head, undo: undefined, redo: undefined };
  }

  /** What was done last and can be undone, newest first, in words. */
  async recentActs(projectId: string, most: number): Promise<string[]> {
    const head = await this.db.heads.get(projectId);
    if (!head) return [];
    const steps = await this.db.log
      .where(':id')
      .between([projectId, Math.max(0, head.position - most)], [projectId, head.position])
      .toArray();
    return steps.reverse().map(({ label }) => label);
  }

  /** The head, for watching. */
  head(projectId: string): Promise<HeadRow | undefined> {
    return this.db.heads.get(projectId);
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

  /** Every project kept here, those that cannot be read as they lie there; in the order of their ids. */
  async everything(): Promise<{ id: string; kept?: KeptProject; raw?: RawProject }[]> {
    const ids = await this.db.heads.toCollection().primaryKeys();
    return Promise.all(
      ids.map(async (id) => {
        try {
          const kept = await this.load(id);
          if (kept) return { id, kept };
        } catch {
          // Told by what is handed out in its place.
        }
        return { id, raw: await this.raw(id) };
      })
    );
  }
}
