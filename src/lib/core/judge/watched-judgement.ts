import { type FigureRecord, type Supposed, unknown } from '../figures/record';
import {
  computeFiguresAgain,
  figuresInReach,
  type FiguresInReach,
  type LeafLooks,
  noneChanged,
  watchLeaves
} from '../figures/record-again';
import type { Finding } from '../findings/finding';
import { angleFindings, readsOfFinding } from '../findings/table';
import { type AxisScore, figuresOfAxis, scoreAxis, wantsOfAxis } from '../merit/axis-scores';
import { axes, type Axis } from '../merit/axis-curves';
import type { Project } from '../model/project';
import type { Angle, Scene } from '../model/scene';
import { connectionsOf } from '../rigs/connections';
import type { Kit } from '../rigs/kit';
import type { PlacedRig } from '../rigs/placed-rig';
import { bagChanges, type Looks, rigChanges, sameBrief, touch, watchRig } from '../rigs/rig-looks';
import type { AngleJudgement, BegunJudgement, OpenRow } from './begun-judgement';
import type { Judgement } from './judge-plan';

/** What a row of the finding table said, and what it looked at to say it, its words included. */
interface Verdict {
  looks: Looks;
  figures: readonly number[];
  /** Undefined where it found nothing. */
  finding: Finding | undefined;
}

/**
 * A judgement that knows what each of its verdicts looked at, so that a plan a little different is
 * judged by going through only what the difference touches.
 *
 * Nothing about dependencies is written down anywhere: every leaf, finding and axis is run once on a rig
 * and record that note what is looked at. As they are pure functions, one that looked at nothing that
 * differs would look at the same things again and say the same.
 */
export class WatchedJudgement {
  readonly #angles = new Map<Angle, WatchedAngle>();
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
      bagChanges(this.judgement.kit, kit),
      sameBrief(this.project, project)
    );
  }

  angle(scene: Scene, angle: Angle): WatchedAngle | undefined {
    let watched = this.#angles.get(angle);
    if (!watched) {
      const judged = this.judgement.angles.find(
        (one) => one.scene === scene && one.angle === angle
      );
      // Where a relation refused its inputs the figures are not worth keeping.
      if (!judged || judged.record.refused) return undefined;
      this.#angles.set(angle, (watched = new WatchedAngle(judged, this.judgement.findings)));
    }
    return watched;
  }
}

class DifferingPlan {
  constructor(
    private readonly watched: WatchedJudgement,
    private readonly bags: Looks,
    private readonly briefIsSame: boolean
  ) {}

  /** The angle judged before, and what differs in it; undefined when it has to be judged from nothing. */
  angle(rig: PlacedRig, supposed: Supposed | undefined): DifferingAngle | undefined {
    const before = this.watched.angle(rig.scene, rig.angle);
    return (
      before &&
      new DifferingAngle(
        before,
        rig,
        rigChanges(before.judged.rig, rig, this.bags, this.briefIsSame),
        supposed
      )
    );
  }
}

/** Everything of an angle that a difference may change; the rest stands without being looked at. */
interface Reach {
  figures: FiguresInReach;
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
  readonly #reach: Reach;

  constructor(
    private readonly before: WatchedAngle,
    private readonly rig: PlacedRig,
    private readonly differs: Looks,
    private readonly supposed: Supposed | undefined
  ) {
    this.#reach = before.reach(differs, supposed);
    if (!this.#reach.connections) rig.kept.connections = connectionsOf(before.judged.rig);
  }

  /** The figures, computed again as far as the difference reaches; the record of before where none changed. */
  get record(): FigureRecord {
    return (this.#record ??= computeFiguresAgain(
      this.before.judged.record,
      this.#reach.figures,
      this.rig,
      this.#changed,
      this.supposed
    ));
  }

  /** What differs may make the row say something else. */
  reaches(row: number): boolean {
    return this.#reach.rows[row]!;
  }

  /** What a row said before, where it has looked at nothing that differs. */
  verdict(row: number): Verdict | undefined {
    const verdict = this.before.verdicts[row];
    return verdict &&
      (!this.#reach.rows[row] ||
        (!touch(verdict.looks, this.differs) && !this.anyChanged(verdict.figures)))
      ? verdict
      : undefined;
  }

  /** What all rows find in the angle, in the order of the table; those out of reach are not looked at. */
  found(begun: BegunJudgement, at: number): (Finding | OpenRow)[] {
    const { reached, standing } = this.#reach;
    const found: (Finding | OpenRow)[] = [];
    let stands = 0;
    for (let i = 0; i < reached.length; i++) {
      const row = reached[i]!;
      while (stands < standing.length && standing[stands]!.row < row)
        found.push(standing[stands++]!.finding);
      const one = begun.rowAgain(row, at);
      if (one !== undefined) found.push(one);
    }
    while (stands < standing.length) found.push(standing[stands++]!.finding);
    return found;
  }

