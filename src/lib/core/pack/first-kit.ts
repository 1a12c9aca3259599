import { applyAct } from '../acts/apply-act';
import { type Candidate, judgeCandidates, REPLACE } from '../judge/candidates';
import { judgePlan } from '../judge/judge-plan';
import type { Judgement } from '../judge/judgement';
import { remediesFor } from '../judge/settle';
import { compareKits, type KitMerit } from '../merit/kit-merit';
import { schools } from '../merit/schools';
import { describeKind } from '../model/gear';
import type { PlanLine } from '../model/plan';
import { type Pocket, pockets } from '../model/pocket';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { Shelf } from '../model/shelf';
import { minor, splitByWeights } from '../money/minor';
import { convertedMinor, rateInto } from '../money/rates';

/** Pockets choose again this often, now that the others are filled. */
const ROUNDS = 2;
/** Stops and costs are settled one at a time; a kit that is not done by then is shown as it is. */
const MOST_SETTLED = 24;

function judged(project: Project, shelf: Shelf): Judgement {
  return judgePlan(project, activePlan(project), shelf);
}

interface Effort {
  /** Bodies a kit is begun with, so that one poor beginning does not decide. */
  beginnings: number;
  /** Passes over all pockets in which single choices are made anew, once everything is there. */
  passes: number;
}
/** Each angle makes every try slower: with many of them a person would wait too long for the last points. */
const MANY_ANGLES = 3;
function effortFor({ scenes }: Project): Effort {
  const angles = scenes.reduce((count, scene) => count + scene.angles.length, 0);
  return angles < MANY_ANGLES ? { beginnings: 3, passes: 3 } : { beginnings: 2, passes: 2 };
}

/** Parts taken one after the other, whatever their pocket, in the kit that is begun by greatest gain. */
const MOST_BY_GAIN = 14;

/**
 * A first kit within the limit, quickly: from several bodies, pocket by pocket in the school's order, each taking the
 * part that makes the whole kit best within its share, and once by greatest gain over all pockets; then what still stops
 * a scene is settled one by one, and single choices are made anew while the kit gets better. What is owned stays. It is
 * a start a person goes on from, not the best kit there is.
 */
export function packFirstKit(start: Project, shelf: Shelf): Project {
  const spendable = minor(Math.max(0, start.limitMinor - start.reserveMinor));
  const pointMayCost = costOfPoint(start);
  const effort = effortFor(start);
  let best: Project | undefined;
  let bestJudged: Judgement | undefined;
  const filled = beginnings(start, shelf, spendable, effort.beginnings).map((begun) =>
    fill(begun, shelf, spendable)
  );
  for (const kit of [...filled, byGain(start, shelf, spendable)]) {
    const packed = finish(kit, shelf, spendable, effort.passes);
    const now = judged(packed, shelf);
    if (!bestJudged || isWorthMore(now, bestJudged, pointMayCost)) {
      best = packed;
      bestJudged = now;
    }
  }
  return best ?? start;
}

/** Kits that do nothing yet are told apart by what they would be worth. */
const isBetter = (one: KitMerit, other: KitMerit): boolean =>
  (compareKits(one, other) || one.onceSettledHundredths - other.onceSettledHundredths) > 0;

/** Between finished kits in which as much works, the one whose points are worth what they cost more. */
function isWorthMore(one: Judgement, other: Judgement, pointMayCost: number): boolean {
  const works =
    one.merit.mustDoWorking - other.merit.mustDoWorking || other.merit.stops - one.merit.stops;
  if (works !== 0) return works > 0;
  const value = ({ merit, money }: Judgement) =>
    ((merit.meritHundredths || merit.onceSettledHundredths) / 100) * pointMayCost - money.firmMinor;
  return value(one) > value(other);
}

