import { leastIndex } from 'd3-array';
import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import type { Finding } from '../findings/finding';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { judgePlan } from './judge-plan';
import type { Judgement } from './judgement';
import { remediesFor } from './settle';

/** One change on the way, in the words of its remedy. */
export interface SettlingStep {
  /** What it settles. */
  finding: string;
  label: string;
  costMinor: number;
}

/** Changes that together unblock what can be unblocked, to be looked at before they are made. */
export interface SettlingWay {
  steps: SettlingStep[];
  /** All of them as one act, with one undo; undefined where nothing helps. */
  act: Act | undefined;
  costMinor: number;
  /** Lines that come in, go or change, and angles that use others. */
  changes: number;
  /** Must-do scenes that work afterwards. */
  workingAfter: number;
  /** What the whole kit is worth afterwards. */
  meritHundredths: number;
  /** What still blocks a must-do scene afterwards. */
  left: string[];
}

/** The way that costs least, and others that unblock as much. */
export interface SettledAll extends SettlingWay {
  workingBefore: number;
  mustDoScenes: number;
  /** Undefined where the cheapest way changes least, too. */
  fewestChanges: SettlingWay | undefined;
  /** Undefined where none is worth half a point more than the cheapest way. */
  mostWorth: SettlingWay | undefined;
}

/** Stops settled one after another; a kit that is not done by then is shown as it is. */
const MOST_STEPS = 24;
/** Half a point is within the judge's own estimates. */
const WORTH_TELLING_HUNDREDTHS = 50;

const judged = (project: Project, shelf: Shelf): Judgement =>
  judgePlan(project, activePlan(project), shelf);

/** Stops of the scenes that must work, in the order of the findings. */
function blocking(project: Project, { findings }: Judgement): Finding[] {
  const mustDo = new Set(project.scenes.filter((scene) => scene.mustDo).map(({ id }) => id));
  return findings.filter(
    ({ severity, sceneId, sceneIds }) =>
      severity === 'stop' &&
      (sceneId === undefined ? (sceneIds ?? []).some((id) => mustDo.has(id)) : mustDo.has(sceneId))
  );
}

export interface HowToSettle {
  /** Stops whose remedies are looked for beyond the first way. */
  mostLooked?: number;
  /** Only the kit changes, not what is said of the scenes and the budget. */
  briefStays?: boolean;
}

/** What was said of the scenes and the budget is as it was. */
export const keepsBrief = (before: Project, after: Project): boolean =>
  after.scenes === before.scenes && after.limitMinor === before.limitMinor;

/** Some steps of the way, and how often not the cheapest remedy was taken. */
interface Begun {
  project: Project;
  now: Judgement;
  chosen: readonly Chosen[];
  givenUp: ReadonlySet<string>;
  turnings: number;
}
interface Chosen {
  act: Act;
  step: SettlingStep;
}

/**
 * The changes found that unblock every must-do scene: each stop by a remedy that mends it, or at least unblocks it, and afterwards every step
 * left out that turns out not to be needed. First by the cheapest remedy of each; then with other remedies in place of
 * one, of two and so on.
 */
export function settleAll(start: Project, shelf: Shelf, how: HowToSettle = {}): SettledAll {
  const looking = settlingAll(start, shelf, how);
  for (;;) {
    const step = looking.next();
    if (step.done === true) return step.value;
  }
}

