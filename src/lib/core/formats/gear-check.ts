import { gearKindNames } from '../model/gear';
import { gearClasses } from '../model/gear/classes';
import { type Fault, faultsOf } from './faults';
import { errorsOf } from './instance-of';

/** Faults of what claims to be a part; its kind first, for without it nothing else can be checked. */
export function checkGear(value: unknown, path: string): Fault[] {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return [{ field: path, says: 'must be a part: an object with a kind' }];
  }
  const kind = gearKindNames.find((name) => name === (value as { kind?: unknown }).kind);
  if (!kind)
    return [{ field: `${path}.kind`, says: `must be one of: ${gearKindNames.join(', ')}` }];
  return faultsOf(errorsOf(gearClasses[kind], value as Record<string, unknown>), path);
}
