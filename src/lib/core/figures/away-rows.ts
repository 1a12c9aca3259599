import { batteriesFilled, chargingHours } from '../relations/power/charging';
import { BANK_INTO_BATTERY, offGridEnergyWh } from '../relations/power/off-grid';
import { bankEnergyAtPlugWh } from '../relations/power/bank';
import { codecFactors, editingLoad } from '../relations/storage/editing-load';
import { offloadMinutes } from '../relations/storage/offload';
import type { GearOf } from '../model/gear';
import { isRecorded } from '../model/scene-facts';
import type { KitPart } from '../rigs/kit';
import type { PlacedRig } from '../rigs/placed-rig';
import { batterySupplies, bestBattery } from './endurance-rows';
import { type FigureRows, unstatedOf } from './rows';

/** Hours from the last take to the first of the next day, less supper and breakfast. */
export const NIGHT_HOURS = 8;
/** Power a charger inside the body takes in over USB, when nobody states more; an estimate. */
const CHARGED_IN_BODY_W = 6;

/** What a day leaves to be done by the next: filling batteries, carrying files off, cutting. */
export const awayRows = {
  awayDays: {
    name: 'days in a row without a socket',
    unit: 'days',
    source: 'brief',
    read: ({ scene }) => (scene.daysWithoutSocket > 1 ? scene.daysWithoutSocket : null)
  },
  energyNeededAway: {
    name: 'energy the body needs on the days away',
    unit: 'Wh',
    from: ['bodyDraw', 'recorded', 'awayDays'],
    relation: 'W × min ÷ 60 × days',
    compute: (watts, minutes, days) => (watts! * minutes! * days!) / 60
  },
  batteriesCarried: {
    name: 'energy in the batteries carried',
    unit: 'Wh',
    from: ['batteriesEnergy', 'coldShare', 'awayDays'],
    relation: 'Wh of all batteries × cold',
    compute: (wh, cold) => wh! * cold!
  },
  bankCarried: {
    name: 'energy of the banks, once in a battery',
    unit: 'Wh',
    source: 'kit',
    asks: {
      question: 'How many watt-hours has %?',
      between: [18, 150],
      field: 'energyWh',
      of: ({ kit }) => kit.of('power bank').find(({ gear }) => gear.energyWh === undefined)
    },
    read: ({ kit, scene }) => {
      if (scene.daysWithoutSocket <= 1) return null;
      let wattHours = 0;
      for (const { gear, line } of kit.of('power bank')) {
        if (gear.energyWh === undefined) return undefined;
        wattHours += bankEnergyAtPlugWh(gear.energyWh) * BANK_INTO_BATTERY * line.quantity;
      }
      return wattHours;
    }
  },
  panelWatts: {
    name: 'watts of the solar panels',
    unit: 'W',
    source: 'kit',
    asks: {
      question: 'How many watts has %?',
      between: [7, 30],
      field: 'outputW',
      of: ({ kit }) => kit.of('solar panel').find(({ gear }) => gear.outputW === undefined)
    },
    read: ({ kit }) => {
      let watts = 0;
      for (const { gear, line } of kit.of('solar panel')) {
        if (gear.outputW === undefined) return undefined;
        watts += gear.outputW * line.quantity;
      }
      return watts;
    }
  },
  sunHours: {
    name: 'hours of sun on the panel a day',
    unit: 'h',
    source: 'brief',
    read: ({ scene }) => scene.sunHoursPerDay ?? null
  },
  drivenHours: {
    name: 'hours driven with a socket in the car a day',
    unit: 'h',
    source: 'brief',
    read: ({ scene }) => scene.drivenHoursPerDay ?? null
  },
  energyAway: {
    name: 'energy there is on the days away',
    unit: 'Wh',
    from: [
      'awayDays',
      'batteriesCarried',
      'bankCarried',
      'panelWatts',
      'sunHours',
      'drivenHours',
      'bodiesAtOnce'
    ],
    whenAbsent: 0,
    relation:
      'batteries + (banks + days × (panel W × sun h × 0.6 + 15 W × h driven)) ÷ bodies at once',
    compute: (days, batteries, bank, panel, sun, driven, bodies) =>
      batteries! + offGridEnergyWh(bank!, days!, panel!, sun!, driven!) / Math.max(1, bodies!)
  },
  awayShare: {
    name: 'energy against the days away',
    unit: '×',
    from: ['energyAway', 'energyNeededAway'],
    relation: 'have ÷ need',
    compute: (have, need) => have! / need!
  },
  batteriesEmptied: {
    name: 'batteries emptied in a day',
    unit: 'count',
    from: ['recorded', 'minutesPerBattery', 'onMains', 'bodiesOnBatteries'],
    relation: 'recorded ÷ minutes from one battery, rounded up, × bodies on these batteries',
    compute: (minutes, perBattery, mains, bodies) =>
      mains! > 0 ? 0 : Math.ceil(minutes! / perBattery!) * bodies!
  },
  bays: {
    name: 'batteries that can be filled at once',
    unit: 'count',
    source: 'kit',
    asks: {
      question: 'How many batteries does % charge at once?',
      between: [1, 4],
      field: 'bays',
      of: (rig) => chargersOf(rig).find(({ gear }) => gear.bays === undefined)
    },
    read: (rig) => {
      const { body, hasSocket } = rig;
      if (!body || !hasSocket || body.gear.batteryType === undefined) return null;
      let bays = body.gear.runsFromUsb === true ? 1 : 0;
      for (const { gear, line } of chargersOf(rig)) {
        if (gear.bays === undefined) return undefined;
        bays += gear.bays * line.quantity;
      }
      return bays;
    }
  },
  wattsPerBay: {
    name: 'watts the weakest bay gives',
    unit: 'W',
    source: 'kit',
    asks: {
      question: 'How many watts a bay gives %?',
      between: [2, 15],
      field: 'wattsPerBay',
      of: (rig) => chargersOf(rig).find(({ gear }) => gear.wattsPerBay === undefined)
    },
    read: (rig) => {
      const { body } = rig;
      if (!body || body.gear.batteryType === undefined) return null;
      const chargers = chargersOf(rig);
      if (chargers.length === 0) return body.gear.runsFromUsb === true ? CHARGED_IN_BODY_W : null;
      let least = Infinity;
      for (const { gear } of chargers) {
        if (gear.wattsPerBay === undefined) return undefined;
        least = Math.min(least, gear.wattsPerBay);
      }
      return least;
    }
  },
  chargingHours: {
    name: 'hours to fill the largest battery in the weakest bay',
    unit: 'h',
    from: ['batteryEnergy', 'wattsPerBay'],
    relation: '1.4·Wh ÷ W',
    compute: (wh, watts) => chargingHours(wh!, watts!)
  },
  filledThoughUnlike: {
    name: 'batteries more that fill, because batteries or bays differ',
    unit: 'count',
    source: 'kit',
    read: filledThoughUnlike
  },
  batteriesByMorning: {
    name: 'batteries full by the morning, left alone',
    unit: 'count',
    from: ['bays', 'chargingHours', 'batteryCount', 'filledThoughUnlike'],
    relation:
      'one a bay, no more than there are, if the largest fills in the weakest bay in 8 h; else those that do',
    compute: (bays, hours, batteries, more) => filledAlike(bays!, hours!, batteries!) + more!
  },
  spareBatteriesOfDay: {
    name: 'batteries that need no filling tonight',
    unit: 'count',
    from: ['batteryCount', 'batteriesEmptied'],
    relation: 'batteries − batteries emptied, not below zero',
    compute: (batteries, emptied) => Math.max(0, batteries! - emptied!)
  },
  offloadSpeed: {
    name: 'slowest of reader and drive',
    unit: 'MB/s',
    source: 'kit',
    asks: {
      question: 'How fast is %?',
      between: [60, 500],
      of: ({ kit }) =>
        [...kit.of('reader'), ...kit.of('drive')].find(
          ({ gear }) => (gear.kind === 'reader' ? gear.readMBps : gear.writeMBps) === undefined
        )
    },
    read: ({ kit, body }) => {
      const drives = kit.of('drive');
      if (!body || drives.length === 0) return null;
      let speed = Infinity;
      for (const { gear } of [...kit.of('reader')]) speed = Math.min(speed, gear.readMBps ?? NaN);
      for (const { gear } of drives) speed = Math.min(speed, gear.writeMBps ?? NaN);
      return Number.isNaN(speed) ? undefined : speed;
    }
  },
  offloadMinutes: {
    name: 'minutes to carry the files off',
    unit: 'min',
    from: ['sizeNeeded', 'offloadSpeed'],
    relation: 'GB ÷ the slowest of read, cable and write',
    compute: (gb, speed) => offloadMinutes(gb!, [speed!])
  },
  codecFactor: {
    name: 'how hard the codec is to play',
    unit: '×',
    source: 'body',
    asks: { question: 'Which codec does % record in this mode?', between: [0.5, 6] },
    read: ({ mode, scene }) =>
      mode && isRecorded(scene)
        ? mode.codec === undefined
          ? undefined
          : codecFactors[mode.codec]
        : null
  },
  pixelsDown: {
    name: 'pixels down in this mode',
    unit: 'px',
    source: 'body',
    read: ({ mode, body }) => (mode ? mode.pixelsDown : unstatedOf(body))
  },
  anglesCut: {
    name: 'angles played at once',
    unit: 'count',
    source: 'brief',
    read: ({ scene }) => scene.angles.length
  },
  editingRating: {
    name: 'load the computer plays',
    unit: '×',
    source: 'kit',
    asks: {
      question: 'How many 4K streams does % play without stutter?',
      between: [0.5, 6],
      field: 'editingRating',
      of: ({ kit }) => kit.of('computer')[0]
    },
    read: ({ kit }) => {
      const computer = kit.of('computer')[0];
      return computer ? computer.gear.editingRating : null;
    }
  },
  editingShare: {
    name: 'load of cutting against what the computer plays',
    unit: '×',
    from: ['editingRating', 'pixelsAcross', 'pixelsDown', 'fps', 'codecFactor', 'anglesCut'],
    relation: 'Σ w·h·fps ÷ 249 M × codec ÷ rating',
    compute: (rating, across, down, fps, factor, angles) =>
      (editingLoad([{ pixelsAcross: across!, pixelsDown: down!, fps: fps!, factor: factor! }]) *
        angles!) /
      rating!
  },
  freeSpace: {
    name: 'free space of the computer',
    unit: 'GB',
    source: 'kit',
    asks: {
      question: 'How much free space has %?',
      between: [20, 1000],
      field: 'freeSpaceGb',
      of: ({ kit }) => kit.of('computer')[0]
    },
    read: ({ kit }) => {
      const computer = kit.of('computer')[0];
      return computer ? computer.gear.freeSpaceGb : null;
    }
  }
} satisfies FigureRows;

