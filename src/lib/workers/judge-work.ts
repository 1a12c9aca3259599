import { shelfOf } from '../catalogue/load-catalogue';
import { judgeCandidates } from '../core/judge/candidates';
import { closeJoints } from '../core/judge/close-joints';
import { disputesOf } from '../core/judge/disputes';
import { judgePlan } from '../core/judge/judge-plan';
import { questionsOf } from '../core/judge/questions';
import { remediesFor } from '../core/judge/settle';
import { activePlan } from '../core/model/active-plan';
import { packFirstKit } from '../core/pack/first-kit';
import type { JudgeWorker } from './judge-protocol';

/** What the judging worker does, apart from the worker it is done in. */
export const judgeWork: JudgeWorker = {
  async settle(project) {
    const shelf = shelfOf(project);
    const judgement = judgePlan(project, activePlan(project), shelf);
    return {
      remedies: Object.fromEntries(
        judgement.findings.map((finding) => [
          finding.key,
          remediesFor(project, shelf, judgement, finding)
        ])
      ),
      joints: closeJoints(project, shelf, judgement),
      questions: questionsOf(project, shelf, judgement)
    };
  },
  async candidates(project, pocket, onfirst) {
    return judgeCandidates(project, shelfOf(project), pocket, onfirst);
  },
  async disputes(project, where) {
    const shelf = shelfOf(project);
    return disputesOf(project, shelf, judgePlan(project, activePlan(project), shelf), where);
  },
  async packFirst(project) {
    return packFirstKit(project, shelfOf(project));
  }
};
