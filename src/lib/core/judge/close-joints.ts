import type { Act } from '../acts/act';
import { addAll } from '../findings/part-candidates';
import { closeAll, type Joint } from '../joining/close-all';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { Shelf } from '../model/shelf';
import { joiningPartsOfKit, joiningPartsOfShelf } from '../rigs/closings';
import { connectionWords, isMissingPort } from '../rigs/connection';
import { connectionsOf } from '../rigs/connections';
import type { Judgement } from './judgement';

/** Every joint of the kit closed at once, as cheaply as possible. */
export interface JointsClosed {
  act: Act | undefined;
  costMinor: number;
  /** By how much a cheaper way could still undercut this one; 0 where none can. */
  gapMinor: number;
  buy: { gearId: string; model: string; quantity: number }[];
  /** How each joint is made, for the finger to follow. */
  steps: { sceneName: string; joint: string; steps: string[] }[];
  open: { sceneName: string; joint: string; reason: string }[];
}

/**
 * Looks at the joints of all scenes together: a piece bought for one scene serves in the others, while
 * the angles of one scene stand at the same time.
 */
export function closeJoints(project: Project, shelf: Shelf, judgement: Judgement): JointsClosed {
  const words = new Map<string, { sceneName: string; joint: string }>();
  const occasions = project.scenes.map((scene) => {
    const seen = new Set<string>();
    return judgement.angles
      .filter((angle) => angle.scene === scene)
      .flatMap(({ rig }) => connectionsOf(rig))
      .flatMap((need): Joint[] => {
        if (isMissingPort(need)) return [];
        const id = `${scene.id} ${need.purpose} ${need.from.line.id} ${need.to?.line.id ?? ''}`;
        if (seen.has(id)) return [];
        seen.add(id);
        words.set(id, { sceneName: scene.name, joint: connectionWords(need) });
        return [{ id, from: need.fromPorts, to: need.toPorts, limit: need.limit }];
      });
  });
  const closing = closeAll(
    occasions,
    joiningPartsOfKit(judgement.kit),
    joiningPartsOfShelf(shelf.items, project)
  );
  return {
    act:
      closing.buy.length === 0
        ? undefined
        : addAll({ plan: activePlan(project), project }, closing.buy),
    costMinor: closing.costMinor,
    gapMinor: closing.gapMinor,
    buy: closing.buy.map(({ gear, quantity }) => ({
      gearId: gear.id,
      model: gear.model,
      quantity
    })),
    steps: [...closing.chains]
      .filter(([, chain]) => chain.steps.length > 0)
      .map(([id, chain]) => ({ ...words.get(id)!, steps: chain.steps })),
    open: [...closing.open].map(([id, reason]) => ({ ...words.get(id)!, reason }))
  };
}
