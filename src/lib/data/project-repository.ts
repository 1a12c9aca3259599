import type { Act } from '../core/acts/act';
import { actWords } from '../core/acts/act-words';
import { applyRecorded, redoChange, undoChange } from '../core/acts/record-act';
import type { Project } from '../core/model/project';
import { shelfOf } from '../catalogue/load-catalogue';
import { CHECKS, type ProjectRow, type SatchelDatabase, type StepRow } from './database';

/** The log grows no longer than this; older acts can no longer be undone. */
const MOST_STEPS = 500;

/** What is kept cannot be read as a project any more. */
export class StoredProjectError extends Error {}

/** What can be undone and redone next, in words. */
export interface UndoState {
  undo: string | undefined;
  redo: string | undefined;
}

/** A project taken away, with all that brings it back. */
export interface RemovedProject {
  row: ProjectRow;
  steps: StepRow[];
}

function rowOf(project: Project, revision: number): ProjectRow {
  return { id: project.id, project, savedAt: Date.now(), revision, checkedAs: CHECKS };
}

/** Reads and writes whole projects. Every write is one transaction over the project and its log. */
export class ProjectRepository {
  constructor(private readonly db: SatchelDatabase) {}

  async list(): Promise<{ id: string; name: string; savedAt: number }[]> {
    const rows = await this.db.projects.orderBy('savedAt').reverse().toArray();
    return rows.map(({ id, project, savedAt }) => ({ id, name: project.name, savedAt }));
  }

  /** The row as kept; a project older than the checks is checked before anything trusts it. @throws StoredProjectError */
  async load(id: string): Promise<ProjectRow | undefined> {
    const row = await this.db.projects.get(id);
    if (!row || row.checkedAs === CHECKS) return row;
    // Checking is fetched only for what an older build has kept.
    const { checkProject } = await import('../core/formats/satchel-file');
    const { faultSentence } = await import('../core/formats/faults');
    const faults = checkProject(row.project, 'project');
    if (faults.length > 0) {
      throw new StoredProjectError(
        `The project kept here cannot be read: ${faults.slice(0, 3).map(faultSentence).join(' ')}`
      );
    }
    await this.db.projects.update(id, { checkedAs: CHECKS });
    return { ...row, checkedAs: CHECKS };
  }

  /** The row opened last, unchecked. */
  async openAsKept(): Promise<unknown> {
    const id = await this.openId();
    return id === undefined ? undefined : this.db.projects.get(id);
  }

  /** Every project kept here, in the order of their ids. */
  async all(): Promise<Project[]> {
    return (await this.db.projects.orderBy('id').toArray()).map(({ project }) => project);
  }

  /** Keeps several projects in one transaction and opens the first. */
  async addAll(projects: readonly Project[]): Promise<number> {
    return this.db.transaction(
      'rw',
      this.db.projects,
      this.db.steps,
      this.db.settings,
      async () => {
        let first = 0;
        for (const project of [...projects].reverse()) first = await this.add(project);
        return first;
      }
    );
  }

  /** Takes a project away, with its log. */
  async remove(id: string): Promise<RemovedProject | undefined> {
    const tables = [this.db.projects, this.db.steps, this.db.settings];
    return this.db.transaction('rw', tables, async () => {
      const row = await this.db.projects.get(id);
      const steps = await this.db.steps.where('projectId').equals(id).toArray();
      await this.db.projects.delete(id);
      await this.db.steps.where('projectId').equals(id).delete();
      if ((await this.openId()) === id) await this.db.settings.delete('open project');
      return row && { row, steps };
    });
  }

  /** Puts a removed project back as it was, its log too, and opens it. */
  async putBack({ row, steps }: RemovedProject): Promise<void> {
    const tables = [this.db.projects, this.db.steps, this.db.settings];
    await this.db.transaction('rw', tables, async () => {
      await this.db.projects.put(row);
      await this.db.steps.bulkPut(steps);
      await this.setOpenId(row.id);
    });
  }

  async openId(): Promise<string | undefined> {
    return (await this.db.settings.get('open project'))?.value;
  }

