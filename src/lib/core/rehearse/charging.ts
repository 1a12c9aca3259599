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
    for (const [at, piece] of plan.pieces.entries()) {
      if (piece.isBuiltIn || piece.type !== type || inBay.has(at)) continue;
      if (!alsoInserted && state.holder[at]! >= 0 && at !== first) continue;
      if (state.held[at]! >= state.full[at]! - CRUMB) continue;
      if (at === first) {
        emptiest = at;
        break;
      }
      if (emptiest < 0 || state.share(at) < state.share(emptiest)) emptiest = at;
    }
    if (emptiest < 0) continue;
    inBay.add(emptiest);
    state.fill(emptiest, (watts / BAY_LOSS) * (minutes / 60));
  }
}

/** At home everything goes to the socket at once. */
export function chargeAtHome(state: DayState, plan: DayPlan, minutes: number): void {
  chargeInBays(state, minutes, true);
  for (const [at, { isBuiltIn }] of plan.pieces.entries())
    if (isBuiltIn) state.fill(at, (state.full[at]! * minutes) / 60 / BUILT_IN_CHARGING_H);
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