/** Chargers of the kit for the batteries of the body. */
function chargersOf({ body, kit }: PlacedRig): readonly KitPart<GearOf<'charger'>>[] {
  return kit
    .of('charger')
    .filter(
      ({ gear }) =>
        body?.gear.batteryType !== undefined && gear.batteryType === body.gear.batteryType
    );
}

const filledAlike = (bays: number, hours: number, batteries: number): number =>
  hours <= NIGHT_HOURS ? Math.min(bays, batteries) : 0;

/** A weak bay may still fill a small battery, and a strong one the largest; none more while a figure is unstated, which `bays` and `chargingHours` then say. */
function filledThoughUnlike(rig: PlacedRig): number | null {
  const { body, hasSocket } = rig;
  if (!body || !hasSocket || body.gear.batteryType === undefined) return null;
  const baysW: number[] = body.gear.runsFromUsb === true ? [CHARGED_IN_BODY_W] : [];
  let weakest = Infinity;
  for (const { gear, line } of chargersOf(rig)) {
    if (gear.bays === undefined || gear.wattsPerBay === undefined) return 0;
    weakest = Math.min(weakest, gear.wattsPerBay);
    for (let bay = 0; bay < gear.bays * line.quantity; bay++) baysW.push(gear.wattsPerBay);
  }
  if (baysW.length === 0) return 0;
  const energiesWh: number[] = [];
  for (const { wh, pieces } of batterySupplies(rig)) {
    if (wh === undefined) return 0;
    for (let piece = 0; piece < pieces; piece++) energiesWh.push(wh);
  }
  const bestWh = bestBattery(rig)?.wh;
  if (bestWh === undefined) return 0;
  const alike = filledAlike(
    baysW.length,
    chargingHours(bestWh, weakest === Infinity ? CHARGED_IN_BODY_W : weakest),
    energiesWh.length
  );
  return batteriesFilled(energiesWh, baysW, NIGHT_HOURS) - alike;
}
