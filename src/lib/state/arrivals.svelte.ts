import type { Standing } from '../core/formats/compare-projects';
import type { Project } from '../core/model/project';

/** A project that comes in, and how it stands to the one kept under its id. */
export interface Arrival {
  /** Tells arrivals of one file apart: two may bring the same project. */
  key: string;
  project: Project;
  marks: readonly string[];
  standing: Standing;
  /** The kept one it would meet. */
  meets: { name: string; savedAt: number } | undefined;
}

/** What came in with a file and waits for a choice; apart from the library, which is fetched when it is asked for. */
class Arrivals {
  waiting = $state.raw<Arrival[] | undefined>(undefined);
}

export const arrivals = new Arrivals();
