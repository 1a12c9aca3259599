import { type FindingCode, isQuestion } from '../findings/finding-codes';
import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { Finding, severityRank } from '../findings/finding';
import { angleFindings } from '../findings/table';
import type { KitMerit } from '../merit/kit-merit';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { makeShelf, type Shelf } from '../model/shelf';
import { pricedFor } from '../money/priced-shelf';
import { closeOpenEnds, completeKit } from './complete-kit';
import { trackJudgement } from './incremental';
import type { Judgement } from './judgement';
import { joints } from './joint-rows';
import { judgePlan } from './judge-plan';

/** A change that was tried and does mend: its price, and what it costs elsewhere. */
export interface Remedy {
  label: string;
  act: Act;
  /** What it adds to the firm total; negative when it saves. */
  costMinor: number;
  /** New findings it brings, none worse than what it mends. */
  brings: string[];
  /** It takes the finding away; otherwise it makes it milder. */
  mends: boolean;
  /** It takes away what blocks a scene, though a weakness may be left. */
  unblocks: boolean;
  /** What the whole kit gains for what it costs: remedies with more stand first. */
  gainPerMoney: number;
}

/** A change that takes at least this share of the gap away is worth offering though a rest remains. */
const WORTHWHILE_SHARE = 0.3;

function comesNearer(before: Finding, after: Finding): boolean {
  if (
    before.has === undefined ||
    before.needs === undefined ||
    after.has === undefined ||
    after.needs === undefined
  )
    return false;
  const gapBefore = Math.abs(before.has - before.needs);
  const gapAfter = Math.abs(after.has - after.needs);
  return Number.isFinite(gapBefore) && gapAfter <= gapBefore * (1 - WORTHWHILE_SHARE);
}

/** One act that may settle a finding, in words. */
export interface Attempt {
  label: string;
  act: Act;
  /** Only worth offering where nothing has to come with it. */
  alone?: true;
}

/** Of more changes than these the first tried are judged again. */
const MOST_KEPT = 300;

/** Findings of which closing is a part of judging what mends them. */
const isClosed = ({ code, row }: Finding): boolean =>
  code in joints || (row.scope === 'plan' && row.mayComeAlong === true);

/** A change in a kit, and all that comes with it. */
interface ChangedKit {
  act: Act;
  /** Something had to come. */
  isMore: boolean;
  judgement: Judgement;
}

/**
 * The kits that changes of one project come to. Many findings are settled by the same part (a lamp of the shelf is
 * tried in every scene that is dark), and a kit is judged once for all of them.
 */
export class TriedKits {
  readonly #asTheyLie = new Map<string, ChangedKit>();
  readonly #atBest = new Map<string, Judgement>();

  constructor(
    readonly project: Project,
    readonly shelf: Shelf,
    readonly before: Judgement
  ) {}

  /** The kit with a change and all that comes with it, the other parts as they lie. */
  asTheyLie(act: Act, finding: Finding): ChangedKit {
    const mending = isClosed(finding) ? finding.key : '';
    return remembered(this.#asTheyLie, `${mending} ${nameOfAct(act)}`, () => {
      const { project, shelf } = this.changed(act);
      const { acts, judgement } = completeKit(this.tracked, project, shelf, {
        mending,
        howToPlace: 'as before'
      });
      const whole: Act = acts.length > 0 ? { type: 'batch', acts: [act, ...acts] } : act;
      return { act: whole, isMore: acts.length > 0, judgement };
    });
  }

  /** The kit with a change to which nothing more comes, every part at its best: as it will be once it is taken. */
  atBest(act: Act): Judgement {
    return remembered(this.#atBest, nameOfAct(act), () => {
      const { project, shelf } = this.changed(act);
      return judgePlan(project, activePlan(project), shelf, { before: this.tracked });
    });
  }

  /**
   * That a finding of an angle stands as before with a change, though all that is open in its scene be closed: told
   * by this scene alone, in a fraction of the time the whole kit takes.
   */
  leavesIt(act: Act, finding: Finding): boolean {
    const row = angleFindings.findIndex((row) => row === finding.row);
    if (row < 0) return false;
    const { project, shelf } = this.changed(act);
    const { key, sceneId } = finding;
    const { evaluation } = closeOpenEnds(this.tracked, project, shelf, key, sceneId);
    const index = evaluation.rigs.findIndex(({ angle }) => angle.id === finding.angleId);
    if (index < 0) return false;
    const now = evaluation.rowReused(row, index);
    return now instanceof Finding && now.key === key && !isEased(finding, now);
  }

  private get tracked() {
    return trackJudgement(this.project, this.before);
  }

  /** The project with a change, and the shelf as it sees it: a figure or price noted on a part shows in a new entry. */
  private changed(act: Act): { project: Project; shelf: Shelf } {
    const project = applyAct(this.project, act);
    const { shelf } = this;
    return project.ownGear === this.project.ownGear
      ? { project, shelf }
      : { project, shelf: pricedFor(project, makeShelf(shelf.items, project.ownGear)) };
  }
}

