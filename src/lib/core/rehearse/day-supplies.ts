import type { GearOf } from '../model/gear';
import { isSwitched } from '../figures/handling-rows';
import type { KitPart } from '../rigs/kit';
import { cardSpaceOfDay } from '../supplies/card-space-of-day';
import { BANK_BY_PLUG, energyOfDay, looseTypeOf } from '../supplies/energy-of-day';
import type { FilmingDay } from '../supplies/filming-days';
import { shareOut, type Store } from '../supplies/shared-supplies';
import { keyOf } from './draws';
import {
  type CardPiece,
  type Device,
  ESTIMATED_DRAW_W,
  type Learned,
  type Piece,
  type Recording
} from './planned-day';

/** What lives on batteries in a day, and everything it lives on. */
export interface EnergyPlan {
  devices: Device[];
  pieces: Piece[];
  banks: { lineId: string; name: string; wattHours: number }[];
  sunAndCarWhPerDay: number;
}

/** What lives on batteries, and every battery by itself. What is not stated is left out and said. */
export function energyPlan(day: FilmingDay, learned: Learned, unsaid: string[]): EnergyPlan {
  const { consumers, stores, unknown: unstatedDraws } = energyOfDay(day, 1);
  for (const { gear } of unstatedDraws) unsaid.push(`what ${gear.model} draws`);
  const { kit } = day.rigs[0]!;
  const unstated = stores.filter(({ amount }) => amount === undefined);
  for (const { name } of unstated) unsaid.push(`what is in ${name}`);
  // A part that draws on something nobody states the size of can neither run dry nor be sure of its minutes.
  const known = consumers.filter(
    ({ part }) => !unstated.some(({ reaches }) => reaches.has(part.line.id))
  );
  const shared = shareOut(
    known,
    stores.filter((store) => !unstated.includes(store))
  );
  const pieces: Piece[] = [];
  const placesOf = new Map<Store, number[]>();
  const banks: EnergyPlan['banks'] = [];
  const bankStores: Store[] = [];
  let sunAndCarWhPerDay = 0;
  const away = Math.max(1, ...day.scenes.map(({ daysWithoutSocket }) => daysWithoutSocket));
  for (const store of stores) {
    const { kind, amount, lineId, name } = store;
    if (amount === undefined) continue;
    if (kind === 'sun and car') sunAndCarWhPerDay = amount / away;
    else if (kind === 'power bank') {
      banks.push({ lineId, name, wattHours: amount });
      bankStores.push(store);
    } else {
      const holder = kit.byLine(lineId)?.gear;
      const places: number[] = [];
      for (let index = 0; index < store.pieces; index++) {
        places.push(pieces.length);
        pieces.push({
          lineId,
          name: pieceName(store, index),
          capacity: (amount / store.pieces) * (learned.health[lineId] ?? 1),
          isBuiltIn: kind === 'built-in battery',
          type:
            holder && kind === 'battery'
              ? holder.kind === 'battery'
                ? holder.batteryType
                : looseTypeOf(holder)
              : undefined,
          key: keyOf(`${lineId} battery ${index}`)
        });
      }
      placesOf.set(store, places);
    }
  }
  const devices = known.map(({ part }): Device => {
    const { id } = part.line;
    return {
      ...deviceOf(part),
      isReckonedFromHours: false,
      pieces: stores.flatMap((store) => (store.reaches.has(id) ? (placesOf.get(store) ?? []) : [])),
      banks: bankStores.flatMap((store, bank) => {
        if (store.reaches.get(id) !== BANK_BY_PLUG) return [];
        return { bank, shareWh: shareOfBank(store, id, shared?.stores) };
      })
    };
  });
  for (const part of onHours(day)) {
    pieces.push({
      lineId: part.line.id,
      name: `the battery inside ${part.gear.model}`,
      capacity: part.gear.batteryHours! * ESTIMATED_DRAW_W * (learned.health[part.line.id] ?? 1),
      isBuiltIn: true,
      type: undefined,
      key: keyOf(`${part.line.id} battery 0`)
    });
    devices.push({
      ...deviceOf(part),
      isReckonedFromHours: true,
      pieces: [pieces.length - 1],
      banks: []
    });
  }
  return { devices, pieces, banks, sunAndCarWhPerDay };
}

