import { bankEnergyAtPlugWh, DEVICE_INPUT } from '../relations/power/bank';
import { AGED_HEALTH, batteryMinutes, coldShare } from '../relations/power/battery-minutes';
import { cardMinutes, recordingGb } from '../relations/storage/recording-size';
import { megabytesPerSecond, speedClassMBps } from '../relations/storage/sustained-write';
import type { BodyGear, CardGear, BatteryGear, GearOf } from '../model/gear';
import type { Port } from '../model/ports';
import { portsFor } from '../model/ports-by-role';
import { isRecorded, longestTakeMinOf, recordedMinOf } from '../model/scene-facts';
import { memoOn } from '../memo';
import { isClosedInBag } from '../rigs/closings';
import { bodyPowerConnections } from '../rigs/supply-connections';
import { type Kit, type KitPart, piecesOf } from '../rigs/kit';
import type { BatterySupply, PlacedRig } from '../rigs/placed-rig';
import { type FigureRows, unstatedOf } from './rows';

/** Kept free on a card so that it is swapped between takes and not within one. */
export const SWAP_MARGIN = 0.05;

/** Cards of the kit that go into the body of a rig, as they are or in a sleeve of the kit. */
export const cardsFor = memoOn((rig: PlacedRig) => cardsInto(rig.kit, rig.body));

export function cardsInto(
  kit: Kit,
  body: KitPart<BodyGear> | undefined
): readonly KitPart<CardGear>[] {
  const cards = kit.of('card');
  const slots = body ? portsFor(body.gear, 'card') : [];
  return cards.filter(({ gear }) =>
    slots.some(({ type: slot }) => slot === gear.cardKind || hasSleeve(kit, gear.cardKind, slot))
  );
}

/** The kit holds a sleeve that takes a small card into a larger slot. */
function hasSleeve(kit: Kit, cardKind: string, slot: string): boolean {
  return kit.of('thread adapter').some(({ gear }) => {
    const has = (type: string, end: Port['end']) =>
      gear.ports.some((port) => port.family === 'card' && port.type === type && port.end === end);
    return has(cardKind, 'socket') && has(slot, 'plug');
  });
}

/** Batteries of the kit that go into the body of a rig. */
export const batteriesFor = memoOn((rig: PlacedRig) => batteriesInto(rig.kit, rig.body));

function batteriesInto(
  kit: Kit,
  body: KitPart<BodyGear> | undefined
): readonly KitPart<BatteryGear>[] {
  const batteries = kit.of('battery');
  return batteries.length === 0 || !body
    ? noBatteries
    : batteries.filter(({ gear }) => gear.batteryType === body.gear.batteryType);
}
const noBatteries: readonly KitPart<BatteryGear>[] = [];

/** Every battery of the bag that goes into a body: loose ones, and those that bodies of its like came with. */
export const batterySupplies = memoOn((rig: PlacedRig): readonly BatterySupply[] => {
  const { kit, body } = rig;
  if (!body) return [];
  const { internalBatteryWh, batteryType } = body.gear;
  if (internalBatteryWh !== undefined) return [{ wh: internalBatteryWh, health: 1, pieces: 1 }];
  const supplies: BatterySupply[] = [];
  for (const { gear, line } of kit.of('body')) {
    const shares =
      gear === body.gear || (batteryType !== undefined && gear.batteryType === batteryType);
    const pieces = shares ? (gear.batteriesIncluded ?? 0) * line.quantity : 0;
    if (pieces > 0) supplies.push({ wh: gear.includedBatteryWh, health: 1, pieces });
  }
  for (const { gear, line } of batteriesFor(rig))
    supplies.push({
      wh: gear.energyWh,
      health: gear.otherMaker ? AGED_HEALTH : 1,
      pieces: line.quantity
    });
  return supplies;
});

