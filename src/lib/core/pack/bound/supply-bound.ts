import { cardsFor, suppliesOf, SWAP_MARGIN } from '../../figures/endurance-rows';
import { type FigureRecord, known } from '../../figures/record';
import { type FigureId, figureIndex } from '../../figures/table';
import { type Axis, axisCurves } from '../../merit/axis-curves';
import { axisPoints, pointsOn, sumOfPoints, wantsOfAxis } from '../../merit/axis-scores';
import type { BodyGear } from '../../model/gear';
import type { KitPart } from '../../rigs/kit';
import { bankEnergyAtPlugWh, DEVICE_INPUT } from '../../relations/power/bank';
import { AGED_HEALTH, batteryMinutes } from '../../relations/power/battery-minutes';
import { cardMinutes } from '../../relations/storage/recording-size';
import type { LeanRigs, ReckonedRig } from './lean-rigs';

/** For so much, what powers, records and copies brings a scene so many points of endurance and safety and no more. */
export interface Supplies {
  priceMinor: number;
  endurance: number;
  safety: number;
}

/**
 * What endurance and safety net can come to with a body, by what batteries, banks, a mains adapter, cards and drives
 * cost: the cheapest pieces that reach each step of energy, space and count, as if they served this scene alone and
 * every cable were there. A further body brings its batteries for its price. No supplies that cost as little do more.
 *
 * @param supplied the body beside everything there is to power it, to record on and to copy to
 * @param recordings how many recordings can be made at once beside all that, with the microphone best for it
 */
export function suppliesFor(rigs: LeanRigs, supplied: ReckonedRig, recordings: number): Supplies[] {
  const { rig } = supplied;
  const [, , wantsStorage] = wantsOfAxis('endurance', rig);
  const [wantsRecordings, , wantsCopies] = wantsOfAxis('safety net', rig);
  const power = powerOf(rigs, supplied);
  const storage = wantsStorage === true ? storageOf(rigs, supplied, recordings) : [nothing];
  const copies = wantsCopies === true ? copiesOf(rigs, supplied) : [nothing];
  const all: Supplies[] = [];
  for (const { priceMinor: powerMinor, gains: powers } of power)
    for (const { priceMinor: storageMinor, gains: stored } of storage) {
      const [day, take, spare] = powers as [number, number, number];
      const lasting = [day, take];
      if (wantsStorage === true) lasting.push(stored[0]!);
      const endurance = axisPoints(sumOfPoints('endurance', lasting));
      for (const { priceMinor: copiesMinor, gains: copied } of copies) {
        const safe = [spare];
        if (wantsRecordings === true) safe.push(stored[1]!);
        if (wantsCopies === true) safe.push(copied[0]!);
        const safety = axisPoints(sumOfPoints('safety net', safe));
        all.push({ priceMinor: powerMinor + storageMinor + copiesMinor, endurance, safety });
      }
    }
  return undominated(
    all.map((supplies) => ({ ...supplies, gains: [supplies.endurance, supplies.safety] }))
  ).map(({ priceMinor, endurance, safety }) => ({ priceMinor, endurance, safety }));
}

/** What some pieces cost and bring; more of each is better. */
interface Gathered {
  priceMinor: number;
  gains: readonly number[];
}
const nothing: Gathered = { priceMinor: 0, gains: [] };

/** Up to so many pieces that cost and bring so much each. */
interface Pieces extends Gathered {
  most: number;
}

/** Everything some pieces come to together, but for what costs no less and brings no more than another. */
function gathered(
  start: Gathered,
  pieces: readonly Pieces[],
  together: (before: readonly number[], more: readonly number[]) => number[]
): Gathered[] {
  let all = [start];
  for (const { priceMinor, gains, most } of undominated(pieces)) {
    const next = [...all];
    for (let option of all)
      for (let piece = 0; piece < most; piece++) {
        const more = together(option.gains, gains);
        if (more.every((gain, index) => gain === option.gains[index])) break;
        option = { priceMinor: option.priceMinor + priceMinor, gains: more };
        next.push(option);
      }
    all = undominated(next);
  }
  return all;
}

function undominated<G extends Gathered>(all: readonly G[]): G[] {
  const kept: G[] = [];
  for (const option of [...all].sort(
    (a, b) => a.priceMinor - b.priceMinor || b.gains[0]! - a.gains[0]!
  ))
    if (!kept.some(({ gains }) => gains.every((gain, index) => gain >= option.gains[index]!)))
      kept.push(option);
  return kept;
}

const valueOf = ({ states, values }: FigureRecord, id: FigureId): number | undefined =>
  states[figureIndex[id]] === known ? values[figureIndex[id]] : undefined;
const curveOf = (axis: Axis, figure: FigureId) =>
  axisCurves[axis].find((curve) => curve.figure === figure)!.points;
