/**
 * The door of the incremental judge. The rest of the core asks for a `PlanEvaluation` and, where many plans
 * that differ a little are judged (candidates, remedies, questions, disputes, kits completed), hands it the
 * tracked form of a judgement made before. It sees nothing of how that is done.
 *
 * What is cached, and when it is dropped:
 *
 * - `tracked-judgement.ts` — of one judgement: what every leaf figure, finding row, axis and connection read of
 *   its rig (`dependencies.ts`), the figures, the findings and the axis scores. Dropped with the judgement.
 * - of one tracked angle: which figures, rows and axes a difference of given fields and kinds may change.
 *   Dropped with the tracked judgement.
 * - `plan-evaluation.ts` — of one plan: its records, angles, money and rows asked ahead. Dropped with it.
 *
 * Nothing of a project or a part is ever changed by it, and a plan judged this way comes out equal to one
 * judged from nothing: `tracked-judgement.test.ts` compares both over random changes of random kits.
 *
 * What it buys, by `npm run bench` in a worker of the browser (medians of one run): a swap in the demo takes about
 * half of what judging it from nothing takes ("a swap judged again": 0.43 to 0.55 ×).
 */
export type { AngleJudgement, OpenRow, SupposedAnswer } from './angle-judgement';
export { PlanEvaluation } from './plan-evaluation';
export {
  type DifferingAngle,
  type DifferingPlan,
  type HowToPlace,
  type NewParts,
  type Placing,
  trackJudgement,
  type TrackedJudgement
} from './tracked-judgement';
