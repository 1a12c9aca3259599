import { memoOn } from '../memo';
import type { GearItem, LampGear, SupportGear } from '../model/gear';
import { payloadNeededKg, payloadVerdict } from '../relations/support/payload';
import { isJoined, lampHeld } from './joint-between';
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

/**
 * The stand the key lamp stands on: the one it was put on, else the best of those left. A bulb clamps on by itself.
 */
export const lampStandOf = memoOn((rig: PlacedRig): KitPart<SupportGear> | undefined => {
  const { keyLamp } = rig;
  const chosen = chosenFor(rig, keyLamp, holdersBeside);
  if (chosen || !keyLamp || holdsItself(keyLamp.part.gear)) return chosen;
  return bestHolder(
    rig,
    keyLamp.part,
    rig.kit
      .of('support')
      .filter(
        (part) =>
          usualOfKey.includes(part.gear.form) && piecesChosen(rig, part) < part.line.quantity
      )
  );
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

/** A part that can hold the lamps beside the key. */
export const holdsLamps = (gear: GearItem | undefined): boolean =>
  gear?.kind === 'support' && holdersBeside.includes(gear.form);

/** What clamps on by itself, or stands in the picture as a thing of the room. */
export const holdsItself = ({ form }: LampGear): boolean => form === 'bulb' || form === 'practical';

/** What holds the lamps beside the key, each piece once; a lamp that is seen in the picture and a bulb hold themselves. */
export const lampsHeldBesideKey = memoOn((rig: PlacedRig): readonly HeldLamp[] => {
  const held: HeldLamp[] = [];
  if (rig.furtherLamps.length === 0 && !rig.fillLamp) return held;
  const taken = new Map<string, number>();
  const take = (part: KitPart<SupportGear> | undefined) => {
    if (part) taken.set(part.line.id, (taken.get(part.line.id) ?? 0) + 1);
    return part;
  };
  /** Of what is left the best. */
  const takeBest = ({ part, role }: LampBesideKey) =>
    take(
      bestHolder(
        rig,
        part,
        rig.kit.of('support').filter(
          ({ line, gear }) =>
            holdersFor({ role }).includes(gear.form) &&
            (taken.get(line.id) ?? 0) < line.quantity &&
            // What would break under a lamp nobody asked for is not taken.
            (role !== 'fill' ||
              rig.overrides?.fillLampLineId === part.line.id ||
              carries(gear, part.gear) !== 'stop')
        )
      )
    );
  take(rig.support);
  take(rig.boom);
  if (rig.keyLamp) take(lampStandOf(rig));
  const besideKey: LampBesideKey[] = [
    ...(rig.fillLamp ? [{ ...rig.fillLamp, role: 'fill' as const }] : []),
    ...rig.furtherLamps
  ];
  const toHold = besideKey.filter(
    ({ part, role }) => role !== 'practical' && !holdsItself(part.gear)
  );
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
      holder: chosen.get(lamp) ?? takeBest(lamp)
    });
  return held;
});

/** Whether a stand bears a lamp; one of the two unstated, it is not in doubt. */
export const carries = ({ payloadKg }: SupportGear, { massG }: LampGear) =>
  massG === undefined || payloadKg === undefined ? 'fine' : payloadVerdict(massG / 1000, payloadKg);

/**
 * What a lamp is put on: what it does not break before all else, then what it goes on with what is in the kit, then the
 * lightest that carries it well, else the strongest.
 */
function bestHolder(
  rig: PlacedRig,
  lamp: KitPart<LampGear>,
  holders: readonly KitPart<SupportGear>[]
): KitPart<SupportGear> | undefined {
  if (holders.length < 2) return holders[0];
  const neededKg = payloadNeededKg((lamp.gear.massG ?? 0) / 1000);
  return [...holders].sort(
    (a, b) =>
      Number(carries(a.gear, lamp.gear) === 'stop') -
        Number(carries(b.gear, lamp.gear) === 'stop') ||
      Number(goesOn(rig, lamp, b)) - Number(goesOn(rig, lamp, a)) ||
      byLoad(a.gear, b.gear, neededKg)
  )[0];
}

const goesOn = (rig: PlacedRig, lamp: KitPart, holder: KitPart): boolean =>
  isJoined(lampHeld(rig, 'lamp held', lamp, holder), rig.kit);

function byLoad(a: SupportGear, b: SupportGear, neededKg: number): number {
  const [bears, otherBears] = [a.payloadKg ?? 0, b.payloadKg ?? 0];
  const enough = bears >= neededKg;
  if (enough !== otherBears >= neededKg) return enough ? -1 : 1;
  const [massG, otherMassG] = [a.massG ?? Infinity, b.massG ?? Infinity];
  return enough ? (massG === otherMassG ? 0 : massG - otherMassG) : otherBears - bears;
}
