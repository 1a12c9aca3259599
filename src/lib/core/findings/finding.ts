import type { FindingCode } from './finding-codes';
import type { Act } from '../acts/act';
import type { Figures } from '../figures/record';
import type { FigureUnit } from '../figures/rows';
import type { FigureId } from '../figures/table';
import type { GearItem } from '../model/gear';
import type { Plan, PlanLine } from '../model/plan';
import type { Project } from '../model/project';
import type { Scene } from '../model/scene';
import type { Shelf } from '../model/shelf';
import type { MoneyStatement } from '../money/statement';
import type { Kit } from '../rigs/kit';
import type { PlacedRig } from '../rigs/placed-rig';

/** `stop` cannot work or is unsafe; `warn` works at a cost; `note` good to know. */
export const severities = ['note', 'warn', 'stop'] as const;
export type Severity = (typeof severities)[number];

export function severityRank(severity: Severity): number {
  return severity === 'stop' ? 2 : severity === 'warn' ? 1 : 0;
}

export const families = [
  'body',
  'lens',
  'sound',
  'light',
  'support',
  'storage',
  'power',
  'money',
  'whole',
  'unknown'
] as const;
export type Family = (typeof families)[number];

/** What a row found: the verdict now, the words only when somebody looks. */
export interface Held {
  severity: Severity;
  /** Tells apart two findings of one code in one scene. */
  about?: string;
  lineIds?: readonly string[];
  /** What is missing belongs to the part that needs it, as a stand to its lamp, and is taken with it. */
  comesAlong?: boolean;
  /** Scenes a finding of the whole plan stops. */
  sceneIds?: readonly string[];
  /** Little else of these scenes can be judged while it stands. */
  hides?: true;
  has?: number;
  needs?: number;
  unit?: FigureUnit | 'money';
  figure?: FigureId;
  title: () => string;
  why: () => string;
}

/** A change that may mend a finding; whether it does, the judge decides. */
export type Proposal = SettingProposal | PartProposal;

/** A change of what is set, placed or said, or of parts already decided on. */
export interface SettingProposal {
  label: string;
  act: Act;
}

export interface PartProposal {
  /** Parts to try, cheapest first; the first that truly mends is offered. */
  parts: readonly GearItem[];
  label: (gear: GearItem) => string;
  /** How the part comes in; by default it is added. */
  act?: (line: PlanLine) => Act;
}

export interface AngleContext {
  rig: PlacedRig;
  figures: Figures;
  shelf: Shelf;
  plan: Plan;
  project: Project;
}

export interface PlanContext {
  project: Project;
  plan: Plan;
  shelf: Shelf;
  kit: Kit;
  money: MoneyStatement;
  rigs: readonly PlacedRig[];
  /** Each rig with its figures, which are computed when they are first asked for. */
  angles: readonly { rig: PlacedRig; record: Figures }[];
}

interface RowBase {
  code: FindingCode;
  family: Family;
  /** What the code is about, in a few words, for the documents. */
  about: string;
  /** Another cause than the one a curve of merit tells for this code: it costs its axis by itself. */
  ownCause?: true;
  /** It is good to know and never weakens a scene: one that stays open costs nothing. */
  onlyNotes?: true;
}

interface AngleRowBase extends RowBase {
  propose: (context: AngleContext, held: Held) => Proposal[];
}

/** A finding judged for each angle of each scene by its figures. */
export interface FigureFindingRow<R extends FigureId = FigureId> extends AngleRowBase {
  scope: 'angle';
  /**
   * Every figure it looks at, for the verdict or for its words. An unknown one that was looked at for the
   * verdict raises a question instead of a verdict.
   */
  reads: readonly R[];
  judge: (rig: PlacedRig, figures: Figures<R>) => Held | undefined;
}

/** A finding judged for each angle by what is in the rig alone: asked before any figure is computed. */
export interface RigFindingRow extends AngleRowBase {
  scope: 'angle';
  reads?: never;
  judge: (rig: PlacedRig) => Held | undefined;
}

export type AngleFindingRow = FigureFindingRow | RigFindingRow;

/** A row that can look at no figure but those it says it reads. */
export function figureRow<const R extends FigureId>(
  row: Omit<FigureFindingRow<R>, 'scope'>
): AngleFindingRow {
  return { ...row, scope: 'angle' };
}

/** A row that looks at no figure. */
export function rigRow(row: Omit<RigFindingRow, 'scope' | 'reads'>): AngleFindingRow {
  return { ...row, scope: 'angle' };
}

/** A finding judged once for the whole plan. */
export interface PlanFindingRow extends RowBase {
  scope: 'plan';
  /** Some of what it finds missing comes along with the part that needs it. */
  mayComeAlong?: true;
  judge: (context: PlanContext) => readonly Held[];
  propose: (context: PlanContext, held: Held) => Proposal[];
}

export type FindingRow = AngleFindingRow | PlanFindingRow;

/**
 * A finding that stands: what a row found, and where. Only what every judgement compares is taken out of
 * what the row found; the rest is looked up when somebody asks.
 */
export class Finding implements Held {
  readonly severity: Severity;
  /** Higher is worse. */
  readonly rank: number;
  readonly about: string | undefined;
  readonly code: FindingCode;

  constructor(
    readonly row: FindingRow,
    private readonly held: Held,
    readonly scene?: Pick<Scene, 'id' | 'name' | 'angles'>,
    readonly angleId?: string
  ) {
    this.severity = held.severity;
    this.rank = severityRank(held.severity);
    this.about = held.about;
    this.code = row.code;
  }

  get lineIds(): readonly string[] | undefined {
    return this.held.lineIds;
  }

  get comesAlong(): boolean | undefined {
    return this.held.comesAlong;
  }

  get sceneIds(): readonly string[] | undefined {
    return this.held.sceneIds;
  }

  get hides(): true | undefined {
    return this.held.hides;
  }

  get has(): number | undefined {
    return this.held.has;
  }

  get needs(): number | undefined {
    return this.held.needs;
  }

  get unit(): Held['unit'] {
    return this.held.unit;
  }

  get figure(): FigureId | undefined {
    return this.held.figure;
  }

  get title(): () => string {
    return this.held.title;
  }

  get why(): () => string {
    return this.held.why;
  }

  /** The title as words; put together once, for a finding that stands is compared with a thousand kits. */
  get words(): string {
    return (this.#words ??= this.held.title());
  }
  #words: string | undefined;

  get sceneId(): string | undefined {
    return this.scene?.id;
  }

  get sceneName(): string | undefined {
    return this.scene?.name;
  }

  /** The angle it speaks of by name, where its scene is filmed from several. */
  get angleName(): string | undefined {
    const angles = this.scene?.angles ?? [];
    return angles.length > 1 ? angles.find(({ id }) => id === this.angleId)?.name : undefined;
  }

  /** Same finding before and after a change: code, scene, angle and what it is about. */
  get key(): string {
    return (this.#key ??= `${this.code}:${this.scene?.id ?? ''}:${this.angleId ?? ''}:${this.about ?? ''}`);
  }
  #key: string | undefined;
}