  async setOpenId(id: string): Promise<void> {
    await this.db.settings.put({ key: 'open project', value: id });
  }

  /** Keeps a project that was not here before, and opens it. */
  async add(project: Project): Promise<number> {
    return this.db.transaction(
      'rw',
      this.db.projects,
      this.db.steps,
      this.db.settings,
      async () => {
        await this.db.steps.where('projectId').equals(project.id).delete();
        const before = await this.db.projects.get(project.id);
        const revision = (before?.revision ?? 0) + 1;
        await this.db.projects.put(rowOf(project, revision));
        await this.db.settings.put({ key: 'open project', value: project.id });
        return revision;
      }
    );
  }

  /**
   * Applies an act to what is kept now, which may be newer than what this tab shows, and logs it.
   * @throws ActError when the act names what another tab has taken away
   */
  async commit(projectId: string, act: Act): Promise<ProjectRow> {
    return this.db.transaction('rw', this.db.projects, this.db.steps, async () => {
      const row = await this.rowOf(projectId);
      const { project, change } = applyRecorded(row.project, act);
      if (change.patches.length === 0) return row;
      const label = actWords(act, row.project, shelfOf(row.project));
      await this.db.steps.where({ projectId, undone: 1 }).delete();
      await this.db.steps.add({ projectId, at: Date.now(), label, change, undone: 0 } as StepRow);
      await this.forgetOldSteps(projectId);
      return this.write(project, row);
    });
  }

  async undo(projectId: string): Promise<ProjectRow | undefined> {
    return this.turn(projectId, 0);
  }

  async redo(projectId: string): Promise<ProjectRow | undefined> {
    return this.turn(projectId, 1);
  }

  async undoState(projectId: string): Promise<UndoState> {
    const [undo, redo] = await Promise.all([
      this.lastStep(projectId, 0),
      this.lastStep(projectId, 1)
    ]);
    return { undo: undo?.label, redo: redo?.label };
  }

  /** What was done last and can be undone, newest first, in words. */
  async recentActs(projectId: string, most: number): Promise<string[]> {
    const steps = await this.db.steps.where({ projectId, undone: 0 }).reverse().sortBy('sequence');
    return steps.slice(0, most).map(({ label }) => label);
  }

  /** The kept row, for watching. */
  row(projectId: string): Promise<ProjectRow | undefined> {
    return this.db.projects.get(projectId);
  }

  private async write(project: Project, before: ProjectRow): Promise<ProjectRow> {
    const row = rowOf(project, before.revision + 1);
    await this.db.projects.put(row);
    return row;
  }

  private async rowOf(projectId: string): Promise<ProjectRow> {
    const row = await this.db.projects.get(projectId);
    if (!row)
      throw new StoredProjectError(
        'The project is not kept here any more; it may have been deleted in another tab.'
      );
    return row;
  }

  private async lastStep(projectId: string, undone: 0 | 1): Promise<StepRow | undefined> {
    const steps = await this.db.steps.where({ projectId, undone }).sortBy('sequence');
    // Undone steps wait in the order they were done: the earliest of them comes back first.
    return undone === 0 ? steps.at(-1) : steps[0];
  }

  private async turn(projectId: string, undone: 0 | 1): Promise<ProjectRow | undefined> {
    return this.db.transaction('rw', this.db.projects, this.db.steps, async () => {
      const step = await this.lastStep(projectId, undone);
      if (!step) return undefined;
      const row = await this.rowOf(projectId);
      const project =
        undone === 0 ? undoChange(row.project, step.change) : redoChange(row.project, step.change);
      await this.db.steps.update(step.sequence, { undone: undone === 0 ? 1 : 0 });
      return this.write(project, row);
    });
  }

  private async forgetOldSteps(projectId: string): Promise<void> {
    const count = await this.db.steps.where('projectId').equals(projectId).count();
    if (count <= MOST_STEPS) return;
    const oldest = await this.db.steps
      .where('projectId')
      .equals(projectId)
      .limit(count - MOST_STEPS)
      .primaryKeys();
    await this.db.steps.bulkDelete(oldest);
  }
}
