import { computeFigures, FigureRecord, type Supposed } from '../../figures/record';
import { type AngleFindingRow, Finding, type Held } from '../../findings/finding';
import { angleFindings, judgesOfAngle } from '../../findings/table';
import { type AxisSum, figuresOfAxis, sumAxis, wantsOfAxis } from '../../merit/axis-scores';
import { axes, type Axis } from '../../merit/axis-curves';
import { activePlan } from '../../model/active-plan';
import type { GearKind } from '../../model/gear';
import type { Project } from '../../model/project';
import type { Angle, Scene } from '../../model/scene';
import { connectionsOf } from '../../rigs/connections';
import type { Kit } from '../../rigs/kit';
import { overridesOf, placeRig } from '../../rigs/place-rig';
import type { PlacedRig } from '../../rigs/placed-rig';
import { memoOf } from '../../memo';
import type { Judgement } from '../judgement';
import type { AngleJudgement, OpenRow } from './angle-judgement';
import type { RowSource } from './angle-judgement';
import {
  type Dependencies,
  kitDifferences,
  overlaps,
  rigDifferences,
  sameBrief,
  trackRig
} from './dependencies';
import {
  type AffectedFigures,
  affectedFigures,
  type LeafDependencies,
  noneChanged,
  recomputeFigures,
  trackLeaves
} from './recompute-figures';

/** What a row of the finding table found, and what it read to find it, its words included. */
interface TrackedRow {
  read: Dependencies;
  figures: readonly number[];
  /** Undefined where it found nothing. */
  finding: Finding | undefined;
}

/**
 * A judgement that knows what each leaf, row and axis read, so that a plan that differs a little is judged by
 * computing only what the difference may change.
 *
 * Dependencies are not written down anywhere: every leaf, row and axis is run once on a rig and a record that
 * note what is read. They are pure functions, so one that read nothing that differs would read the same
 * things again and come out the same.
 */
export class TrackedJudgement {
  readonly #angles = new Map<Angle, TrackedAngle>();
  readonly #otherRigs = new Map<string, OtherRig>();
  /** Keys of what it found. */
  readonly keys: ReadonlySet<string>;

  constructor(
    readonly project: Project,
    readonly judgement: Judgement
  ) {
    this.keys = new Set(judgement.findings.map(({ key }) => key));
  }

  /** What another state of the same project differs in, to be asked angle by angle. */
  differing(project: Project, kit: Kit): DifferingPlan {
    return new DifferingPlan(
      this,
      kit,
      kitDifferences(this.judgement.kit, kit),
      sameBrief(this.project, project)
    );
  }

  angle(scene: Scene, angle: Angle): TrackedAngle | undefined {
    let tracked = this.#angles.get(angle);
    if (!tracked) {
      const judged = this.judgement.angles.find(
        (judged) => judged.scene === scene && judged.angle === angle
      );
      // Where a relation refused its inputs the figures are not worth keeping.
      if (!judged || judged.record.refused) return undefined;
      const found = this.judgement.findings.filter(
        (finding) => finding.scene === scene && finding.angleId === angle.id
      );
      this.#angles.set(
        angle,
        (tracked = new TrackedAngle(judged, (row) => found.find((finding) => finding.row === row)))
      );
    }
    return tracked;
  }

  /**
   * The tracked angle that differs least from a rig: the one judged before, or, where the same other parts are tried
   * again and again (two lenses beside each of a pocket's microphones), one with those parts and the kit of before.
   * Any is right to start from; from a near one less is judged.
   */
  nearest(rig: PlacedRig): TrackedAngle | undefined {
    const usual = this.angle(rig.scene, rig.angle);
    // Later angles take what the first leave, which this does not know.
    if (!usual || rig.index > 0) return usual;
    const parts = placedParts(rig);
    if (parts === placedParts(usual.judged.rig)) return usual;
    const key = `${rig.scene.id} ${rig.angle.id} ${parts}`;
    let other = this.#otherRigs.get(key);
    if (!other) this.#otherRigs.set(key, (other = { asked: 0, tracked: undefined }));
    other.asked += 1;
    if (other.asked === ASKED_BEFORE_TRACKED) other.tracked = this.trackOther(rig);
    return other.tracked ?? usual;
  }

  private trackOther(rig: PlacedRig): TrackedAngle | undefined {
    const { kit } = this.judgement;
    const { scene, angle } = rig;
    const lines = [rig.body?.line.id, rig.support?.line.id, rig.keyLamp?.part.line.id];
    if (!rig.lens?.builtIn) lines.push(rig.lens?.lineId);
    if (lines.some((lineId) => lineId !== undefined && !kit.byLine(lineId))) return undefined;
    const [bodyLineId, supportLineId, keyLampLineId, lensLineId] = lines;
    const plan = activePlan(this.project);
    const placed = placeRig(this.project, plan, kit, scene, angle, new Map(), {
      ...overridesOf(plan, scene, angle),
      sceneId: scene.id,
      angleId: angle.id,
      bodyLineId,
      supportLineId,
      keyLampLineId,
      lensLineId,
      fillLampLineId: rig.fillLamp?.part.line.id
    });
    const record = computeFigures([placed])[0]!;
    if (record.refused) return undefined;
    return new TrackedAngle(
      { scene, angle, rig: placed, record },
      (row, held) => new Finding(row, held, scene, angle.id)
    );
  }
}

