import { computeFigures, type FigureRecord, type Supposed, unknown } from '../figures/record';
import { type FigureId, figureIndex } from '../figures/table';
import { partOfLeaf } from '../figures/why';
import { Finding, severityRank } from '../findings/finding';
import { angleFindings, judgesOfAngle, planFindings, readsOfFinding } from '../findings/table';
import { scoreAxis } from '../merit/axis-scores';
import { axes } from '../merit/axis-curves';
import { type KitMerit, meritOfKit } from '../merit/kit-merit';
import { meritOfScene, noScores, type SceneScores } from '../merit/scene-merit';
import { weightsOf } from '../merit/schools';
import type { Plan } from '../model/plan';
import type { Project } from '../model/project';
import type { Angle, Scene } from '../model/scene';
import type { Shelf } from '../model/shelf';
import { type MoneyStatement, statementOf } from '../money/statement';
import { type Kit, makeKit } from '../rigs/kit';
import { placeRig } from '../rigs/place-rig';
import type { PlacedRig, Taken } from '../rigs/placed-rig';
import { askAbout } from './ask-about';
import type { DifferingAngle, WatchedJudgement } from './watched-judgement';

export interface AngleJudgement {
  scene: Scene;
  angle: Angle;
  rig: PlacedRig;
  record: FigureRecord;
}

/** Everything the product says of a plan. Same input, same judgement, to the last figure. */
export interface Judgement {
  money: MoneyStatement;
  kit: Kit;
  angles: AngleJudgement[];
  /** Worst first; within a severity in the order of the finding table. */
  findings: Finding[];
  merit: KitMerit;
}

/** An answer to a question, tried before it is known: what would the verdict be? */
export interface SupposedAnswer {
  leaf: FigureId;
  /** The part it would be stated on. */
  lineId: string | undefined;
  value: number;
}

function supposedIn(rig: PlacedRig, { leaf, lineId, value }: SupposedAnswer): Supposed | undefined {
  return partOfLeaf(rig, leaf)?.lineId === lineId ? { at: figureIndex[leaf], value } : undefined;
}

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
  { answer, before }: { answer?: SupposedAnswer; before?: WatchedJudgement } = {}
): Judgement {
  const money = statementOf(project, plan, shelf);
  const kit = makeKit(plan, shelf);
  const rigs = placeRigs(project, plan, kit);
  const differing = before?.differing(project, kit);
  const supposed = answer ? rigs.map((rig) => supposedIn(rig, answer)) : noneSupposed;
  const differences = rigs.map((rig, at) => differing?.angle(rig, supposed[at]));
  const records = figuresOf(rigs, differences, supposed);
  const angles = rigs.map((rig, at): AngleJudgement => {
    return { scene: rig.scene, angle: rig.angle, rig, record: records[at]! };
  });

  const found = findingsOf(angles, differences);
  const planContext = { project, plan, shelf, kit, money, rigs };
  for (const row of planFindings) {
    for (const held of row.judge(planContext)) found.push(new Finding(row, held));
  }
  const findings = worstFirst(found);

  const weights = weightsOf(project);
  const scores = scoresOf(project.scenes, angles, differences);
  const merits = project.scenes.map((scene, at) =>
    meritOfScene(scene.id, scores[at]!, weights, !findings.some((one) => stops(one, scene)))
  );
  let stopped = 0;
  while (stopped < findings.length && findings[stopped]!.severity === 'stop') stopped += 1;
  return { money, kit, angles, findings, merit: meritOfKit(project.scenes, merits, stopped) };
}

/** Within a severity as they were found. */
function worstFirst(found: readonly Finding[]): Finding[] {
  const sorted: Finding[] = [];
  for (let rank = MOST_SEVERE; rank >= 0; rank--)
    for (let at = 0; at < found.length; at++) if (found[at]!.rank === rank) sorted.push(found[at]!);
  return sorted;
}
const MOST_SEVERE = severityRank('stop');

function stops(finding: Finding, { id }: Scene): boolean {
  return (
    finding.severity === 'stop' &&
    (finding.sceneId === id || finding.sceneIds?.includes(id) === true)
  );
}

function placeRigs(project: Project, plan: Plan, kit: Kit): PlacedRig[] {
  const rigs: PlacedRig[] = [];
  for (const scene of project.scenes) {
    const taken: Taken = new Map();
    for (const angle of scene.angles) rigs.push(placeRig(project, plan, kit, scene, angle, taken));
  }
  return rigs;
}

/*
 * What follows goes through the tables row by row and asks each row of every angle in turn, not the other
 * way round: there are hundreds of small functions, and one just used is still at hand for the next angle.
 */

type Differences = readonly (DifferingAngle | undefined)[];

const noneSupposed: readonly (Supposed | undefined)[] = [];

function figuresOf(
  rigs: readonly PlacedRig[],
  differences: Differences,
  supposed: readonly (Supposed | undefined)[]
): FigureRecord[] {
  if (!differences.some((difference) => difference)) return computeFigures(rigs, supposed);
  return rigs.map(
    (rig, at) => differences[at]?.figures() ?? computeFigures([rig], [supposed[at]])[0]!
  );
}

/** Findings angle by angle, in the order of the table, with the questions that keep a row open. */
function findingsOf(angles: readonly AngleJudgement[], differences: Differences): Finding[] {
  /** What each angle has, in the order of the table; a row that could not be ruled out by its number. */
  const found: (Finding | number)[][] = angles.map(() => []);
  const open = angles.map(({ record }) => record.states.includes(unknown));
  for (let row = 0; row < angleFindings.length; row++) {
    const judge = judgesOfAngle[row]!;
    const reads = readsOfFinding[row]!;
    for (let at = 0; at < angles.length; at++) {
      const verdict = differences[at]?.verdict(row);
      if (verdict) {
        if (verdict.finding) found[at]!.push(verdict.finding);
        continue;
      }
      const { rig, record, scene, angle } = angles[at]!;
      const held = judge(rig, record);
      if (held) found[at]!.push(new Finding(angleFindings[row]!, held, scene, angle.id));
      else if (open[at]! && readsUnknown(reads, record)) found[at]!.push(row);
    }
  }
  const findings: Finding[] = [];
  const asked = new Set<string>();
  found.forEach((ofAngle, at) => {
    const { rig, record } = angles[at]!;
    for (const one of ofAngle) {
      if (typeof one === 'number') askAbout(angleFindings[one]!, rig, record, asked, findings);
      else findings.push(one);
    }
  });
  return findings;
}

function scoresOf(
  scenes: readonly Scene[],
  angles: readonly AngleJudgement[],
  differences: Differences
): SceneScores[] {
  const scores = scenes.map((): SceneScores => ({ ...noScores }));
  const scoresOfAngle = angles.map(({ scene }) => scores[scenes.indexOf(scene)]!);
  for (const axis of axes) {
    for (let at = 0; at < angles.length; at++) {
      const { rig, record } = angles[at]!;
      const difference = differences[at];
      const score = difference ? difference.score(axis, record) : scoreAxis(axis, rig, record);
      const ofScene = scoresOfAngle[at]!;
      // The worst angle speaks for each axis: a scene is as good as what it shows at its weakest.
      if (score && (!ofScene[axis] || score.low < ofScene[axis].low)) ofScene[axis] = score;
    }
  }
  return scores;
}

function readsUnknown(reads: readonly number[], record: FigureRecord): boolean {
  for (let at = 0; at < reads.length; at++) if (record.states[reads[at]!] === unknown) return true;
  return false;
}
