import type { LampGear } from '../model/gear';
import type { FurtherLampRole, LampPlacing } from '../model/plan';
import { furtherLampRoles, NO_PART } from '../model/word-lists';
import type { KitPart } from '../rigs/kit';
import type { FurtherLamp, PlacedLamp, PlacedRig } from '../rigs/placed-rig';
import { lampPlaces } from '../rigs/places';
import type { Act } from './act';

export const lampRoles = ['key', 'fill', ...furtherLampRoles] as const;
export type LampRole = 'key' | 'fill' | FurtherLampRole;

/** A lamp of the kit in one scene: what it does there and where it stands, or that it stays in the bag. */
export interface LampInScene {
  part: KitPart<LampGear>;
  role: LampRole | undefined;
  placed: PlacedLamp | undefined;
}

/** Every lamp of a scene by its role, then those of the kit that do nothing in it. */
export function lampsInScene({ keyLamp, fillLamp, furtherLamps, kit }: PlacedRig): LampInScene[] {
  const lamps: LampInScene[] = [];
  if (keyLamp) lamps.push({ part: keyLamp.part, role: 'key', placed: keyLamp });
  if (fillLamp) lamps.push({ part: fillLamp.part, role: 'fill', placed: fillLamp });
  for (const lamp of furtherLamps) lamps.push({ part: lamp.part, role: lamp.role, placed: lamp });
  for (const part of kit.of('lamp'))
    if (lamps.filter((lamp) => lamp.part === part).length < part.line.quantity)
      lamps.push({ part, role: undefined, placed: undefined });
  return lamps;
}

type RigPatch = Extract<Act, { type: 'set rig' }>['patch'];
const setRig = ({ scene, angle }: PlacedRig, patch: RigPatch): Act => ({
  type: 'set rig',
  sceneId: scene.id,
  angleId: angle.id,
  patch
});

const further = ({ overrides }: PlacedRig): LampPlacing[] =>
  (overrides?.lamps ?? []).filter(({ role }) => role !== undefined);
const keyAndFill = ({ overrides }: PlacedRig): LampPlacing[] =>
  (overrides?.lamps ?? []).filter(({ role }) => role === undefined);

/** The lamps with a role of their own, without one. */
function furtherWithout(rig: PlacedRig, { part, role }: LampInScene): LampPlacing[] {
  const lamps = further(rig);
  const place = lamps.findIndex((lamp) => lamp.lineId === part.line.id && lamp.role === role);
  return lamps.filter((_, index) => index !== place);
}

/** Roles a lamp can be given: a fill wants a key beside it. */
export function rolesOpenTo(rig: PlacedRig, lamp: LampInScene): readonly LampRole[] {
  const { lightSource } = rig.scene;
  const isLitByLamps = lightSource !== 'sky' && lightSource !== 'existing light';
  const isSeen = lamp.part.gear.form === 'practical';
  return lampRoles.filter((role) =>
    role === 'key'
      ? isLitByLamps && !isSeen
      : role === 'fill'
        ? isLitByLamps &&
          !isSeen &&
          (lamp.role === 'key' ? rig.fillLamp !== undefined : rig.keyLamp !== undefined)
        : true
  );
}

/** Gives a lamp another role in a scene, or none there; key and fill change places. */
export function changeLampRole(rig: PlacedRig, lamp: LampInScene, role: LampRole | undefined): Act {
  const lineId = lamp.part.line.id;
  const patch: RigPatch = {};
  if (lamp.role === 'key') {
    patch.keyLampLineId = rig.fillLamp?.part.line.id ?? (role === undefined ? NO_PART : undefined);
    patch.fillLampLineId = role === 'fill' ? lineId : rig.fillLamp ? NO_PART : undefined;
  } else if (lamp.role === 'fill') {
    patch.fillLampLineId = role === 'key' ? rig.keyLamp!.part.line.id : NO_PART;
    if (role === 'key') patch.keyLampLineId = lineId;
  } else if (role === 'key') patch.keyLampLineId = lineId;
  else if (role === 'fill') patch.fillLampLineId = lineId;
  const rest = furtherWithout(rig, lamp);
  const isFurther = role !== undefined && role !== 'key' && role !== 'fill';
  patch.lamps = [
    ...keyAndFill(rig),
    ...rest,
    ...(isFurther ? [{ lineId, role, ...lampPlaces[role] }] : [])
  ];
  return setRig(rig, patch);
}

/** Where a lamp is put: what is left out stays as it was. */
export type LampSpot = Partial<Pick<PlacedLamp, 'distanceM' | 'angleDeg' | 'side' | 'standLineId'>>;

/** Puts a lamp of a scene somewhere else. */
export function moveLamp(rig: PlacedRig, lamp: LampInScene, to: LampSpot): Act {
  if (lamp.role === 'key') return setRig(rig, { lamps: lampsMoved(rig, { key: to }) });
  if (lamp.role === 'fill') return setRig(rig, { lamps: lampsMoved(rig, { fill: to }) });
  const moved = lamp.placed as FurtherLamp;
  return setRig(rig, {
    lamps: [
      ...keyAndFill(rig),
      ...furtherWithout(rig, lamp),
      { ...placingOf(moved, to), role: moved.role }
    ]
  });
}

function placingOf(lamp: PlacedLamp, to: LampSpot = {}): LampPlacing {
  const side = to.side ?? lamp.side;
  const standLineId = 'standLineId' in to ? to.standLineId : lamp.standLineId;
  return {
    lineId: lamp.part.line.id,
    distanceM: to.distanceM ?? lamp.distanceM,
    angleDeg: to.angleDeg ?? lamp.angleDeg,
    ...(side ? { side } : {}),
    ...(standLineId === undefined ? {} : { standLineId })
  };
}

/**
 * Where the lamps of a rig stand, with the key or the fill moved: both are said then, for they may be pieces of one
 * line, and what else has been said of lamps stays.
 */
export function lampsMoved(rig: PlacedRig, to: { key?: LampSpot; fill?: LampSpot }): LampPlacing[] {
  return [
    ...(rig.keyLamp ? [placingOf(rig.keyLamp, to.key)] : []),
    ...(rig.fillLamp ? [placingOf(rig.fillLamp, to.fill)] : []),
    ...further(rig)
  ];
}