/** Tracking takes as long as a few judgements, so that a rig has to be tried some times before it pays. */
const ASKED_BEFORE_TRACKED = 8;

interface OtherRig {
  asked: number;
  tracked: TrackedAngle | undefined;
}

const placedParts = ({ body, lens, support, keyLamp, fillLamp }: PlacedRig): string =>
  `${body?.line.id} ${lens?.lineId} ${support?.line.id} ${keyLamp?.part.line.id} ${fillLamp?.part.line.id}`;

/**
 * How a kit that differs a little is put in place: every part at its best, to the same end as from nothing; or as
 * it was before, only what is new tried in its job. The second takes a hundredth of the time where many parts lie in
 * the bag, and is for what is judged once more before anybody is told.
 */
export type HowToPlace = 'best' | 'as before';

export interface Placing {
  howToPlace?: HowToPlace;
  /**
   * As if what joins parts and comes along with them were there: a microphone is used before its cable is bought with
   * it, a lamp before its stand. Without, what cannot be joined or held is left in the bag where something else serves.
   */
  besideComing?: boolean;
  /** Only this scene is put in place, where nothing is asked of the others. */
  sceneId?: string;
  /** Rigs of the very same kit that stay as they were found, by their angles; of a scene all or none. */
  standing?: ReadonlyMap<Angle, PlacedRig>;
}

/** New parts of a kit, and of which kinds they are. */
export interface NewParts {
  lineIds: ReadonlySet<string>;
  kinds: ReadonlySet<GearKind>;
}

function newPartsIn(before: Kit, kit: Kit): NewParts {
  const had = new Map(before.parts.map(({ line }) => [line.id, line.quantity]));
  const fresh = kit.parts.filter(({ line }) => (had.get(line.id) ?? 0) < line.quantity);
  return {
    lineIds: new Set(fresh.map(({ line }) => line.id)),
    kinds: new Set(fresh.map(({ gear }) => gear.kind))
  };
}

/** Where a camera, a microphone and lamps can go in a scene, and whether any is wanted, is as it was. */
const asksForTheSame = (before: Scene, after: Scene): boolean =>
  before.style === after.style &&
  before.lightSource === after.lightSource &&
  before.hasDeskFeed === after.hasDeskFeed &&
  (before.voice === 'none') === (after.voice === 'none');

export class DifferingPlan {
  constructor(
    private readonly tracked: TrackedJudgement,
    private readonly kit: Kit,
    private readonly kits: Dependencies,
    private readonly briefIsSame: boolean
  ) {}

  /** The rig an angle had before; undefined where there was none, or where its jobs are others now. */
  rigBefore(scene: Scene, angle: Angle): PlacedRig | undefined {
    return this.tracked.judgement.angles.find(
      (judged) =>
        judged.angle === angle ||
        (judged.scene.id === scene.id &&
          judged.angle.id === angle.id &&
          asksForTheSame(judged.scene, scene) &&
          judged.angle.cameraPlace === angle.cameraPlace)
    )?.rig;
  }

