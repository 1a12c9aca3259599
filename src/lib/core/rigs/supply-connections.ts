import type { ChainLimit } from '../joining/chains';
import { COMPUTER, ENERGY, joiningEnds, RECORDING, USB_C } from '../joining/ends';
import { fullName, type GearItem, type GearOf } from '../model/gear';
import type { Port } from '../model/ports';
import { mates } from '../model/mating';
import { bankWattsNeeded } from '../relations/power/bank';
import type { Connection } from './connections';
import type { KitPart } from './kit';
import type { PlacedRig } from './placed-rig';

const powerSocket = (type: string): Port => ({
  family: 'power',
  type,
  end: 'socket',
  role: 'power'
});

const inletsByGear = new WeakMap<GearItem, readonly Port[]>();

/** Where a part takes its power in, apart from a cell that cannot be taken out. */
export function powerInlets(gear: GearItem): readonly Port[] {
  let inlets = inletsByGear.get(gear);
  if (!inlets) inletsByGear.set(gear, (inlets = findPowerInlets(gear)));
  return inlets;
}

function findPowerInlets(gear: GearItem): Port[] {
  const inlets = gear.ports.filter((port) => port.role === 'power');
  const cellType = 'cellType' in gear ? gear.cellType : undefined;
  const drinks = gear.kind !== 'cell' && gear.kind !== 'mains block' && gear.kind !== 'charger';
  return [
    ...(cellType !== undefined && drinks ? [powerSocket(cellType)] : []),
    ...(gear.kind === 'body' && gear.runsFromUsb === true ? [powerSocket(USB_C)] : []),
    ...inlets
  ];
}

/** Every source and lead on the way gives the watts; one that states none is not trusted with them. */
function wattsLimit(consumer: GearItem, drawW: number | undefined, hasSocket: boolean): ChainLimit {
  return (parts) => {
    for (const { gear } of parts) {
      if (gear.kind === 'mains block' && !hasSocket)
        return `${fullName(gear)} wants a socket and there is none`;
      const gives =
        gear.kind === 'bank' || gear.kind === 'mains block'
          ? {
              watts: gear.outputW,
              needed: (draw: number) => (gear.kind === 'bank' ? bankWattsNeeded(draw) : draw)
            }
          : gear.kind === 'cable'
            ? { watts: gear.carriesW, needed: bankWattsNeeded }
            : undefined;
      if (!gives) continue;
      if (drawW === undefined)
        return `nobody has stated how many watts ${fullName(consumer)} draws`;
      if (gives.watts === undefined)
        return `nobody has stated how many watts ${fullName(gear)} gives`;
      const needed = gives.needed(drawW);
      if (gives.watts < needed)
        return `${fullName(gear)} gives ${gives.watts} W and ${needed.toFixed(1)} W are needed`;
    }
    return undefined;
  };
}

const meetsDirectly = (outlets: readonly Port[], inlets: readonly Port[]) =>
  outlets.some((outlet) => inlets.some((inlet) => mates(outlet, inlet)));

/** Watts along the way, the source's own included, and whether the body takes power through its cell's contacts. */
function intoBodyLimit(source: GearItem, body: GearOf<'body'>, hasSocket: boolean): ChainLimit {
  const watts = wattsLimit(body, body.drawW, hasSocket);
  return (parts) => {
    const way = [{ gear: source, costMinor: 0 }, ...parts];
    const last = way.at(-1)!.gear;
    const throughContacts = joiningEnds(last).some(
      (port) => port.family === 'power' && port.type === body.cellType
    );
    if (throughContacts && body.runsFromMainsBlock !== true)
      return `${fullName(body)} ${body.runsFromMainsBlock === false ? 'does not run' : 'is not said to run'} from a block in place of its cell`;
    return watts(way);
  };
}

/** Parts of the kit other than the body that drink from a cell of their own while this angle is filmed. */
function thirsty(rig: PlacedRig): { part: KitPart; drawW: number | undefined }[] {
  const list: { part: KitPart; drawW: number | undefined }[] = [];
  if (rig.mic && rig.mic.gear.power === 'cell') list.push({ part: rig.mic, drawW: undefined });
  if (rig.index > 0) return list;
  for (const part of rig.kit.of('monitor')) list.push({ part, drawW: part.gear.drawW });
  for (const part of rig.kit.of('recorder')) list.push({ part, drawW: undefined });
  return list;
}

/** Power that has to arrive in the body, from each bank and block of the kit that is meant for it. */
export function bodyPowerConnections({
  kit,
  body,
  hasSocket
}: Pick<PlacedRig, 'kit' | 'body' | 'hasSocket'>): Connection[] {
  const list: Connection[] = [];
  const banks = kit.of('bank');
  const blocks = hasSocket ? kit.of('mains block') : [];
  if (!body || banks.length + blocks.length === 0) return list;
  const inlets = powerInlets(body.gear);
  if (inlets.length === 0) return list;
  for (const source of [...banks, ...blocks]) {
    const outlets = joiningEnds(source.gear).filter((port) => port.type !== ENERGY.type);
    const forAnother = kit
      .of('body')
      .some((other) => other !== body && meetsDirectly(outlets, powerInlets(other.gear)));
    if (forAnother && !meetsDirectly(outlets, inlets)) continue;
    list.push({
      purpose: 'power into body',
      from: source,
      to: body,
      fromPorts: outlets,
      toPorts: inlets,
      limit: intoBodyLimit(source.gear, body.gear, hasSocket)
    });
  }
  return list;
}

/** Power that has to arrive: from banks and blocks into the body, and into what has cells of its own. */
export function powerConnections(rig: PlacedRig): Connection[] {
  const list = rig.index === 0 ? bodyPowerConnections(rig) : [];
  for (const { part, drawW } of thirsty(rig)) {
    const inlets = powerInlets(part.gear);
    if (inlets.length > 0)
      list.push({
        purpose: 'power for its own',
        from: part,
        to: undefined,
        fromPorts: inlets,
        toPorts: [ENERGY],
        limit: wattsLimit(part.gear, drawW, rig.hasSocket)
      });
  }
  return list;
}

const cardSlots = (gear: GearItem): Port[] => gear.ports.filter((port) => port.role === 'card');

/** Slots that want a card, and cards whose files have to reach a computer. */
export function cardConnections(rig: PlacedRig): Connection[] {
  const { body, kit } = rig;
  const list: Connection[] = [];
  const intoSlot = (part: KitPart): void => {
    const slots = cardSlots(part.gear);
    if (slots.length > 0)
      list.push({
        purpose: 'card in its slot',
        from: part,
        to: undefined,
        fromPorts: slots,
        toPorts: [RECORDING],
        limit: () => undefined
      });
  };
  if (body && body.gear.internalStorageGb === undefined) intoSlot(body);
  if (rig.index > 0) return list;
  for (const part of kit.of('recorder'))
    if (part.gear.internalStorageGb === undefined) intoSlot(part);
  for (const part of kit.of('monitor')) if (part.gear.recordsItself === true) intoSlot(part);
  for (const part of kit.of('card'))
    list.push({
      purpose: 'files into computer',
      from: part,
      to: undefined,
      fromPorts: [{ family: 'card', type: part.gear.cardKind, end: 'plug', role: 'card' }],
      toPorts: [COMPUTER],
      limit: () => undefined
    });
  return list;
}
