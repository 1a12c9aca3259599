import Dexie, { type DexieOptions, type EntityTable } from 'dexie';
import type { RecordedChange } from '../core/acts/record-act';
import type { Project } from '../core/model/project';

/** A project as kept: whole, in one row, so that a write is either all there or not at all. */
export interface ProjectRow {
  id: string;
  project: Project;
  /** Milliseconds since 1970. */
  savedAt: number;
  /** Counts the writes, so that a tab knows its own from another's. */
  revision: number;
  /** The checks the project has passed; older ones are passed again before it is trusted. */
  checkedAs: number;
}

/** Raised whenever the checks of the model change. */
export const CHECKS = 2;

/** One act in the log of a project. Undone steps stay until another act is done. */
export interface StepRow {
  sequence: number;
  projectId: string;
  at: number;
  label: string;
  change: RecordedChange;
  undone: 0 | 1;
}

export interface SettingRow {
  key: 'open project' | 'theme';
  value: string;
}

/** Everything the browser keeps. Upgrades are added below the versions that were, never in their place. */
export class SatchelDatabase extends Dexie {
  projects!: EntityTable<ProjectRow, 'id'>;
  steps!: EntityTable<StepRow, 'sequence'>;
  settings!: EntityTable<SettingRow, 'key'>;

  /** @param memory stands in for the browser's own database where that is refused */
  constructor(name = 'hearty-satchel', memory?: Pick<DexieOptions, 'indexedDB' | 'IDBKeyRange'>) {
    super(name, memory);
    this.version(1).stores({
      projects: 'id, savedAt',
      steps: '++sequence, projectId, [projectId+undone]',
      settings: 'key'
    });
    this.version(2)
      .stores({ projects: 'id, savedAt' })
      .upgrade((old) =>
        old
          .table<ProjectRow>('projects')
          .toCollection()
          .modify((row) => {
            row.revision = 1;
            row.checkedAs = 0;
          })
      );
  }
}
