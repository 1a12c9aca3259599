import { exposureCosts, noiseCostAt } from './costs';
import { BLOCKS } from './exposure-candidates';
import type { ExposureTask } from './exposure-task';
import { type Aperture, clamp, type Shutter } from './marked-settings';

/** Whether any candidate may keep within what blocks; where none can, the cheapest of them all is the plan. */
export function mayWork(
  task: ExposureTask,
  apertures: readonly Aperture[],
  shutters: readonly Shutter[]
): boolean {
  let widest = Infinity;
  let smallest = 0;
  for (const { isoAtOne } of apertures) {
    widest = Math.min(widest, isoAtOne);
    smallest = Math.max(smallest, isoAtOne);
  }
  let shortest = Infinity;
  let longest = 0;
  for (const { s } of shutters) {
    shortest = Math.min(shortest, s);
    longest = Math.max(longest, s);
  }
  const least = widest / (longest * (task.placeLx + task.lampsLx));
  const dimmest = task.placeLx > 0 ? task.placeLx : Number.MIN_VALUE;
  const highest = (smallest * 2 ** mostDensity(task)) / (shortest * dimmest);
  const { timesHighest, timesUsable, overStops } = BLOCKS;
  return (
    least <= Math.min(timesHighest * task.isoHighest, timesUsable * task.isoUsable) &&
    highest >= task.isoLowest / 2 ** overStops
  );
}

const mostDensity = ({ filters }: ExposureTask): number =>
  filters.reduce((most, { stopsMax }) => Math.max(most, stopsMax), 0);

/** The limits of a task as powers of two, for a bound that is asked of every pair of aperture and shutter. */
interface LimitsInStops {
  mostLight: number;
  /** The least light that can reach the sensor: that of the place through the densest filter. */
  leastLight: number;
  lowest: number;
  highest: number;
  /** What two stops below the usable ISO is. */
  clean: number;
}

export const limitsOf = (task: ExposureTask): LimitsInStops => ({
  mostLight: Math.log2(task.placeLx + task.lampsLx),
  leastLight: Math.log2(task.placeLx) - mostDensity(task),
  lowest: Math.log2(task.isoLowest),
  highest: Math.log2(task.isoHighest),
  clean: Math.log2(task.isoUsable / 4)
});

/** Noise and wrong exposure cost at least this with an aperture and a shutter, whatever filter and lamps do. */
export function leastOfLight(
  limits: LimitsInStops,
  { isoStops }: Aperture,
  { stops }: Shutter
): number {
  const { mostLight, leastLight, lowest, highest, clean } = limits;
  const needed = isoStops - stops - mostLight;
  const over = lowest - (isoStops - stops - leastLight);
  const under = needed - highest;
  return (
    noiseCostAt(clamp(needed, lowest, highest) - clean) +
    exposureCosts.wrong * (Math.max(0, over) + Math.max(0, under))
  );
}