/** For the longest take one puts in the best battery there is. */
export function bestBattery(rig: PlacedRig): BatterySupply | undefined {
  let best: BatterySupply | undefined;
  let most = -1;
  for (const battery of batterySupplies(rig)) {
    const worth = (battery.wh ?? 0) * battery.health;
    if (worth > most) {
      most = worth;
      best = battery;
    }
  }
  return best;
}

/** Bodies filming at once that live on the same batteries; one that has its battery inside shares with nobody. */
function bodiesOnBatteries({ body, bodiesAtOnce }: PlacedRig): number {
  if (!body || body.gear.internalBatteryWh !== undefined) return 1;
  let bodies = 0;
  for (const { gear } of bodiesAtOnce)
    if (
      gear === body.gear ||
      (gear.batteryType === body.gear.batteryType && gear.internalBatteryWh === undefined)
    )
      bodies += 1;
  return Math.max(1, bodies);
}

/**
 * Runs from a socket while it records: a block in the battery's place, or USB power from a bank's like.
 * A block runs one body, and those of the earlier angles have theirs first.
 */
export function runsFromMains(rig: PlacedRig): boolean {
  if (!rig.hasSocket) return false;
  return piecesOf(suppliesOf(rig, 'mains adapter')) > rig.index;
}

/** Banks or blocks of the kit whose power arrives in the body: the leads are there, and the watts suffice. */
export function suppliesOf<K extends 'power bank' | 'mains adapter'>(
  rig: PlacedRig,
  kind: K
): readonly KitPart<GearOf<K>>[] {
  const parts = rig.kit.of(kind);
  if (parts.length === 0) return parts;
  const ways = bodyPowerConnections(rig);
  return parts.filter((part) =>
    ways.some((way) => way.from === part && isClosedInBag(way, rig.kit))
  );
}

