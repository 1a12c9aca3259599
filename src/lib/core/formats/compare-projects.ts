import type { GearItem } from '../model/gear';
import { asStatedGear } from '../money/priced-shelf';
import type { Project } from '../model/project';

/**
 * How a project that comes in stands to the one kept under its id. `unknown` means that they differ and
 * no file both have passed through says which came first.
 */
export type Standing = 'new' | 'same' | 'older' | 'newer' | 'both changed' | 'unknown';

/** The project kept here, with the files it has passed through. */
export interface KeptState {
  project: Project;
  /** Marks of files, oldest first. */
  marks: readonly string[];
  /** Something was done since the last mark. */
  changedSince: boolean;
}

/** JSON with the keys of every object in order, so that the order of writing does not count. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_, nested: unknown) =>
    typeof nested === 'object' && nested !== null && !Array.isArray(nested)
      ? Object.fromEntries(Object.entries(nested).sort(([a], [b]) => (a < b ? -1 : 1)))
      : nested
  );
}

export const sameProject = (a: Project, b: Project): boolean => canonical(a) === canonical(b);

/** Two parts that state the same, prices as their sellers state them. */
export const sameGear = (a: GearItem, b: GearItem): boolean =>
  canonical(asStatedGear(a)) === canonical(asStatedGear(b));

/**
 * Every file carries the marks of the files its project has passed through, its own last. A project that
 * has passed through the file's own mark has only gone on from it; a file that has passed through the
 * last mark of a project unchanged since has gone on from that.
 */
export function standingOf(
  incoming: { project: Project; marks: readonly string[] },
  kept: KeptState | undefined
): Standing {
  if (!kept) return 'new';
  if (sameProject(incoming.project, kept.project)) return 'same';
  const own = incoming.marks.at(-1);
  const last = kept.marks.at(-1);
  const goneOn = own !== undefined && kept.marks.includes(own);
  const behind = last !== undefined && incoming.marks.includes(last);
  if (goneOn) return 'older';
  if (behind) return kept.changedSince ? 'both changed' : 'newer';
  return kept.marks.some((mark) => incoming.marks.includes(mark)) ? 'both changed' : 'unknown';
}
