import { least } from 'd3-array';
import { pricedFor } from '../money/priced-shelf';
import { type FindingCode, isQuestion } from '../findings/finding-codes';
import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { chooseBestInRig } from '../acts/use-in-scene';
import {
  type AngleContext,
  type Finding,
  type PlanContext,
  type Proposal,
  type SettingProposal,
  severityRank
} from '../findings/finding';
import { cheapestOf, swapFor } from '../findings/part-candidates';
import { basisFor } from '../money/payable-price';
import { newLine } from '../model/new-line';
import type { Project } from '../model/project';
import type { GearItem } from '../model/gear';
import { isFlown } from '../model/scene-facts';
import { activePlan } from '../model/active-plan';
import { makeShelf, type Shelf } from '../model/shelf';
import { completeKit } from './complete-kit';
import type { KitMerit } from '../merit/kit-merit';
import type { Judgement } from './judgement';
import { type HowToPlace, trackJudgement } from './incremental';

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

const MOST_REMEDIES = 3;
/** Of the parts of a pocket that mend, so many are compared; the first is the cheapest, seldom the best. */
const MOST_COMPARED = 4;
/** A pocket's candidates are tried from the cheapest; past this many the part is not worth the wait. */
const MOST_TRIED = 40;

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
interface Attempt {
  label: string;
  act: Act;
  /** Only worth offering where nothing has to come with it. */
  alone?: true;
}

