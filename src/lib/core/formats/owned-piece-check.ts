import { OwnedPiece } from '../model/owned-piece';
import { type Fault, faultsOf } from './faults';
import { errorsOf } from './instance-of';

/** What is wrong with what claims to be something owned; nothing where it is in order. */
export function ownedPieceFaults(value: unknown, path: string): Fault[] {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
    ? faultsOf(errorsOf(OwnedPiece, value as Record<string, unknown>), path)
    : [{ field: path, says: 'must be an object' }];
}

export const isOwnedPiece = (value: unknown): value is OwnedPiece =>
  ownedPieceFaults(value, '').length === 0;
