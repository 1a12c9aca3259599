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
export interface SettledAll {
  steps: SettlingStep[];
  /** All of them as one act, with one undo; undefined where nothing helps. */
  act: Act | undefined;
  costMinor: number;
  /** Must-do scenes that work before and after. */
  workingBefore: number;
  workingAfter: number;
  mustDoScenes: number;
  /** What still blocks a must-do scene afterwards. */
  left: string[];
}

/** Stops settled one after another; a kit that is not done by then is shown as it is. */
const MOST_STEPS = 24;

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

/**
 * The cheapest changes found that unblock every must-do scene: each stop by its cheapest remedy that mends it,
 * and afterwards every step left out that turns out not to be needed.
 */
export function settleAll(start: Project, shelf: Shelf): SettledAll {
  const before = judged(start, shelf);
  const chosen: { act: Act; step: SettlingStep }[] = [];
  const givenUp = new Set<string>();
  let project = start;
  let now = before;
  while (chosen.length < MOST_STEPS) {
    const finding = blocking(project, now).find(({ key }) => !givenUp.has(key));
    if (!finding) break;
    const [remedy] = remediesFor(project, shelf, now, finding)
      .filter(({ mends }) => mends)
      .sort((one, other) => one.costMinor - other.costMinor);
    if (!remedy) {
      givenUp.add(finding.key);
      continue;
    }
    const { act, label, costMinor } = remedy;
    chosen.push({ act, step: { finding: finding.title(), label, costMinor } });
    project = applyAct(project, act);
    now = judged(project, shelf);
  }
  const needed = withoutNeedless(start, shelf, chosen, blocking(project, now).length);
  project = needed.reduce((one, { act }) => applyAct(one, act), start);
  const after = judged(project, shelf);
  return {
    steps: needed.map(({ step }) => step),
    act: needed.length === 0 ? undefined : { type: 'batch', acts: needed.map(({ act }) => act) },
    costMinor: after.money.firmMinor - before.money.firmMinor,
    workingBefore: before.merit.mustDoWorking,
    workingAfter: after.merit.mustDoWorking,
    mustDoScenes: after.merit.mustDoScenes,
    left: [...new Set(blocking(project, after).map((finding) => finding.title()))]
  };
}

/** A later step may have made an earlier one needless: each that can go without a stop coming back is left out. */
function withoutNeedless<S extends { act: Act }>(
  start: Project,
  shelf: Shelf,
  chosen: readonly S[],
  stops: number
): S[] {
  let needed = [...chosen];
  for (const one of chosen) {
    const fewer = needed.filter((other) => other !== one);
    try {
      const project = fewer.reduce((made, { act }) => applyAct(made, act), start);
      if (blocking(project, judged(project, shelf)).length <= stops) needed = fewer;
    } catch {
      // A later step stands on this one.
    }
  }
  return needed;
}
