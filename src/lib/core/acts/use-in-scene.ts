import type { GearItem, GearKind } from '../model/gear';
import type { PlanLine, Rig } from '../model/plan';
import { rigLines } from '../model/rig-lines';
import { NO_PART } from '../model/word-lists';
import type { Scene } from '../model/scene';
import type { Act } from './act';

/** Kinds that a scene's first angle can be told to use. */
export const usableInScene: ReadonlySet<string> = new Set([
  'body',
  'lens',
  'microphone',
  'support',
  'filter',
  'lamp',
  'recorder'
]);

type RigPatch = Extract<Act, { type: 'set rig' }>['patch'];

/** What a scene does without, said of a kind: the bare hand, the body's own microphone, no filter, no lamp, the voice into the camera. */
const withoutIt: Readonly<Partial<Record<GearKind, RigPatch>>> = {
  support: { supportLineId: NO_PART },
  microphone: { micLineId: NO_PART, micPlace: undefined },
  filter: { filterLineId: NO_PART },
  lamp: { keyLampLineId: NO_PART },
  recorder: { recorderLineId: NO_PART }
};

/** What is left to the judge again, by kind. */
const leftOpen: Readonly<Partial<Record<GearKind, RigPatch>>> = {
  body: { bodyLineId: undefined },
  lens: { lensLineId: undefined, focalLengthMm: undefined, apertureN: undefined },
  support: { supportLineId: undefined },
  microphone: { micLineId: undefined, micPlace: undefined },
  filter: { filterLineId: undefined },
  lamp: { keyLampLineId: undefined, fillLampLineId: undefined },
  recorder: { recorderLineId: undefined }
};

const ofFirstAngle = (scene: Scene, patch: RigPatch | undefined): Act | undefined =>
  patch && { type: 'set rig', sceneId: scene.id, angleId: scene.angles[0]!.id, patch };

/** A scene filmed without any part of a kind, whatever the kit holds; undefined where that cannot be. */
export const doWithoutInScene = (scene: Scene, kind: GearKind): Act | undefined =>
  ofFirstAngle(scene, withoutIt[kind]);

/** The part of a kind chosen by what makes the scene best again. */
export const chooseBestInScene = (scene: Scene, kind: GearKind): Act | undefined =>
  ofFirstAngle(scene, leftOpen[kind]);

/** Every part said of an angle left to the judge again; undefined where none is said. */
export function chooseBestInRig(rig: Rig): Act | undefined {
  const patch: RigPatch = {};
  for (const open of Object.values(leftOpen))
    if (rigLines.some((field) => field in open && rig[field] !== undefined))
      Object.assign(patch, open);
  return Object.keys(patch).length === 0
    ? undefined
    : { type: 'set rig', sceneId: rig.sceneId, angleId: rig.angleId, patch };
}

/** A part taken for a scene's first angle; what depends on it is placed anew. */
export function useInScene(scene: Scene, line: PlanLine, gear: GearItem): Act | undefined {
  const patch = (
    {
      body: { bodyLineId: line.id },
      lens: { lensLineId: line.id, focalLengthMm: undefined, apertureN: undefined },
      microphone: { micLineId: line.id, micPlace: undefined },
      support: { supportLineId: line.id },
      filter: { filterLineId: line.id },
      lamp: { keyLampLineId: line.id },
      recorder: { recorderLineId: line.id }
    } as Record<string, RigPatch>
  )[gear.kind];
  if (!patch) return undefined;
  const set: Act = { type: 'set rig', sceneId: scene.id, angleId: scene.angles[0]!.id, patch };
  // A part that was moved to later is needed now by the scene that uses it.
  return line.step === 'later'
    ? {
        type: 'batch',
        acts: [{ type: 'change line', lineId: line.id, patch: { step: 'now' } }, set]
      }
    : set;
}
