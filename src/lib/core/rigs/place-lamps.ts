import type { LampGear } from '../model/gear';
import type { Rig } from '../model/plan';
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

/** The two brightest lamps that run here, in their usual places or where they are said to stand. */
export function placeLamps(kit: Kit, scene: Scene, overrides: Rig | undefined, hasSocket: boolean) {
  if (scene.lightSource === 'sky' || scene.lightSource === 'existing light') return [];
  const lamps: KitPart<LampGear>[] = [];
  for (const part of kit.of('lamp')) {
    if (part.gear.form === 'practical' || !lampRuns(part.gear, kit, hasSocket)) continue;
    for (let piece = 0; piece < Math.min(2, part.line.quantity); piece++) lamps.push(part);
  }
  lamps.sort((a, b) => (b.gear.illuminanceAt1mLx ?? 0) - (a.gear.illuminanceAt1mLx ?? 0));
  return lamps.slice(0, 2).map((part, index): PlacedLamp => {
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
