import { newLine } from '../model/new-line';
import type { GearItem } from '../model/gear';
import type { Plan } from '../model/plan';
import type { Act } from './act';

/** A part that a list or a spreadsheet puts in a plan. */
export interface ListedLine {
  gear: GearItem;
  quantity: number;
  owned: boolean;
  /** What is left after it by a sum done by hand. */
  handRemainingMinor?: number;
}

/**
 * The acts that put listed parts in a plan. A part that is in it already is not doubled: its line takes the
 * quantity, and becomes owned where the list says so.
 */
export function putLineActs(plan: Plan, listed: readonly ListedLine[]): Act[] {
  const acts: Act[] = [];
  let lines = [...plan.lines];
  for (const { gear, quantity, owned, handRemainingMinor } of listed) {
    const there = lines.find((line) => line.gearId === gear.id && line.state !== 'returned');
    if (there) {
      const patch = {
        quantity,
        ...(owned ? { state: 'owned' as const } : {}),
        ...(handRemainingMinor === undefined ? {} : { handRemainingMinor })
      };
      if (
        there.quantity !== quantity ||
        (owned && there.state !== 'owned') ||
        (handRemainingMinor !== undefined && there.handRemainingMinor !== handRemainingMinor)
      )
        acts.push({ type: 'change line', lineId: there.id, patch });
      lines = lines.map((line) => (line === there ? { ...there, ...patch } : line));
    } else {
      const line = {
        ...newLine({ ...plan, lines }, gear, quantity),
        ...(owned ? { state: 'owned' as const } : {}),
        ...(handRemainingMinor === undefined ? {} : { handRemainingMinor })
      };
      acts.push({ type: 'add line', line });
      lines.push(line);
    }
  }
  return acts;
}
