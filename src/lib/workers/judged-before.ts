import { shelfOf } from '../catalogue/load-catalogue';
import { type ChosenRig, chooseRigs } from '../core/judge/best-rig/place-best-rigs';
import { type TrackedJudgement, trackJudgement } from '../core/judge/incremental';
import type { Judgement } from '../core/judge/judgement';
import { judgePlan } from '../core/judge/judge-plan';
import { activePlan } from '../core/model/active-plan';
import type { Project } from '../core/model/project';
import type { Shelf } from '../core/model/shelf';
import { keepEqual } from './keep-equal';

export interface JudgedProject {
  project: Project;
  shelf: Shelf;
  judgement: Judgement;
}

/**
 * The project a worker judged last. The next one it is asked about mostly differs in one act, so what does not differ
 * is neither chosen nor judged again.
 */
export class JudgedBefore {
  #last: JudgedProject | undefined;
  #received: Project | undefined;

  /** What came over is a copy: all that is in it as before is made the same as before, and what was found of it holds. */
  asBefore(project: Project): Project {
    return (this.#received = keepEqual(this.#received, project));
  }

  get #tracked(): TrackedJudgement | undefined {
    return this.#last && trackJudgement(this.#last.project, this.#last.judgement);
  }

  judged(project: Project): JudgedProject {
    if (this.#last?.project !== project) {
      const shelf = shelfOf(project);
      const before = this.#tracked;
      const judgement = judgePlan(project, activePlan(project), shelf, { before });
      this.#last = { project, shelf, judgement };
    }
    return this.#last;
  }

  /** The parts every angle is filmed with. */
  chosenRigs(project: Project): ChosenRig[] {
    return chooseRigs(project, activePlan(project), shelfOf(project), this.#tracked);
  }
}
