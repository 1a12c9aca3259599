import type { PlanLine } from '../../core/model/plan';
import type { Scene } from '../../core/model/scene';

/** A line of a demo's plan. */
export function line(number: number, gearId: string, more: Partial<PlanLine> = {}): PlanLine {
  return {
    id: `line-${number}`,
    gearId,
    quantity: 1,
    basis: 'new',
    state: 'wanted',
    step: 'now',
    locked: false,
    ...more
  };
}

/** A scene of a demo: what its style begins with, measured. */
export function scene(
  id: string,
  name: string,
  share: number,
  base: Scene,
  more: Partial<Scene>,
  angle: Partial<Scene['angles'][number]>
): Scene {
  return {
    ...base,
    ...more,
    id,
    name,
    sharePercent: share,
    angles: [{ ...base.angles[0]!, ...angle }]
  };
}
