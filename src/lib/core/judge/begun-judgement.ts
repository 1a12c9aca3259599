import { computeFigures, type FigureRecord, type Supposed, unknown } from '../figures/record';
import { type FigureId, figureIndex } from '../figures/table';
import { partOfLeaf } from '../figures/why';
import { Finding } from '../findings/finding';
import { angleFindings, judgesOfAngle, readsOfFinding } from '../findings/table';
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

/** A row of the finding table that could not be ruled out, by its number, for a figure it reads is unknown. */
export type OpenRow = number;

/** A plan with its parts in place and its figures computed, before anything is said of it. */
export class BegunJudgement {
  readonly kit: Kit;
  readonly rigs: readonly PlacedRig[];
  readonly angles: readonly AngleJudgement[];
  /** Of each angle, what differs from a judgement before; undefined where it is judged from nothing. */
  readonly differences: readonly (DifferingAngle | undefined)[] | undefined;
  readonly #hasUnknown: readonly boolean[];

  constructor(
    readonly project: Project,
    readonly plan: Plan,
    readonly shelf: Shelf,
    answer: SupposedAnswer | undefined,
    before: WatchedJudgement | undefined
  ) {
    this.kit = makeKit(plan, shelf);
    this.rigs = placeRigs(project, plan, this.kit);
    const supposed = answer ? this.rigs.map((rig) => supposedIn(rig, answer)) : noneSupposed;
    const differing = before?.differing(project, this.kit);
    this.differences = differing && this.rigs.map((rig, at) => differing.angle(rig, supposed[at]));
    const records = this.#figures(supposed);
    this.#hasUnknown = records.map(({ states }) => states.includes(unknown));
    this.angles = this.rigs.map((rig, at): AngleJudgement => {
      return { scene: rig.scene, angle: rig.angle, rig, record: records[at]! };
    });
  }

  /** Counted when somebody asks: whether a joint is open does not hang on money. */
  get money(): MoneyStatement {
    return (this.#money ??= statementOf(this.project, this.plan, this.shelf));
  }
  #money: MoneyStatement | undefined;

  #figures(supposed: readonly (Supposed | undefined)[]): FigureRecord[] {
    const { rigs, differences } = this;
    if (!differences) return computeFigures(rigs, supposed);
    return rigs.map(
      (rig, at) => differences[at]?.figures() ?? computeFigures([rig], [supposed[at]])[0]!
    );
  }

  /** What a row of the finding table finds in an angle. */
  judgeRow(row: number, at: number): Finding | OpenRow | undefined {
    const { rig, record, scene, angle } = this.angles[at]!;
    const held = judgesOfAngle[row]!(rig, record);
    if (held) return new Finding(angleFindings[row]!, held, scene, angle.id);
    return this.#hasUnknown[at]! && readsUnknown(readsOfFinding[row]!, record) ? row : undefined;
  }

  /** What a row finds, or found before where nothing it looked at differs. */
  rowAgain(row: number, at: number): Finding | OpenRow | undefined {
    const verdict = this.differences?.[at]?.verdict(row);
    return verdict ? verdict.finding : this.judgeRow(row, at);
  }
}

const noneSupposed: readonly (Supposed | undefined)[] = [];

function placeRigs(project: Project, plan: Plan, kit: Kit): PlacedRig[] {
  const rigs: PlacedRig[] = [];
  for (const scene of project.scenes) {
    const taken: Taken = new Map();
    for (const angle of scene.angles) rigs.push(placeRig(project, plan, kit, scene, angle, taken));
  }
  return rigs;
}

function readsUnknown(reads: readonly number[], { states }: FigureRecord): boolean {
  for (let at = 0; at < reads.length; at++) if (states[reads[at]!] === unknown) return true;
  return false;
}
