import { applyPatches, type Patch } from '../core/acts/drafts';
import type { CopyRow, SatchelDatabase, StepRow } from './database';
import type { RawProject } from './stored-project';

/** What was replaced or deleted is kept this long. */
export const COPY_DAYS = 30;
const DAY_MS = 24 * 60 * 60 * 1000;

/** What a list of copies shows of one. */
export type CopyHead = Pick<CopyRow, 'number' | 'projectId' | 'name' | 'at' | 'why'>;

/** What was replaced or deleted, put aside for a while. */
export class ProjectCopies {
  constructor(private readonly db: SatchelDatabase) {}

  /** Puts a project aside as it lies there, where there is anything of it. */
  async keep(
    id: string,
    { head, row, journal, log }: RawProject,
    why: CopyRow['why']
  ): Promise<CopyRow | undefined> {
    if (!head || !row) return undefined;
    let { project, revision } = row;
    try {
      for (const { patches } of journal as { patches: Patch[] }[])
        project = applyPatches(project, patches);
      revision = head.revision;
    } catch {
      // What cannot be read goes into the copy as it lies there.
    }
    const copy = {
      projectId: id,
      name: head.name,
      at: Date.now(),
      why,
      head,
      row: { ...row, project, revision },
      steps: log as StepRow[]
    };
    const number = await this.db.copies.add(copy as CopyRow);
    return { ...copy, number };
  }

  /** Copies of what was replaced or deleted, the newest first; those whose time is over are dropped. */
  async list(now = Date.now()): Promise<CopyHead[]> {
    await this.db.copies
      .where('at')
      .below(now - COPY_DAYS * DAY_MS)
      .delete();
    const copies = await this.db.copies.orderBy('at').reverse().toArray();
    return copies.map(({ number, projectId, name, at, why }) => ({
      number,
      projectId,
      name,
      at,
      why
    }));
  }
}
