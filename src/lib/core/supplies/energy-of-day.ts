import { facesFront, screenBlockedBy } from '../rigs/own-screen';
import { batteriesFor, runsFromMains, suppliesOf } from '../figures/endurance-rows';
import type { BatteryGear, GearItem, GearOf } from '../model/gear';
import { bankEnergyAtPlugWh, DEVICE_INPUT } from '../relations/power/bank';
import { AGED_HEALTH, COLDEST_C, coldShare } from '../relations/power/battery-minutes';
import { BANK_INTO_BATTERY, offGridEnergyWh } from '../relations/power/off-grid';
import { isClosedInBag } from '../rigs/closings';
import type { Kit, KitPart } from '../rigs/kit';
import { hearsVoice, type PlacedRig } from '../rigs/placed-rig';
import { isReady } from '../rigs/ready';
import { sourceInto } from '../rigs/supply-connections';
import { type FilmingDay, minutesBeforeSocket } from './filming-days';
import type { Consumer, Store, SuppliesAndNeeds } from './shared-supplies';

/** The battery a part takes in and lets out again; none where one is built in. */
export const looseTypeOf = (gear: GearItem): string | undefined =>
  'internalBatteryWh' in gear && gear.internalBatteryWh !== undefined
    ? undefined
    : 'batteryType' in gear
      ? gear.batteryType
      : undefined;

/** A part at work in an angle, and the watts it draws there. */
export interface Working {
  part: KitPart;
  watts: number | undefined;
}

/** What one angle keeps running on batteries: its body, and with the first what serves the whole scene. */
export function workingIn(rig: PlacedRig): Working[] {
  const { body, mic, kit, scene, hasSocket } = rig;
  const working: Working[] = [];
  if (body && !runsFromMains(rig)) working.push({ part: body, watts: body.gear.drawW });
  if (rig.index > 0) return working;
  if (mic?.gear.power === 'battery' && looseTypeOf(mic.gear) !== undefined)
    working.push({ part: mic, watts: drawByHours(mic.gear, kit) });
  for (const part of kit.of('recorder'))
    if (hearsVoice(rig) && looseTypeOf(part.gear) !== undefined && isReady(rig, part))
      working.push({ part, watts: drawByHours(part.gear, kit) });
  const [monitor] = kit.of('monitor');
  const looksAtMonitor = !facesFront(body?.gear) || screenBlockedBy(rig) !== undefined;
  if (monitor && scene.wantsSeeSelf && looksAtMonitor && isReady(rig, monitor))
    working.push({ part: monitor, watts: monitor.gear.drawW });
  const [router] = kit.of('router');
  if (router && scene.live && !hasSocket) working.push({ part: router, watts: router.gear.drawW });
  for (const lamp of [rig.keyLamp, rig.fillLamp, ...rig.furtherLamps])
    if (lamp && !(hasSocket && lamp.part.gear.runsFromMains === true))
      working.push({ part: lamp.part, watts: lamp.part.gear.drawW });
  return working.filter(({ part }) => part === body || !runsFromBlock(rig, part));
}

/** A part whose sheet states hours draws what empties one of its batteries in that time. */
function drawByHours(
  gear: { batteryHours?: number; batteryType?: string },
  kit: Kit
): number | undefined {
  const wh = kit.of('battery').find((part) => part.gear.batteryType === gear.batteryType)
    ?.gear.energyWh;
  return gear.batteryHours === undefined || wh === undefined ? undefined : wh / gear.batteryHours;
}

/** A block of the kit keeps it going from the socket. */
const runsFromBlock = (rig: PlacedRig, part: KitPart): boolean =>
  rig.hasSocket &&
  rig.kit
    .of('mains adapter')
    .some((block) => isClosedInBag(sourceInto(block, part, true), rig.kit));

