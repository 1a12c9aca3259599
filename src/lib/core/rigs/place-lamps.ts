import type { LampGear } from '../model/gear';
import type { Rig } from '../model/plan';
import { NO_PART } from '../model/word-lists';
import type { Scene } from '../model/scene';
import type { Kit, KitPart } from './kit';
import type { PlacedLamp } from './placed-rig';
import { lampPlaces } from './places';

function lampRuns(lamp: LampGear, kit: Kit, hasSocket: boolean): boolean {
  if (hasSocket && lamp.runsFromMains) return true;
  if (lamp.internalBatteryWh !== undefined) return true;
  return (
    lamp.batteryType !== undefined &&
    kit.of('battery').some(({ gear }) => gear.batteryType === lamp.batteryType)
  );
}

/** Lamps that can light a scene, one entry a piece and two at most of each; brightest first. */
export function lampsFor(kit: Kit, scene: Scene, hasSocket: boolean): KitPart<LampGear>[] {
  if (scene.lightSource === 'sky' || scene.lightSource === 'existing light') return [];
  const lamps: KitPart<LampGear>[] = [];
  for (const part of kit.of('lamp')) {
    if (part.gear.form === 'practical' || !lampRuns(part.gear, kit, hasSocket)) continue;
    for (let piece = 0; piece < Math.min(2, part.line.quantity); piece++) lamps.push(part);
  }
  return lamps.sort((a, b) => (b.gear.illuminanceAt1mLx ?? 0) - (a.gear.illuminanceAt1mLx ?? 0));
}

/** Key and fill: the lamps fixed for the angle, else the two brightest; in their usual places or where they are said to stand. */
export function placeLamps(kit: Kit, scene: Scene, overrides: Rig | undefined, hasSocket: boolean) {
  const free = lampsFor(kit, scene, hasSocket);
  const take = (lineId: string | undefined) => {
    if (lineId === NO_PART) return undefined;
    const at = lineId === undefined ? 0 : free.findIndex(({ line }) => line.id === lineId);
    return free.splice(at < 0 ? 0 : at, 1)[0];
  };
  const key = take(overrides?.keyLampLineId);
  const fill = key && take(overrides?.fillLampLineId);
  const lamps = key ? (fill ? [key, fill] : [key]) : [];
  return lamps.map((part, index): PlacedLamp => {
    const own = overrides?.lamps?.filter((placing) => placing.lineId === part.line.id) ?? [];
    const twin = index === 1 && lamps[0]?.line.id === part.line.id ? 1 : 0;
    const placing = own[twin] ?? own[0];
    const usual = index === 0 ? lampPlaces.key : lampPlaces.fill;
    return {
      part,
      distanceM: placing?.distanceM ?? usual.distanceM,
      angleDeg: placing?.angleDeg ?? usual.angleDeg
    };
  });
}
