import { bankEnergyAtPlugWh, bankWattsNeeded, DEVICE_INPUT } from '../relations/power/bank';
import { AGED_HEALTH, cellMinutes, coldShare } from '../relations/power/cell-minutes';
import { cardMinutes, recordingGb } from '../relations/storage/recording-size';
import { megabytesPerSecond, speedClassMBps } from '../relations/storage/sustained-write';
import type { BodyGear } from '../model/gear';
import { countPieces, type KitPart } from '../rigs/kit';
import type { PlacedRig } from '../rigs/placed-rig';
import { type FigureRows } from './rows';

/** Kept free on a card so that it is swapped between takes and not within one. */
export const SWAP_MARGIN = 0.05;

/** Cards of the kit that go into a body. */
export function cardsFor({ kit, body }: Pick<PlacedRig, 'kit' | 'body'>) {
  const slots =
    body?.gear.ports.filter((port) => port.role === 'card').map((port) => port.type) ?? [];
  return kit.of('card').filter(({ gear }) => slots.includes(gear.cardKind));
}

/** Cells of the kit that go into a body. */
export function cellsFor({ kit, body }: Pick<PlacedRig, 'kit' | 'body'>) {
  return kit
    .of('cell')
    .filter(({ gear }) => body !== undefined && gear.cellType === body.gear.cellType);
}

/** The weakest cell rules the longest take: it may be the one inside. */
function bodyCell(
  body: KitPart<BodyGear>,
  rig: PlacedRig
): { wh: number | undefined; health: number } {
  if (body.gear.internalCellWh !== undefined) return { wh: body.gear.internalCellWh, health: 1 };
  const cells = cellsFor(rig);
  const own = (body.gear.cellsIncluded ?? 0) > 0 ? body.gear.includedCellWh : undefined;
  if (cells.length === 0) return { wh: own, health: 1 };
  let best = cells[0]!;
  for (const cell of cells) if ((cell.gear.energyWh ?? 0) > (best.gear.energyWh ?? 0)) best = cell;
  const bought = { wh: best.gear.energyWh, health: best.gear.otherMaker ? AGED_HEALTH : 1 };
  return own !== undefined && own > (bought.wh ?? 0) * bought.health
    ? { wh: own, health: 1 }
    : bought;
}

/** Runs from a socket while it records: a block in the cell's place, or USB power from a bank's like. */
export function runsFromMains(rig: PlacedRig): boolean {
  const { body, kit, hasSocket } = rig;
  if (!body || !hasSocket || body.gear.runsFromMainsBlock !== true) return false;
  return kit
    .of('mains block')
    .some(
      ({ gear }) =>
        gear.cellType === body.gear.cellType && (gear.outputW ?? Infinity) >= (body.gear.drawW ?? 0)
    );
}

export const enduranceRows = {
  longestTake: {
    name: 'longest take',
    unit: 'min',
    source: 'brief',
    read: ({ scene }) => scene.longestTakeMin
  },
  recorded: {
    name: 'recorded in a day',
    unit: 'min',
    source: 'brief',
    read: ({ scene }) => scene.recordedMin
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
    read: ({ mode }) => (mode ? mode.bitRateMbps : null)
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
    asks: 'How large is %?',
    read: (rig) => {
      if (!rig.body) return null;
      let space = rig.body.gear.internalStorageGb ?? 0;
      for (const { line, gear } of cardsFor(rig)) {
        if (gear.capacityGb === undefined) return undefined;
        space += gear.capacityGb * line.quantity;
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
    asks: 'Which sustained speed class has %?',
    read: (rig) => {
      const cards = cardsFor(rig);
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
    asks: 'How many watts does % draw while recording?',
    read: ({ body }) => (body ? body.gear.drawW : null)
  },
  cellEnergy: {
    name: 'energy of one cell',
    unit: 'Wh',
    source: 'cell',
    asks: 'How many watt-hours has the cell of %?',
    read: (rig) => (rig.body && cellCountOf(rig) > 0 ? bodyCell(rig.body, rig).wh : null)
  },
  cellHealth: {
    name: 'health of the cell',
    unit: '×',
    source: 'cell',
    read: (rig) => (rig.body && cellCountOf(rig) > 0 ? bodyCell(rig.body, rig).health : null)
  },
  cellCount: {
    name: 'cells for the body',
    unit: 'count',
    source: 'kit',
    read: (rig) => (rig.body ? cellCountOf(rig) : null)
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
  minutesPerCell: {
    name: 'minutes from one cell',
    unit: 'min',
    from: ['cellEnergy', 'cellHealth', 'coldShare', 'bodyDraw'],
    relation: '60·Wh·health·cold ÷ W',
    compute: (wh, health, cold, w) => cellMinutes(wh!, health!, cold!, w!)
  },
  bankEnergy: {
    name: 'energy in the power bank',
    unit: 'Wh',
    source: 'kit',
    read: ({ kit, body }) => {
      if (!body || body.gear.runsFromUsb !== true || body.gear.drawW === undefined) return null;
      const needed = bankWattsNeeded(body.gear.drawW);
      const strong = kit.of('bank').filter(({ gear }) => (gear.outputW ?? 0) >= needed);
      return strong.length === 0
        ? null
        : strong.reduce((sum, { gear, line }) => sum + (gear.energyWh ?? 0) * line.quantity, 0);
    }
  },
  bankMinutes: {
    name: 'minutes from the power bank',
    unit: 'min',
    from: ['bankEnergy', 'bodyDraw'],
    relation: '60 × 0.85 × label × 0.9 ÷ W',
    compute: (wh, w) => (60 * bankEnergyAtPlugWh(wh!) * DEVICE_INPUT) / w!
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
    from: ['onMains', 'minutesPerCell', 'bankMinutes'],
    whenAbsent: 0,
    relation: 'one cell + bank, without end on mains',
    compute: (mains, cell, bank) => (mains! > 0 ? Infinity : cell! + bank!)
  },
  dayPower: {
    name: 'minutes of power before the next socket',
    unit: 'min',
    from: ['onMains', 'minutesPerCell', 'cellCount', 'bankMinutes'],
    whenAbsent: 0,
    relation: 'minutes per cell × cells + bank, without end on mains',
    compute: (mains, cell, count, bank) => (mains! > 0 ? Infinity : cell! * count! + bank!)
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
    read: ({ mode }) => (mode ? (mode.recordLimitMin ?? Infinity) : null)
  }
} satisfies FigureRows;

function cellCountOf(rig: PlacedRig): number {
  const { body } = rig;
  if (!body) return 0;
  if (body.gear.internalCellWh !== undefined) return 1;
  return (
    (body.gear.cellsIncluded ?? 0) * body.line.quantity + countPieces(cellsFor(rig), () => true)
  );
}