  get hasSameKit(): boolean {
    return this.kits.kinds === 0 && this.kits.fields === 0;
  }

  /** The same kit for the same brief: at most it is used in another way in some scenes. */
  get hasOnlyOtherRigs(): boolean {
    return this.briefIsSame && this.hasSameKit;
  }

  /** Parts the kit did not hold before, or fewer pieces of them. */
  get newParts(): NewParts {
    return (this.#newParts ??= newPartsIn(this.tracked.judgement.kit, this.kit));
  }
  #newParts: NewParts | undefined;

  /** The angle judged before, and what differs in it; undefined when it has to be judged from nothing. */
  angle(rig: PlacedRig, supposed: Supposed | undefined): DifferingAngle | undefined {
    const before = this.tracked.nearest(rig);
    return (
      before &&
      new DifferingAngle(
        before,
        rig,
        rigDifferences(before.judged.rig, rig, this.kits, this.briefIsSame),
        supposed
      )
    );
  }
}

/** Everything of an angle that a difference may change; the rest stands without being read again. */
interface Affected {
  figures: AffectedFigures;
  connections: boolean;
  /** By the place of the row in the finding table. */
  rows: readonly boolean[];
  /** The places of those rows, and what the others found, with their places. */
  reached: readonly number[];
  standing: readonly { row: number; finding: Finding }[];
  axes: ReadonlySet<Axis>;
}

export class DifferingAngle {
  readonly #changed = noneChanged();
  #record: FigureRecord | undefined;
  readonly #affected: Affected;

  constructor(
    private readonly before: TrackedAngle,
    private readonly rig: PlacedRig,
    private readonly differs: Dependencies,
    private readonly supposed: Supposed | undefined
  ) {
    this.#affected = before.affected(differs, supposed);
    if (!this.#affected.connections) connectionsOf.carry(before.judged.rig, rig);
  }

  /** The figures, computed again as far as the difference reaches; the record of before where none changed. */
  get record(): FigureRecord {
    return (this.#record ??= recomputeFigures(
      this.before.judged.record,
      this.#affected.figures,
      this.rig,
      this.#changed,
      this.supposed
    ));
  }

  /** Rows that what differs may reach, by their places in the finding table. */
  get reached(): readonly number[] {
    return this.#affected.reached;
  }

  /** What the other rows found, and find. */
  get standing(): Affected['standing'] {
    return this.#affected.standing;
  }

  /** What differs may change what the row finds. */
  mayChange(row: number): boolean {
    return this.#affected.rows[row]!;
  }

  /** What a row found before, where it has read nothing that differs. */
  unchanged(row: number): TrackedRow | undefined {
    const tracked = this.before.rows[row];
    return tracked &&
      (!this.#affected.rows[row] ||
        (!overlaps(tracked.read, this.differs) && !this.anyChanged(tracked.figures)))
      ? tracked
      : undefined;
  }

  /** What all rows find in the angle, in the order of the table; those that cannot change are not judged. */
  found(evaluation: RowSource, angle: number): (Finding | OpenRow)[] {
    const { reached, standing } = this.#affected;
    const found: (Finding | OpenRow)[] = [];
    let stands = 0;
    for (let i = 0; i < reached.length; i++) {
      const row = reached[i]!;
      while (stands < standing.length && standing[stands]!.row < row)
        found.push(standing[stands++]!.finding);
      const outcome = evaluation.rowReused(row, angle);
      if (outcome !== undefined) found.push(outcome);
    }
    while (stands < standing.length) found.push(standing[stands++]!.finding);
    return found;
  }

  /** What the figures of an axis come to as before, where none of them differs; otherwise anew. */
  sum(axis: Axis, record: FigureRecord): AxisSum | undefined {
    const { read, sum } = this.before.axis(axis);
    return this.#affected.axes.has(axis) &&
      (overlaps(read, this.differs) || this.anyChanged(figuresOfAxis(axis)))
      ? sumAxis(axis, this.rig, record)
      : sum;
  }

