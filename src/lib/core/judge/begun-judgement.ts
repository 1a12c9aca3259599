import { computeFigures, type FigureRecord, type Supposed, unknown } from '../figures/record';
import { type FigureId, figureIndex } from '../figures/table';
import { partOfLeaf } from '../figures/why';
import { Finding, type Held } from '../findings/finding';
import { angleFindings, judgesOfAngle, judgesOfPlan, readsOfFinding } from '../findings/table';
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

/** A plan with its parts in place, before anything is said of it; figures and money are computed when asked for. */
export class BegunJudgement {
  readonly kit: Kit;
  readonly rigs: readonly PlacedRig[];
  /** Of each angle, what differs from a judgement before; undefined where it is judged from nothing. */
  readonly differences: readonly (DifferingAngle | undefined)[] | undefined;
  readonly #supposed: readonly (Supposed | undefined)[];

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
    this.#supposed = supposed;
    const differing = before?.differing(project, this.kit);
    this.differences = differing && this.rigs.map((rig, at) => differing.angle(rig, supposed[at]));
  }

  get angles(): readonly AngleJudgement[] {
    return (this.#angles ??= this.rigs.map((rig, at): AngleJudgement => {
      return { scene: rig.scene, angle: rig.angle, rig, record: this.#records[at]! };
    }));
  }
  #angles: readonly AngleJudgement[] | undefined;

  get money(): MoneyStatement {
    return (this.#money ??= statementOf(this.project, this.plan, this.shelf));
  }
  #money: MoneyStatement | undefined;

  get #records(): readonly FigureRecord[] {
    return (this.#computed ??= this.#figures());
  }
  #computed: readonly FigureRecord[] | undefined;
  #hasUnknown: readonly boolean[] | undefined;

  #figures(): FigureRecord[] {
    const { rigs, differences } = this;
    if (!differences) return computeFigures(rigs, this.#supposed);
    return rigs.map(
      (rig, at) => differences[at]?.record ?? computeFigures([rig], [this.#supposed[at]])[0]!
    );
  }

  /** What a row of the finding table finds in an angle. */
  judgeRow(row: number, at: number): Finding | OpenRow | undefined {
    const rig = this.rigs[at]!;
    const record = looksAtFigures[row]! ? this.#records[at]! : noFigures;
    const held = judgesOfAngle[row]!(rig, record);
    if (held) return new Finding(angleFindings[row]!, held, rig.scene, rig.angle.id);
    return record !== noFigures && this.#mayBeOpen(at) && readsUnknown(readsOfFinding[row]!, record)
      ? row
      : undefined;
  }

  /** Some figure of the angle is unknown. */
  #mayBeOpen(at: number): boolean {
    this.#hasUnknown ??= this.#records.map(({ states }) => states.includes(unknown));
    return this.#hasUnknown[at]!;
  }

  /** What a row finds, or found before where nothing it looked at differs. */
  rowAgain(row: number, at: number): Finding | OpenRow | undefined {
    const early = this.#early?.[at]?.[row];
    if (early !== undefined) return early ?? undefined;
    const verdict = this.differences?.[at]?.verdict(row);
    return verdict ? verdict.finding : this.judgeRow(row, at);
  }

  /** The same, asked before the rest and kept for it. */
  rowEarly(row: number, at: number): Finding | OpenRow | undefined {
    const difference = this.differences?.[at];
    if (difference && !difference.reaches(row)) return difference.verdict(row)?.finding;
    const one = this.rowAgain(row, at);
    this.#early ??= this.rigs.map(() => []);
    this.#early[at]![row] = one ?? null;
    return one;
  }
  /** By angle and row; null where a row found nothing. */
  #early: (Finding | OpenRow | null)[][] | undefined;

  /** What a row finds in the whole plan; kept, for it may be asked early. */
  planRow(row: number): readonly Held[] {
    return (this.#ofPlan[row] ??= judgesOfPlan[row]!(this));
  }
  readonly #ofPlan: (readonly Held[])[] = [];
}

/** By row: whether it takes figures at all. One that looks at the rig alone is asked before any is computed. */
const looksAtFigures: readonly boolean[] = angleFindings.map(
  ({ judge, reads }) => judge.length > 1 || reads.length > 0
);
const noFigures: FigureRecord = { values: [], states: [], refused: undefined };

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
