import type { ChosenRig } from '../core/judge/best-rig/place-best-rigs';
import type { Candidate, WayOfTaking } from '../core/judge/candidates';
import type { JointsClosed } from '../core/judge/close-joints';
import type { DisputeView } from '../core/judge/disputes';
import type { Question } from '../core/judge/questions';
import type { Remedy } from '../core/judge/settle';
import type { SettledAll } from '../core/judge/settle-all';
import type { CsvReading, CsvDefaults } from '../core/formats/csv-columns';
import type { Rung } from '../core/pack/ladder';
import type { Mending } from '../core/pack/mend';
import type { PackRules } from '../core/pack/pack-rules';
import type { PackedKit } from '../core/pack/packed-kit';
import type { PackProgress } from '../core/pack/kit-search';
import type { RunnerUp } from '../core/pack/runners-up';
import type { WaysOut } from '../core/pack/ways-out';
import type { ManyDays } from '../core/rehearse/many-days';
import type { Luck } from '../core/rehearse/day-outcome';
import type { Savings } from '../core/rehearse/what-saves';
import type { GearItem } from '../core/model/gear';
import type { Pocket } from '../core/model/pocket';
import type { Project } from '../core/model/project';

/** A part of what settles a kit, told as soon as it is known. */
export interface SettledPart {
  /** By the finding's key. */
  remedies?: Record<string, Remedy[]>;
  joints?: JointsClosed;
  /** What to ask a seller, what could move the verdict most first. */
  questions?: Question[];
}

/**
 * A project on its way to the worker. Parts of one's own may be thousands and seldom change: they are
 * handed over once, and held there for the projects that say so.
 */
export interface SentProject extends Project {
  gearIsHeld?: true;
}

/** A candidate that names its part. */
export type CandidateRow = Omit<Candidate, 'gear'> & { gearId: string };

/** One worker's share of a job that several do together: every `of`-th piece, from the one at `index` on. */
export interface Share {
  index: number;
  of: number;
}

/** What became of a job: done, or given up because another of its kind was asked for. */
export interface Outcome<T> {
  cancelled: boolean;
  done: T | undefined;
}

/**
 * What the judging worker answers. Everything that passes is plain data. What somebody looks at is
 * computed first; asking again for the same kind of thing cancels what was asked before.
 */
export interface JudgeWorker {
  /** Parts of one's own, for every project after this that says they are held. */
  holdGear(gear: readonly GearItem[]): void;
  /** Remedies of a share of the findings, those on screen first; the first share closes all joints, the last asks. */
  settle(
    project: SentProject,
    visible: readonly string[],
    share: Share,
    onpart: (part: SettledPart) => void
  ): Promise<Outcome<void>>;
  /** The parts every angle is filmed with; asking again cancels. */
  chooseRigs(project: SentProject): Promise<Outcome<ChosenRig[]>>;
  /** Remedies of one finding, at once; undefined when it is not found. */
  remediesOf(project: SentProject, findingKey: string): Promise<Remedy[] | undefined>;
  /** A share of a pocket's parts judged in the whole kit, a screenful first, then the rest as it comes. */
  candidates(
    project: SentProject,
    pocket: Pocket,
    way: WayOfTaking,
    share: Share,
    onpart: (part: CandidateRow[]) => void
  ): Promise<Outcome<void>>;
  /** One part of a pocket judged in the whole kit, at once. */
  candidate(project: SentProject, gearId: string, way: WayOfTaking): Promise<Candidate | undefined>;
  /** Nobody looks at candidates any more. */
  leavePocket(): void;
  /** Where practitioners disagree about this kit, and what going the other way would do. */
  disputes(project: SentProject, where?: 'brief' | Pocket): Promise<DisputeView[]>;
  /** Changes that together unblock every must-do scene. */
  settleAll(project: SentProject): Promise<SettledAll>;
  /** The kits nothing found beats, told as they are found; asking again or stopping cancels. */
  pack(
    project: SentProject,
    rules: PackRules,
    onpart: (part: PackProgress) => void
  ): Promise<Outcome<void>>;
  stopPacking(): void;
  /** A kit bought in goes, each holding the one before. */
  ladder(
    project: SentProject,
    rules: PackRules,
    kit: PackedKit,
    front: readonly PackedKit[],
    today: string
  ): Promise<Rung[]>;
  /** Pocket by pocket the next best part, and what the kit loses by it. */
  runnersUp(project: SentProject, rules: PackRules, kit: PackedKit): Promise<RunnerUp[]>;
  /** The smallest change that unblocks all that must be filmed; asking again cancels. */
  mend(
    project: SentProject,
    rules: PackRules,
    onpart: (part: Mending) => void
  ): Promise<Outcome<Mending>>;
  /** Many days of chance, told as they are run; asking again or stopping cancels. */
  rehearse(
    project: SentProject,
    sceneId: string,
    onpart: (part: ManyDays) => void
  ): Promise<Outcome<void>>;
  /** What would have kept takes, tried on the same days; asking again or stopping cancels. */
  whatSaves(
    project: SentProject,
    sceneId: string,
    luck: Luck | undefined,
    onpart: (part: Savings) => void
  ): Promise<Outcome<Savings>>;
  stopRehearsing(): void;
  /** What of all that is set stands in the way of filming it all; asking again or stopping cancels. */
  waysOut(
    project: SentProject,
    rules: PackRules,
    onpart: (part: WaysOut) => void
  ): Promise<Outcome<WaysOut>>;
  /** A first kit within the limit; told meanwhile how many kits were judged. */
  packFirst(project: SentProject, ontold: (judged: number) => void): Promise<Project>;
  /** Rows of a spreadsheet as parts, with its progress from 0 to 1; asking again or stopping cancels. */
  readRows(
    headers: readonly string[],
    rows: readonly (readonly string[])[],
    columns: readonly (string | undefined)[],
    defaults: CsvDefaults,
    onprogress: (share: number) => void
  ): Promise<Outcome<CsvReading>>;
  stopReadingRows(): void;
  /** Writes the whole of a project anew, so that few small writes lie behind it. */
  takeSnapshot(projectId: string): Promise<void>;
}