  private anyChanged(figures: readonly number[]): boolean {
    if (figures.length === 0 || this.record === this.before.judged.record) return false;
    for (let index = 0; index < figures.length; index++)
      if (this.#changed[figures[index]!] === 1) return true;
    return false;
  }
}

/** What is told of an angle where a row holds. */
type FindingOfRow = (row: AngleFindingRow, held: Held) => Finding | undefined;

class TrackedAngle {
  readonly leaves: LeafDependencies;
  readonly connections: Dependencies;
  readonly rows: readonly (TrackedRow | undefined)[];
  readonly #axes = new Map<Axis, { read: Dependencies; sum: AxisSum | undefined }>();

  constructor(
    readonly judged: AngleJudgement,
    findingOf: FindingOfRow
  ) {
    this.leaves = trackLeaves(judged.rig);
    const joining = trackRig(judged.rig);
    connectionsOf(joining.rig);
    this.connections = joining.read;
    this.rows = angleFindings.map((row, index) => trackRow(index, judged, findingOf));
    for (const axis of axes) {
      const { rig, read } = trackRig(judged.rig);
      wantsOfAxis(axis, rig);
      this.#axes.set(axis, { read, sum: sumAxis(axis, judged.rig, judged.record) });
    }
  }

  axis(axis: Axis) {
    return this.#axes.get(axis)!;
  }

  /** Parts tried for one pocket differ in the same fields, so what they may change is remembered. */
  affected(differs: Dependencies, supposed: Supposed | undefined): Affected {
    if (supposed) return this.findAffected(differs, supposed);
    let byKinds = this.#affectedBy.get(differs.fields);
    if (!byKinds) this.#affectedBy.set(differs.fields, (byKinds = new Map()));
    let affected = byKinds.get(differs.kinds);
    if (!affected) byKinds.set(differs.kinds, (affected = this.findAffected(differs, undefined)));
    return affected;
  }
  readonly #affectedBy = new Map<number, Map<number, Affected>>();

  private findAffected(differs: Dependencies, supposed: Supposed | undefined): Affected {
    const figures = affectedFigures(this.leaves, differs, supposed);
    const reached = (places: readonly number[]) =>
      places.some((place) => figures.flags[place] === 1);
    const rows = this.rows.map(
      (tracked) => !tracked || overlaps(tracked.read, differs) || reached(tracked.figures)
    );
    return {
      figures,
      connections: overlaps(this.connections, differs),
      rows,
      reached: rows.flatMap((isReached, row) => (isReached ? row : [])),
      standing: this.rows.flatMap((tracked, row) =>
        tracked?.finding && !rows[row] ? { row, finding: tracked.finding } : []
      ),
      axes: new Set(
        axes.filter(
          (axis) => overlaps(this.axis(axis).read, differs) || reached(figuresOfAxis(axis))
        )
      )
    };
  }
}

/** What a row found; undefined where it asks a question, for one question is asked once in a plan. */
function trackRow(
  rowIndex: number,
  { rig, record }: AngleJudgement,
  findingOf: FindingOfRow
): TrackedRow | undefined {
  const row = angleFindings[rowIndex]!;
  const tracked = trackRig(rig);
  const figures = new Set<number>();
  const noting = trackRecord(record, figures);
  const held = judgesOfAngle[rowIndex]!(tracked.rig, noting);
  if (!held && noting.unknownReads > 0) return undefined;
  if (held) {
    held.title();
    held.why();
  }
  const finding = held && findingOf(row, held);
  return { read: tracked.read, figures: [...figures], finding };
}

/** A record that notes which figures are read. */
function trackRecord(record: FigureRecord, figures: Set<number>): FigureRecord {
  const noting = (list: number[]): number[] =>
    new Proxy(list, {
      get(target, key) {
        figures.add(Number(key));
        return target[Number(key)];
      }
    });
  return new FigureRecord(noting(record.values), noting(record.states));
}

const trackedJudgements = memoOf((_judgement: Judgement) => new Map<Project, TrackedJudgement>());

/** The tracked form of a judgement of a project; tracking costs as much as a few judgements, so it is remembered. */
export function trackJudgement(project: Project, judgement: Judgement): TrackedJudgement {
  const byProject = trackedJudgements(judgement);
  let tracked = byProject.get(project);
  if (!tracked) byProject.set(project, (tracked = new TrackedJudgement(project, judgement)));
  return tracked;
}
