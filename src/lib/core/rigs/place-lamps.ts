import type { LampGear } from '../model/gear';
import type { LampPlacing, Rig } from '../model/plan';
import { NO_PART } from '../model/word-lists';
import type { Scene } from '../model/scene';
import type { Kit, KitPart } from './kit';
import type { FurtherLamp, PlacedLamp } from './placed-rig';
import { lampPlaces } from './places';

/** A lamp that has the current it needs where the scene is filmed. */
export function lampRuns(lamp: LampGear, kit: Kit, hasSocket: boolean): boolean {
  if (hasSocket && lamp.runsFromMains) return true;
  if (lamp.internalBatteryWh !== undefined) return true;
  return (
    lamp.batteryType !== undefined &&
    kit.of('battery').some(({ gear }) => gear.batteryType === lamp.batteryType)
  );
}

type Said = Pick<Rig, 'keyLampLineId' | 'fillLampLineId' | 'lamps'> | undefined;

const inFurtherRole = ({ role }: LampPlacing): boolean => role !== undefined;

/** Where key and fill have been put, or left to their usual places. */
export const keyAndFillPlacings = (said: Said): readonly LampPlacing[] =>
  said?.lamps?.filter((placing) => !inFurtherRole(placing)) ?? none;
const none: readonly never[] = [];

/**
 * Lamps that can be the key or the fill of a scene, one entry a piece and two at most of each; brightest first.
 * Pieces that somebody has given another role are not among them.
 */
export function lampsFor(
  kit: Kit,
  scene: Scene,
  hasSocket: boolean,
  said: Said
): KitPart<LampGear>[] {
  if (scene.lightSource === 'sky' || scene.lightSource === 'existing light') return [];
  const lamps: KitPart<LampGear>[] = [];
  for (const part of kit.of('lamp')) {
    if (part.gear.form === 'practical' || !lampRuns(part.gear, kit, hasSocket)) continue;
    const elsewhere = said?.lamps ? piecesElsewhere(said.lamps, part.line.id) : 0;
    for (let piece = elsewhere; piece < Math.min(elsewhere + 2, part.line.quantity); piece++)
      lamps.push(part);
  }
  return lamps.sort((a, b) => (b.gear.illuminanceAt1mLx ?? 0) - (a.gear.illuminanceAt1mLx ?? 0));
}

const piecesElsewhere = (placings: readonly LampPlacing[], lineId: string): number =>
  placings.filter((placing) => inFurtherRole(placing) && placing.lineId === lineId).length;

/** Key and fill: the lamps fixed for the angle, else the brightest that are left; in their usual places or where they are said to stand. */
export function placeLamps(kit: Kit, scene: Scene, said: Said, hasSocket: boolean) {
  const free = lampsFor(kit, scene, hasSocket, said);
  const takeNamed = (lineId: string | undefined) => {
    const index = free.findIndex(({ line }) => line.id === lineId);
    return index < 0 ? undefined : free.splice(index, 1)[0];
  };
  const takeBrightest = (lineId: string | undefined) =>
    lineId === NO_PART ? undefined : free.shift();
  // Both that are named are put aside first: the one said to be the fill is not taken for the key.
  const namedKey = takeNamed(said?.keyLampLineId);
  const namedFill = takeNamed(said?.fillLampLineId);
  const brightest = namedKey ?? takeBrightest(said?.keyLampLineId);
  // A lamp that is alone lights the face, whatever it is called.
  const key = brightest ?? (said?.keyLampLineId === NO_PART ? undefined : namedFill);
  const fill = brightest && (namedFill ?? takeBrightest(said?.fillLampLineId));
  const lamps = key ? (fill ? [key, fill] : [key]) : [];
  return lamps.map((part, index): PlacedLamp => {
    const own = keyAndFillPlacings(said).filter((placing) => placing.lineId === part.line.id);
    const twin = index === 1 && lamps[0]?.line.id === part.line.id ? 1 : 0;
    const placing = own[twin] ?? own[0];
    const usual = index === 0 ? lampPlaces.key : lampPlaces.fill;
    return {
      part,
      distanceM: placing?.distanceM ?? usual.distanceM,
      angleDeg: placing?.angleDeg ?? usual.angleDeg,
      side: placing?.side,
      standLineId: placing?.standLineId
    };
  });
}

/** Lamps that somebody has given a role beside key and fill: each piece once, whether it can burn there or not. */
export function placeFurtherLamps(kit: Kit, said: Said): readonly FurtherLamp[] {
  const placings = said?.lamps?.filter(inFurtherRole);
  if (!placings || placings.length === 0) return none;
  const taken = new Map<string, number>();
  return placings.flatMap(({ lineId, role, distanceM, angleDeg, side, standLineId }) => {
    const part = kit.of('lamp').find(({ line }) => line.id === lineId);
    const pieces = taken.get(lineId) ?? 0;
    if (!part || pieces >= part.line.quantity) return [];
    taken.set(lineId, pieces + 1);
    return { part, role: role!, distanceM, angleDeg, side, standLineId };
  });
}
