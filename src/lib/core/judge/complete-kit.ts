import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { chainProposals } from '../findings/chain-proposals';
import { Finding } from '../findings/finding';
import { basisFor } from '../money/payable-price';
import { newLine } from '../model/new-line';
import { angleFindings, planFindings } from '../findings/table';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import type { ConnectionPurpose } from '../rigs/connection';
import { connectionsOf } from '../rigs/connections';
import { PlanEvaluation } from './incremental';
import { completeJudgement, worstFirst } from './judge-plan';
import type { Judgement } from './judgement';
import type { HowToPlace, TrackedJudgement } from './incremental';

/** Findings that a chain of joining parts closes, and the connections they speak of. */
const joints: Partial<Record<string, readonly ConnectionPurpose[]>> = {
  A11: ['microphone into input'],
  B3: ['microphone into input'],
  B5: ['picture out'],
  L1: ['lens on body'],
  L8: ['filter on lens'],
  P3: ['power into body'],
  P7: ['power for its own'],
  T3: ['card in its slot'],
  S5: ['camera held', 'microphone held', 'lamp held', 'monitor held']
};
/** Of what tells too much light only the filter that does not screw on is a joint. */
const jointRows = angleFindings.flatMap(({ code, reads }, row) =>
  code in joints && (code !== 'L8' || reads === undefined) ? row : []
);
const partRows = planFindings.flatMap(({ mayComeAlong }, row) =>
  mayComeAlong === true ? row : []
);
const MOST_COMPLETED = 6;

/**
 * Adds the cheapest parts that close what a change has left open, so that a proposed part comes with
 * its cable, ring or thread piece, and a lamp with its stand. What was open before stays as it was, but for the
 * finding that is being mended. Only what may be open is judged until all is closed, and the whole once.
 */
export function completeKit(
  trackedBefore: TrackedJudgement,
  project: Project,
  shelf: Shelf,
  { mending, howToPlace }: { mending?: string; howToPlace?: HowToPlace } = {}
): { project: Project; acts: Act[]; judgement: Judgement } {
  const begin = (now: Project) =>
    new PlanEvaluation(now, activePlan(now), shelf, undefined, trackedBefore, howToPlace);
  const acts: Act[] = [];
  let evaluation = begin(project);
  const tried = new Set<string>();
  for (let round = 0; round < MOST_COMPLETED; round++) {
    const open = openEnds(evaluation).find(
      ({ key }) => !tried.has(key) && (!trackedBefore.keys.has(key) || key === mending)
    );
    if (!open) break;
    tried.add(open.key);
    const act = closingAct(evaluation, open);
    if (!act) continue;
    acts.push(act);
    evaluation = begin(applyAct(evaluation.project, act));
  }
  return { project: evaluation.project, acts, judgement: completeJudgement(evaluation) };
}

/** Joints the bag leaves open, and parts that are missing and come along; worst first. */
function openEnds(evaluation: PlanEvaluation): Finding[] {
  const open: Finding[] = [];
  for (let at = 0; at < evaluation.rigs.length; at++)
    for (const row of jointRows) {
      const one = evaluation.rowAhead(row, at);
      if (one instanceof Finding) open.push(one);
    }
  for (const row of partRows)
    for (const held of evaluation.planRow(row))
      if (held.comesAlong === true) open.push(new Finding(planFindings[row]!, held));
  return open.length > 1 ? worstFirst(open) : open;
}

/** The cheapest parts that close one open end, or the cheapest part of a role that comes along. */
function closingAct(evaluation: PlanEvaluation, open: Finding): Act | undefined {
  const { project, plan, shelf } = evaluation;
  if (open.row.scope === 'plan') {
    const [proposal] = open.row.propose(evaluation, open);
    const gear = proposal && 'parts' in proposal ? proposal.parts[0] : undefined;
    return gear && { type: 'add line', line: newLine(plan, gear, 1, basisFor(project, gear)) };
  }
  const rig = evaluation.rigs.find(
    ({ scene, angle }) => scene.id === open.sceneId && angle.id === open.angleId
  );
  if (!rig) return undefined;
  for (const purpose of joints[open.code] ?? []) {
    if (!connectionsOf(rig).some((need) => need.purpose === purpose)) continue;
    const [proposal] = chainProposals({ rig, shelf, plan, project }, purpose);
    if (proposal) return proposal.act;
  }
  return undefined;
}
