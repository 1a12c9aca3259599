import { BANK_BY_BATTERY } from '../supplies/energy-of-day';
import type { DayPlan } from './planned-day';
import { CRUMB, type DayState } from './day-state';

/** A battery inside a part, and a bank by its own plug, fill in about so many hours; estimates. */
const BUILT_IN_CHARGING_H = 2.5;
const BANK_CHARGING_H = 5;
/** Of what a bay gives: the 1.4 of the charging time. */
const BAY_LOSS = 1.4;

/** Watts that arrive in a battery in the strongest bay there is for it. */
export function bayWattsFor({ plan }: DayState, piece: number): number {
  const { type } = plan.pieces[piece]!;
  let most = 0;
  for (const bay of plan.bays) if (bay.type === type) most = Math.max(most, bay.watts);
  return most / BAY_LOSS;
}

/**
 * Every bay fills the emptiest battery of its type that lies in the bag.
 *
 * @param alsoInserted those in a part as well: over lunch, in the evening
 * @param first one that is waited for goes before all others
 */
export function chargeInBays(
  state: DayState,
  minutes: number,
  alsoInserted: boolean,
  first = -1
): void {
  const { plan } = state;
  const inBay = new Set<number>();
  for (const { type, watts } of plan.bays) {
    let emptiest = -1;
    for (const [index, piece] of plan.pieces.entries()) {
      if (piece.isBuiltIn || piece.type !== type || inBay.has(index)) continue;
      if (!alsoInserted && state.holder[index]! >= 0 && index !== first) continue;
      if (state.held[index]! >= state.full[index]! - CRUMB) continue;
      if (index === first) {
        emptiest = index;
        break;
      }
      if (emptiest < 0 || state.share(index) < state.share(emptiest)) emptiest = index;
    }
    if (emptiest < 0) continue;
    inBay.add(emptiest);
    state.fill(emptiest, (watts / BAY_LOSS) * (minutes / 60));
  }
}

/**
 * A night at a socket: every bay is given the emptiest battery of its type, and another as soon as that is full, as long
 * as somebody is up to change them; what is in the bays then goes on until morning.
 *
 * @param awakeMin minutes from home in which somebody looks after the bays
 * @param forgotten batteries that nobody puts in
 */
export function chargeOvernight(
  state: DayState,
  minutes: number,
  awakeMin: number,
  forgotten: ReadonlySet<number> = new Set()
): void {
  const { plan } = state;
  const taken = new Set<number>(forgotten);
  const freeAt = plan.bays.map(() => 0);
  for (;;) {
    // The bay that is free first takes the emptiest battery that still wants one.
    let next: { bay: number; piece: number } | undefined;
    for (const [bay, { type }] of plan.bays.entries()) {
      const freeFrom = freeAt[bay]!;
      if (freeFrom > awakeMin || freeFrom >= minutes || (next && freeAt[next.bay]! <= freeFrom))
        continue;
      const piece = emptiestOf(state, type, taken);
      if (piece >= 0) next = { bay, piece };
    }
    if (!next) return;
    const { bay, piece } = next;
    const watts = plan.bays[bay]!.watts / BAY_LOSS;
    taken.add(piece);
    if (watts <= 0) {
      freeAt[bay] = Infinity;
      continue;
    }
    const took = state.fill(piece, (watts * (minutes - freeAt[bay]!)) / 60);
    freeAt[bay]! += (60 * took) / watts;
  }
}

/** Of the loose batteries of a type that are not full, the emptiest that is not taken; −1 for none. */
function emptiestOf(state: DayState, type: string, taken: ReadonlySet<number>): number {
  let emptiest = -1;
  for (const [index, piece] of state.plan.pieces.entries()) {
    if (piece.isBuiltIn || piece.type !== type || taken.has(index)) continue;
    if (state.held[index]! >= state.full[index]! - CRUMB) continue;
    if (emptiest < 0 || state.share(index) < state.share(emptiest)) emptiest = index;
  }
  return emptiest;
}

/**
 * Cards are copied one after the other; one that was begun while somebody is up is copied to its end.
 *
 * @param forgotten cards that nobody copies
 */
export function copyOvernight(
  state: DayState,
  minutes: number,
  awakeMin: number,
  forgotten: ReadonlySet<number> = new Set()
): void {
  const { cards, copyGbPerMin } = state.plan;
  let freeFrom = 0;
  for (const [card, { gigabytes }] of cards.entries()) {
    const written = gigabytes - state.freeGb[card]!;
    if (written <= CRUMB || forgotten.has(card)) continue;
    const takesMin = copyGbPerMin === undefined ? 0 : written / copyGbPerMin;
    if (freeFrom > awakeMin || freeFrom + takesMin > minutes) continue;
    freeFrom += takesMin;
    state.emptyCard(card);
  }
}

/** At home everything goes to the socket at once. */
export function chargeAtHome(
  state: DayState,
  plan: DayPlan,
  minutes: number,
  awakeMin = minutes,
  forgotten?: ReadonlySet<number>
): void {
  chargeOvernight(state, minutes, awakeMin, forgotten);
  for (const [index, { isBuiltIn }] of plan.pieces.entries())
    if (isBuiltIn && !forgotten?.has(index))
      state.fill(index, (state.full[index]! * minutes) / 60 / BUILT_IN_CHARGING_H);
  for (const [bank, { wattHours }] of plan.banks.entries())
    state.fillBank(bank, (wattHours * minutes) / 60 / BANK_CHARGING_H);
}

/** A night away: sun and car of the day go where most is wanting, then the banks fill what no plug reaches. */
export function chargeAway(state: DayState, plan: DayPlan): void {
  let there = plan.sunAndCarWhPerDay;
  for (const piece of state.emptiestFirst()) there -= state.fill(piece, there);
  for (const bank of plan.banks.keys()) there -= state.fillBank(bank, there);
  for (const { banks, pieces } of plan.devices) {
    if (banks.length > 0) continue;
    for (const piece of pieces)
      for (const bank of plan.banks.keys()) state.fillFromBank(piece, bank, BANK_BY_BATTERY);
  }
}
