import {
  computeFigures,
  type FigureRecord,
  stateOf,
  type Supposed,
  unknown
} from '../figures/record';
import { isLeaf } from '../figures/rows';
import { type FigureId, figureIndex, figureTable } from '../figures/table';
import { partOfLeaf, unknownLeaves } from '../figures/why';
import { type AngleFindingRow, Finding, type Held, severityRank } from '../findings/finding';
import { angleFindings, planFindings, readsOfFinding } from '../findings/table';
import { scoreAxis } from '../merit/axes';
import { type KitMerit, meritOfKit } from '../merit/kit-merit';
import { meritOfScene, scoreScene } from '../merit/scene-merit';
import { weightsOf } from '../merit/schools';
import type { Plan } from '../model/plan';
import type { Project } from '../model/project';
import type { Angle, Scene } from '../model/scene';
import type { Shelf } from '../model/shelf';
import { type MoneyStatement, statementOf } from '../money/statement';
import { type Kit, makeKit } from '../rigs/kit';
import { placeRig } from '../rigs/place-rig';
import type { PlacedRig, Taken } from '../rigs/placed-rig';
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

/** A figure nobody has stated decides a verdict: said as a question to a seller. */
const questionRow: AngleFindingRow = {
  code: 'Q1',
  family: 'unknown',
  scope: 'angle',
  about: 'an unknown figure decides a verdict',
  reads: [],
  judge: () => undefined,
  propose: () => []
};

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
  const differing = before?.differing(project, kit);
  const again = new Map<FigureRecord, DifferingAngle>();
  const angles: AngleJudgement[] = [];
  const findings: Finding[] = [];
  const asked = new Set<string>();
  for (const scene of project.scenes) {
    const taken: Taken = new Map();
    for (const angle of scene.angles) {
      const rig = placeRig(project, plan, kit, scene, angle, taken);
      const supposed = answer && supposedIn(rig, answer);
      const difference = differing?.angle(rig);
      const record = difference ? difference.figures(supposed) : computeFigures(rig, supposed);
      if (difference) again.set(record, difference);
      angles.push({ scene, angle, rig, record });
      for (let at = 0; at < angleFindings.length; at++) {
        const verdict = difference?.verdict(at);
        if (verdict) {
          if (verdict.finding) findings.push(verdict.finding);
          continue;
        }
        const row = angleFindings[at]!;
        const held = row.judge(rig, record);
        if (held) findings.push(new Finding(row, held, scene, angle.id));
        else if (readsUnknown(readsOfFinding[at]!, record))
          askAbout(row, rig, record, asked, findings);
      }
    }
  }
  const planContext = { project, plan, shelf, kit, money, rigs: angles.map(({ rig }) => rig) };
  for (const row of planFindings) {
    for (const held of row.judge(planContext)) findings.push(new Finding(row, held));
  }
  findings.sort((a, b) => severityRank(b.severity) - severityRank(a.severity));

  const weights = weightsOf(project);
  const merits = project.scenes.map((scene) => {
    const own = angles.filter((one) => one.scene === scene);
    const stopped = findings.some(
      (finding) =>
        finding.severity === 'stop' &&
        (finding.sceneId === scene.id || finding.sceneIds?.includes(scene.id))
    );
    const scores = scoreScene(own, (axis, { rig, record }) =>
      again.has(record) ? again.get(record)!.score(axis, record) : scoreAxis(axis, rig, record)
    );
    return meritOfScene(scene.id, scores, weights, !stopped);
  });
  const stops = findings.reduce(
    (count, finding) => count + (finding.severity === 'stop' ? 1 : 0),
    0
  );
  return { money, kit, angles, findings, merit: meritOfKit(project.scenes, merits, stops) };
}

function readsUnknown(reads: readonly number[], record: FigureRecord): boolean {
  for (let at = 0; at < reads.length; at++) if (record.states[reads[at]!] === unknown) return true;
  return false;
}

function askAbout(
  row: AngleFindingRow,
  rig: PlacedRig,
  record: FigureRecord,
  asked: Set<string>,
  findings: Finding[]
): void {
  for (const id of row.reads) {
    if (stateOf(record, id) !== unknown) continue;
    for (const leaf of unknownLeaves(record, id)) {
      const part = partOfLeaf(rig, leaf);
      const about = `${part?.lineId ?? ''} ${leaf}`;
      if (asked.has(about)) continue;
      asked.add(about);
      findings.push(new Finding(questionRow, questionAbout(leaf, about, part, row)));
    }
    for (const [figure, refusal] of record.refused ?? []) {
      const about = `${rig.scene.id} ${rig.angle.id} ${figure}`;
      if (asked.has(about)) continue;
      asked.add(about);
      const held: Held = {
        severity: 'note',
        about: figure,
        title: () => `${rig.scene.name}: ${figureTable[figure].name} cannot be worked out`,
        why: () => refusal.message
      };
      findings.push(new Finding(questionRow, held, rig.scene, rig.angle.id));
    }
  }
}

function questionAbout(
  leaf: FigureId,
  about: string,
  part: { lineId: string; name: string } | undefined,
  row: AngleFindingRow
): Held {
  const figure = figureTable[leaf];
  const asks = (isLeaf(figure) && figure.asks?.question) || `What is the ${figure.name} of %?`;
  return {
    severity: 'note',
    about,
    figure: leaf,
    lineIds: part ? [part.lineId] : [],
    title: () => asks.replace('%', part?.name ?? 'the kit'),
    why: () => `Nobody has stated it, so “${row.about}” cannot be ruled out. Ask before paying.`
  };
}
