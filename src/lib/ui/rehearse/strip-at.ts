import { bisector } from 'd3-array';
import type { Strip } from '../../core/rehearse/shown-day';

const byMinute = bisector<readonly [number, number], number>(([minute]) => minute);

/** The level of a strip at a minute: on the line between the points round it; after a swap the new one. */
export function levelAt({ points }: Pick<Strip, 'points'>, minute: number): number {
  const after = byMinute.right(points, minute);
  const before = points[after - 1] ?? points[0];
  const next = points[after];
  if (!before) return 0;
  if (!next || next[0] === before[0]) return before[1];
  return before[1] + ((next[1] - before[1]) * (minute - before[0])) / (next[0] - before[0]);
}
