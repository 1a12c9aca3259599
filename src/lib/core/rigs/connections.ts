import { lampsHeldBesideKey, lampStandOf } from './lamp-stand';
import type { GearOf } from '../model/gear';
import { memoOn } from '../memo';
import { seesOwnScreen } from './own-screen';
import { portsFor } from '../model/ports-by-role';
import type { Connection, MissingPort } from './connection';
import { bearing, between, isJoined, joint, lampHeld } from './joint-between';
import type { KitPart } from './kit';
import type { PlacedRig } from './placed-rig';
import { soundDestinationOf, soundNeeds } from './sound-path';
import { supplyConnections } from './supply-connections';

/** What a monitor by which one sees oneself is put on: the camera’s shoe, or the one of a cage made for it. */
function monitorShoe(rig: PlacedRig): KitPart | undefined {
  const { body, kit, scene, index } = rig;
  if (!body || index > 0 || !scene.wantsSeeSelf || seesOwnScreen(rig)) return undefined;
  const carriers: KitPart[] = [
    body,
    ...kit.of('cage').filter(({ gear }) => gear.fitsBodyId === body.gear.id)
  ];
  return carriers.find(({ gear }) => portsFor(gear, 'carries').length > 0);
}

/**
 * The monitor through which the picture of a body with one output goes on into the computer. Without the leads for
 * that the picture goes there straight, and the monitor stays dark.
 */
export function passingMonitor(
  rig: PlacedRig,
  capture: KitPart
): KitPart<GearOf<'monitor'>> | undefined {
  const { body, kit } = rig;
  if (!body || portsFor(body.gear, 'videoOut').length > 1) return undefined;
  return kit
    .of('monitor')
    .find(
      (monitor) =>
        portsFor(monitor.gear, 'videoOut').length > 0 &&
        isJoined(between(rig, 'picture out', body, 'videoOut', monitor, 'videoIn'), kit) &&
        isJoined(between(rig, 'picture out', monitor, 'videoOut', capture, 'videoIn'), kit)
    );
}

/** Every pair of ports an angle needs joined, in the order one puts a rig together. */
export const connectionsOf = memoOn((rig: PlacedRig): readonly (Connection | MissingPort)[] => {
  const list: (Connection | MissingPort)[] = [];
  const { body, mic, kit } = rig;
  const lensPart = rig.lens && !rig.lens.builtIn ? kit.byLine(rig.lens.lineId) : undefined;
  if (body && lensPart) list.push(between(rig, 'lens on body', lensPart, 'lens', body, 'lens'));
  // Indoors lamps are turned down instead, and the filter stays in the kit.
  if (lensPart && rig.filter && rig.scene.room === undefined)
    list.push(between(rig, 'filter on lens', lensPart, 'filter', rig.filter, 'filter'));
  if (body && mic && mic.gear.form !== 'desk' && portsFor(mic.gear, 'audioOut').length > 0) {
    const into = soundDestinationOf(rig)!;
    const needs = soundNeeds(rig, into);
    const { limit } = needs;
    list.push(joint('microphone into input', mic, 'audioOut', into, 'audioIn', limit, needs));
  }
  const holder =
    rig.micPlace === 'shoe' ? body : rig.micPlace === 'boom arm' ? rig.boom : undefined;
  if (mic && holder)
    list.push(between(rig, 'microphone held', mic, 'stands', holder, 'carries', bearing));
  if (body && rig.support && body.gear.form !== 'drone')
    list.push(between(rig, 'camera held', body, 'stands', rig.support, 'carries', bearing));
  if (body && rig.index === 0) {
    for (const screen of kit.of('monitor'))
      list.push(between(rig, 'picture out', body, 'videoOut', screen, 'videoIn'));
    if (rig.scene.live && body.gear.usbVideo !== true)
      for (const screen of kit.of('capture device')) {
        const source = passingMonitor(rig, screen) ?? body;
        list.push(between(rig, 'picture out', source, 'videoOut', screen, 'videoIn'));
      }
  }
  const shoe = monitorShoe(rig);
  if (shoe)
    for (const monitor of kit.of('monitor'))
      list.push(between(rig, 'monitor held', monitor, 'stands', shoe, 'carries', bearing));
  const stand = rig.keyLamp && lampStandOf(rig);
  if (rig.keyLamp && stand) list.push(lampHeld(rig, 'lamp held', rig.keyLamp.part, stand));
  for (const { lamp, holder } of lampsHeldBesideKey(rig))
    if (holder) list.push(lampHeld(rig, 'lamp beside the key held', lamp.part, holder));
  for (const need of supplyConnections(rig)) list.push(need);
  return list;
});
