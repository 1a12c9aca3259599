import type { FilterGear } from '../model/gear';
import type { Rig } from '../model/plan';
import { NO_PART } from '../model/word-lists';
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

const isDensity = ({ gear: { form } }: KitPart<FilterGear>): boolean =>
  form === 'fixed density' || form === 'variable density';

/**
 * The neutral density an angle can choose from: what screws on, itself or through rings of the kit, and says how
 * much it takes; where one is fixed for the angle, that alone. Beside it the one to be joined to the lens: the
 * fixed one, else the strongest that screws on, else the strongest.
 */
export function placeFilter(
  kit: Kit,
  lens: UsedLens | undefined,
  overrides: Rig | undefined,
  allocated: Allocated
): Pick<PlacedRig, 'filter' | 'filterFits' | 'densityFilters'> {
  let filter: KitPart<FilterGear> | undefined;
  let filterFits = false;
  let densityFilters = none;
  if (overrides?.filterLineId === NO_PART) return { filter, filterFits, densityFilters };
  for (const part of kit.of('filter')) {
    if (!isDensity(part) || !isFree(part, allocated)) continue;
    if (overrides?.filterLineId !== undefined && part.line.id !== overrides.filterLineId) continue;
    const fits = filterScrewsOn(kit, part.gear.threadMm, lens?.gear?.filterThreadMm);
    const stronger = (part.gear.stopsMax ?? 0) > (filter?.gear.stopsMax ?? -1);
    if (!filter || (fits && !filterFits) || (fits === filterFits && stronger)) {
      filter = part;
      filterFits = fits;
    }
    if (fits && part.gear.stopsMax !== undefined) densityFilters = [...densityFilters, part];
  }
  return { filter, filterFits, densityFilters };
}
const none: readonly KitPart<FilterGear>[] = [];
