import { minutesFor, partsOfScene } from '../figures/handling-rows';
import { cardsInto } from '../figures/endurance-rows';
import { figureOf, known, stateOf, unknown } from '../figures/record';
import type { AngleJudgement } from '../judge/incremental';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import type { ChanceId, HabitId } from '../model/rehearsal';
import type { Scene } from '../model/scene';
import { isRecorded, recordedMinOf } from '../model/scene-facts';
import { COLDEST_C, coldShare } from '../relations/power/battery-minutes';
import { type KitPart, piecesOf } from '../rigs/kit';
import type { PlacedRig } from '../rigs/placed-rig';
import { soundDestinationOf } from '../rigs/sound-path';
import { cardSpaceOfDay } from '../supplies/card-space-of-day';
import {
  BANK_BY_PLUG,
  energyOfDay,
  livesOnBatteries,
  looseTypeOf,
  workingIn
} from '../supplies/energy-of-day';
import { type FilmingDay, filmingDays } from '../supplies/filming-days';
import { shareOut, type Store } from '../supplies/shared-supplies';
import { chancesOf } from './chances';
import { keyOf } from './draws';
import type { Heating } from './heating';

/** What is usual where nobody says otherwise; minutes after midnight, and minutes. */
export const usualDay = {
  startsAtMin: 9 * 60,
  endsAtMin: 21 * 60,
  lunchAtMin: 12 * 60 + 30,
  lunchMin: 40,
  seed: 2417,
  pauseMin: 5,
  /** Scenes of the evening begin no earlier. */
  eveningFromMin: 18 * 60,
  /** Out of doors; a room one is in already. */
  carryMin: 20,
  /** Of the minutes it took to set up. */
  tearDownShare: 0.5
} as const;

/** What a transmitter or a microphone with its battery inside draws, about: only its hours are ever stated. */
export const ESTIMATED_DRAW_W = 0.25;

/** A part that runs on batteries, with everything it can take energy from. */
export interface Device {
  lineId: string;
  name: string;
  kind: 'body' | 'microphone' | 'recorder' | 'lamp' | 'monitor' | 'router';
  /** Its sheet states hours, and neither watts nor watt-hours: `ESTIMATED_DRAW_W` stands for them. */
  isReckonedFromHours: boolean;
  /** Pieces that fit, by their place in the plan's. */
  pieces: readonly number[];
  /** Banks that keep it going by a plug, and the most of each that is its share. */
  banks: readonly { bank: number; shareWh: number }[];
  key: number;
  isSwitched: boolean;
  /** Drains on when it is left on in between. */
  canBeLeftOn: boolean;
  /** Without it the take is lost. */
  losesTakes: boolean;
}

/** One battery, loose or built in. */
export interface Piece {
  lineId: string;
  name: string;
  capacity: number;
  isBuiltIn: boolean;
  type: string | undefined;
  key: number;
}

/** One card, or what is built in. */
export interface CardPiece {
  lineId: string;
  name: string;
  gigabytes: number;
  isBuiltIn: boolean;
  key: number;
}

/** A body that records, with the cards that fit it. */
export interface Recording {
  lineId: string;
  name: string;
  cards: readonly number[];
}

/** A body that warms up while it films, and how fast it may and may not. */
export interface Warming {
  lineId: string;
  name: string;
  quickMin: number;
  slowMin: number;
}

/** What one device does in a take of a scene. */
export interface Use {
  device: number;
  watts: number;
  /** Minutes of a take it is on. */
  minutes: number;
}

/** What one body does in a take of a scene. */
export interface Filming {
  name: string;
  lineId: string;
  /** Its place among the devices; −1 on mains, or where nobody states what it draws. */
  device: number;
  watts: number;
  /** Its place among the recordings; −1 where it only goes out live. */
  recording: number;
  minutes: number;
  gigabytesPerMin: number;
  clipLimitMin: number;
  heat: Heating | undefined;
  /** Its place among the bodies that warm. */
  heatAt: number;
  /** No battery or block keeps it going, and no card takes what it films. */
  lacksPower: boolean;
  lacksCard: boolean;
  recordsTwice: boolean;
  key: number;
}

export interface PlannedScene {
  id: string;
  name: string;
  key: number;
  takes: number;
  takeMin: number;
  pauseMin: number;
  carryMin: number;
  /** It begins no earlier in its day. */
  notBeforeMin: number;
  setUpMin: number;
  celsius: number;
  /** Share of its energy a battery gives in this air. */
  cold: number;
  hasSocket: boolean;
  isOutdoors: boolean;
  windMps: number;
  usesRadio: boolean;
  filming: readonly Filming[];
  /** Everything on batteries but the bodies. */
  uses: readonly Use[];
  /** Parts that no battery and no socket keeps going here. */
  unpowered: readonly { lineId: string; name: string }[];
  /** Switches that can be left off here: on battery or not. */
  switches: readonly { name: string; lineId: string; key: number; device: number }[];
}

