import type { FilterGear } from '../model/gear';
import type { Rig } from '../model/plan';
import { type Allocated, isFree } from './allocated';
import type { Kit, KitPart } from './kit';
import type { PlacedRig, UsedLens } from './placed-rig';

/** True when the filter's thread is the lens's own or rings of the kit lead from one to the other. */
export function filterScrewsOn(
  kit: Kit,
  filterThreadMm: number,
  lensThreadMm: number | undefined
): boolean {
  if (lensThreadMm === undefined) return false;
  if (lensThreadMm === filterThreadMm) return true;
  const rings = kit.of('step-up ring');
  if (rings.length === 0) return false;
  const reached = new Set([lensThreadMm]);
  for (let grown = true; grown && !reached.has(filterThreadMm);) {
    grown = false;
    for (const { gear } of rings) {
      if (reached.has(gear.lensThreadMm) && !reached.has(gear.filterThreadMm)) {
        reached.add(gear.filterThreadMm);
        grown = true;
      }
    }
  }
  return reached.has(filterThreadMm);
}

/** The filter fixed for the angle, else the strongest neutral density that screws on. */
export function placeFilter(
  kit: Kit,
  lens: UsedLens | undefined,
  overrides: Rig | undefined,
  allocated: Allocated
): Pick<PlacedRig, 'filter' | 'filterFits'> {
  let filter: KitPart<FilterGear> | undefined;
  let filterFits = false;
  for (const part of kit.of('filter')) {
    if (part.gear.form !== 'fixed density' && part.gear.form !== 'variable density') continue;
    if (!isFree(part, allocated)) continue;
    if (overrides?.filterLineId !== undefined && part.line.id !== overrides.filterLineId) continue;
    const fits = filterScrewsOn(kit, part.gear.threadMm, lens?.gear?.filterThreadMm);
    const stronger = (part.gear.stopsMax ?? 0) > (filter?.gear.stopsMax ?? -1);
    if (!filter || (fits && !filterFits) || (fits === filterFits && stronger)) {
      filter = part;
      filterFits = fits;
    }
  }
  return { filter, filterFits };
}
