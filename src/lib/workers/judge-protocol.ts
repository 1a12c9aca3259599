import type { Candidate } from '../core/judge/candidates';
import type { Remedy } from '../core/judge/settle';
import type { Pocket } from '../core/model/pocket';
import type { Project } from '../core/model/project';

/** What the judging worker answers. Everything that passes is plain data. */
export interface JudgeWorker {
  /** Remedies of every finding that stands, by the finding's key. */
  settle(project: Project): Promise<Record<string, Remedy[]>>;
  /** Every part of a pocket judged in the whole kit. */
  candidates(project: Project, pocket: Pocket): Promise<Candidate[]>;
  /** A first kit within the limit. */
  packFirst(project: Project): Promise<Project>;
}