const pieceName = ({ kind, name, pieces }: Store, piece: number): string => {
  const single = name.replace(/^\d+ (?:× |batteries)/, (found) =>
    found.endsWith('s') ? 'the battery' : ''
  );
  return kind === 'battery' && pieces > 1 ? `${single}, no. ${piece + 1}` : single;
};

/** Of a bank that several are plugged into each gets what the judge hands it, and an equal share of what is left. */
function shareOfBank(
  store: Store,
  lineId: string,
  shared: readonly { lineId: string; taken: ReadonlyMap<string, number> }[] | undefined
): number {
  const taken = shared?.find((other) => other.lineId === store.lineId)?.taken ?? new Map();
  let handedOut = 0;
  for (const much of taken.values()) handedOut += much as number;
  const plugged = [...store.reaches.values()].filter((arrives) => arrives === BANK_BY_PLUG).length;
  return ((taken.get(lineId) as number | undefined) ?? 0) + (store.amount! - handedOut) / plugged;
}

const deviceKinds: ReadonlySet<string> = new Set<Device['kind']>([
  'body',
  'microphone',
  'recorder',
  'lamp',
  'monitor',
  'router'
]);

function deviceOf(part: KitPart): Omit<Device, 'isReckonedFromHours' | 'pieces' | 'banks'> {
  const { gear, line } = part;
  if (!deviceKinds.has(gear.kind))
    throw new RangeError(`A ${gear.kind} runs on batteries here for the first time.`);
  const kind = gear.kind as Device['kind'];
  return {
    lineId: line.id,
    name: gear.model,
    kind,
    key: keyOf(`${line.id} device`),
    isSwitched: isSwitched(part),
    canBeLeftOn: kind === 'microphone' || kind === 'recorder' || kind === 'lamp',
    losesTakes: kind !== 'monitor'
  };
}

/** Microphones and recorders whose sheets state hours on a battery of their own, and nothing else. */
function onHours({ rigs }: FilmingDay): KitPart<GearOf<'microphone'> | GearOf<'recorder'>>[] {
  const found: KitPart<GearOf<'microphone'> | GearOf<'recorder'>>[] = [];
  for (const rig of rigs) {
    const { mic } = rig;
    if (!mic || rig.index > 0 || rig.scene.voice === 'none') continue;
    if (mic.gear.batteryHours === undefined || looseTypeOf(mic.gear) !== undefined) continue;
    if (!found.includes(mic)) found.push(mic);
  }
  return found;
}

export function cardPlan(
  day: FilmingDay,
  unsaid: string[]
): { cards: CardPiece[]; recordings: Recording[] } {
  const { consumers, stores, unknown: unstatedRates } = cardSpaceOfDay(day);
  for (const { gear } of unstatedRates) unsaid.push(`how many megabits ${gear.model} writes`);
  const cards: CardPiece[] = [];
  const placesOf = new Map<Store, number[]>();
  for (const store of stores) {
    if (store.amount === undefined) {
      unsaid.push(`how large ${store.name} is`);
      continue;
    }
    const places: number[] = [];
    for (let index = 0; index < store.pieces; index++) {
      places.push(cards.length);
      const single = store.name.replace(/^\d+ × /, '');
      cards.push({
        lineId: store.lineId,
        name: store.pieces > 1 ? `${single}, no. ${index + 1}` : single,
        gigabytes: store.amount / store.pieces,
        isBuiltIn: store.kind === 'built-in storage',
        key: keyOf(`${store.lineId} card ${index}`)
      });
    }
    placesOf.set(store, places);
  }
  const recordings = consumers
    .filter(({ part }) =>
      stores.every(({ amount, reaches }) => amount !== undefined || !reaches.has(part.line.id))
    )
    .map(({ part }): Recording => ({
      lineId: part.line.id,
      name: part.gear.model,
      cards: stores.flatMap((store) =>
        store.reaches.has(part.line.id) ? (placesOf.get(store) ?? []) : []
      )
    }));
  return { cards, recordings };
}