export const enduranceRows = {
  longestTake: {
    name: 'longest take',
    unit: 'min',
    source: 'brief',
    read: ({ scene, angle }) => longestTakeMinOf(scene, angle)
  },
  recorded: {
    name: 'recorded in a day',
    unit: 'min',
    source: 'brief',
    read: ({ scene, angle }) => recordedMinOf(scene, angle)
  },
  daysAway: {
    name: 'days without a socket',
    unit: 'days',
    source: 'brief',
    read: ({ scene }) => Math.max(1, scene.daysWithoutSocket)
  },
  recordedAway: {
    name: 'recorded before the next socket',
    unit: 'min',
    from: ['recorded', 'daysAway'],
    relation: 'minutes a day × days',
    compute: (minutes, days) => minutes! * days!
  },
  bitRate: {
    name: 'bit rate',
    unit: 'Mb/s',
    source: 'body',
    asks: {
      question: 'How many megabits a second does % write?',
      between: [20, 200]
    },
    read: ({ mode, body, scene }) =>
      !isRecorded(scene) ? null : mode ? mode.bitRateMbps : unstatedOf(body)
  },
  sizeNeeded: {
    name: 'space the recordings need',
    unit: 'GB',
    from: ['bitRate', 'recordedAway'],
    relation: 'Mb/s ÷ 8 × s ÷ 1000',
    compute: (rate, minutes) => recordingGb(rate!, minutes!)
  },
  cardSpace: {
    name: 'space on the cards',
    unit: 'GB',
    source: 'card',
    asks: {
      question: 'How large is %?',
      between: [32, 512],
      field: 'capacityGb',
      of: (rig) => cardsFor(rig).find(({ gear }) => gear.capacityGb === undefined)
    },
    read: (rig) => {
      if (!rig.body || !isRecorded(rig.scene)) return null;
      let space = rig.body.gear.internalStorageGb ?? 0;
      for (const card of cardsFor(rig)) {
        const { line, gear } = card;
        if (gear.capacityGb === undefined) return undefined;
        // Bodies filming at once that take the same cards share them out.
        const takers =
          rig.bodiesAtOnce.length < 2
            ? 1
            : rig.bodiesAtOnce.filter((body) => cardsInto(rig.kit, body).includes(card)).length;
        space += (gear.capacityGb * line.quantity) / Math.max(1, takers);
      }
      return space;
    }
  },
  cardMinutes: {
    name: 'minutes the cards take',
    unit: 'min',
    from: ['cardSpace', 'bitRate'],
    relation: 'label × 0.98 × 0.95 ÷ rate',
    compute: (gb, rate) => cardMinutes(gb!, rate!, SWAP_MARGIN)
  },
  storageShare: {
    name: 'space against need',
    unit: '×',
    from: ['cardMinutes', 'recordedAway'],
    relation: 'minutes on cards ÷ minutes recorded',
    compute: (have, need) => have! / need!
  },
  writeNeeded: {
    name: 'write speed the mode needs',
    unit: 'MB/s',
    from: ['bitRate'],
    relation: 'Mb/s ÷ 8',
    compute: (rate) => megabytesPerSecond(rate!)
  },
  writePromised: {
    name: 'sustained write of the slowest card',
    unit: 'MB/s',
    source: 'card',
    asks: {
      question: 'Which sustained speed class has %?',
      between: [6, 90],
      of: (rig) => cardsFor(rig).find(({ gear }) => gear.speedClass === undefined)
    },
    read: (rig) => {
      const cards = isRecorded(rig.scene) ? cardsFor(rig) : [];
      if (cards.length === 0) return null;
      let slowest = Infinity;
      for (const { gear } of cards) {
        if (gear.speedClass === undefined) return undefined;
        slowest = Math.min(slowest, speedClassMBps[gear.speedClass]);
      }
      return slowest;
    }
  },
  bodyDraw: {
    name: 'draw of the body while recording',
    unit: 'W',
    source: 'body',
    asks: {
      question: 'How many watts does % draw while recording?',
      between: [3, 12],
      field: 'drawW'
    },
    read: ({ body }) => (body ? body.gear.drawW : null)
  },
  batteryEnergy: {
    name: 'energy of the best battery',
    unit: 'Wh',
    source: 'battery',
    asks: {
      question: 'How many watt-hours has the battery of %?',
      between: [4, 25],
      of: (rig) => batteriesFor(rig)[0] ?? rig.body
    },
    read: (rig) => {
      const battery = bestBattery(rig);
      return battery ? battery.wh : null;
    }
  },
  batteryHealth: {
    name: 'health of the best battery',
    unit: '×',
    source: 'battery',
    read: (rig) => bestBattery(rig)?.health ?? null
  },
  batteryCount: {
    name: 'batteries for the body',
    unit: 'count',
    source: 'kit',
    read: (rig) => {
      if (!rig.body) return null;
      let count = 0;
      for (const { pieces } of batterySupplies(rig)) count += pieces;
      return count;
    }
  },
  bodiesAtOnce: {
    name: 'bodies filming at once',
    unit: 'count',
    source: 'brief',
    read: ({ body, bodiesAtOnce }) => (body ? Math.max(1, bodiesAtOnce.length) : null)
  },
  bodiesOnBatteries: {
    name: 'bodies filming at once on these batteries',
    unit: 'count',
    source: 'kit',
    read: (rig) => (rig.body ? bodiesOnBatteries(rig) : null)
  },
  batteriesEnergy: {
    name: 'energy in all its batteries, health counted',
    unit: 'Wh',
    source: 'battery',
    asks: {
      question: 'How many watt-hours has the battery of %?',
      between: [4, 25],
      of: (rig) => batteriesFor(rig).find(({ gear }) => gear.energyWh === undefined) ?? rig.body
    },
    read: (rig) => {
      const supplies = batterySupplies(rig);
      if (supplies.length === 0) return null;
      let wattHours = 0;
      for (const { wh, health, pieces } of supplies) {
        if (wh === undefined) return undefined;
        wattHours += wh * health * pieces;
      }
      return wattHours / bodiesOnBatteries(rig);
    }
  },
  temperature: {
    name: 'air',
    unit: '°C',
    source: 'brief',
    read: ({ scene }) => scene.temperatureC
  },
  coldShare: {
    name: 'what the cold leaves',
    unit: '×',
    from: ['temperature'],
    relation: '1 at 20 °C, 0.8 at 0, 0.65 at −10, 0.5 at −20',
    compute: (celsius) => coldShare(celsius!)
  },
  minutesPerBattery: {
    name: 'minutes from one battery',
    unit: 'min',
    from: ['batteryEnergy', 'batteryHealth', 'coldShare', 'bodyDraw'],
    relation: '60·Wh·health·cold ÷ W',
    compute: (wh, health, cold, w) => batteryMinutes(wh!, health!, cold!, w!)
  },
  bankEnergy: {
    name: 'energy in the power bank',
    unit: 'Wh',
    source: 'kit',
    asks: {
      question: 'How many watt-hours has %?',
      between: [18, 150],
      field: 'energyWh',
      of: ({ kit }) => kit.of('power bank').find(({ gear }) => gear.energyWh === undefined)
    },
    read: (rig) => {
      if (!rig.body) return null;
      let wattHours = 0;
      const banks = suppliesOf(rig, 'power bank');
      for (const { gear, line } of banks) {
        if (gear.energyWh === undefined) return undefined;
        wattHours += gear.energyWh * line.quantity;
      }
      return banks.length === 0 ? null : wattHours;
    }
  },
  bankMinutes: {
    name: 'minutes from the power bank',
    unit: 'min',
    from: ['bankEnergy', 'bodyDraw', 'bodiesAtOnce'],
    relation: '60 × 0.85 × label × 0.9 ÷ W ÷ bodies at once',
    compute: (wh, w, bodies) => (60 * bankEnergyAtPlugWh(wh!) * DEVICE_INPUT) / w! / bodies!
  },
  onMains: {
    name: 'runs from a socket',
    unit: 'yes/no',
    source: 'kit',
    read: (rig) => (rig.body ? (runsFromMains(rig) ? 1 : 0) : null)
  },
  takePower: {
    name: 'minutes of power for one take',
    unit: 'min',
    from: ['onMains', 'minutesPerBattery', 'bankMinutes'],
    whenAbsent: 0,
    relation: 'one battery + bank, unlimited on mains',
    compute: (mains, battery, bank) => (mains! > 0 ? Infinity : battery! + bank!)
  },
  dayPower: {
    name: 'minutes of power before the next socket',
    unit: 'min',
    from: ['onMains', 'batteriesEnergy', 'coldShare', 'bodyDraw', 'bankMinutes'],
    whenAbsent: 0,
    relation: '60 × Wh of all batteries × cold ÷ W + bank, unlimited on mains',
    compute: (mains, wh, cold, w, bank) =>
      mains! > 0 ? Infinity : (wh! > 0 ? batteryMinutes(wh!, 1, cold!, w!) : 0) + bank!
  },
  takePowerShare: {
    name: 'power against the longest take',
    unit: '×',
    from: ['takePower', 'longestTake'],
    relation: 'have ÷ need',
    compute: (have, need) => have! / need!
  },
  dayPowerShare: {
    name: 'power against the day',
    unit: '×',
    from: ['dayPower', 'recordedAway'],
    relation: 'have ÷ need',
    compute: (have, need) => have! / need!
  },
  recordLimit: {
    name: 'longest clip of the mode',
    unit: 'min',
    source: 'body',
    asks: {
      question: 'After how many minutes does % end a clip in this mode, if ever?',
      between: [29, 1440]
    },
    read: ({ mode, body, scene }) =>
      !isRecorded(scene)
        ? null
        : mode
          ? (mode.recordLimitMin ?? (mode.noRecordLimit === true ? Infinity : undefined))
          : unstatedOf(body)
  }
} satisfies FigureRows;