/** Whether a battery of the kit, loose or inside, is there for it at all; where none is, P7 and M7 say so. */
export function livesOnBatteries({ gear, line }: KitPart, kit: Kit): boolean {
  if ('internalBatteryWh' in gear && gear.internalBatteryWh !== undefined) return line.quantity > 0;
  const type = looseTypeOf(gear);
  if (type === undefined) return false;
  return (
    kit.of('battery').some((part) => part.gear.batteryType === type) ||
    kit
      .of('body')
      .some((part) => part.gear.batteryType === type && part.gear.batteriesIncluded !== 0)
  );
}

/** Everything that runs on batteries in a day, with what it needs; what nobody states the draw of is named apart. */
function consumersOf({ rigs }: FilmingDay): { consumers: Consumer[]; unknown: KitPart[] } {
  const byLine = new Map<string, Consumer>();
  const unknown = new Set<KitPart>();
  for (const rig of rigs)
    for (const { part, watts } of workingIn(rig)) {
      if (!livesOnBatteries(part, rig.kit)) continue;
      if (watts === undefined) {
        unknown.add(part);
        continue;
      }
      const need = (watts * minutesBeforeSocket(rig.scene, rig.angle)) / 60;
      const used = byLine.get(part.line.id);
      if (used) {
        used.need += need;
        used.needInOneScene = Math.max(used.needInOneScene, need);
      } else byLine.set(part.line.id, { part, need, needInOneScene: need });
    }
  return { consumers: [...byLine.values()], unknown: [...unknown] };
}

/** Batteries, banks, sun and car of a day. */
function storesOf(
  { rigs, scenes }: FilmingDay,
  consumers: readonly Consumer[],
  cold: number | undefined
): Store[] {
  const { kit } = rigs[0]!;
  const onType = (type: string | undefined) =>
    new Map(
      consumers.flatMap(({ part }): [string, number][] =>
        type !== undefined && looseTypeOf(part.gear) === type ? [[part.line.id, 1]] : []
      )
    );
  const stores: Store[] = [];
  for (const { part } of consumers)
    if ('internalBatteryWh' in part.gear && part.gear.internalBatteryWh !== undefined)
      stores.push({
        kind: 'built-in battery',
        pieces: part.line.quantity,
        lineId: part.line.id,
        name: `its own battery in ${part.gear.model}`,
        amount: scaled(part.gear.internalBatteryWh, part.line.quantity, cold),
        reaches: new Map([[part.line.id, 1]])
      });
  for (const { gear, line } of kit.of('body')) {
    const pieces = (gear.batteriesIncluded ?? 0) * line.quantity;
    if (pieces > 0 && gear.internalBatteryWh === undefined)
      stores.push({
        kind: 'battery',
        pieces,
        lineId: line.id,
        name: `${pieces === 1 ? 'the battery' : `${pieces} batteries`} that came with ${gear.model}`,
        amount: scaled(gear.includedBatteryWh, pieces, cold),
        // One whose type nobody states serves the body it came with.
        reaches: gear.batteryType === undefined ? new Map([[line.id, 1]]) : onType(gear.batteryType)
      });
  }
  for (const part of kit.of('battery'))
    stores.push({
      kind: 'battery',
      pieces: part.line.quantity,
      lineId: part.line.id,
      name: piecesOf(part),
      amount: scaled(part.gear.energyWh, part.line.quantity * healthOf(part.gear), cold),
      reaches: onType(part.gear.batteryType)
    });
  const away = Math.max(...scenes.map(({ daysWithoutSocket }) => daysWithoutSocket));
  for (const bank of kit.of('power bank'))
    stores.push({
      kind: 'power bank',
      pieces: bank.line.quantity,
      lineId: bank.line.id,
      name: piecesOf(bank),
      amount: scaled(bank.gear.energyWh, bank.line.quantity),
      reaches: fromBank(bank, rigs, consumers, away > 1)
    });
  if (away > 1) {
    const wattHours = fromSunAndCar(kit, scenes, away);
    if (wattHours !== 0)
      stores.push({
        kind: 'sun and car',
        pieces: 1,
        lineId: '',
        name: 'sun and car',
        amount: wattHours,
        reaches: new Map(consumers.map(({ part }) => [part.line.id, 1]))
      });
  }
  return stores;
}

