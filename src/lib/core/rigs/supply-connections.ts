import type { ChainLimit } from '../joining/chains';
import { joiningEnds } from '../joining/ends';
import { COMPUTER, ENERGY, RECORDING, USB_C } from '../model/gear/supply-end';
import { fullName, type GearItem, type GearOf } from '../model/gear';
import type { Port } from '../model/ports';
import { isRecorded } from '../model/scene-facts';
import { portsFor } from '../model/ports-by-role';
import { memoOf, memoOn } from '../memo';
import { meet } from '../model/mating';
import { bankWattsNeeded } from '../relations/power/bank';
import { connect, type Connection } from './connection';
import type { Kit, KitPart } from './kit';
import type { PlacedRig } from './placed-rig';

const powerSocket = (type: string): Port => ({
  family: 'power',
  type,
  end: 'socket',
  role: 'power'
});

/** Where a part takes its power in, apart from a battery that cannot be taken out. */
export const powerInlets = memoOf((gear: GearItem): readonly Port[] => {
  const inlets = portsFor(gear, 'power');
  const batteryType = 'batteryType' in gear ? gear.batteryType : undefined;
  const drinks =
    gear.kind !== 'battery' && gear.kind !== 'mains adapter' && gear.kind !== 'charger';
  return [
    ...(batteryType !== undefined && drinks ? [powerSocket(batteryType)] : []),
    ...(gear.kind === 'body' && gear.runsFromUsb === true ? [powerSocket(USB_C)] : []),
    ...inlets
  ];
});

/** Every source and lead on the way gives the watts; one that states none is not trusted with them. */
function wattsLimit(consumer: GearItem, drawW: number | undefined, hasSocket: boolean): ChainLimit {
  return (parts) => {
    for (const { gear } of parts) {
      if (gear.kind === 'mains adapter' && !hasSocket)
        return `${fullName(gear)} needs a socket and there is none`;
      const gives =
        gear.kind === 'power bank' || gear.kind === 'mains adapter'
          ? {
              watts: gear.outputW,
              needed: (draw: number) => (gear.kind === 'power bank' ? bankWattsNeeded(draw) : draw)
            }
          : gear.kind === 'cable'
            ? { watts: gear.carriesW, needed: bankWattsNeeded }
            : undefined;
      if (!gives) continue;
      if (drawW === undefined) return `it is not stated how many watts ${fullName(consumer)} draws`;
      if (gives.watts === undefined)
        return `it is not stated how many watts ${fullName(gear)} gives`;
      const needed = gives.needed(drawW);
      if (gives.watts < needed)
        return `${fullName(gear)} gives ${gives.watts} W and ${needed.toFixed(1)} W are needed`;
    }
    return undefined;
  };
}

/** Watts along the way, the source's own included, and whether the body takes power through its battery's contacts. */
function intoBodyLimit(source: GearItem, body: GearOf<'body'>, hasSocket: boolean): ChainLimit {
  const watts = wattsLimit(body, body.drawW, hasSocket);
  return (parts) => {
    const way = [{ gear: source, costMinor: 0 }, ...parts];
    const last = way.at(-1)!.gear;
    const throughContacts = joiningEnds(last).some(
      (port) => port.family === 'power' && port.type === body.batteryType
    );
    if (throughContacts && body.runsFromMainsAdapter !== true)
      return `${fullName(body)} ${body.runsFromMainsAdapter === false ? 'does not run' : 'is not said to run'} from a dummy battery`;
    return watts(way);
  };
}

/** The ends a source gives power by, apart from the energy it ends in. */
const outletsOf = memoOf((source: GearItem): readonly Port[] =>
  joiningEnds(source).filter((port) => port.type !== ENERGY.type)
);

/** Power of one source of the kit, a bank or a block, into a part that takes it by a plug. */
export function sourceInto(source: KitPart, part: KitPart, hasSocket: boolean): Connection {
  const drawW = 'drawW' in part.gear ? part.gear.drawW : undefined;
  const watts = wattsLimit(part.gear, drawW, hasSocket);
  return connect(
    'power for its own',
    source,
    part,
    outletsOf(source.gear),
    powerInlets(part.gear),
    (parts) => watts([{ gear: source.gear, costMinor: 0 }, ...parts])
  );
}

interface Supply {
  body: KitPart;
  hasSocket: boolean;
  list: readonly Connection[];
}
/** Power for bodies of a kit found so far. */
const suppliesOf = memoOn((_kit: Kit): Supply[] => []);

type Supplied = Pick<PlacedRig, 'kit' | 'body' | 'hasSocket'>;

/** Power that has to arrive in the body, from each bank and block of the kit that is meant for it. */
export function bodyPowerConnections({ kit, body, hasSocket }: Supplied): readonly Connection[] {
  if (!body) return none;
  const supplies = suppliesOf(kit);
  for (const supply of supplies)
    if (supply.body === body && supply.hasSocket === hasSocket) return supply.list;
  const list: Connection[] = [];
  const inlets = powerInlets(body.gear);
  const from = (source: KitPart): void => {
    const outlets = outletsOf(source.gear);
    const meetsAnother = (other: KitPart) =>
      other !== body && meet(outlets, powerInlets(other.gear));
    if (kit.of('body').some(meetsAnother) && !meet(outlets, inlets)) return;
    const limit = intoBodyLimit(source.gear, body.gear, hasSocket);
    list.push(connect('power into body', source, body, outlets, inlets, limit));
  };
  if (inlets.length > 0) {
    kit.of('power bank').forEach(from);
    if (hasSocket) kit.of('mains adapter').forEach(from);
  }
  supplies.push({ body, hasSocket, list });
  return list;
}
const none: readonly never[] = [];

/**
 * Power that has to arrive, from banks and blocks into the body and into what has batteries of its own; slots
 * that want a card, and cards whose files have to reach a computer.
 */
export function supplyConnections(rig: PlacedRig): Connection[] {
  const { kit, body, mic, hasSocket } = rig;
  const list: Connection[] = [];
  const isFirst = rig.index === 0;
  if (isFirst) for (const connection of bodyPowerConnections(rig)) list.push(connection);
  const drinks = (part: KitPart, drawW: number | undefined): void => {
    const inlets = powerInlets(part.gear);
    if (inlets.length === 0) return;
    const limit = wattsLimit(part.gear, drawW, hasSocket);
    list.push(connect('power for its own', part, undefined, inlets, [ENERGY], limit));
  };
  const intoSlot = (part: KitPart): void => {
    const slots = portsFor(part.gear, 'card');
    if (slots.length > 0)
      list.push(connect('card in its slot', part, undefined, slots, [RECORDING], noLimit));
  };
  if (mic && mic.gear.power === 'battery') drinks(mic, undefined);
  if (isFirst) {
    for (const part of kit.of('monitor')) drinks(part, part.gear.drawW);
    for (const part of kit.of('recorder')) drinks(part, undefined);
  }
  if (body && body.gear.internalStorageGb === undefined && isRecorded(rig.scene)) intoSlot(body);
  if (!isFirst) return list;
  for (const part of kit.of('recorder'))
    if (part.gear.internalStorageGb === undefined) intoSlot(part);
  for (const part of kit.of('monitor')) if (part.gear.recordsItself === true) intoSlot(part);
  for (const part of isRecorded(rig.scene) ? kit.of('card') : none) {
    const { cardKind } = part.gear;
    const ends: Port[] = [{ family: 'card', type: cardKind, end: 'plug', role: 'card' }];
    list.push(connect('files into computer', part, undefined, ends, [COMPUTER], noLimit));
  }
  return list;
}
const noLimit: ChainLimit = () => undefined;
