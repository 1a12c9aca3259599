import { memoOn } from '../memo';
import type { SupportGear } from '../model/gear';
import { payloadNeededKg } from '../relations/support/payload';
import type { KitPart } from './kit';
import type { FurtherLamp, PlacedLamp, PlacedRig } from './placed-rig';

const holdersOverhead: readonly string[] = ['overhead arm', 'ceiling mount', 'boom arm'];
const holdersBeside: readonly string[] = ['light stand', 'clamp'];
/** The forms of support the key lamp is put on unasked. */
const usualOfKey: readonly string[] = ['light stand'];

/** A support of the kit that a person has put a lamp on, if it is there and can hold one. */
const chosenFor = (
  { kit }: PlacedRig,
  lamp: PlacedLamp | undefined,
  forms: readonly string[]
): KitPart<SupportGear> | undefined =>
  lamp?.standLineId === undefined
    ? undefined
    : kit
        .of('support')
        .find(({ line, gear }) => line.id === lamp.standLineId && forms.includes(gear.form));

/** The stand the key lamp stands on: the one it was put on, else the lightest that carries it well, else the strongest. */
export const lampStandOf = memoOn((rig: PlacedRig): KitPart<SupportGear> | undefined => {
  const chosen = chosenFor(rig, rig.keyLamp, holdersBeside);
  if (chosen) return chosen;
  const neededKg = payloadNeededKg((rig.keyLamp?.part.gear.massG ?? 0) / 1000);
  let best: KitPart<SupportGear> | undefined;
  for (const part of rig.kit.of('support'))
    if (
      usualOfKey.includes(part.gear.form) &&
      piecesChosen(rig, part) < part.line.quantity &&
      (!best || isBetter(part.gear, best.gear, neededKg))
    )
      best = part;
  return best;
});

/** Pieces of a support that a person has given to lamps beside the key. */
const piecesChosen = ({ fillLamp, furtherLamps }: PlacedRig, { line }: KitPart): number =>
  Number(fillLamp?.standLineId === line.id) +
  furtherLamps.filter(({ standLineId }) => standLineId === line.id).length;

/** A lamp beside the key: the fill, or one with a role of its own. */
export type LampBesideKey = PlacedLamp & { role: FurtherLamp['role'] | 'fill' };

/** A lamp beside the key, and what is left in the kit to hold it. */
export interface HeldLamp {
  lamp: LampBesideKey;
  holder: KitPart<SupportGear> | undefined;
}

/** Forms of support that can hold a lamp of a role. */
export const holdersFor = ({ role }: { role: LampBesideKey['role'] | 'key' }): readonly string[] =>
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
  const toHold = besideKey.filter((lamp) => !holdsItself(lamp));
  // What somebody has put on a stand takes it before the rest choose.
  const chosen = new Map<LampBesideKey, KitPart<SupportGear>>();
  for (const lamp of toHold) {
    const stand = chosenFor(rig, lamp, holdersFor(lamp));
    if (stand && (taken.get(stand.line.id) ?? 0) < stand.line.quantity) {
      take(stand);
      chosen.set(lamp, stand);
    }
  }
  for (const lamp of toHold)
    held.push({
      lamp,
      holder: chosen.get(lamp) ?? takeBest(lamp.part.gear.massG, holdersFor(lamp))
    });
  return held;
});

function isBetter(one: SupportGear, other: SupportGear, neededKg: number): boolean {
  const [bears, otherBears] = [one.payloadKg ?? 0, other.payloadKg ?? 0];
  const enough = bears >= neededKg;
  if (enough !== otherBears >= neededKg) return enough;
  return enough ? (one.massG ?? Infinity) < (other.massG ?? Infinity) : bears > otherBears;
}