/** A setting that is freed is written as one that is nothing: it tells this act from others. */
const nameOfAct = (act: Act): string =>
  JSON.stringify(act, (_, value: unknown) => (value === undefined ? '(freed)' : value));

function remembered<V>(known: Map<string, V>, key: string, find: () => V): V {
  let found = known.get(key);
  if (found === undefined) {
    found = find();
    if (known.size >= MOST_KEPT) known.clear();
    known.set(key, found);
  }
  return found;
}

const isEased = (before: Finding, after: Finding): boolean =>
  severityRank(after.severity) < severityRank(before.severity) || comesNearer(before, after);

/** Tries one act with the other parts left as they lie. */
export function tried(
  kits: TriedKits,
  finding: Finding,
  { label, act, alone }: Attempt
): Remedy | undefined {
  if (kits.leavesIt(act, finding)) return undefined;
  const { act: whole, isMore, judgement } = kits.asTheyLie(act, finding);
  if (alone && isMore) return undefined;
  return weighed(kits, finding, label, whole, judgement);
}

/** Judges once more what was found so, with every part at its best. */
export function triedAtBest(
  kits: TriedKits,
  finding: Finding,
  { label }: Attempt,
  { act }: Remedy
): Remedy | undefined {
  return weighed(kits, finding, label, act, kits.atBest(act));
}

/** A remedy where a change takes the finding away or helps partly without a worse one. */
function weighed(
  { before }: TriedKits,
  finding: Finding,
  label: string,
  act: Act,
  after: Judgement
): Remedy | undefined {
  const rest = after.findings.find((other) => other.key === finding.key);
  if (rest && !isEased(finding, rest)) return undefined;
  const severityBefore = new Map(
    before.findings.map((finding) => [finding.key, severityRank(finding.severity)])
  );
  // What was hidden behind the finding was there before: it comes to light, and is settled next.
  const wasHidden = ({ sceneId, sceneIds = [] }: Finding) =>
    finding.hides === true &&
    [sceneId, ...sceneIds].some((id) => id !== undefined && finding.sceneIds?.includes(id));
  const brings = after.findings.filter(
    (finding) =>
      severityRank(finding.severity) > (severityBefore.get(finding.key) ?? -1) &&
      !isQuestion(finding) &&
      !wasHidden(finding)
  );
  const limit = severityRank(finding.severity);
  // Going over a limit is told as a cost; a new stop is never offered.
  if (
    brings.some(
      (finding) =>
        finding.severity === 'stop' ||
        (severityRank(finding.severity) > limit && finding.row.family !== 'money')
    )
  )
    return undefined;
  if (
    finding.hides !== true &&
    finding.row.family !== 'money' &&
    isWorseKit(after.merit, before.merit)
  )
    return undefined;
  const had = new Map(before.money.lines.map(({ line }) => [line.id, line.quantity]));
  const costMinor = after.money.firmMinor - before.money.firmMinor;
  // What is over its limit already goes further over: the price says by how much.
  const isOver = before.money.remainingMinor < 0;
  // What costs more is no way out of having spent too much.
  if (OVERSPENT.has(finding.code) && costMinor > 0) return undefined;
  const unsaid = after.money.lines.flatMap(({ line, gear }) => {
    const pieces = had.get(line.id) ?? 0;
    if (!gear || label.includes(gear.model) || line.quantity <= pieces) return [];
    return pieces === 0 ? gear.model : `one more ${gear.model}`;
  });
  return {
    label: unsaid.length > 0 ? `${label}, with ${unsaid.join(' and ')}` : label,
    act,
    costMinor,
    brings: [
      ...new Set(
        brings
          .filter(({ severity, row }) => severity !== 'note' && !(row.family === 'money' && isOver))
          .map((finding) => finding.title())
      )
    ],
    mends: rest === undefined,
    unblocks: finding.severity === 'stop' && rest?.severity !== 'stop',
    gainPerMoney: gainPerMoney(after.merit, before.merit, costMinor)
  };
}

/** Findings that tell of too much money spent. */
const OVERSPENT: ReadonlySet<FindingCode> = new Set<FindingCode>(['M1', 'M2', 'M3', 'M6']);

/** Half a point is within the judge's own estimates. */
const NO_WORSE_HUNDREDTHS = 50;

function isWorseKit(after: KitMerit, before: KitMerit): boolean {
  if (after.mustDoWorking !== before.mustDoWorking)
    return after.mustDoWorking < before.mustDoWorking;
  if (after.stops !== before.stops) return after.stops > before.stops;
  return after.onceSettledHundredths < before.onceSettledHundredths - NO_WORSE_HUNDREDTHS;
}

/** A scene that works, and a stop that is gone, in points of merit. */
const POINTS = { scene: 60, stop: 20 } as const;
/** What is free still costs a thought. */
const LEAST_COST_MINOR = 1000;

function gainPerMoney(after: KitMerit, before: KitMerit, costMinor: number): number {
  const points =
    POINTS.scene * (after.mustDoWorking - before.mustDoWorking) +
    POINTS.stop * (before.stops - after.stops) +
    (after.onceSettledHundredths - before.onceSettledHundredths) / 100;
  return points / (Math.max(0, costMinor) + LEAST_COST_MINOR);
}
