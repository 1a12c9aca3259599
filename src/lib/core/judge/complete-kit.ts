import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { chainProposals } from '../findings/chain-proposals';
import { Finding } from '../findings/finding';
import { basisFor } from '../money/payable-price';
import { morePieces } from '../findings/handling/contested-joints';
import { missingIn } from '../findings/money/missing-parts';
import { newLine } from '../model/new-line';
import { planFindings } from '../findings/table';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { connectionsOf } from '../rigs/connections';
import { PlanEvaluation } from './incremental';
import { completeJudgement, judgePlan, worstFirst } from './judge-plan';
import type { Judgement } from './judgement';
import type { HowToPlace, Placing, TrackedJudgement } from './incremental';
import { jointRows, joints } from './joint-rows';

const partRows = planFindings.flatMap(({ mayComeAlong }, row) =>
  mayComeAlong === true ? row : []
);
const MOST_COMPLETED = 6;

export interface CompletedKit {
  project: Project;
  /** What it took. */
  acts: Act[];
  /** What nothing on the shelf closes, where the kit is put in place as if something did. */
  leftOpen: readonly Finding[];
  judgement: Judgement;
}

export interface Completing {
  /** The finding that is being mended: what it leaves open is closed, too. */
  mending?: string;
  /** How the complete kit is put in place; by default every part at its best. */
  howToPlace?: HowToPlace;
}

/**
 * Adds the cheapest parts that close what a change has left open, so that a proposed part comes with
 * its cable, ring or thread piece, and a lamp with its stand. What was open before stays as it was, but for the
 * finding that is being mended. Only what may be open is judged until all is closed, and the whole once.
 */
export function completeKit(
  trackedBefore: TrackedJudgement,
  project: Project,
  shelf: Shelf,
  { mending, howToPlace = 'best' }: Completing = {}
): CompletedKit {
  const { evaluation, acts, leftOpen } = closeOpenEnds(trackedBefore, project, shelf, mending);
  const { project: complete } = evaluation;
  const judgement =
    howToPlace === 'best'
      ? judgePlan(complete, activePlan(complete), shelf, { before: trackedBefore })
      : completeJudgement(evaluation);
  return { project: complete, acts, leftOpen, judgement };
}

/** A kit to which all has come that closes what a change has left open, before the whole of it is judged. */
export interface ClosedKit {
  evaluation: PlanEvaluation;
  acts: Act[];
  leftOpen: readonly Finding[];
}

/**
 * Only what is new is tried beside the parts as they lie: were every part put at its best here, one that has been lying
 * in the bag unjoined would be, and each change would come with what joins it.
 *
 * @param sceneId where only what is found in this scene is asked, and nothing of the whole kit
 */
export function closeOpenEnds(
  trackedBefore: TrackedJudgement,
  project: Project,
  shelf: Shelf,
  mending?: string,
  sceneId?: string
): ClosedKit {
  const begin = (now: Project, how: Placing) =>
    new PlanEvaluation(now, activePlan(now), shelf, undefined, trackedBefore, {
      howToPlace: 'as before',
      sceneId,
      ...how
    });
  const acts: Act[] = [];
  let evaluation = begin(project, { besideComing: true });
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
    evaluation = begin(applyAct(evaluation.project, act), { besideComing: true });
  }
  // What did not come is missing after all: then something else may serve better.
  const leftOpen = openEnds(evaluation);
  const without = scenesWithoutWhatCame(evaluation, leftOpen);
  if (without.size > 0)
    evaluation = begin(evaluation.project, { standing: rigsElsewhere(evaluation, without) });
  return { evaluation, acts, leftOpen };
}

/** Scenes in which something has not come that was counted on. */
function scenesWithoutWhatCame(
  { rigs }: PlanEvaluation,
  leftOpen: readonly Finding[]
): ReadonlySet<string> {
  const lacking = rigs.filter((rig) => missingIn(rig, false) > missingIn(rig, true));
  return new Set([
    ...leftOpen.flatMap(({ sceneId }) => sceneId ?? []),
    ...lacking.map(({ scene }) => scene.id)
  ]);
}

const rigsElsewhere = ({ rigs }: PlanEvaluation, sceneIds: ReadonlySet<string>) =>
  new Map(rigs.flatMap((rig) => (sceneIds.has(rig.scene.id) ? [] : [[rig.angle, rig] as const])));

/** Joints the bag leaves open, and parts that are missing and come along; worst first. */
function openEnds(evaluation: PlanEvaluation): Finding[] {
  const open: Finding[] = [];
  for (let index = 0; index < evaluation.rigs.length; index++)
    for (const row of jointRows) {
      const found = evaluation.rowAhead(row, index);
      if (found instanceof Finding) open.push(found);
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
    if (proposal && !('parts' in proposal)) return proposal.act;
    const gear = proposal?.parts[0];
    return gear && { type: 'add line', line: newLine(plan, gear, 1, basisFor(project, gear)) };
  }
  const rig = evaluation.rigs.find(
    ({ scene, angle }) => scene.id === open.sceneId && angle.id === open.angleId
  );
  if (!rig) return undefined;
  if (open.code === 'W6') return morePieces(evaluation, [rig])[0]?.act;
  for (const purpose of joints[open.code] ?? []) {
    if (!connectionsOf(rig).some((need) => need.purpose === purpose)) continue;
    const [proposal] = chainProposals({ rig, shelf, plan, project }, purpose);
    if (proposal) return proposal.act;
  }
  return undefined;
}
