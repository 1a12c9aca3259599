import type { Plan, Rig } from '../../model/plan';
import type { Project } from '../../model/project';
import type { Shelf } from '../../model/shelf';
import type { Allocated } from '../../rigs/allocated';
import { type Kit, makeKit } from '../../rigs/kit';
import type { Scene } from '../../model/scene';
import { overridesOf, placeRig } from '../../rigs/place-rig';
import type { PlacedRig } from '../../rigs/placed-rig';
import type { DifferingPlan, Placing, TrackedJudgement } from '../incremental';
import { choicesOf, keyOf, remember } from './remembered-choices';
import { type BestRig, chooseParts, keepParts, type Rigging } from './try-rigs';

/**
 * Puts a kit in place for every angle, each with the parts of the kit that make it best: fewest stops, then
 * merit. What the person has fixed stands. Job by job (body, lens, support, microphone, lamps), each way
 * tried beside what is chosen for the others.
 */
export function placeBestRigs(
  project: Project,
  plan: Plan,
  kit: Kit,
  before?: DifferingPlan,
  placing: Placing = {}
): BestRig[] {
  const rigs: BestRig[] = [];
  for (const scene of project.scenes) {
    if (placing.sceneId !== undefined && placing.sceneId !== scene.id) continue;
    const standing = rigsStanding(scene, plan, before, placing);
    if (standing) {
      rigs.push(...standing.map((rig) => asItStands(rig)));
      continue;
    }
    const allocated: Allocated = new Map();
    for (const angle of scene.angles)
      rigs.push(placeBest({ project, plan, kit, scene, angle, before, placing }, allocated));
  }
  return rigs;
}

const asItStands = (rig: PlacedRig, way?: Rig): BestRig => ({ rig, way, difference: undefined });

/** The rigs of a scene that are to stay as they were: those that were found already, or where nothing of it is changed. */
function rigsStanding(
  scene: Scene,
  plan: Plan,
  before: DifferingPlan | undefined,
  { howToPlace, standing }: Placing
): PlacedRig[] | undefined {
  const rigs = scene.angles.map((angle) => {
    if (standing?.has(angle)) return standing.get(angle);
    if (!before?.hasOnlyOtherRigs || howToPlace !== 'as before') return undefined;
    const rig = before.rigBefore(scene, angle);
    return rig?.overrides === overridesOf(plan, scene, angle) ? rig : undefined;
  });
  return rigs.every((rig) => rig !== undefined) ? rigs : undefined;
}

/** What was chosen for an angle, as plain data: it passes from one thread to another. */
export interface ChosenRig {
  sceneId: string;
  angleId: string;
  /** Undefined for the usual rig. */
  way: Rig | undefined;
}

/**
 * What is chosen for every angle of a project's plan.
 *
 * @param before the judgement of a plan a little different, by which it is chosen with less work and to the same end
 */
export function chooseRigs(
  project: Project,
  plan: Plan,
  shelf: Shelf,
  before?: TrackedJudgement
): ChosenRig[] {
  const kit = makeKit(plan, shelf);
  return placeBestRigs(project, plan, kit, before?.differing(project, kit)).map(({ rig, way }) => ({
    sceneId: rig.scene.id,
    angleId: rig.angle.id,
    way
  }));
}

/**
 * Remembers what was chosen elsewhere for this very project, so that judging it here takes it up instead of
 * choosing again.
 */
export function rememberRigs(
  project: Project,
  plan: Plan,
  shelf: Shelf,
  chosen: readonly ChosenRig[]
): void {
  const kit = makeKit(plan, shelf);
  for (const scene of project.scenes) {
    const allocated: Allocated = new Map();
    for (const angle of scene.angles) {
      const choice = chosen.find(
        ({ sceneId, angleId }) => sceneId === scene.id && angleId === angle.id
      );
      if (!choice) break;
      const said = overridesOf(plan, scene, angle);
      remember(angle, keyOf(project, scene, kit, said, plan, allocated), choice.way);
      placeRig(project, plan, kit, scene, angle, allocated, choice.way ?? said);
    }
  }
}

function placeBest(rigging: Rigging, allocated: Allocated): BestRig {
  const { project, plan, kit, scene, angle, before } = rigging;
  const said = overridesOf(plan, scene, angle);
  const rigBefore =
    before && rigging.placing.howToPlace === 'as before'
      ? before.rigBefore(scene, angle)
      : undefined;
  // Used or asked for in another way, the same kit may serve best with other parts; nothing comes along.
  const isAskedAnew =
    rigBefore !== undefined &&
    before!.hasSameKit &&
    (rigBefore.overrides !== said || rigBefore.angle !== angle || rigBefore.scene !== scene);
  const placing = isAskedAnew ? {} : rigging.placing;
  const own = keyOf(project, scene, kit, said, plan, allocated);
  const key = placing.besideComing === true ? `${own} beside what comes` : own;
  const remembered = choicesOf(angle).get(key);
  if (remembered !== undefined) {
    const rig = placeRig(project, plan, kit, scene, angle, allocated, remembered ?? said);
    return asItStands(rig, remembered ?? undefined);
  }
  const kept =
    before && rigBefore && !isAskedAnew
      ? keepParts(rigging, allocated, said, rigBefore, before.newParts)
      : undefined;
  const chosen = kept ?? chooseParts({ ...rigging, placing }, allocated, said);
  if (!kept) remember(angle, key, chosen.way);
  for (const [lineId, pieces] of chosen.allocated) allocated.set(lineId, pieces);
  return chosen;
}