/** Points of a figure; what nobody can work out counts as little as it can. */
function pointsOf(axis: Axis, figure: FigureId, value: number | undefined): number {
  const curve = curveOf(axis, figure);
  return value === undefined
    ? Math.min(...curve.map(([, points]) => points))
    : pointsOn(curve, value);
}
/** The figure past which a curve rises no more. */
const fullAt = (axis: Axis, figure: FigureId): number => curveOf(axis, figure).at(-1)![0];
const share = (have: number, need: number | undefined): number =>
  need !== undefined && need > 0 ? have / need : Infinity;

/** Points of power for the day and for a take, and of batteries to spare. */
function powerOf(rigs: LeanRigs, { rig, record }: ReckonedRig): Gathered[] {
  const body = rig.body!.gear;
  const [drawW, cold] = [valueOf(record, 'bodyDraw'), valueOf(record, 'coldShare')];
  const perWh =
    drawW === undefined || cold === undefined ? undefined : batteryMinutes(1, 1, cold, drawW);
  const needOf = { day: valueOf(record, 'recordedAway'), take: valueOf(record, 'longestTake') };
  const most = {
    day: fullAt('endurance', 'dayPowerShare') * (needOf.day ?? 0),
    take: fullAt('endurance', 'takePowerShare') * (needOf.take ?? 0),
    spare: fullAt('safety net', 'spareBatteries')
  };
  // Minutes of all batteries, of the best of them, of banks, and how many there are beside the first.
  const together = (before: readonly number[], more: readonly number[]) => [
    Math.min(most.day, before[0]! + more[0]!),
    Math.min(most.take, Math.max(before[1]!, more[1]!)),
    Math.min(Math.max(most.day, most.take), before[2]! + more[2]!),
    Math.min(most.spare, before[3]! + more[3]!)
  ];
  const none: Gathered = { priceMinor: 0, gains: [0, 0, 0, 0] };
  const battery = (wh: number | undefined, pieces: number, spare: number): number[] => {
    const minutes = (wh ?? 0) * (perWh ?? 0);
    return [minutes * pieces, pieces > 0 ? minutes : 0, 0, spare];
  };
  let start = none;
  const [pieces, banks]: [Pieces[], Pieces[]] = [[], []];
  const add = (
    gains: number[],
    { line }: KitPart,
    times: number,
    isFree: boolean,
    to: Pieces[] = pieces
  ) => {
    if (isFree)
      for (let piece = 0; piece < times; piece++)
        start = { ...start, gains: together(start.gains, gains) };
    else to.push({ priceMinor: rigs.priceOf(line), gains, most: times });
  };
  const { internalBatteryWh, includedBatteryWh, batteriesIncluded = 0 } = body;
  if (internalBatteryWh !== undefined)
    start = { priceMinor: 0, gains: battery(internalBatteryWh, 1, 0) };
  else if (batteriesIncluded > 0)
    start = { priceMinor: 0, gains: battery(includedBatteryWh, batteriesIncluded, 0) };
  if (internalBatteryWh === undefined)
    for (const part of rigs.parts('body')) {
      const { gear, line } = part;
      const isOwn = gear === body;
      if (!isOwn && (body.batteryType === undefined || gear.batteryType !== body.batteryType))
        continue;
      const isFixed = rigs.isFixed(line);
      const further = isOwn && isFixed ? line.quantity - 1 : line.quantity;
      const brings = battery(gear.includedBatteryWh, gear.batteriesIncluded ?? 0, 0);
      add(brings, part, further, isFixed, banks);
    }
  // Of the body's own batteries the first is no spare; of none at all the first that is bought.
  start = {
    ...start,
    gains: start.gains.map((gain, index) => (index === 3 ? batteriesIncluded - 1 : gain))
  };
  for (const part of rig.kit.of('battery')) {
    const { gear, line } = part;
    if (gear.batteryType !== body.batteryType) continue;
    const wh = internalBatteryWh === undefined ? gear.energyWh : undefined;
    const health = gear.otherMaker ? AGED_HEALTH : 1;
    add(
      battery(wh === undefined ? undefined : wh * health, 1, 1),
      part,
      line.quantity,
      rigs.isFixed(line)
    );
  }
  for (const part of suppliesOf(rig, 'power bank')) {
    const wh = part.gear.energyWh ?? 0;
    const minutes = bankEnergyAtPlugWh(wh) * DEVICE_INPUT * (drawW === undefined ? 0 : 60 / drawW);
    add([0, 0, minutes, 1], part, part.line.quantity, rigs.isFixed(part.line), banks);
  }
  // Where a loose battery is in the kit, something has to fill it.
  const fits = rig.kit.of('battery').filter(({ gear }) => gear.batteryType === body.batteryType);
  const chargerMinor = fits.length > 0 ? fillingFor(rigs, rig.body!) : 0;
  const hasOwn = fits.some(({ line }) => rigs.isFixed(line));
  const all = [
    ...(hasOwn ? [] : gathered(start, banks, together)),
    ...gathered(
      { ...start, priceMinor: start.priceMinor + chargerMinor },
      [...banks, ...pieces],
      together
    )
  ];
  const options = all.map(({ priceMinor, gains }) => {
    const [day, take, bank, spare] = gains as [number, number, number, number];
    return { priceMinor, day: day + bank, take: take + bank, spare };
  });
  const mains = rig.hasSocket ? suppliesOf(rig, 'mains adapter') : [];
  const mainsMinor = Math.min(
    ...mains.map(({ line }) => (rigs.isFixed(line) ? 0 : rigs.priceOf(line)))
  );
  if (Number.isFinite(mainsMinor))
    options.push(
      ...options.map(({ priceMinor, spare }) => ({
        priceMinor: priceMinor + mainsMinor,
        day: Infinity,
        take: Infinity,
        spare
      }))
    );
  const isPowered = (minutes: number, need: number | undefined) =>
    perWh === undefined && minutes !== Infinity ? undefined : share(minutes, need);
  return undominated(
    options.map(({ priceMinor, day, take, spare }) => ({
      priceMinor,
      gains: [
        pointsOf('endurance', 'dayPowerShare', isPowered(day, needOf.day)),
        pointsOf('endurance', 'takePowerShare', isPowered(take, needOf.take)),
        pointsOf('safety net', 'spareBatteries', Math.max(0, spare))
      ]
    }))
  );
}

