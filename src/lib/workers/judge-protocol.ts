import type { Candidate } from '../core/judge/candidates';
import type { JointsClosed } from '../core/judge/close-joints';
import type { Remedy } from '../core/judge/settle';
import type { Pocket } from '../core/model/pocket';
import type { Project } from '../core/model/project';

/** Ways to settle each finding, and all open joints closed at once. */
export interface Settled {
  remedies: Record<string, Remedy[]>;
  joints: JointsClosed;
}

/** What the judging worker answers. Everything that passes is plain data. */
export interface JudgeWorker {
  /** Remedies of every finding that stands, by the finding's key. */
  settle(project: Project): Promise<Settled>;
  /** Every part of a pocket judged in the whole kit. */
  candidates(project: Project, pocket: Pocket): Promise<Candidate[]>;
  /** A first kit within the limit. */
  packFirst(project: Project): Promise<Project>;
}
