import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { completeKit } from '../judge/complete-kit';
import type { TrackedJudgement } from '../judge/incremental';
import { judgePlan } from '../judge/judge-plan';
import type { Judgement } from '../judge/judgement';
import { activePlan } from '../model/active-plan';
import type { GearItem } from '../model/gear';
import { newLine } from '../model/new-line';
import type { PlanLine } from '../model/plan';
import type { Project } from '../model/project';
import type { Scene } from '../model/scene';
import { overridesOf } from '../rigs/place-rig';
import { micPlacesByForm, micPlacesByStyle } from '../rigs/places';
import type { PackFrame } from './pack-rules';
import { withKit } from './packed-kit';

export const isBoomArm = (gear: GearItem | undefined): boolean =>
  gear?.kind === 'support' && gear.form === 'boom arm';

/** A microphone that can hang from a boom arm. */
export const hangsFromBoom = (gear: GearItem | undefined): boolean =>
  gear?.kind === 'microphone' &&
  (micPlacesByForm[gear.form] as readonly string[]).includes('boom arm');

/** A microphone hangs from a boom arm wherever it is used in a judged kit, and is used. */
export function hangs({ angles }: Judgement, micLineId: string): boolean {
  const places = angles.flatMap(({ rig }) => (rig.mic?.line.id === micLineId ? rig.micPlace : []));
  return places.length > 0 && places.every((place) => place === 'boom arm');
}

/** A speaker that stays where they are can be heard from above; what a person has said of the microphone stands. */
function hearsFromAbove(project: Project, scene: Scene): boolean {
  const said = overridesOf(activePlan(project), scene, scene.angles[0]!);
  return (
    scene.voice !== 'none' &&
    (micPlacesByStyle[scene.style] as readonly string[]).includes('boom arm') &&
    said?.micLineId === undefined &&
    said?.micPlace === undefined
  );
}

/**
 * A kit with a microphone on a boom arm wherever it can hang, with the cheapest arm if it has none, with what it
 * hangs by and with its cable. Four parts are worth their money only at once, so no kit one change away shows it. It is
 * judged as any kit is, with nothing said of where the microphone goes.
 *
 * @param micLineId the line of the microphone
 * @returns undefined where it can hang nowhere, or no arm can be had
 */
export function onBoomArm(
  tracked: TrackedJudgement,
  project: Project,
  frame: PackFrame,
  micLineId: string
): { project: Project; judgement: Judgement } | undefined {
  const plan = activePlan(project);
  const scenes = project.scenes.filter((scene) => hearsFromAbove(project, scene));
  if (scenes.length === 0) return undefined;
  const acts: Act[] = [];
  if (!plan.lines.some(({ gearId }) => isBoomArm(frame.shelf.byId.get(gearId)))) {
    const line = cheapestBoomArm(project, frame);
    if (!line) return undefined;
    acts.push({ type: 'add line', line });
  }
  for (const { id: sceneId, angles } of scenes)
    acts.push({
      type: 'set rig',
      sceneId,
      angleId: angles[0]!.id,
      patch: { micLineId, micPlace: 'boom arm' }
    });
  const hung = applyAct(project, { type: 'batch', acts });
  const whole = completeKit(tracked, hung, frame.shelf, { howToPlace: 'as before' }).project;
  const kit = withKit(whole, { lines: activePlan(whole).lines, rigs: plan.rigs });
  return {
    project: kit,
    judgement: judgePlan(kit, activePlan(kit), frame.shelf, { before: tracked })
  };
}

export function cheapestBoomArm(project: Project, frame: PackFrame): PlanLine | undefined {
  let cheapest: GearItem | undefined;
  for (const gear of frame.parts.support)
    if (isBoomArm(gear) && (!cheapest || frame.priceOf(gear)! < frame.priceOf(cheapest)!))
      cheapest = gear;
  return cheapest && { ...newLine(activePlan(project), cheapest), basis: frame.basisOf(cheapest) };
}