  /** Points of an axis as before, where nothing they stand on differs; otherwise anew. */
  score(axis: Axis, record: FigureRecord): AxisScore | undefined {
    const { looks, score } = this.before.axis(axis);
    return this.#reach.axes.has(axis) &&
      (touch(looks, this.differs) || this.anyChanged(figuresOfAxis(axis)))
      ? scoreAxis(axis, this.rig, record)
      : score;
  }

  private anyChanged(figures: readonly number[]): boolean {
    if (figures.length === 0 || this.record === this.before.judged.record) return false;
    for (let at = 0; at < figures.length; at++) if (this.#changed[figures[at]!] === 1) return true;
    return false;
  }
}

class WatchedAngle {
  readonly leafLooks: LeafLooks;
  readonly connectionLooks: Looks;
  readonly verdicts: readonly (Verdict | undefined)[];
  readonly #axes = new Map<Axis, { looks: Looks; score: AxisScore | undefined }>();

  constructor(
    readonly judged: AngleJudgement,
    findings: readonly Finding[]
  ) {
    this.leafLooks = watchLeaves(judged.rig);
    const joining = watchRig(judged.rig);
    connectionsOf(joining.rig);
    this.connectionLooks = joining.looks;
    this.verdicts = angleFindings.map((row, at) => verdictOf(at, judged, findings));
    for (const axis of axes) {
      const { rig, looks } = watchRig(judged.rig);
      wantsOfAxis(axis, rig);
      this.#axes.set(axis, { looks, score: scoreAxis(axis, judged.rig, judged.record) });
    }
  }

  axis(axis: Axis) {
    return this.#axes.get(axis)!;
  }

  /** Parts tried for one pocket differ in the same places, so how far a difference reaches is kept. */
  reach(differs: Looks, supposed: Supposed | undefined): Reach {
    if (supposed) return this.findReach(differs, supposed);
    let byKinds = this.#reaches.get(differs.corners);
    if (!byKinds) this.#reaches.set(differs.corners, (byKinds = new Map()));
    let reach = byKinds.get(differs.kinds);
    if (!reach) byKinds.set(differs.kinds, (reach = this.findReach(differs, undefined)));
    return reach;
  }
  readonly #reaches = new Map<number, Map<number, Reach>>();

  private findReach(differs: Looks, supposed: Supposed | undefined): Reach {
    const figures = figuresInReach(this.leafLooks, differs, supposed);
    const reached = (places: readonly number[]) => places.some((at) => figures.flags[at] === 1);
    const rows = this.verdicts.map(
      (verdict) => !verdict || touch(verdict.looks, differs) || reached(verdict.figures)
    );
    return {
      figures,
      connections: touch(this.connectionLooks, differs),
      rows,
      reached: rows.flatMap((isReached, row) => (isReached ? row : [])),
      standing: this.verdicts.flatMap((verdict, row) =>
        verdict?.finding && !rows[row] ? { row, finding: verdict.finding } : []
      ),
      axes: new Set(
        axes.filter((axis) => touch(this.axis(axis).looks, differs) || reached(figuresOfAxis(axis)))
      )
    };
  }
}

/** What a row said; undefined where it asks a question, for one question is asked once in a plan. */
function verdictOf(
  at: number,
  { rig, record, scene, angle }: AngleJudgement,
  findings: readonly Finding[]
): Verdict | undefined {
  const row = angleFindings[at]!;
  const reads = readsOfFinding[at]!;
  const watched = watchRig(rig);
  const figures = new Set<number>(reads);
  const held = row.judge(watched.rig, watchRecord(record, figures));
  if (!held && reads.some((place) => record.states[place] === unknown)) return undefined;
  if (held) {
    held.title();
    held.why();
  }
  const finding =
    held &&
    findings.find((one) => one.row === row && one.scene === scene && one.angleId === angle.id);
  return { looks: watched.looks, figures: [...figures], finding };
}

/** A record that notes which figures are looked at. */
function watchRecord(record: FigureRecord, figures: Set<number>): FigureRecord {
  const noting = (list: number[]): number[] =>
    new Proxy(list, {
      get(target, key) {
        figures.add(Number(key));
        return target[Number(key)];
      }
    });
  return {
    values: noting(record.values),
    states: noting(record.states),
    refused: record.refused
  };
}

const watchedByJudgement = new WeakMap<Judgement, WatchedJudgement>();

/** The watched form of a judgement of a project; watching costs as much as a few judgements, so it is kept. */
export function watched(project: Project, judgement: Judgement): WatchedJudgement {
  let kept = watchedByJudgement.get(judgement);
  if (!kept) watchedByJudgement.set(judgement, (kept = new WatchedJudgement(project, judgement)));
  return kept;
}
