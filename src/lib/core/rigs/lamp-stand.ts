import { memoOn } from '../memo';
import type { SupportGear } from '../model/gear';
import { payloadNeededKg } from '../relations/support/payload';
import type { KitPart } from './kit';
import type { PlacedRig } from './placed-rig';

/** The stand the key lamp stands on: the lightest that carries it well, else the strongest of the kit. */
export const lampStandOf = memoOn((rig: PlacedRig): KitPart<SupportGear> | undefined => {
  const neededKg = payloadNeededKg((rig.keyLamp?.part.gear.massG ?? 0) / 1000);
  let best: KitPart<SupportGear> | undefined;
  for (const part of rig.kit.of('support'))
    if (part.gear.form === 'light stand' && (!best || isBetter(part.gear, best.gear, neededKg)))
      best = part;
  return best;
});

function isBetter(one: SupportGear, other: SupportGear, neededKg: number): boolean {
  const [bears, otherBears] = [one.payloadKg ?? 0, other.payloadKg ?? 0];
  const enough = bears >= neededKg;
  if (enough !== otherBears >= neededKg) return enough;
  return enough ? (one.massG ?? Infinity) < (other.massG ?? Infinity) : bears > otherBears;
}
