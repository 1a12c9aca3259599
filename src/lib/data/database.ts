import Dexie, { type DexieOptions, type EntityTable, type Table } from 'dexie';
import type { Patch } from '../core/acts/drafts';
import type { RecordedChange } from '../core/acts/record-act';
import type { KeptTake } from '../core/proof/kept-take';
import type { OwnedPiece } from '../core/model/owned-piece';
import type { Project } from '../core/model/project';
import type { Attempt } from '../core/practise/attempt';

/** A moment at which a project went out into a file, or came in from one. */
export interface FileMark {
  id: string;
  /** The revision of the project at that moment. */
  revision: number;
}

/** What is known of a project without reading it: small, so that a write costs the same however large it is. */
export interface HeadRow {
  id: string;
  name: string;
  /** Milliseconds since 1970. */
  savedAt: number;
  /** Counts the writes, so that a tab knows its own from another's. */
  revision: number;
  /** How many acts of the log are done; those above it are undone and can be redone. */
  position: number;
  /** How many acts the log holds. */
  top: number;
  /** Files this project has passed through, oldest first. */
  marks: FileMark[];
}

/** A project as it was at one revision: whole, in one row. The journal tells what happened since. */
export interface ProjectRow {
  id: string;
  project: Project;
  revision: number;
  /** The checks the project has passed; older ones are passed again before it is trusted. */
  checkedAs: number;
}

/** Raised whenever the checks of the model change. */
export const CHECKS = 7;

/** One write since the snapshot, as a small patch. */
export interface JournalRow {
  projectId: string;
  revision: number;
  patches: Patch[];
}

/** One act in the log of a project, at its place in the log. Undone ones stay until another act is done. */
export interface StepRow {
  projectId: string;
  position: number;
  at: number;
  label: string;
  change: RecordedChange;
}

/** A project that was replaced or deleted, kept for a while with all that brings it back. */
export interface CopyRow {
  number: number;
  projectId: string;
  name: string;
  at: number;
  why: 'replaced' | 'deleted';
  /** As read from the database, checked or not. */
  head: HeadRow;
  row: ProjectRow;
  steps: StepRow[];
}

export interface SettingRow {
  key: 'open project' | 'theme';
  value: string;
}

/** One attempt at setting a camera by hand. It belongs to the person, not to a project. */
export type PracticeRow = Attempt & { number?: number };

/** What is ticked on the cards of one project. */
export interface TickRow {
  projectId: string;
  keys: string[];
}

/** A step of the log as versions 1 and 2 kept it. */
interface StepRowBefore3 {
  sequence: number;
  projectId: string;
  at: number;
  label: string;
  change: RecordedChange;
  undone: 0 | 1;
}

/** Everything the browser keeps. Upgrades are added below the versions that were, never in their place. */
export class SatchelDatabase extends Dexie {
  heads!: EntityTable<HeadRow, 'id'>;
  projects!: EntityTable<ProjectRow, 'id'>;
  journal!: Table<JournalRow, [string, number]>;
  log!: Table<StepRow, [string, number]>;
  copies!: EntityTable<CopyRow, 'number'>;
  settings!: EntityTable<SettingRow, 'key'>;
  practice!: Table<PracticeRow, number>;
  ticks!: EntityTable<TickRow, 'projectId'>;
  pieces!: EntityTable<OwnedPiece, 'id'>;
  takes!: EntityTable<KeptTake, 'id'>;

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
          .table('projects')
          .toCollection()
          .modify((row: { revision: number; checkedAs: number }) => {
            row.revision = 1;
            row.checkedAs = 0;
          })
      );
    this.version(3)
      .stores({
        heads: 'id, savedAt',
        projects: 'id',
        journal: '[projectId+revision]',
        log: '[projectId+position]',
        copies: '++number, projectId, at'
      })
      .upgrade(async (old) => {
        const rows = await old
          .table<ProjectRow & { savedAt: number }, string>('projects')
          .toArray();
        for (const { id, project, revision, savedAt } of rows) {
          const steps = await old
            .table<StepRowBefore3, number>('steps')
            .where('projectId')
            .equals(id)
            .sortBy('sequence');
          await old.table<StepRow>('log').bulkPut(
            steps.map(({ projectId, at, label, change }, position) => ({
              projectId,
              position,
              at,
              label,
              change
            }))
          );
          const name = (project as Partial<Project> | null)?.name;
          await old.table<HeadRow>('heads').put({
            id,
            name: typeof name === 'string' ? name : id,
            savedAt,
            revision,
            position: steps.filter(({ undone }) => undone === 0).length,
            top: steps.length,
            marks: []
          });
        }
      });
    this.version(4).stores({ steps: null });
    // Fields, kinds and forms are called as version 2 of the file calls them, in the log too.
    this.version(5).upgrade(async (old) => {
      // Few databases are this old: the others need not load what brings them forward.
      const { renamed, renamedPatches } = await Dexie.waitFor(
        import('../core/formats/names-of-version-1')
      );
      await old
        .table<ProjectRow>('projects')
        .toCollection()
        .modify((row) => {
          row.project = renamed(row.project) as Project;
          row.checkedAs = 0;
        });
      await old
        .table<JournalRow>('journal')
        .toCollection()
        .modify((row) => {
          row.patches = renamedPatches(row.patches);
        });
      const steps = (row: { change: RecordedChange }) => {
        row.change = {
          patches: renamedPatches(row.change.patches),
          inverse: renamedPatches(row.change.inverse)
        };
      };
      await old.table<StepRow>('log').toCollection().modify(steps);
      await old
        .table<CopyRow>('copies')
        .toCollection()
        .modify((copy) => {
          copy.row.project = renamed(copy.row.project) as Project;
          copy.row.checkedAs = 0;
          copy.steps.forEach(steps);
        });
    });
    this.version(6).stores({ practice: '++number, at', ticks: 'projectId' });
    this.version(7).stores({ pieces: 'id, gearId' });
    this.version(8).stores({ takes: 'id, projectId' });
  }
}