/** Tries one act; answers with a remedy when it takes the finding away or helps partly without a worse one. */
function tried(
  project: Project,
  shelf: Shelf,
  before: Judgement,
  finding: Finding,
  { label, act, alone }: Attempt,
  howToPlace: HowToPlace
): Remedy | undefined {
  const changed = applyAct(project, act);
  // A figure or price noted on a part is seen only through a shelf that holds the new entry.
  const seen =
    changed.ownGear === project.ownGear
      ? shelf
      : pricedFor(changed, makeShelf(shelf.items, changed.ownGear));
  const { acts: joints, judgement: after } = completeKit(
    trackJudgement(project, before),
    changed,
    seen,
    { mending: finding.key, howToPlace }
  );
  if (alone && joints.length > 0) return undefined;
  const rest = after.findings.find((one) => one.key === finding.key);
  const eased =
    rest !== undefined &&
    (severityRank(rest.severity) < severityRank(finding.severity) || comesNearer(finding, rest));
  if (rest && !eased) return undefined;
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
    act: joints.length > 0 ? { type: 'batch', acts: [act, ...joints] } : act,
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

/** A drone mends nothing where no camera is in the air. */
const isGrounded = ({ scenes }: Project, gear: GearItem): boolean =>
  gear.kind === 'body' &&
  gear.form === 'drone' &&
  !scenes.some(({ angles }) => angles.some(isFlown));

/** A remedy found with the other parts left as they lie, and the attempt by which it is tried once more. */
interface FoundRemedy {
  attempt: Attempt;
  remedy: Remedy;
}

/** The best of what is proposed; where everything else hangs on the part, the cheapest and the next best, too. */
function* remediesOf(
  project: Project,
  shelf: Shelf,
  before: Judgement,
  finding: Finding,
  proposal: Proposal
): Generator<void, FoundRemedy[], void> {
  const found = (attempt: Attempt): FoundRemedy[] => {
    const remedy = tried(project, shelf, before, finding, attempt, 'as before');
    return remedy ? [{ attempt, remedy }] : [];
  };
  if (!('parts' in proposal)) return found(proposal);
  const plan = activePlan(project);
  const all: FoundRemedy[] = [];
  // Without a body or a lens nothing is told apart by what it mends: all of them are compared.
  const mostCompared = finding.hides === true ? Infinity : MOST_COMPARED;
  for (const gear of proposal.parts
    .filter((gear) => !isGrounded(project, gear))
    .slice(0, MOST_TRIED)) {
    const line = newLine(plan, gear, 1, basisFor(project, gear));
    const act: Act = proposal.act ? proposal.act(line) : { type: 'add line', line };
    // A part in its own place is no change.
    if (plan.lines.some((line) => line.gearId === gear.id && removes(act, line.id))) continue;
    all.push(...found({ label: proposal.label(gear), act }));
    if (all.filter(({ remedy }) => remedy.mends).length >= mostCompared) break;
    yield;
  }
  all.sort((a, b) => helpsMore(b.remedy, a.remedy));
  if (finding.hides !== true) return all.slice(0, 1);
  const cheapest = least(
    all.filter(({ remedy }) => remedy.mends),
    ({ remedy }) => remedy.costMinor
  );
  return [...new Set([...all.slice(0, 1), ...(cheapest ? [cheapest] : []), ...all])].slice(
    0,
    MOST_REMEDIES
  );
}

/** What mends before what unblocks before what eases, then by what the whole kit gains for its cost. */
const helpsMore = (a: Remedy, b: Remedy): number =>
  Number(a.mends) - Number(b.mends) ||
  Number(a.unblocks) - Number(b.unblocks) ||
  a.gainPerMoney - b.gainPerMoney;

const removes = (act: Act, lineId: string): boolean =>
  act.type === 'batch'
    ? act.acts.some((act) => removes(act, lineId))
    : act.type === 'remove line' && act.lineId === lineId;

/** Any other part of the kinds that a finding names, in the place of the one it names and beside it. */
function lastResorts(project: Project, shelf: Shelf, finding: Finding): Proposal[] {
  const { lines } = activePlan(project);
  const named = [...new Set(finding.lineIds)];
  return named.slice(0, MOST_NAMED).flatMap((lineId): Proposal[] => {
    const line = lines.find(({ id }) => id === lineId);
    const gear = line && shelf.byId.get(line.gearId);
    if (!line || !gear || line.locked) return [];
    const others = cheapestOf(shelf, project, gear.kind, ({ id }) => id !== gear.id);
    const add: Proposal = { parts: others, label: (other) => `Add ${other.model}` };
    // What is owned is never proposed to be given away.
    return line.state === 'owned'
      ? [add]
      : [
          {
            parts: others,
            label: (other) => `Swap ${gear.model} for ${other.model}`,
            act: swapFor(line.id)
          },
          add
        ];
  });
}
const MOST_NAMED = 2;

/** Parts said of an angle are what stands in the way: the kit may hold others. */
function choosingAnew(
  project: Project,
  { sceneId, angleId, sceneName }: Finding
): (SettingProposal & Attempt) | undefined {
  const rig = activePlan(project).rigs.find(
    (rig) => rig.sceneId === sceneId && rig.angleId === angleId
  );
  const act = rig && chooseBestInRig(rig);
  return act && { label: `Use the best of the kit in ${sceneName}`, act, alone: true };
}

/** Everything a finding's row needs to propose. */
function contextOf(
  project: Project,
  shelf: Shelf,
  judgement: Judgement,
  finding: Finding
): AngleContext | PlanContext | undefined {
  const plan = activePlan(project);
  if (finding.row.scope === 'plan') {
    return {
      project,
      plan,
      shelf,
      kit: judgement.kit,
      money: judgement.money,
      rigs: judgement.angles.map(({ rig }) => rig),
      angles: judgement.angles
    };
  }
  const angle = judgement.angles.find(
    (angle) => angle.scene.id === finding.sceneId && angle.angle.id === finding.angleId
  );
  return angle && { rig: angle.rig, figures: angle.record, shelf, plan, project };
}

/**
 * Up to three ways to settle a finding, each tried on the whole kit: those that mend before those that unblock or ease,
 * then by what the whole kit gains for what they cost. None makes the kit worse.
 */
export function remediesFor(
  project: Project,
  shelf: Shelf,
  judgement: Judgement,
  finding: Finding
): Remedy[] {
  const looking = lookingForRemedies(project, shelf, judgement, finding);
  for (;;) {
    const step = looking.next();
    if (step.done) return step.value;
  }
}

/** The same one tried part at a time, for a worker that has other things to do between. */
export function* lookingForRemedies(
  project: Project,
  shelf: Shelf,
  judgement: Judgement,
  finding: Finding
): Generator<void, Remedy[], void> {
  const context = contextOf(project, shelf, judgement, finding);
  if (!context) return [];
  const own =
    finding.row.scope === 'plan'
      ? finding.row.propose(context as PlanContext, finding)
      : finding.row.propose(context as AngleContext, finding);
  const chosenAnew = choosingAnew(project, finding);
  const proposals = chosenAnew ? [chosenAnew, ...own] : own;
  const found: FoundRemedy[] = [];
  const take = (more: readonly FoundRemedy[]) => {
    for (const one of more)
      if (!found.some(({ remedy }) => remedy.label === one.remedy.label)) found.push(one);
  };
  for (const proposal of proposals) {
    take(yield* remediesOf(project, shelf, judgement, finding, proposal));
    yield;
    if (
      found.filter(({ remedy }) => remedy.mends && remedy.brings.length === 0).length >=
      MOST_REMEDIES
    )
      break;
  }
  // Before it is said that nothing mends it, other parts of the kinds it speaks of were tried in their place and beside.
  const helps = found.some(
    ({ remedy }) => remedy.mends || finding.severity !== 'stop' || remedy.unblocks
  );
  if (!helps && (finding.severity === 'stop' || finding.severity === 'warn'))
    for (const proposal of lastResorts(project, shelf, finding)) {
      take(yield* remediesOf(project, shelf, judgement, finding, proposal));
      yield;
    }
  // What is told is judged once more with every part at its best, as it will be once it is taken.
  const remedies: Remedy[] = [];
  for (const { attempt } of found.sort((a, b) => bestFirst(a.remedy, b.remedy))) {
    const remedy = tried(project, shelf, judgement, finding, attempt, 'best');
    yield;
    if (remedy) remedies.push(remedy);
    if (remedies.length >= MOST_REMEDIES) break;
  }
  return remedies.sort(bestFirst);
}

/** What mends before what unblocks before what eases, what brings nothing new before what does, then by what the kit gains for its cost. */
const bestFirst = (a: Remedy, b: Remedy): number =>
  Number(b.mends) - Number(a.mends) ||
  Number(b.unblocks) - Number(a.unblocks) ||
  a.brings.length - b.brings.length ||
  b.gainPerMoney - a.gainPerMoney ||
  a.costMinor - b.costMinor;
