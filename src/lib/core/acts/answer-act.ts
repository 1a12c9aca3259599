import type { GearItem } from '../model/gear';
import { withValueAt } from '../model/gear/stated-at';
import type { Act } from './act';

/** The act that writes an answer on the part: an entry of one's own that hides the shelf's. */
export function answerAct(
  gear: GearItem,
  key: string,
  value: number | string | boolean
): Extract<Act, { type: 'put gear' }> {
  return { type: 'put gear', gear: withValueAt(gear, key, value) };
}
