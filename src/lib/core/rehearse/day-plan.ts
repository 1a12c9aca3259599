import { minutesFor, partsOfScene, switchedPartsOf } from '../figures/handling-rows';
import { cardsInto } from '../figures/endurance-rows';
import { figureOf, known, stateOf, unknown } from '../figures/record';
import type { AngleJudgement } from '../judge/incremental';
import type { Project } from '../model/project';
import type { Scene } from '../model/scene';
import { isRecorded, recordedMinOf } from '../model/scene-facts';
import { COLDEST_C, coldShare } from '../relations/power/battery-minutes';
import { type KitPart, piecesOf } from '../rigs/kit';
import type { PlacedRig } from '../rigs/placed-rig';
import { copyMinutesOfDay } from '../supplies/copy-minutes';
import { livesOnBatteries, workingIn } from '../supplies/energy-of-day';
import { type FilmingDay, filmingDays } from '../supplies/filming-days';
import { chancesOf } from './chances';
import { cardPlan, energyPlan, type EnergyPlan } from './day-supplies';
import { keyOf } from './draws';
import type { Heating } from './heating';
import {
  type Bay,
  type DayPlan,
  ESTIMATED_DRAW_W,
  type Filming,
  type Learned,
  nothingLearned,
  type PlannedScene,
  type Recording,
  type Use,
  type Warming
} from './planned-day';

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

/** The days of a plan in the order of the brief, each with its scenes. */
export const daysOf = (angles: readonly AngleJudgement[]): FilmingDay[] =>
  filmingDays(angles.map(({ rig }) => rig));

/** The scenes of a day in the order they are filmed in. */
export function inOrder(scenes: readonly Scene[], order: readonly string[] = []): Scene[] {
  const place = new Map(order.map((id, index) => [id, index]));
  return [...scenes].sort(
    (a, b) =>
      (place.get(a.id) ?? order.length) - (place.get(b.id) ?? order.length) ||
      scenes.indexOf(a) - scenes.indexOf(b)
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
      judged.filter((angle) => angle.scene === scene),
      { ...energy, recordings, warming, unsaid }
    )
  );
  const daysAway = Math.max(1, ...day.scenes.map(({ daysWithoutSocket }) => daysWithoutSocket));
  const hasSocketAtNight = daysAway === 1;
  const days = hasSocketAtNight ? (rehearsal?.daysInARow ?? 1) : daysAway;
  const copySpeeds = judged.flatMap(({ record }) => figureOf(record, 'offloadSpeed') ?? []);
  if (days > 1 && judged.some(({ record }) => stateOf(record, 'offloadSpeed') === unknown))
    unsaid.push('how fast files are copied');
  return {
    days,
    hasSocketAtNight,
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
    copyMin: copyMinutesOfDay(judged.map(({ record }) => record)),
    copyGbPerMin: copySpeeds.length > 0 ? (Math.min(...copySpeeds) * 60) / 1000 : undefined,
    unsaid: [...new Set(unsaid)]
  };
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
  const filming = judged.flatMap((angle) => filmingOf(angle, takes, deviceAt, plan));
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
  if (first && rig?.mic && stateOf(first.record, 'radioReach') === unknown)
    plan.unsaid.push(`how far the radio of ${rig.mic.gear.model} reaches`);
  return {
    id: scene.id,
    name: scene.name,
    key: keyOf(`${scene.id} scene`),
    takes,
    takeMin: Math.max(minutes, ...filming.map((filmed) => filmed.minutes)),
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
    radioStretch: first ? radioStretchOf(first.record) : 0,
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

/** How far the radio is stretched: what of its reach the person stands off; none where nobody states it, which is said. */
function radioStretchOf(record: AngleJudgement['record']): number {
  const reachM = figureOf(record, 'radioReach');
  const distanceM = figureOf(record, 'subjectDistance');
  return reachM !== undefined && distanceM !== undefined && reachM > 0 ? distanceM / reachM : 0;
}

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
  return switchedPartsOf(rig).map((part) => ({
    name: part.gear.model,
    lineId: part.line.id,
    key: keyOf(`${part.line.id} switch`),
    device: deviceAt(part)
  }));
}
