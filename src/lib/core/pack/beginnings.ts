import { applyAct } from '../acts/apply-act';
import { settleAll } from '../judge/settle-all';
import { activePlan } from '../model/active-plan';
import type { GearItem } from '../model/gear';
import { newLine } from '../model/new-line';
import type { Project } from '../model/project';
import { bareProject, type PackFrame } from './pack-rules';
import { judged } from './packed-kit';

/** Bodies a kit is begun with: all of a shelf as it ships. With four, kits up to twenty points better were missed. */
export const MOST_BEGINNINGS = 40;
/**
 * A scene of several cameras is begun with the best of the ways to settle it in so many looks; the first way found came to
 * 2 to 5 points less, sixty looks brought no more. With one camera the first way does as well, with several scenes more
 * looks take minutes.
 */
const LOOKS_TO_SETTLE = 13;

/** Kits to begin a search with: the plan, what stays of it, and what stays with each body; each as it is, and settled. */
export function* beginnings(frame: PackFrame): Generator<Project, void, void> {
  yield frame.project;
  const bare = bareProject(frame);
  yield bare;
  yield settled(frame, bare);
  for (const body of promisingBodies(frame, bare)) {
    const begun = withBody(frame, bare, body);
    yield begun;
    yield settled(frame, begun);
  }
}

/** The cheapest ways found to make it film all that must be filmed. */
export function settled({ shelf }: PackFrame, project: Project): Project {
  // What a remedy would change in the brief is not the packer's to change.
  const { act } = settleAll(project, shelf, {
    briefStays: true,
    mostLooked: hasOneSceneOfMany(project) ? LOOKS_TO_SETTLE : 0
  });
  return act ? applyAct(project, act) : project;
}

/** One scene, filmed by several cameras. */
const hasOneSceneOfMany = ({ scenes: [first, ...others] }: Project): boolean =>
  others.length === 0 && first !== undefined && first.angles.length > 1;

const withBody = ({ basisOf }: PackFrame, bare: Project, body: GearItem): Project =>
  applyAct(bare, {
    type: 'add line',
    line: { ...newLine(activePlan(bare), body), basis: basisOf(body) }
  });

/** The cheapest, one of each mount, and the best beside them, by what the kit would be worth with it alone. */
function promisingBodies(frame: PackFrame, bare: Project): Set<GearItem> {
  const begun = frame.parts.body.map((body) => ({
    body,
    worth: judged(withBody(frame, bare, body), frame.shelf).merit.onceSettledHundredths,
    minor: frame.priceOf(body)!
  }));
  const best = [...begun].sort((a, b) => b.worth - a.worth || a.minor - b.minor);
  const chosen = new Set<GearItem>();
  const cheapest = [...begun].sort((a, b) => a.minor - b.minor)[0];
  if (cheapest) chosen.add(cheapest.body);
  const mounts = new Set<string>();
  for (const { body } of best) {
    const mount = body.ports.find(({ role }) => role === 'lens')?.type ?? 'none';
    if (mounts.size === mounts.add(mount).size && chosen.size >= MOST_BEGINNINGS) continue;
    chosen.add(body);
    if (chosen.size > MOST_BEGINNINGS) break;
  }
  return chosen;
}