/** Undefined where it is so cold that nobody should promise anything. */
function leftInCold(scenes: FilmingDay['scenes']): number | undefined {
  const coldest = Math.min(...scenes.map(({ temperatureC }) => temperatureC));
  return coldest >= COLDEST_C ? coldShare(coldest) : undefined;
}

const scaled = (wh: number | undefined, ...by: (number | undefined)[]): number | undefined =>
  by.reduce(
    (sum, value) => (sum === undefined || value === undefined ? undefined : sum * value),
    wh
  );
const healthOf = ({ otherMaker }: BatteryGear): number => (otherMaker ? AGED_HEALTH : 1);
const piecesOf = ({ gear, line }: KitPart): string =>
  line.quantity === 1 ? gear.model : `${line.quantity} × ${gear.model}`;

/** Of a bank's label what arrives in a part plugged into it, and what in a battery it fills. */
export const BANK_BY_PLUG = bankEnergyAtPlugWh(1) * DEVICE_INPUT;
export const BANK_BY_BATTERY = bankEnergyAtPlugWh(1) * BANK_INTO_BATTERY;

/** Whom a bank keeps going by its plug; on days away it also fills the batteries of the others. */
function fromBank(
  bank: KitPart<GearOf<'power bank'>>,
  rigs: readonly PlacedRig[],
  consumers: readonly Consumer[],
  fillsBatteries: boolean
): Map<string, number> {
  const reaches = new Map<string, number>();
  for (const { part } of consumers) {
    const plugged = rigs.some((rig) =>
      rig.body === part
        ? suppliesOf(rig, 'power bank').includes(bank)
        : rig.index === 0 && isClosedInBag(sourceInto(bank, part, rig.hasSocket), rig.kit)
    );
    if (plugged) reaches.set(part.line.id, BANK_BY_PLUG);
    else if (fillsBatteries && looseTypeOf(part.gear) !== undefined)
      reaches.set(part.line.id, BANK_BY_BATTERY);
  }
  return reaches;
}

/** Of several scenes the sunniest day and the longest drive: one sits under the same sun. */
function fromSunAndCar(kit: Kit, scenes: FilmingDay['scenes'], days: number): number | undefined {
  let panelW = 0;
  for (const { gear, line } of kit.of('solar panel')) {
    if (gear.outputW === undefined) return undefined;
    panelW += gear.outputW * line.quantity;
  }
  const most = (read: (scene: FilmingDay['scenes'][number]) => number | undefined) =>
    Math.max(...scenes.map((scene) => read(scene) ?? 0));
  return offGridEnergyWh(
    0,
    days,
    panelW,
    most(({ sunHoursPerDay }) => sunHoursPerDay),
    most(({ drivenHoursPerDay }) => drivenHoursPerDay)
  );
}

/**
 * What lives on batteries in a day and what there is for it.
 *
 * @param cold share that the cold leaves; the coldest scene's unless said, 1 for what is in the batteries at home
 */
export function energyOfDay(day: FilmingDay, cold = leftInCold(day.scenes)): SuppliesAndNeeds {
  const { consumers, unknown } = consumersOf(day);
  return { consumers, unknown, stores: storesOf(day, consumers, cold) };
}

/** Loose batteries of the kit that a part of a day lives on. */
export const looseBatteriesOf = (rig: PlacedRig, part: KitPart): readonly KitPart<BatteryGear>[] =>
  part === rig.body
    ? batteriesFor(rig)
    : rig.kit.of('battery').filter(({ gear }) => gear.batteryType === looseTypeOf(part.gear));
