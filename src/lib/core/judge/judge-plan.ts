import { type AngleFindingRow, Finding, severityRank } from '../findings/finding';
import { angleFindings, planFindings } from '../findings/table';
import { type AxisLosses, axisPoints, lossesByFinding, sumAxis } from '../merit/axis-scores';
import { axes } from '../merit/axis-curves';
import { meritOfKit } from '../merit/kit-merit';
import { meritOfScene, noScores, type SceneScores } from '../merit/scene-merit';
import { weightsOf } from '../merit/schools';
import type { Plan } from '../model/plan';
import type { Project } from '../model/project';
import type { Angle, Scene } from '../model/scene';
import type { Shelf } from '../model/shelf';
import { askForAxis, askForRow } from './ask-about';
import type { OpenRow, SupposedAnswer, TrackedJudgement } from './incremental';
// Past the door, which leads to what tracks a judgement, too: the first view judges without that.
import { PlanEvaluation } from './incremental/plan-evaluation';
import type { Judgement } from './judgement';

/**
 * Judges a plan against its project: money, every figure of every angle, findings and merit.
 *
 * @param project scenes, limits and school
 * @param plan the lines and rigs to judge
 * @param shelf the parts the lines name
 * @param answer a figure nobody has stated, supposed to be known
 * @param before the judgement of a plan a little different; what does not differ is taken from it
 */
export function judgePlan(
  project: Project,
  plan: Plan,
  shelf: Shelf,
  { answer, before }: { answer?: SupposedAnswer; before?: TrackedJudgement } = {}
): Judgement {
  return completeJudgement(new PlanEvaluation(project, plan, shelf, answer, before));
}

/** Says all there is to say of a plan whose figures are computed. */
export function completeJudgement(evaluation: PlanEvaluation): Judgement {
  const { project, kit, angles, money } = evaluation;
  const asked = new Set<string>();
  const { findings: found, open } = findingsOf(evaluation, asked);
  const ofPlan: Finding[] = [];
  for (let row = 0; row < planFindings.length; row++)
    for (const held of evaluation.planRow(row)) ofPlan.push(new Finding(planFindings[row]!, held));
  const scores = scoresOf(evaluation, [...found, ...ofPlan], open);
  askForAxes(evaluation, scores, project.scenes, asked, found);
  found.push(...ofPlan);
  const findings = worstFirst(found);

  const weights = weightsOf(project);
  const merits = project.scenes.map((scene, index) =>
    meritOfScene(
      scene.id,
      scores[index]!,
      weights,
      !findings.some((finding) => stops(finding, scene))
    )
  );
  let stopped = 0;
  while (stopped < findings.length && findings[stopped]!.severity === 'stop') stopped += 1;
  return { money, kit, angles, findings, merit: meritOfKit(project.scenes, merits, stopped) };
}

/** Within a severity as they were found, but first what hides others: until it is settled these may not stand at all. */
export function worstFirst(found: readonly Finding[]): Finding[] {
  const sorted = found.filter(({ hides }) => hides === true);
  for (let rank = MOST_SEVERE; rank >= 0; rank--)
    for (let index = 0; index < found.length; index++) {
      const finding = found[index]!;
      if (finding.rank === rank && finding.hides !== true) sorted.push(finding);
    }
  return sorted;
}
const MOST_SEVERE = severityRank('stop');

function stops(finding: Finding, { id }: Scene): boolean {
  return (
    finding.severity === 'stop' &&
    (finding.sceneId === id || finding.sceneIds?.includes(id) === true)
  );
}

/** Of each angle, the rows that could not be ruled out for a figure nobody states, and that may weaken it. */
type OpenRows = readonly (readonly AngleFindingRow[])[];

