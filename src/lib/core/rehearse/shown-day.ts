import { BODY_HEAT_LIMIT_C } from '../figures/heat-rows';
import { type DayPlan, ESTIMATED_DRAW_W } from './planned-day';
import type { DayState } from './day-state';
import type { DayEvent, DayOutcome, Luck, SegmentKind } from './day-outcome';
import { runDay } from './run-day';

/** A stretch of a day in which one thing is done. */
export interface Segment {
  kind: SegmentKind;
  fromMin: number;
  toMin: number;
  /** By place among the scenes of the day. */
  scene: number;
  /** From 0; −1 where it belongs to no take. */
  take: number;
}

export type StripKind = 'battery' | 'card' | 'bank' | 'heat';

/** One level of a day against the clock: falling, filled again, swapped. */
export interface Strip {
  kind: StripKind;
  lineId: string;
  /** What part it is of. */
  name: string;
  /** What is full: its pieces, its size. */
  detail: string;
  /** Minutes after midnight, and from 0 empty (or too hot) to 1. */
  points: readonly (readonly [atMin: number, level: number])[];
}

/** A day as it ran, to be looked at. */
export interface ShownDay {
  outcome: DayOutcome;
  segments: readonly Segment[];
  events: readonly DayEvent[];
  strips: readonly Strip[];
  startsAtMin: number;
  endsAtMin: number;
  /** Days in a row, and whether there is a socket between them. */
  days: number;
  hasSocketAtNight: boolean;
}

/** Runs one day and keeps everything that is to be seen of it. */
export function showDay(plan: DayPlan, luck?: Luck): ShownDay {
  const segments: Segment[] = [];
  const events: DayEvent[] = [];
  const points = {
    devices: plan.devices.map(() => new Level()),
    cards: plan.recordings.map(() => new Level()),
    banks: plan.banks.map(() => new Level()),
    heat: plan.warming.map(() => new Level())
  };
  const outcome = runDay(plan, luck, {
    segment: (kind, fromMin, toMin, scene, take) =>
      segments.push({ kind, fromMin, toMin, scene, take }),
    event: (event) => events.push(event),
    levels: (atMin, state) => {
      for (const [device, level] of points.devices.entries())
        level.add(atMin, shareIn(state, device));
      for (const [index, level] of points.cards.entries()) {
        const card = state.cardIn[index]!;
        level.add(atMin, card < 0 ? 0 : state.freeGb[card]! / plan.cards[card]!.gigabytes);
      }
      for (const [bank, level] of points.banks.entries())
        level.add(atMin, state.bankWh[bank]! / Math.max(1e-9, plan.banks[bank]!.wattHours));
      for (const [index, level] of points.heat.entries())
        level.add(atMin, coolness(state.heatC[index]!));
    },
    heat: (atMin, warming, celsius) => points.heat[warming]!.add(atMin, coolness(celsius))
  });
  const strips: Strip[] = [
    ...plan.devices.map((device, index): Strip => ({
      kind: 'battery',
      lineId: device.lineId,
      name: device.name,
      detail: batteriesWords(plan, index),
      points: points.devices[index]!.points
    })),
    ...plan.recordings.map(({ lineId, name, cards }, index): Strip => ({
      kind: 'card',
      lineId,
      name,
      detail: cards.map((card) => `${Math.round(plan.cards[card]!.gigabytes)} GB`).join(' + '),
      points: points.cards[index]!.points
    })),
    ...plan.banks.map(({ lineId, name, wattHours }, index): Strip => ({
      kind: 'bank',
      lineId,
      name,
      detail: `${Math.round(wattHours)} Wh on its label`,
      points: points.banks[index]!.points
    })),
    ...plan.warming.map(({ lineId, name }, index): Strip => ({
      kind: 'heat',
      lineId,
      name,
      detail: `room left up to ${BODY_HEAT_LIMIT_C} °C`,
      points: points.heat[index]!.points
    }))
  ];
  const first = segments[0]?.fromMin ?? plan.startsAtMin;
  return {
    outcome,
    segments,
    events,
    strips,
    startsAtMin: first,
    endsAtMin: segments.at(-1)?.toMin ?? first,
    days: plan.days,
    hasSocketAtNight: plan.hasSocketAtNight
  };
}

/** A level against the clock, without points that say nothing new. */
class Level {
  readonly points: [number, number][] = [];
  add(atMin: number, level: number): void {
    const before = this.points.at(-1);
    const stands = this.points.at(-2)?.[1] === level && before?.[1] === level;
    if (stands) before[0] = atMin;
    else this.points.push([atMin, level]);
  }
}

/** Of a part with several batteries the one that is in it. */
function shareIn(state: DayState, device: number): number {
  const piece = state.inserted[device]!;
  return piece < 0 ? 0 : Math.min(1, state.share(piece));
}

/** Room left to the heat limit, of all there is from freezing point up. */
const coolness = (celsius: number): number =>
  Math.min(1, Math.max(0, (BODY_HEAT_LIMIT_C - celsius) / BODY_HEAT_LIMIT_C));

function batteriesWords(plan: DayPlan, device: number): string {
  const { pieces, isReckonedFromHours } = plan.devices[device]!;
  if (isReckonedFromHours)
    return `${(plan.pieces[pieces[0]!]!.capacity / ESTIMATED_DRAW_W).toFixed(1)} h inside`;
  const sizes = pieces.map((piece) => `${plan.pieces[piece]!.capacity.toFixed(1)}`);
  return sizes.length === 1
    ? `${sizes[0]} Wh`
    : sizes.length < 4
      ? `${sizes.join(' + ')} Wh`
      : `${sizes.length} batteries`;
}
