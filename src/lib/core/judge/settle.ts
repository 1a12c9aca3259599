import { least } from 'd3-array';
import type { Act } from '../acts/act';
import { chooseBestInRig } from '../acts/use-in-scene';
import {
  type AngleContext,
  type Finding,
  type PlanContext,
  type Proposal,
  type SettingProposal
} from '../findings/finding';
import { cheapestOf, swapFor } from '../findings/part-candidates';
import { basisFor } from '../money/payable-price';
import { newLine } from '../model/new-line';
import type { Project } from '../model/project';
import type { GearItem } from '../model/gear';
import { isFlown } from '../model/scene-facts';
import { activePlan } from '../model/active-plan';
import type { Shelf } from '../model/shelf';
import type { Judgement } from './judgement';
import { type Attempt, type Remedy, tried, triedAtBest, TriedKits } from './try-remedy';

export type { Remedy } from './try-remedy';
export { TriedKits } from './try-remedy';

const MOST_REMEDIES = 3;
/** Of the parts of a pocket that mend, so many are compared; the first is the cheapest, seldom the best. */
const MOST_COMPARED = 4;
/** A pocket's candidates are tried from the cheapest; past this many the part is not worth the wait. */
const MOST_TRIED = 40;

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
  kits: TriedKits,
  finding: Finding,
  proposal: Proposal
): Generator<void, FoundRemedy[], void> {
  const { project } = kits;
  const found = (attempt: Attempt): FoundRemedy[] => {
    const remedy = tried(kits, finding, attempt);
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
  return remediesOfEach(project, shelf, judgement, [finding])[0]!;
}

/** The same for several findings: a part that may settle more than one of them is tried once. */
export function remediesOfEach(
  project: Project,
  shelf: Shelf,
  judgement: Judgement,
  findings: readonly Finding[] = judgement.findings
): Remedy[][] {
  const kits = new TriedKits(project, shelf, judgement);
  return findings.map((finding) => {
    const looking = lookingForRemedies(kits, finding);
    for (;;) {
      const step = looking.next();
      if (step.done) return step.value;
    }
  });
}

/** The same one tried part at a time, for a worker that has other things to do between. */
export function* lookingForRemedies(
  kits: TriedKits,
  finding: Finding
): Generator<void, Remedy[], void> {
  const { project, shelf, before: judgement } = kits;
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
    for (const another of more)
      if (!found.some(({ remedy }) => remedy.label === another.remedy.label)) found.push(another);
  };
  for (const proposal of proposals) {
    take(yield* remediesOf(kits, finding, proposal));
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
      take(yield* remediesOf(kits, finding, proposal));
      yield;
    }
  // What is told is judged once more with every part at its best, as it will be once it is taken.
  const remedies: Remedy[] = [];
  for (const { attempt, remedy: asFound } of found.sort((a, b) => bestFirst(a.remedy, b.remedy))) {
    const remedy = triedAtBest(kits, finding, attempt, asFound);
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
