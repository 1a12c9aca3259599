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
  const walk = (one: Act): Act => {
    switch (one.type) {
      case 'add line':
        return {
          ...one,
          line: { ...one.line, id: fresh('line', one.line.id) },
          ...(one.before === undefined ? {} : { before: fresh('line', one.before) })
        };
      case 'change line':
      case 'step quantity':
      case 'remove line':
        return { ...one, lineId: fresh('line', one.lineId) };
      case 'move line':
        return {
          ...one,
          lineId: fresh('line', one.lineId),
          before: one.before === undefined ? undefined : fresh('line', one.before)
        };
      case 'set rig':
        return {
          ...one,
          sceneId: fresh('scene', one.sceneId),
          angleId: fresh('angle', one.angleId),
          patch: freshRig(one.patch)
        };
      case 'add scene':
        return { ...one, scene: { ...one.scene, id: fresh('scene', one.scene.id) } };
      case 'change scene':
      case 'remove scene':
        return { ...one, sceneId: fresh('scene', one.sceneId) };
      case 'add angle':
        return {
          ...one,
          sceneId: fresh('scene', one.sceneId),
          angle: { ...one.angle, id: fresh('angle', one.angle.id) }
        };
      case 'change angle':
      case 'remove angle':
        return {
          ...one,
          sceneId: fresh('scene', one.sceneId),
          angleId: fresh('angle', one.angleId)
        };
      case 'add plan':
        return { ...one, plan: { ...one.plan, id: fresh('plan', one.plan.id) } };
      case 'show plan':
      case 'rename plan':
      case 'remove plan':
        return { ...one, planId: fresh('plan', one.planId) };
      case 'batch':
        return { ...one, acts: one.acts.map(walk) };
      default:
        return one;
    }
  };
  return walk(act);
}