/** The plan as it is, where it holds a body, and the plan with each of the most promising ones and the cheapest. */
function beginnings(start: Project, shelf: Shelf, spendable: number, most: number): Project[] {
  const now = judged(start, shelf);
  const promising = affordable(judgeCandidates(start, shelf, 'body'), spendable).sort(
    mostPromisingFirst
  );
  // The cheapest leaves most for all the rest, which may be what lets a second angle or a scene more work.
  const chosen = new Set([...promising.slice(0, most - 1), ...cheapest(promising)]);
  const bodies = [...chosen].map(({ act }) => applyAct(start, act!));
  return now.kit.of('body').length > 0 || bodies.length === 0 ? [start, ...bodies] : bodies;
}

/** Time and again the one part of the whole shelf that makes the kit best. */
function byGain(start: Project, shelf: Shelf, spendable: number): Project {
  let project = start;
  for (let parts = 0; parts < MOST_BY_GAIN; parts++) {
    let { merit } = judged(project, shelf);
    let best: Candidate | undefined;
    for (const pocket of pockets)
      for (const one of affordable(
        judgeCandidates(project, shelf, pocket, { how: 'add' }),
        spendable
      ))
        if (isBetter(one.merit, merit)) {
          best = one;
          ({ merit } = one);
        }
    if (!best) break;
    project = applyAct(project, best.act!);
  }
  return project;
}

/** Every pocket filled in the order of the school. */
function fill(start: Project, shelf: Shelf, spendable: number): Project {
  const school = schools[start.school];
  const shares = splitByWeights(
    minor(spendable),
    pockets.map((pocket) => school.split[pocket])
  );
  const shareOf = (pocket: Pocket) => shares[pockets.indexOf(pocket)]!;
  // A lens and a microphone are judged in a picture.
  const order: readonly Pocket[] = [
    'lens' as const,
    ...school.pocketOrder.filter((pocket) => !optional.includes(pocket) && pocket !== 'lens')
  ].filter((pocket): pocket is Pocket => pocket !== 'body');
  let project = start;
  for (let round = 0; round < ROUNDS; round++) {
    for (const pocket of order) {
      const now = judged(project, shelf);
      const spentElsewhere = now.money.firmMinor - now.money.pockets[pocket].firmMinor;
      // The first round keeps to the school's share; the second may use what others left over.
      const mayCost =
        round === 0 ? shareOf(pocket) : Math.max(shareOf(pocket), spendable - spentElsewhere);
      const possible = affordable(judgeCandidates(project, shelf, pocket), spendable);
      const within = possible.filter((candidate) => candidate.trueCostMinor <= mayCost);
      const better =
        round === 0
          ? mostPromising(within.length > 0 ? within : cheapest(possible), now)
          : within.find((candidate) => isBetter(candidate.merit, now.merit));
      if (better?.act) project = applyAct(project, better.act);
    }
  }
  return project;
}

/** Pockets in which a kit may well hold nothing. */
const optional: readonly Pocket[] = ['accessories'];

const affordable = (candidates: readonly Candidate[], spendable: number): Candidate[] =>
  candidates.filter(({ act, firmMinor }) => act !== undefined && firmMinor <= spendable);

/** Settles, drops and chooses anew while the kit gets better. */
function finish(filled: Project, shelf: Shelf, spendable: number, passes: number): Project {
  const pointMayCost = costOfPoint(filled);
  let project = dropIdle(settleStops(filled, shelf, spendable), shelf);
  for (let pass = 0; pass < passes; pass++) {
    const before = judged(project, shelf).merit;
    for (const pocket of pockets) {
      const now = judged(project, shelf);
      let choice: Candidate | undefined;
      for (const way of [REPLACE, { how: 'add' }] as const)
        for (const candidate of affordable(judgeCandidates(project, shelf, pocket, way), spendable))
          if (
            candidate.unusable === '' &&
            isBetter(candidate.merit, now.merit) &&
            isWorthIt(candidate, now, pointMayCost) &&
            (!choice || isBetter(candidate.merit, choice.merit))
          )
            choice = candidate;
      if (choice) project = applyAct(project, choice.act!);
    }
    project = dropIdle(settleStops(project, shelf, spendable), shelf);
    if (!isBetter(judged(project, shelf).merit, before)) break;
  }
  return dropSpares(project, shelf, pointMayCost);
}