export interface Bay {
  type: string;
  watts: number;
}

/** A day of filming in plain numbers, so that thousands can be run from one. */
export interface DayPlan {
  /** Days in a row that it is run without a socket in between; 1 where there is one every night. */
  days: number;
  startsAtMin: number;
  endsAtMin: number;
  lunchAtMin: number;
  lunchMin: number;
  seed: number;
  habits: ReadonlySet<HabitId>;
  chances: Readonly<Record<ChanceId, number>>;
  /** What set-ups take against what is reckoned. */
  setUpFactor: number;
  scenes: readonly PlannedScene[];
  devices: readonly Device[];
  pieces: readonly Piece[];
  banks: readonly { lineId: string; name: string; wattHours: number }[];
  cards: readonly CardPiece[];
  recordings: readonly Recording[];
  /** Bodies that warm up. */
  warming: readonly Warming[];
  bays: readonly Bay[];
  /** Energy of sun and car, each day away. */
  sunAndCarWhPerDay: number;
  /** Minutes to copy everything in the evening, where the kit has somewhere to. */
  copyMin: number | undefined;
  /** What cannot be run, for nobody states a figure of it. */
  unsaid: readonly string[];
}

/** What one's own days have taught. */
export interface Learned {
  percent: Partial<Record<ChanceId, number>>;
  setUpFactor: number;
  /** By line, what a battery gives of what it says. */
  health: Readonly<Record<string, number>>;
}

export const nothingLearned: Learned = { percent: {}, setUpFactor: 1, health: {} };

/** The days of a plan in the order of the brief, each with its scenes. */
export const daysOf = (angles: readonly AngleJudgement[]): FilmingDay[] =>
  filmingDays(angles.map(({ rig }) => rig));

/** The scenes of a day in the order they are filmed in. */
export function inOrder(scenes: readonly Scene[], order: readonly string[] = []): Scene[] {
  const place = new Map(order.map((id, at) => [id, at]));
  return [...scenes].sort(
    (one, other) =>
      (place.get(one.id) ?? order.length) - (place.get(other.id) ?? order.length) ||
      scenes.indexOf(one) - scenes.indexOf(other)
  );
}

/**
 * One day of a judged plan, ready to be run: the batteries, banks and cards that the judge shares out, with the same
 * losses, and what of each every take uses up.
 */
export function dayPlanOf(
  project: Project,
  angles: readonly AngleJudgement[],
  day: FilmingDay,
  learned: Learned = nothingLearned
): DayPlan {
  const { rehearsal } = project;
  const { kit } = day.rigs[0]!;
  const unsaid: string[] = [];
  const energy = energyPlan(day, learned, unsaid);
  const { cards, recordings } = cardPlan(day, unsaid);
  const warming: Warming[] = [];
  const judged = angles.filter(({ scene }) => day.scenes.includes(scene));
  const scenes = inOrder(day.scenes, rehearsal?.sceneOrder).map((scene) =>
    plannedScene(
      scene,
      judged.filter((one) => one.scene === scene),
      { ...energy, recordings, warming, unsaid }
    )
  );
  const copyMinutes = judged.flatMap(({ record }) => figureOf(record, 'offloadMinutes') ?? []);
  return {
    days: Math.max(1, ...day.scenes.map(({ daysWithoutSocket }) => daysWithoutSocket)),
    startsAtMin: rehearsal?.startsAtMin ?? usualDay.startsAtMin,
    endsAtMin: rehearsal?.endsAtMin ?? usualDay.endsAtMin,
    lunchAtMin: rehearsal?.lunchAtMin ?? usualDay.lunchAtMin,
    lunchMin: rehearsal?.lunchMin ?? usualDay.lunchMin,
    seed: rehearsal?.seed ?? usualDay.seed,
    habits: new Set(rehearsal?.habits),
    chances: chancesOf(rehearsal, learned.percent),
    setUpFactor: learned.setUpFactor,
    scenes,
    devices: energy.devices,
    pieces: energy.pieces,
    banks: energy.banks,
    cards,
    recordings,
    warming,
    bays: kit.of('charger').flatMap(({ gear, line }): Bay[] => {
      const { bays, wattsPerBay } = gear;
      if (bays === undefined || wattsPerBay === undefined) {
        unsaid.push(`what ${gear.model} charges with`);
        return [];
      }
      return Array.from({ length: bays * line.quantity }, () => ({
        type: gear.batteryType,
        watts: wattsPerBay
      }));
    }),
    sunAndCarWhPerDay: energy.sunAndCarWhPerDay,
    copyMin:
      copyMinutes.length > 0 ? copyMinutes.reduce((sum, minutes) => sum + minutes, 0) : undefined,
    unsaid: [...new Set(unsaid)]
  };
}