/** Findings angle by angle, in the order of the table, with the questions that keep a row open. */
function findingsOf(
  evaluation: PlanEvaluation,
  asked: Set<string>
): { findings: Finding[]; open: OpenRows } {
  const { angles, differences } = evaluation;
  const found = differences
    ? angles.map(
        (_, index) =>
          differences[index]?.found(evaluation, index) ??
          foundFromNothing(evaluation, index, index + 1)[0]!
      )
    : foundFromNothing(evaluation, 0, angles.length);
  const findings: Finding[] = [];
  const open: AngleFindingRow[][] = [];
  for (let index = 0; index < angles.length; index++) {
    const openHere: AngleFindingRow[] = [];
    for (const outcome of found[index]!) {
      if (typeof outcome !== 'number') findings.push(outcome);
      else {
        const { rig, record } = angles[index]!;
        const row = angleFindings[outcome]!;
        if (row.onlyNotes !== true) openHere.push(row);
        askForRow(row, rig, record, asked, findings);
      }
    }
    open.push(openHere);
  }
  return { findings, open };
}

/**
 * What each row of the table finds in some angles. Row by row, each asked of every angle in turn, not the
 * other way round: there are hundreds of small functions, and one just used is still at hand for the next angle.
 */
function foundFromNothing(
  evaluation: PlanEvaluation,
  from: number,
  to: number
): (Finding | OpenRow)[][] {
  const found: (Finding | OpenRow)[][] = [];
  for (let angle = from; angle < to; angle++) found.push([]);
  for (let row = 0; row < angleFindings.length; row++) {
    for (let angle = from; angle < to; angle++) {
      const outcome = evaluation.judgeRow(row, angle);
      if (outcome !== undefined) found[angle - from]!.push(outcome);
    }
  }
  return found;
}

/** Questions that no verdict raises and that still leave the points of an axis open. */
function askForAxes(
  { angles }: PlanEvaluation,
  scores: readonly SceneScores[],
  scenes: readonly Scene[],
  asked: Set<string>,
  findings: Finding[]
): void {
  for (const { rig, record } of angles) {
    const ofScene = scores[scenes.indexOf(rig.scene)]!;
    for (const axis of axes) {
      const score = ofScene[axis];
      if (score && score.low !== score.high) askForAxis(axis, rig, record, asked, findings);
    }
  }
}

function scoresOf(
  { project: { scenes }, angles, differences }: PlanEvaluation,
  findings: readonly Finding[],
  open: OpenRows
): SceneScores[] {
  const scores = scenes.map((): SceneScores => ({ ...noScores }));
  const weakening = findings.filter(({ severity }) => severity === 'warn');
  for (let index = 0; index < angles.length; index++) {
    const { rig, record, scene, angle } = angles[index]!;
    const ofScene = scores[scenes.indexOf(scene)]!;
    const losses = lossesByFinding(
      rig,
      weakening.filter((finding) => concerns(finding, scene, angle)).map(({ row }) => row)
    );
    // What is not ruled out may weaken: the low end counts it, the high end does not.
    const possible = open[index]!.length === 0 ? noLosses : lossesByFinding(rig, open[index]!);
    const difference = differences?.[index];
    for (const axis of axes) {
      const sum = difference ? difference.sum(axis, record) : sumAxis(axis, rig, record);
      if (!sum) continue;
      const loss = losses[axis] ?? 0;
      const most = loss + (possible[axis] ?? 0);
      const low = axisPoints(sum.low - most);
      const high = sum.high === sum.low && most === loss ? low : axisPoints(sum.high - loss);
      // The worst angle speaks for each axis: a scene is as good as what it shows at its weakest.
      if (!ofScene[axis] || low < ofScene[axis].low)
        ofScene[axis] = { axis, angleId: angle.id, low, high };
    }
  }
  return scores;
}

const noLosses: AxisLosses = {};

/** A finding of this angle, or of the whole plan where it names the scene or none. */
function concerns({ scene: own, angleId, sceneIds }: Finding, scene: Scene, angle: Angle): boolean {
  if (own) return own.id === scene.id && angleId === angle.id;
  return sceneIds === undefined || sceneIds.includes(scene.id);
}