/** The cheapest that fills the batteries of a body: a charger, or a body that does it over USB. */
function fillingFor(rigs: LeanRigs, { gear: body, line: own }: KitPart<BodyGear>): number {
  const { batteryType } = body;
  if (batteryType === undefined || body.runsFromUsb === true) return 0;
  const filling = [
    ...rigs.parts('charger').filter(({ gear }) => gear.batteryType === batteryType),
    ...rigs
      .parts('body')
      .filter(
        ({ gear, line }) =>
          line !== own && gear.batteryType === batteryType && gear.runsFromUsb === true
      )
  ];
  const cheapest = Math.min(...filling.map(({ line }) => rigs.priceOf(line)));
  return Number.isFinite(cheapest) ? cheapest : 0;
}

/** Points of space, and of recordings made at once, which in two slots take two cards. */
function storageOf(rigs: LeanRigs, { rig, record }: ReckonedRig, recordings: number): Gathered[] {
  const { internalStorageGb = 0, cardSlots = 1 } = rig.body!.gear;
  const [bitRate, need] = [valueOf(record, 'bitRate'), valueOf(record, 'recordedAway')];
  const perGb = bitRate === undefined ? undefined : cardMinutes(1, bitRate, SWAP_MARGIN);
  const most = fullAt('endurance', 'storageShare') * (need ?? 0);
  const together = (before: readonly number[], more: readonly number[]) => [
    Math.min(most, before[0]! + more[0]!),
    Math.min(2, before[1]! + more[1]!)
  ];
  let start: Gathered = {
    priceMinor: 0,
    gains: [Math.min(most, internalStorageGb * (perGb ?? 0)), 0]
  };
  const pieces: Pieces[] = [];
  for (const { gear, line } of cardsFor(rig)) {
    const gains = [(gear.capacityGb ?? 0) * (perGb ?? 0), 1];
    if (rigs.isFixed(line))
      for (let piece = 0; piece < line.quantity; piece++)
        start = { ...start, gains: together(start.gains, gains) };
    else pieces.push({ priceMinor: rigs.priceOf(line), gains, most: line.quantity });
  }
  // Without any card a body that has no storage of its own records nothing.
  const anyCardMinor =
    rig.body!.gear.internalStorageGb === undefined
      ? Math.min(...rigs.parts('card').map(({ line }) => rigs.priceOf(line)))
      : 0;
  return gathered(start, pieces, together).map(({ priceMinor, gains }) => {
    const [minutes, cards] = gains as [number, number];
    const cardMinor = cards === 0 && Number.isFinite(anyCardMinor) ? anyCardMinor : 0;
    const lacksSecond = cardSlots >= 2 && cards < 2 ? 1 : 0;
    return {
      priceMinor: priceMinor + cardMinor,
      gains: [
        pointsOf(
          'endurance',
          'storageShare',
          perGb === undefined ? undefined : share(minutes, need)
        ),
        pointsOf('safety net', 'recordings', recordings - lacksSecond)
      ]
    };
  });
}

/** Points of places the files are kept: the card, and each drive. */
function copiesOf(rigs: LeanRigs, { rig }: ReckonedRig): Gathered[] {
  const drives = rig.kit.of('drive');
  const isFixed = ({ line }: KitPart) => rigs.isFixed(line);
  const owned = drives.filter(isFixed).reduce((sum, { line }) => sum + line.quantity, 0);
  const cheapest = Math.min(
    ...drives.filter((drive) => !isFixed(drive)).map(({ line }) => rigs.priceOf(line))
  );
  const most = Number.isFinite(cheapest) ? fullAt('safety net', 'copies') : 0;
  return Array.from({ length: most + 1 }, (_, bought) => ({
    priceMinor: bought > 0 ? bought * cheapest : 0,
    gains: [pointsOf('safety net', 'copies', 1 + owned + bought)]
  }));
}