/** The same one stop at a time, for a worker that has other things to do between. */
export function* settlingAll(
  start: Project,
  shelf: Shelf,
  { mostLooked = 0, briefStays = false }: HowToSettle
): Generator<void, SettledAll, void> {
  const before = judged(start, shelf);
  const ways: SettlingWay[] = [];
  const open: Begun[] = [
    { project: start, now: before, chosen: [], givenUp: new Set(), turnings: 0 }
  ];
  for (let looked = 0; open.length > 0 && (ways.length === 0 || looked < mostLooked); looked++) {
    const index = leastIndex(
      open,
      ({ turnings, chosen }) => turnings * MOST_STEPS - chosen.length
    )!;
    const [begun] = open.splice(index, 1);
    const { project, now, chosen, givenUp, turnings } = begun!;
    const finding = blocking(project, now).find(({ key }) => !givenUp.has(key));
    if (!finding || chosen.length >= MOST_STEPS) {
      ways.push(wayOf(start, shelf, before, chosen, blocking(project, now).length));
      continue;
    }
    const offered = remediesFor(project, shelf, now, finding).filter(
      ({ act }) => !briefStays || keepsBrief(project, applyAct(project, act))
    );
    const mending = offered.filter(({ mends }) => mends);
    // A weakness is left only where nothing takes all of it away.
    const remedies = (
      mending.length > 0 ? mending : offered.filter(({ unblocks }) => unblocks)
    ).sort((a, b) => a.costMinor - b.costMinor);
    if (remedies.length === 0)
      open.push({ ...begun!, givenUp: new Set([...givenUp, finding.key]) });
    for (const [turning, { act, label, costMinor }] of remedies.entries()) {
      const after = applyAct(project, act);
      open.push({
        project: after,
        now: judged(after, shelf),
        chosen: [...chosen, { act, step: { finding: finding.title(), label, costMinor } }],
        givenUp,
        turnings: turnings + turning
      });
    }
    yield;
  }
  const as = (
    compare: (a: SettlingWay, b: SettlingWay) => number,
    mostMinor = Infinity
  ): SettlingWay =>
    ways
      .filter(({ costMinor }) => costMinor <= mostMinor)
      .reduce((best, way) => ((unblocksMore(way, best) || compare(way, best)) < 0 ? way : best));
  const cheapest = as((a, b) => a.costMinor - b.costMinor || b.meritHundredths - a.meritHundredths);
  const fewest = as((a, b) => a.changes - b.changes || a.costMinor - b.costMinor);
  const best = as((a, b) => b.meritHundredths - a.meritHundredths);
  return {
    ...cheapest,
    workingBefore: before.merit.mustDoWorking,
    mustDoScenes: before.merit.mustDoScenes,
    fewestChanges: fewest.changes < cheapest.changes ? fewest : undefined,
    mostWorth:
      best.meritHundredths >= cheapest.meritHundredths + WORTH_TELLING_HUNDREDTHS &&
      best.act !== fewest.act
        ? best
        : undefined
  };
}

/** Negative where the first unblocks more. */
const unblocksMore = (a: SettlingWay, b: SettlingWay): number =>
  b.workingAfter - a.workingAfter || a.left.length - b.left.length;

function wayOf(
  start: Project,
  shelf: Shelf,
  before: Judgement,
  chosen: readonly Chosen[],
  stops: number
): SettlingWay {
  const needed = withoutNeedless(start, shelf, chosen, stops);
  const project = needed.reduce((project, { act }) => applyAct(project, act), start);
  const after = judged(project, shelf);
  const acts = needed.map(({ act }) => act);
  return {
    steps: needed.map(({ step }) => step),
    act: acts.length === 0 ? undefined : { type: 'batch', acts },
    costMinor: after.money.firmMinor - before.money.firmMinor,
    changes: acts.reduce((sum, act) => sum + changesOf(act), 0),
    workingAfter: after.merit.mustDoWorking,
    meritHundredths: after.merit.meritHundredths,
    left: [...new Set(blocking(project, after).map((finding) => finding.title()))]
  };
}

const changesOf = (act: Act): number =>
  act.type === 'batch' ? act.acts.reduce((sum, act) => sum + changesOf(act), 0) : 1;

/** A later step may have made an earlier one needless: each that can go without a stop coming back is left out. */
function withoutNeedless<S extends { act: Act }>(
  start: Project,
  shelf: Shelf,
  chosen: readonly S[],
  stops: number
): S[] {
  let needed = [...chosen];
  for (const pick of chosen) {
    const fewer = needed.filter((other) => other !== pick);
    try {
      const project = fewer.reduce((made, { act }) => applyAct(made, act), start);
      if (blocking(project, judged(project, shelf)).length <= stops) needed = fewer;
    } catch {
      // A later step stands on this one.
    }
  }
  return needed;
}
