import type { Rig } from '../model/plan';
import { rigLines } from '../model/rig-lines';
import type { Act } from './act';

/** The ids an act brings into the project, in the order it brings them. */
function newIds(act: Act): { kind: 'line' | 'scene' | 'angle' | 'plan'; id: string }[] {
  switch (act.type) {
    case 'add line':
      return [{ kind: 'line', id: act.line.id }];
    case 'add scene':
      return [{ kind: 'scene', id: act.scene.id }];
    case 'add angle':
      return [{ kind: 'angle', id: act.angle.id }];
    case 'add plan':
      return [{ kind: 'plan', id: act.plan.id }];
    case 'batch':
      return act.acts.flatMap(newIds);
    default:
      return [];
  }
}

/**
 * The same act with ids of its own for all it adds. Proposals number what they add after the plan they
 * were made for, so two of them made at the same time would collide; what speaks of an added thing
 * elsewhere in the act follows.
 *
 * @param makeId gives an id nobody else has, beginning with the kind
 */
export function withFreshIds(act: Act, makeId: (kind: string) => string): Act {
  const renamed = new Map<string, string>(
    newIds(act).map(({ kind, id }) => [`${kind} ${id}`, makeId(kind)] as const)
  );
  if (renamed.size === 0) return act;
  const fresh = (kind: string, id: string) => renamed.get(`${kind} ${id}`) ?? id;
  const freshRig = <R extends Partial<Rig>>(rig: R): R => {
    const next = { ...rig };
    for (const key of rigLines) if (next[key] !== undefined) next[key] = fresh('line', next[key]);
    if (next.lamps)
      next.lamps = next.lamps.map((lamp) => ({
        ...lamp,
        lineId: fresh('line', lamp.lineId),
        ...(lamp.standLineId === undefined ? {} : { standLineId: fresh('line', lamp.standLineId) })
      }));
    return next;
  };
  const walk = (act: Act): Act => {
    switch (act.type) {
      case 'add line':
        return {
          ...act,
          line: { ...act.line, id: fresh('line', act.line.id) },
          ...(act.before === undefined ? {} : { before: fresh('line', act.before) })
        };
      case 'change line':
      case 'step quantity':
      case 'remove line':
        return { ...act, lineId: fresh('line', act.lineId) };
      case 'move line':
        return {
          ...act,
          lineId: fresh('line', act.lineId),
          before: act.before === undefined ? undefined : fresh('line', act.before)
        };
      case 'set rig':
        return {
          ...act,
          sceneId: fresh('scene', act.sceneId),
          angleId: fresh('angle', act.angleId),
          patch: freshRig(act.patch)
        };
      case 'add scene':
        return { ...act, scene: { ...act.scene, id: fresh('scene', act.scene.id) } };
      case 'change scene':
      case 'remove scene':
        return { ...act, sceneId: fresh('scene', act.sceneId) };
      case 'add angle':
        return {
          ...act,
          sceneId: fresh('scene', act.sceneId),
          angle: { ...act.angle, id: fresh('angle', act.angle.id) }
        };
      case 'change angle':
      case 'remove angle':
        return {
          ...act,
          sceneId: fresh('scene', act.sceneId),
          angleId: fresh('angle', act.angleId)
        };
      case 'add plan':
        return { ...act, plan: { ...act.plan, id: fresh('plan', act.plan.id) } };
      case 'show plan':
      case 'rename plan':
      case 'remove plan':
        return { ...act, planId: fresh('plan', act.planId) };
      case 'batch':
        return { ...act, acts: act.acts.map(walk) };
      default:
        return act;
    }
  };
  return walk(act);
}
