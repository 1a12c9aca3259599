import { applyPatches } from '../core/acts/drafts';
import type { Project } from '../core/model/project';
import { CHECKS, type HeadRow, type SatchelDatabase } from './database';
import {
  all,
  checkedProject,
  looksLikeProject,
  type RawProject,
  StoredProjectError
} from './stored-project';

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

/** Reads projects: a snapshot and the journal since it, checked where no check has passed it yet. */
export class ProjectReader {
  constructor(protected readonly db: SatchelDatabase) {}

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

  protected async withWords({
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

  /** What another tab has written since, on top of what this one knows; from the snapshot where that is newer. */
  protected async since(known: KeptProject, head: HeadRow): Promise<KeptProject> {
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
