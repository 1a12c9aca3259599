import { computeFigures, FigureRecord, type Supposed } from '../../figures/record';
import { figureIndex } from '../../figures/table';
import { partOfLeaf } from '../../figures/why';
import { Finding, type Held } from '../../findings/finding';
import { angleFindings, judgesOfAngle, judgesOfPlan, looksAtFigures } from '../../findings/table';
import type { Plan } from '../../model/plan';
import type { Project } from '../../model/project';
import type { Shelf } from '../../model/shelf';
import { type MoneyStatement, statementOf } from '../../money/statement';
import { type Kit, makeKit } from '../../rigs/kit';
import type { PlacedRig } from '../../rigs/placed-rig';
import { placeBestRigs } from '../best-rig/place-best-rigs';
import type { AngleJudgement, OpenRow, RowSource, SupposedAnswer } from './angle-judgement';
import type { DifferingAngle, Placing, TrackedJudgement } from './tracked-judgement';

function supposedIn(rig: PlacedRig, { leaf, lineId, value }: SupposedAnswer): Supposed | undefined {
  return partOfLeaf(rig, leaf)?.lineId === lineId ? { at: figureIndex[leaf], value } : undefined;
}

/** A plan with its parts in place; figures, money and findings are computed when they are asked for. */
export class PlanEvaluation implements RowSource {
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
    before: TrackedJudgement | undefined,
    placing: Placing = {}
  ) {
    this.kit = makeKit(plan, shelf);
    const differing = before?.differing(project, this.kit);
    const best = placeBestRigs(project, plan, this.kit, differing, placing);
    this.rigs = best.map(({ rig }) => rig);
    const supposed = answer ? this.rigs.map((rig) => supposedIn(rig, answer)) : noneSupposed;
    this.#supposed = supposed;
    this.differences =
      differing &&
      best.map(({ rig, difference }, index) =>
        difference && !supposed[index] ? difference : differing.angle(rig, supposed[index])
      );
  }

  get angles(): readonly AngleJudgement[] {
    return (this.#angles ??= this.rigs.map((rig, index): AngleJudgement => {
      return { scene: rig.scene, angle: rig.angle, rig, record: this.#records[index]! };
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

  #figures(): FigureRecord[] {
    const { rigs, differences } = this;
    if (!differences) return computeFigures(rigs, this.#supposed);
    return rigs.map(
      (rig, index) =>
        differences[index]?.record ?? computeFigures([rig], [this.#supposed[index]])[0]!
    );
  }

  /** What a row of the finding table finds in an angle. */
  judgeRow(row: number, angle: number): Finding | OpenRow | undefined {
    const rig = this.rigs[angle]!;
    const record = looksAtFigures[row]! ? this.#records[angle]! : noFigures;
    const before = record.unknownReads;
    const held = judgesOfAngle[row]!(rig, record);
    if (held) return new Finding(angleFindings[row]!, held, rig.scene, rig.angle.id);
    return record.unknownReads > before ? row : undefined;
  }

  /** What a row finds, or found before where nothing it read differs. */
  rowReused(row: number, angle: number): Finding | OpenRow | undefined {
    const ahead = this.#ahead?.[angle]?.[row];
    if (ahead !== undefined) return ahead ?? undefined;
    const unchanged = this.differences?.[angle]?.unchanged(row);
    return unchanged ? unchanged.finding : this.judgeRow(row, angle);
  }

  /** The same, asked ahead of the others and remembered. */
  rowAhead(row: number, angle: number): Finding | OpenRow | undefined {
    const difference = this.differences?.[angle];
    if (difference && !difference.mayChange(row)) return difference.unchanged(row)?.finding;
    const found = this.rowReused(row, angle);
    this.#ahead ??= this.rigs.map(() => []);
    this.#ahead[angle]![row] = found ?? null;
    return found;
  }
  /** By angle and row; null where a row found nothing. */
  #ahead: (Finding | OpenRow | null)[][] | undefined;

  /** What a row finds in the whole plan; remembered, for it may be asked ahead. */
  planRow(row: number): readonly Held[] {
    return (this.#ofPlan[row] ??= judgesOfPlan[row]!(this));
  }
  readonly #ofPlan: (readonly Held[])[] = [];
}

const noFigures = new FigureRecord([], []);

const noneSupposed: readonly (Supposed | undefined)[] = [];
