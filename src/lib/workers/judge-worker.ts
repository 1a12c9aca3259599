import { expose } from 'comlink';
import { shelfOf } from '../catalogue/load-catalogue';
import { judgeCandidates } from '../core/judge/candidates';
import { closeJoints } from '../core/judge/close-joints';
import { judgePlan } from '../core/judge/judge-plan';
import { remediesFor } from '../core/judge/settle';
import { activePlan } from '../core/model/project';
import { packFirstKit } from '../core/pack/first-kit';
import type { JudgeWorker } from './judge-protocol';

const worker: JudgeWorker = {
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
      joints: closeJoints(project, shelf, judgement)
    };
  },
  async candidates(project, pocket) {
    return judgeCandidates(project, shelfOf(project), pocket);
  },
  async packFirst(project) {
    return packFirstKit(project, shelfOf(project));
  }
};

expose(worker);
