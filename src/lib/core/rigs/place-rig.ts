import { freshMemory } from '../memo';
import type { BodyGear } from '../model/gear';
import type { Plan, Rig } from '../model/plan';
import type { Project } from '../model/project';
import type { Angle, Scene } from '../model/scene';
import { isFlown, pans } from '../model/scene-facts';
import { allocate, type Allocated, isFree } from './allocated';
import { chooseMode } from './choose-mode';
import type { Kit, KitPart } from './kit';
import { placeFilter } from './place-filter';
import { placeFurtherLamps, placeLamps } from './place-lamps';
import { placeLens } from './place-lens';
import { coverFor, placeMic } from './place-mic';
import { placeHead, placeSupport } from './place-supports';
import type { PlacedRig } from './placed-rig';

const none: readonly never[] = [];

/** Free bodies that can be where the camera is: in the air only what flies, elsewhere that only where a person says so. */
export function bodiesFor(
  kit: Kit,
  angle: Angle,
  overrides: Rig | undefined,
  allocated: Allocated
): readonly KitPart<BodyGear>[] {
  const flown = isFlown(angle);
  return kit
    .of('body')
    .filter(
      (part) =>
        isFree(part, allocated) &&
        (flies(part) === flown || (!flown && part.line.id === overrides?.bodyLineId))
    );
}
const flies = ({ gear }: KitPart<BodyGear>): boolean => gear.form === 'drone';

function bodyFor(
  kit: Kit,
  angle: Angle,
  overrides: Rig | undefined,
  allocated: Allocated
): KitPart<BodyGear> | undefined {
  let first: KitPart<BodyGear> | undefined;
  for (const part of bodiesFor(kit, angle, overrides, allocated)) {
    if (part.line.id === overrides?.bodyLineId) return part;
    first ??= part;
  }
  return first;
}

export const overridesOf = (plan: Plan, scene: Scene, angle: Angle) =>
  plan.rigs.find((rig) => rig.sceneId === scene.id && rig.angleId === angle.id);

function bodiesOfScene(plan: Plan, kit: Kit, scene: Scene): KitPart<BodyGear>[] {
  const allocated: Allocated = new Map();
  return scene.angles.flatMap((angle) => {
    const body = bodyFor(kit, angle, overridesOf(plan, scene, angle), allocated);
    allocate(body?.line.id, allocated);
    return body ?? [];
  });
}

/**
 * Puts the kit in place for one angle. What the person has said stands; the rest follows the usual
 * places, so that a part swapped in is judged where it would really be used.
 *
 * @param chosen what is fixed in place of what the person has said, that included
 */
export function placeRig(
  project: Project,
  plan: Plan,
  kit: Kit,
  scene: Scene,
  angle: Angle,
  allocated: Allocated = new Map(),
  chosen?: Rig
): PlacedRig {
  const said = overridesOf(plan, scene, angle);
  const overrides = chosen ?? said;
  const index = scene.angles.indexOf(angle);
  const body = bodyFor(kit, angle, overrides, allocated);
  const mode = body && chooseMode(body.gear.modes, scene);
  const hasSocket = scene.daysWithoutSocket === 0;

  const { lens, focalLengthMm } = placeLens(
    { kit, scene, angle, body, mode, overrides },
    allocated
  );
  const { mic, micPlace } =
    index === 0
      ? placeMic(kit, scene, angle, overrides, body)
      : { mic: undefined, micPlace: undefined };
  const support = placeSupport(kit, angle, overrides, allocated);
  const head = placeHead(kit, pans(scene, angle), support, allocated);
  const { filter, filterFits, densityFilters } = placeFilter(kit, lens, overrides, allocated);
  // What the last angle holds, no other has to do without.
  if (index < scene.angles.length - 1) {
    allocate(body?.line.id, allocated);
    allocate(lens?.builtIn ? undefined : lens?.lineId, allocated);
    allocate(support?.line.id, allocated);
    allocate(head?.line.id, allocated);
    allocate(filter?.line.id, allocated);
  }
  const { cover, coverPart } = mic
    ? coverFor(kit, mic.gear)
    : { cover: 'none' as const, coverPart: undefined };
  const [keyLamp, fillLamp] = placeLamps(kit, scene, overrides, hasSocket);
  return {
    project,
    scene,
    angle,
    overrides: said,
    index,
    kit,
    body,
    bodiesAtOnce: scene.angles.length > 1 ? bodiesOfScene(plan, kit, scene) : body ? [body] : none,
    mode,
    lens,
    focalLengthMm,
    mic,
    micPlace,
    hearsByBody: index === 0 && scene.voice !== 'none' && !mic && body?.gear.ownMicrophone === true,
    cover,
    coverPart,
    keyLamp,
    fillLamp,
    furtherLamps: index === 0 ? placeFurtherLamps(kit, overrides) : none,
    support,
    head,
    boom:
      micPlace === 'boom arm'
        ? kit.of('support').find(({ gear }) => gear.form === 'boom arm')
        : undefined,
    filter,
    filterFits,
    densityFilters,
    hasSocket,
    memory: freshMemory()
  };
}
