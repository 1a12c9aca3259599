import type { GearItem, GearKind } from '../../model/gear';
import type { Rig } from '../../model/plan';
import { NO_PART } from '../../model/word-lists';
import { type Allocated, isFree } from '../../rigs/allocated';
import type { KitPart } from '../../rigs/kit';
import { keyAndFillPlacings, lampsFor } from '../../rigs/place-lamps';
import { lensMounts, mountOf } from '../../rigs/place-lens';
import { micPlacesFor } from '../../rigs/place-mic';
import { bodiesFor } from '../../rigs/place-rig';
import type { PlacedRig } from '../../rigs/placed-rig';
import { supportsByPlace } from '../../rigs/places';

/** What may be chosen for a rig: the part of a job, by its line. */
export type Choice = Partial<Rig>;

/** Ways a job can be done with what the kit holds, the usual one among them; none where the person has said it. */
export type WaysFor = (usual: PlacedRig, said: Rig | undefined, allocated: Allocated) => Choice[];

const free = <G extends GearItem>(parts: readonly KitPart<G>[], allocated: Allocated) =>
  parts.filter((part) => isFree(part, allocated));
const no: Choice[] = [];

/** What the parts of a job are, in the order of the jobs. */
export const jobKinds = [
  'body',
  'lens',
  'support',
  'microphone',
  'lamp'
] as const satisfies readonly GearKind[];

/** Jobs of a rig, in the order in which they are decided. */
export const jobs: readonly WaysFor[] = [
  ({ kit, angle }, said, allocated) =>
    said?.bodyLineId !== undefined
      ? no
      : bodiesFor(kit, angle, said, allocated).map(({ line }) => ({ bodyLineId: line.id })),

  ({ kit, body }, said, allocated) => {
    if (said?.lensLineId !== undefined || !body || body.gear.builtInLens) return no;
    const mount = mountOf(body);
    return free(kit.of('lens'), allocated)
      .filter(({ gear }) => lensMounts(kit, { builtIn: false, gear }, mount))
      .map(({ line }) => ({ lensLineId: line.id }));
  },

  ({ kit, angle }, said, allocated) => {
    if (said?.supportLineId !== undefined) return no;
    const forms: readonly string[] = supportsByPlace[angle.cameraPlace];
    const ways: Choice[] = free(kit.of('support'), allocated)
      .filter(({ gear }) => forms.includes(gear.form))
      .map(({ line }) => ({ supportLineId: line.id }));
    // In the hand one may hold the camera itself.
    if (ways.length > 0 && angle.cameraPlace === 'hand') ways.push({ supportLineId: NO_PART });
    return ways;
  },

  ({ kit, scene, index }, said) => {
    if (index > 0 || scene.voice === 'none' || said?.micLineId === NO_PART) return no;
    return kit.of('microphone').flatMap(({ line, gear }) =>
      said?.micLineId !== undefined && said.micLineId !== line.id
        ? []
        : micPlacesFor(kit, scene, gear)
            .filter((place) => said?.micPlace === undefined || said.micPlace === place)
            .map((micPlace) => ({ micLineId: line.id, micPlace }))
    );
  },

  ({ kit, scene, hasSocket }, said) => {
    if (said?.keyLampLineId !== undefined || keyAndFillPlacings(said).length > 0) return no;
    const lamps = lampsFor(kit, scene, hasSocket, said);
    if (lamps.length < 2) return no;
    const lines = [...new Set(lamps.map(({ line }) => line.id))];
    const ways = lines.flatMap((keyLampLineId): Choice[] => [
      { keyLampLineId, fillLampLineId: NO_PART },
      ...lines
        .filter((other) => other !== keyLampLineId || isTwice(lamps, other))
        .map((fillLampLineId) => ({ keyLampLineId, fillLampLineId }))
    ]);
    const fill = said?.fillLampLineId;
    return fill === undefined ? ways : ways.filter((way) => way.fillLampLineId === fill);
  }
];

/** Lines a choice names. */
export const linesOf = ({
  bodyLineId,
  lensLineId,
  supportLineId,
  micLineId,
  keyLampLineId,
  fillLampLineId
}: Choice): string[] =>
  [bodyLineId, lensLineId, supportLineId, micLineId, keyLampLineId, fillLampLineId].filter(
    (lineId) => lineId !== undefined
  );

const isTwice = (lamps: readonly KitPart[], lineId: string): boolean =>
  lamps.filter(({ line }) => line.id === lineId).length > 1;
