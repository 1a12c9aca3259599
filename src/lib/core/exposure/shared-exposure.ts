import { leastOfLight, limitsOf } from './exposure-bounds';
import { candidateOf, filterChoices, waysToDim } from './exposure-candidates';
import type { ExposureTask } from './exposure-task';
import { aperturesOf, shuttersOf } from './marked-settings';

/**
 * What the two ends of the light cost together where aperture, shutter, filter and density stay as they are
 * through the take, and only ISO and one's own lamps follow the light.
 *
 * @param enough a cost that need not be improved on
 * @returns stops; the sum over both ends of the best pair, or of the first found that costs no more than `enough`
 */
export function solveSharedExposure(
  dim: ExposureTask,
  bright: ExposureTask,
  enough: number
): number {
  const tasks = [dim, bright] as const;
  const limits = [limitsOf(dim), limitsOf(bright)] as const;
  const apertures = aperturesOf(dim);
  const shutters = shuttersOf(dim);
  const filters = filterChoices(dim);
  let best = Infinity;
  for (const aperture of apertures) {
    if (2 * (aperture.cost + shutters[0]!.cost) > best) break;
    for (const shutter of shutters) {
      const own = 2 * (aperture.cost + shutter.cost);
      if (own > best) break;
      const light =
        leastOfLight(limits[0], aperture, shutter) + leastOfLight(limits[1], aperture, shutter);
      for (const { filter, cost: ofFilter } of filters) {
        if (own + light + 2 * ofFilter > best) break;
        const ways = tasks.map((task) => waysToDim(task, aperture, shutter, filter));
        const tried = new Set<number>();
        for (const [density] of [...ways[0]!, ...ways[1]!]) {
          if (tried.has(density)) continue;
          tried.add(density);
          let cost = 0;
          for (let end = 0; end < 2 && cost < best; end++) {
            let least = Infinity;
            for (const [, share] of ways[end]!)
              least = Math.min(
                least,
                candidateOf(tasks[end]!, aperture, shutter, filter, density, share).cost
              );
            cost += least;
          }
          if (cost < best) best = cost;
          if (best <= enough) return best;
        }
      }
    }
  }
  return best;
}
