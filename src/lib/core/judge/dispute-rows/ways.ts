import type { Act } from '../../acts/act';
import { cheapestOf, swapFor } from '../../findings/part-candidates';
import { newLine } from '../../model/new-line';
import type { GearKind, GearOf } from '../../model/gear';
import type { PlanLine } from '../../model/plan';
import { activePlan } from '../../model/active-plan';
import type { Scene } from '../../model/scene';
import type { DisputeContext } from './dispute';

export const together = (acts: readonly Act[]): Act[] =>
  acts.length === 0 ? [] : [acts.length === 1 ? acts[0]! : { type: 'batch', acts: [...acts] }];

export const changeScenes = (
  scenes: readonly Scene[],
  patch: (scene: Scene) => Extract<Act, { type: 'change scene' }>['patch'] | undefined
): Act[] =>
  together(
    scenes.flatMap((scene): Act[] => {
      const changed = patch(scene);
      return changed ? [{ type: 'change scene', sceneId: scene.id, patch: changed }] : [];
    })
  );

/** Lines one may still decide on. */
export const isOpen = (line: PlanLine) => !line.locked && line.state === 'wanted';

export const linesOf = <K extends GearKind>({ judgement }: DisputeContext, kind: K) =>
  judgement.kit.of(kind);

/** Each part of a kind that passes, in the place of the first open line of that kind, or beside what is there. */
export function eachInstead<K extends GearKind>(
  context: DisputeContext,
  kind: K,
  passes: (gear: GearOf<K>) => boolean
): Act[] {
  const plan = activePlan(context.project);
  const open = linesOf(context, kind).find(({ line }) => isOpen(line));
  return cheapestOf(context.shelf, context.project, kind, passes).map((gear) => {
    const line = newLine(plan, gear);
    return open ? swapFor(open.line.id)(line) : { type: 'add line', line };
  });
}

export const add = <K extends GearKind>(
  context: DisputeContext,
  kind: K,
  passes: (gear: GearOf<K>) => boolean
): Act[] =>
  cheapestOf(context.shelf, context.project, kind, passes).map((gear) => ({
    type: 'add line',
    line: newLine(activePlan(context.project), gear)
  }));

export const isRoom = (scene: Scene) => scene.room !== undefined;
