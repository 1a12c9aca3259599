import type { GearItem } from '../model/gear';
import type { PlanLine } from '../model/plan';
import type { Scene } from '../model/scene';
import type { Act } from './act';

/** Kinds that a scene's first angle can be told to use. */
export const usableInScene: ReadonlySet<string> = new Set([
  'body',
  'lens',
  'microphone',
  'support',
  'filter'
]);

/** A part taken for a scene's first angle; what depends on it is placed anew. */
export function useInScene(scene: Scene, line: PlanLine, gear: GearItem): Act | undefined {
  const patch = (
    {
      body: { bodyLineId: line.id },
      lens: { lensLineId: line.id, focalLengthMm: undefined, apertureN: undefined },
      microphone: { micLineId: line.id, micPlace: undefined },
      support: { supportLineId: line.id },
      filter: { filterLineId: line.id }
    } as Record<string, Extract<Act, { type: 'set rig' }>['patch']>
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
