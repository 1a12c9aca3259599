import { applyAct } from '../acts/apply-act';
import { type Candidate, judgeCandidates } from '../judge/candidates';
import { judgePlan } from '../judge/judge-plan';
import type { Judgement } from '../judge/judgement';
import { remediesFor } from '../judge/settle';
import { compareKits } from '../merit/kit-merit';
import { schools } from '../merit/schools';
import { type Pocket, pockets } from '../model/pocket';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { Shelf } from '../model/shelf';
import { minor, splitByWeights } from '../money/minor';

/** Pockets choose again this often, now that the others are filled. */
const ROUNDS = 2;
/** Stops and costs are settled one at a time; a kit that is not done by then is shown as it is. */
const MOST_SETTLED = 24;

function judged(project: Project, shelf: Shelf): Judgement {
  return judgePlan(project, activePlan(project), shelf);
}

/** Pockets in which a kit may well hold nothing. */
const optional: readonly Pocket[] = ['accessories'];

/**
 * A first kit within the limit, quickly: pocket by pocket in the school's order, each taking the part
 * that makes the whole kit best within its share, then what still stops a scene settled one by one.
 * It is a start a person goes on from, not the best kit there is.
 */
export function packFirstKit(start: Project, shelf: Shelf): Project {
  const school = schools[start.school];
  const spendable = minor(Math.max(0, start.limitMinor - start.reserveMinor));
  const shares = splitByWeights(
    spendable,
    pockets.map((pocket) => school.split[pocket])
  );
  const shareOf = (pocket: Pocket) => shares[pockets.indexOf(pocket)]!;
  // A lens and a microphone are judged in a picture; without a body there is none.
  const order: Pocket[] = [
    'body',
    'lens',
    ...school.pocketOrder.filter((pocket) => pocket !== 'body' && pocket !== 'lens')
  ];
  let project = start;
  for (let round = 0; round < ROUNDS; round++) {
    for (const pocket of order) {
      if (optional.includes(pocket)) continue;
      const now = judged(project, shelf);
      const spentElsewhere = now.money.firmMinor - now.money.pockets[pocket].firmMinor;
      // The first round keeps to the school's share; the second may use what others left over.
      const mayCost =
        round === 0 ? shareOf(pocket) : Math.max(shareOf(pocket), spendable - spentElsewhere);
      const possible = judgeCandidates(project, shelf, pocket).filter(
        (candidate) => candidate.act !== undefined && candidate.firmMinor <= spendable
      );
      const within = possible.filter((candidate) => candidate.trueCostMinor <= mayCost);
      const affordable = within.length > 0 ? within : cheapest(possible);
      const better =
        round === 0
          ? mostPromising(affordable, now)
          : affordable.find((candidate) => compareKits(candidate.merit, now.merit) > 0);
      if (better?.act) project = applyAct(project, better.act);
    }
  }
  return dropIdle(settleStops(project, shelf, spendable), shelf);
}

/** A share too small for anything still buys the cheapest thing there is. */
function cheapest(candidates: readonly Candidate[]): Candidate[] {
  const [first] = [...candidates].sort((a, b) => a.trueCostMinor - b.trueCostMinor);
  return first ? [first] : [];
}

/** Leaves out what later choices have made idle: parts without which the kit is no worse. */
function dropIdle(start: Project, shelf: Shelf): Project {
  let project = start;
  for (const line of activePlan(start).lines) {
    const without = applyAct(project, { type: 'remove line', lineId: line.id });
    if (compareKits(judged(without, shelf).merit, judged(project, shelf).merit) >= 0)
      project = without;
  }
  return project;
}

/**
 * While pockets are still empty every kit is stopped by what is missing, so stops tell nothing yet:
 * the part that brings none of its own and makes the kit best once the rest is there.
 */
function mostPromising(candidates: readonly Candidate[], now: Judgement): Candidate | undefined {
  const ownStops = (candidate: Candidate) =>
    candidate.breaks.filter((change) => change.severity === 'stop' && change.code !== 'M7').length;
  const [best] = [...candidates].sort(
    (a, b) =>
      ownStops(a) - ownStops(b) ||
      b.merit.onceSettledHundredths - a.merit.onceSettledHundredths ||
      a.trueCostMinor - b.trueCostMinor
  );
  return best && best.merit.onceSettledHundredths > now.merit.onceSettledHundredths
    ? best
    : undefined;
}

function settleStops(start: Project, shelf: Shelf, spendable: number): Project {
  let project = start;
  const given = new Set<string>();
  for (let settled = 0; settled < MOST_SETTLED; settled++) {
    const now = judged(project, shelf);
    const finding = now.findings.find((one) => one.severity === 'stop' && !given.has(one.key));
    if (!finding) break;
    const remedy = remediesFor(project, shelf, now, finding).find(
      (one) => now.money.firmMinor + one.costMinor <= spendable
    );
    if (!remedy) {
      given.add(finding.key);
      continue;
    }
    project = applyAct(project, remedy.act);
    if (!remedy.mends) given.add(finding.key);
  }
  return project;
}