interface EnergyPlan {
  devices: Device[];
  pieces: Piece[];
  banks: { lineId: string; name: string; wattHours: number }[];
  sunAndCarWhPerDay: number;
}

/** What lives on batteries, and every battery by itself. What is not stated is left out and said. */
function energyPlan(day: FilmingDay, learned: Learned, unsaid: string[]): EnergyPlan {
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
    stores.filter((one) => !unstated.includes(one))
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
      for (let at = 0; at < store.pieces; at++) {
        places.push(pieces.length);
        pieces.push({
          lineId,
          name: pieceName(store, at),
          capacity: (amount / store.pieces) * (learned.health[lineId] ?? 1),
          isBuiltIn: kind === 'built-in battery',
          type:
            holder && kind === 'battery'
              ? holder.kind === 'battery'
                ? holder.batteryType
                : looseTypeOf(holder)
              : undefined,
          key: keyOf(`${lineId} battery ${at}`)
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

const pieceName = ({ kind, name, pieces }: Store, at: number): string => {
  const one = name.replace(/^\d+ (?:× |batteries)/, (found) =>
    found.endsWith('s') ? 'the battery' : ''
  );
  return kind === 'battery' && pieces > 1 ? `${one}, no. ${at + 1}` : one;
};

/** Of a bank that several are plugged into each gets what the judge hands it, and an equal share of what is left. */
function shareOfBank(
  store: Store,
  lineId: string,
  shared: readonly { lineId: string; taken: ReadonlyMap<string, number> }[] | undefined
): number {
  const taken = shared?.find((one) => one.lineId === store.lineId)?.taken ?? new Map();
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

function isSwitched({ gear }: KitPart): boolean {
  return gear.kind === 'lamp' || ('hasSwitch' in gear && gear.hasSwitch === true);
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

function cardPlan(
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
    for (let at = 0; at < store.pieces; at++) {
      places.push(cards.length);
      const one = store.name.replace(/^\d+ × /, '');
      cards.push({
        lineId: store.lineId,
        name: store.pieces > 1 ? `${one}, no. ${at + 1}` : one,
        gigabytes: store.amount / store.pieces,
        isBuiltIn: store.kind === 'built-in storage',
        key: keyOf(`${store.lineId} card ${at}`)
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

function plannedScene(
  scene: Scene,
  judged: readonly AngleJudgement[],
  plan: EnergyPlan & {
    recordings: Recording[];
    warming: Warming[];
    unsaid: string[];
  }
): PlannedScene {
  const takes = takesOf(scene);
  const deviceAt = (part: KitPart): number =>
    plan.devices.findIndex(({ lineId }) => lineId === part.line.id);
  const filming = judged.flatMap((one) => filmingOf(one, takes, deviceAt, plan));
  const [first] = judged;
  const rig = first?.rig;
  const minutes = rig ? recordedMinOf(scene, rig.angle) / takes : 0;
  const uses: Use[] = [];
  if (rig) {
    for (const { part, watts } of workingIn(rig)) {
      const device = deviceAt(part);
      if (part !== rig.body && watts !== undefined && device >= 0)
        uses.push({ device, watts, minutes });
    }
    const mic = rig.mic && deviceAt(rig.mic);
    if (mic !== undefined && mic >= 0 && plan.devices[mic]!.isReckonedFromHours)
      uses.push({ device: mic, watts: ESTIMATED_DRAW_W, minutes });
  }
  return {
    id: scene.id,
    name: scene.name,
    key: keyOf(`${scene.id} scene`),
    takes,
    takeMin: Math.max(minutes, ...filming.map((one) => one.minutes)),
    pauseMin: scene.pauseMin ?? usualDay.pauseMin,
    carryMin: scene.carryMin ?? (scene.room ? 0 : usualDay.carryMin),
    notBeforeMin: scene.notBeforeMin ?? (scene.style === 'evening' ? usualDay.eveningFromMin : 0),
    setUpMin: setUpOf(judged),
    celsius: scene.temperatureC,
    cold: coldShare(Math.max(COLDEST_C, scene.temperatureC)),
    hasSocket: rig?.hasSocket ?? false,
    isOutdoors: !scene.room,
    windMps: scene.windMps,
    usesRadio: rig?.mic?.gear.form === 'lavalier wireless',
    filming,
    uses,
    unpowered: rig
      ? workingIn(rig)
          .filter(
            ({ part }) =>
              part !== rig.body && part.gear.kind !== 'monitor' && !livesOnBatteries(part, rig.kit)
          )
          .map(({ part }) => ({ lineId: part.line.id, name: part.gear.model }))
      : [],
    switches: rig ? switchesOf(rig, deviceAt) : []
  };
}

/** As few takes as the longest one allows, unless somebody says how many. */
export const takesOf = (scene: Scene): number =>
  scene.takes ?? Math.max(1, Math.ceil(scene.recordedMin / scene.longestTakeMin - 1e-9));

/** The judged minutes of the first angle, and of the others what they set up beside it. */
function setUpOf(judged: readonly AngleJudgement[]): number {
  const [first, ...others] = judged;
  if (!first) return 0;
  const seen = new Set(partsOfScene(first.rig).map(({ line }) => line.id));
  let minutes = figureOf(first.record, 'setUp') ?? 0;
  for (const { rig } of others)
    for (const { gear, line } of partsOfScene(rig)) {
      if (seen.has(line.id)) continue;
      seen.add(line.id);
      minutes += minutesFor(gear, rig);
    }
  return minutes;
}

function filmingOf(
  { rig, record, scene, angle }: AngleJudgement,
  takes: number,
  deviceAt: (part: KitPart) => number,
  { recordings, warming, unsaid }: { recordings: Recording[]; warming: Warming[]; unsaid: string[] }
): Filming[] {
  const { body, mode } = rig;
  if (!body) return [];
  const recorded = isRecorded(scene);
  const working = workingIn(rig).find(({ part }) => part === body);
  const device = working?.watts === undefined ? -1 : deviceAt(body);
  const rate = mode?.bitRateMbps;
  const heat = heatOf(rig, record);
  if (heat === 'unsaid') unsaid.push(`after how many minutes ${body.gear.model} overheats`);
  let heatAt = -1;
  if (typeof heat === 'object') {
    heatAt = warming.findIndex(({ lineId }) => lineId === body.line.id);
    if (heatAt < 0)
      heatAt =
        warming.push({
          lineId: body.line.id,
          name: body.gear.model,
          quickMin: heat.quickMin,
          slowMin: heat.slowMin
        }) - 1;
  }
  return [
    {
      name: body.gear.model,
      lineId: body.line.id,
      device,
      watts: working?.watts ?? 0,
      recording:
        recorded && rate !== undefined
          ? recordings.findIndex(({ lineId }) => lineId === body.line.id)
          : -1,
      minutes: recordedMinOf(scene, angle) / takes,
      gigabytesPerMin: recorded && rate !== undefined ? (rate * 60) / 8000 : 0,
      clipLimitMin: figureOf(record, 'recordLimit') ?? Infinity,
      heat: typeof heat === 'object' ? heat : undefined,
      heatAt,
      lacksPower: working !== undefined && !livesOnBatteries(body, rig.kit),
      lacksCard:
        recorded &&
        body.gear.internalStorageGb === undefined &&
        cardsInto(rig.kit, body).length === 0,
      recordsTwice: (body.gear.cardSlots ?? 1) >= 2 && piecesOf(cardsInto(rig.kit, body)) >= 2,
      key: keyOf(`${body.line.id} ${angle.id} body`)
    }
  ];
}

/** How a body warms in this scene; nothing where its mode warms nobody. */
function heatOf(rig: PlacedRig, record: AngleJudgement['record']): Heating | 'unsaid' | undefined {
  const state = stateOf(record, 'heatMinutes');
  if (state !== known) return state === unknown ? 'unsaid' : undefined;
  return {
    minutesAt20: figureOf(record, 'heatAt20')!,
    load: figureOf(record, 'heatRelief')! * figureOf(record, 'sunLoad')!,
    airC: rig.scene.temperatureC,
    quickMin: figureOf(record, 'heatQuick')!,
    slowMin: figureOf(record, 'heatSlow')!
  };
}

/** Every switch of a scene, by the part it is on: those on batteries and those on a socket. */
function switchesOf(rig: PlacedRig, deviceAt: (part: KitPart) => number): PlannedScene['switches'] {
  const parts = new Set<KitPart>(partsOfScene(rig));
  const into = rig.mic && soundDestinationOf(rig);
  if (into) parts.add(into);
  return [...parts].filter(isSwitched).map((part) => ({
    name: part.gear.model,
    lineId: part.line.id,
    key: keyOf(`${part.line.id} switch`),
    device: deviceAt(part)
  }));
}
