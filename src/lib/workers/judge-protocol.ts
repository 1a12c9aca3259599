import type { Candidate } from '../core/judge/candidates';
import type { JointsClosed } from '../core/judge/close-joints';
import type { DisputeView } from '../core/judge/disputes';
import type { Question } from '../core/judge/questions';
import type { Remedy } from '../core/judge/settle';
import type { Pocket } from '../core/model/pocket';
import type { Project } from '../core/model/project';

/** Ways to settle each finding, and all open joints closed at once. */
export interface Settled {
  remedies: Record<string, Remedy[]>;
  joints: JointsClosed;
  /** What to ask a seller, what could move the verdict most first. */
  questions: Question[];
}

/** What the judging worker answers. Everything that passes is plain data. */
export interface JudgeWorker {
  /** Remedies of every finding that stands, by the finding's key. */
  settle(project: Project): Promise<Settled>;
  /** Every part of a pocket judged in the whole kit; the first of them as soon as they are. */
  candidates(
    project: Project,
    pocket: Pocket,
    onfirst: (first: Candidate[]) => void
  ): Promise<Candidate[]>;
  /** Where practitioners disagree about this kit, and what going the other way would do. */
  disputes(project: Project, where?: 'brief' | Pocket): Promise<DisputeView[]>;
  /** A first kit within the limit. */
  packFirst(project: Project): Promise<Project>;
}
