import { cheapestChain, indexJoiningParts, type JoiningIndex } from '../../joining/chains';
import { joiningEnds } from '../../joining/ends';
import { type GearKind, gearKindNames } from '../../model/gear';
import { type Connection, isMissingPort, type MissingPort } from '../../rigs/connection';
import { bearing, joint } from '../../rigs/joint-between';
import type { PlacedRig } from '../../rigs/placed-rig';
import { soundNeeds } from '../../rigs/sound-path';
import type { LeanRigs, Way } from './lean-rigs';

/** Counted by themselves wherever they are part of a rig, so they cost nothing as what joins. */
const countedApart: ReadonlySet<GearKind> = new Set([
  'body',
  'lens',
  'microphone',
  'recorder',
  'lamp',
  'support',
  'battery',
  'charger',
  'card',
  'drive',
  'power bank',
  'mains adapter'
]);

/**
 * What joins two parts of a rig costs at least, where the scene is not to be stopped by it: the cheapest chain there is,
 * and nothing for what stays in the kit. A part that leads from one family of ports to another may serve two joints and
 * costs nothing either, so the joints of one rig can be added up.
 */
export class JointPrices {
  readonly #index: JoiningIndex;

  constructor(private readonly rigs: LeanRigs) {
    this.#index = indexJoiningParts(
      gearKindNames.flatMap((kind) =>
        rigs.parts(kind).flatMap(({ gear, line }) => {
          const families = new Set(joiningEnds(gear).map(({ family }) => family));
          if (families.size === 0) return [];
          const isFree = families.size > 1 || countedApart.has(kind);
          return { gear, costMinor: isFree ? 0 : rigs.priceOf(line) };
        })
      )
    );
  }

  #least(need: Connection | MissingPort): number {
    if (isMissingPort(need)) return Infinity;
    // A cable too short weakens; it does not stop.
    const { fromPorts, toPorts, limit, withoutLength } = need;
    return (
      cheapestChain(fromPorts, toPorts, this.#index, withoutLength ?? limit)?.costMinor ?? Infinity
    );
  }

  lensOn(body: Way, lens: Way): number {
    const [on, part] = [this.rigs.partOf('body', body), this.rigs.partOf('lens', lens)];
    if (!on || !part) return 0;
    return this.#least(joint('lens on body', part, 'lens', on, 'lens', () => undefined));
  }

  held(body: Way, support: Way): number {
    const [held, holder] = [this.rigs.partOf('body', body), this.rigs.partOf('support', support)];
    if (!held || !holder || held.gear.form === 'drone') return 0;
    const limit = bearing(held.gear);
    return this.#least(joint('camera held', held, 'stands', holder, 'carries', limit));
  }

  /** The microphone of a rig into its body, or into a recorder of its kit. */
  heard(rig: PlacedRig): number {
    const { body, mic, kit } = rig;
    if (!body || !mic || mic.gear.form === 'desk') return 0;
    if (!mic.gear.ports.some(({ role }) => role === 'audioOut')) return 0;
    return Math.min(
      ...[body, ...kit.of('recorder')].map((into) => {
        const needs = soundNeeds(rig, into);
        const need = joint(
          'microphone into input',
          mic,
          'audioOut',
          into,
          'audioIn',
          needs.limit,
          needs
        );
        return this.#least(need);
      })
    );
  }
}
