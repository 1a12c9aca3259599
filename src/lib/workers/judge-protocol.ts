import type { Candidate } from '../core/judge/candidates';
import type { JointsClosed } from '../core/judge/close-joints';
import type { DisputeView } from '../core/judge/disputes';
import type { Question } from '../core/judge/questions';
import type { Remedy } from '../core/judge/settle';
import type { CsvReading, CsvDefaults } from '../core/formats/csv-columns';
import type { Pocket } from '../core/model/pocket';
import type { Project } from '../core/model/project';

/** A part of what settles a kit, told as soon as it is known. */
export interface SettledPart {
  /** By the finding's key. */
  remedies?: Record<string, Remedy[]>;
  joints?: JointsClosed;
  /** What to ask a seller, what could move the verdict most first. */
  questions?: Question[];
}

/** What became of a job: done, or given up because another of its kind was asked for. */
export interface Outcome<T> {
  cancelled: boolean;
  done: T | undefined;
}

/**
 * What the judging worker answers. Everything that passes is plain data. What somebody looks at is
 * computed first; asking again for the same kind of thing cancels what was asked before.
 */
export interface JudgeWorker {
  /** Remedies of every finding, those on screen first, then all joints closed and the questions. */
  settle(
    project: Project,
    visible: readonly string[],
    onpart: (part: SettledPart) => void
  ): Promise<Outcome<void>>;
  /** Remedies of one finding, at once; undefined when it is not found. */
  remediesOf(project: Project, findingKey: string): Promise<Remedy[] | undefined>;
  /** Every part of a pocket judged in the whole kit; the first of them as soon as they are. */
  candidates(
    project: Project,
    pocket: Pocket,
    onfirst: (first: Candidate[]) => void
  ): Promise<Outcome<Candidate[]>>;
  /** One part of a pocket judged in the whole kit, at once. */
  candidate(project: Project, gearId: string): Promise<Candidate | undefined>;
  /** Nobody looks at candidates any more. */
  leavePocket(): void;
  /** Where practitioners disagree about this kit, and what going the other way would do. */
  disputes(project: Project, where?: 'brief' | Pocket): Promise<DisputeView[]>;
  /** A first kit within the limit. */
  packFirst(project: Project): Promise<Project>;
  /** Rows of a spreadsheet as parts, with its progress from 0 to 1; asking again or stopping cancels. */
  readRows(
    headers: readonly string[],
    rows: readonly (readonly string[])[],
    columns: readonly (string | undefined)[],
    defaults: CsvDefaults,
    onprogress: (share: number) => void
  ): Promise<Outcome<CsvReading>>;
  stopReadingRows(): void;
  /** Writes the whole of a project anew, so that few small writes lie behind it. */
  takeSnapshot(projectId: string): Promise<void>;
}