/** Good enough is good enough: for less than a point a person does not spend this much more. */
const POINT_MAY_COST_GBP_MINOR = 10_000;
/** What a first kit is usually given. */
const USUAL_LIMIT_GBP_MINOR = 120_000;
function costOfPoint(project: Project): number {
  if (project.currency === 'GBP') return POINT_MAY_COST_GBP_MINOR;
  const rate = rateInto(project, 'GBP');
  // A currency nobody has given a rate for: the same share of its limit as of a usual limit.
  if (!rate) return (POINT_MAY_COST_GBP_MINOR * project.limitMinor) / USUAL_LIMIT_GBP_MINOR;
  return convertedMinor(POINT_MAY_COST_GBP_MINOR, 'GBP', project.currency, rate.perUnit);
}

/** Whether what a choice costs more is worth the points it brings; what makes another scene work always is. */
function isWorthIt({ merit, firmMinor }: Candidate, now: Judgement, pointMayCost: number): boolean {
  const works = merit.mustDoWorking > now.merit.mustDoWorking || merit.stops < now.merit.stops;
  const points = (merit.meritHundredths - now.merit.meritHundredths) / 100;
  return works || points * pointMayCost >= firmMinor - now.money.firmMinor;
}

/** A share too small for anything still buys the cheapest thing there is. */
function cheapest(candidates: readonly Candidate[]): Candidate[] {
  const [first] = [...candidates].sort((a, b) => a.trueCostMinor - b.trueCostMinor);
  return first ? [first] : [];
}

/** Of two parts that do the same job, leaves out one that is not worth what it costs. */
function dropSpares(start: Project, shelf: Shelf, pointMayCost: number): Project {
  let project = start;
  const jobOf = ({ gearId }: PlanLine) => {
    const gear = shelf.byId.get(gearId);
    return gear && (describeKind(gear).job?.(gear) ?? gear.kind);
  };
  for (const line of activePlan(start).lines) {
    const others = activePlan(project).lines.filter(({ id }) => id !== line.id);
    if (line.state === 'owned' || !others.some((one) => jobOf(one) === jobOf(line))) continue;
    const without = applyAct(project, { type: 'remove line', lineId: line.id });
    if (!isWorthMore(judged(project, shelf), judged(without, shelf), pointMayCost))
      project = without;
  }
  return dropIdle(project, shelf);
}

/** Leaves out what later choices have made idle: parts without which the kit is no worse. What is owned stays. */
function dropIdle(start: Project, shelf: Shelf): Project {
  let project = start;
  for (const line of activePlan(start).lines) {
    if (line.state === 'owned') continue;
    const without = applyAct(project, { type: 'remove line', lineId: line.id });
    if (!isBetter(judged(project, shelf).merit, judged(without, shelf).merit)) project = without;
  }
  return project;
}

/**
 * While pockets are still empty every kit is stopped by what is missing, so stops tell nothing yet:
 * the part that brings none of its own and makes the kit best once the rest is there.
 */
function mostPromisingFirst(a: Candidate, b: Candidate): number {
  const ownStops = (candidate: Candidate) =>
    candidate.breaks.filter((change) => change.severity === 'stop' && change.code !== 'M7').length;
  return (
    ownStops(a) - ownStops(b) ||
    b.merit.onceSettledHundredths - a.merit.onceSettledHundredths ||
    a.trueCostMinor - b.trueCostMinor
  );
}

function mostPromising(candidates: readonly Candidate[], now: Judgement): Candidate | undefined {
  const [best] = [...candidates].sort(mostPromisingFirst);
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
