import { ActError } from '../core/acts/apply-act';

/** The database wraps the browser's own error, sometimes twice. */
export function isStorageFull(error: unknown): boolean {
  for (
    let inner = error;
    typeof inner === 'object' && inner !== null;
    inner = (inner as { inner?: unknown }).inner
  ) {
    if ((inner as { name?: unknown }).name === 'QuotaExceededError') return true;
  }
  return false;
}

/** A fault a person should read, with what to do about it. */
export function sentenceOf(error: unknown): string {
  if (error instanceof ActError) return error.message;
  if (isStorageFull(error)) {
    return 'The browser has no room left to save this. Export the project to a file, then make room.';
  }
  return error instanceof Error ? error.message : String(error);
}
