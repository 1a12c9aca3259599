import { memoOn } from '../memo';
import type { SupportGear } from '../model/gear';
import { payloadNeededKg } from '../relations/support/payload';
import type { KitPart } from './kit';
import type { FurtherLamp, PlacedLamp, PlacedRig } from './placed-rig';

/** The stand the key lamp stands on: the lightest that carries it well, else the strongest of the kit. */
export const lampStandOf = memoOn((rig: PlacedRig): KitPart<SupportGear> | undefined => {
  const neededKg = payloadNeededKg((rig.keyLamp?.part.gear.massG ?? 0) / 1000);
  let best: KitPart<SupportGear> | undefined;
  for (const part of rig.kit.of('support'))
    if (part.gear.form === 'light stand' && (!best || isBetter(part.gear, best.gear, neededKg)))
      best = part;
  return best;
});

/** A lamp beside the key: the fill, or one with a role of its own. */
export type LampBesideKey = PlacedLamp & { role: FurtherLamp['role'] | 'fill' };

/** A lamp beside the key, and what is left in the kit to hold it. */
export interface HeldLamp {
  lamp: LampBesideKey;
  holder: KitPart<SupportGear> | undefined;
}

const holdersOverhead: readonly string[] = ['overhead arm', 'ceiling mount', 'boom arm'];
const holdersBeside: readonly string[] = ['light stand', 'clamp'];
/** Forms of support that can hold a lamp of a role. */
export const holdersFor = ({ role }: Pick<LampBesideKey, 'role'>): readonly string[] =>
  role === 'overhead' ? holdersOverhead : holdersBeside;

const holdsItself = (lamp: LampBesideKey): boolean =>
  lamp.role === 'practical' || lamp.part.gear.form === 'bulb';

/** What holds the lamps beside the key, each piece once; a lamp that is seen in the picture and a bulb hold themselves. */
export const lampsHeldBesideKey = memoOn((rig: PlacedRig): readonly HeldLamp[] => {
  const held: HeldLamp[] = [];
  if (rig.furtherLamps.length === 0 && !rig.fillLamp) return held;
  const taken = new Map<string, number>();
  const take = (part: KitPart<SupportGear> | undefined) => {
    if (part) taken.set(part.line.id, (taken.get(part.line.id) ?? 0) + 1);
    return part;
  };
  /** The lightest that is left and carries it well, else the strongest. */
  const takeBest = (massG: number | undefined, forms: readonly string[]) => {
    const neededKg = payloadNeededKg((massG ?? 0) / 1000);
    let best: KitPart<SupportGear> | undefined;
    for (const part of rig.kit.of('support'))
      if (
        forms.includes(part.gear.form) &&
        (taken.get(part.line.id) ?? 0) < part.line.quantity &&
        (!best || isBetter(part.gear, best.gear, neededKg))
      )
        best = part;
    return take(best);
  };
  take(rig.support);
  take(rig.boom);
  if (rig.keyLamp) take(lampStandOf(rig));
  const besideKey: LampBesideKey[] = [
    ...(rig.fillLamp ? [{ ...rig.fillLamp, role: 'fill' as const }] : []),
    ...rig.furtherLamps
  ];
  for (const lamp of besideKey)
    if (!holdsItself(lamp))
      held.push({ lamp, holder: takeBest(lamp.part.gear.massG, holdersFor(lamp)) });
  return held;
});

function isBetter(one: SupportGear, other: SupportGear, neededKg: number): boolean {
  const [bears, otherBears] = [one.payloadKg ?? 0, other.payloadKg ?? 0];
  const enough = bears >= neededKg;
  if (enough !== otherBears >= neededKg) return enough;
  return enough ? (one.massG ?? Infinity) < (other.massG ?? Infinity) : bears > otherBears;
}
