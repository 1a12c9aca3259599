import { type Patch, produceWithPatches } from './drafts';
import type { Project } from '../model/project';
import type { Act } from './act';
import { applyActTo } from './apply-act';

/** What an act did, as plain data that can be stored and turned round. */
export interface RecordedChange {
  patches: Patch[];
  inverse: Patch[];
}

/** Applies an act and records how to take it back. @throws ActError when it names what is not there */
export function applyRecorded(
  project: Project,
  act: Act
): { project: Project; change: RecordedChange } {
  const [next, patches, inverse] = produceWithPatches(project, (draft) => {
    applyActTo(draft, act);
  });
  return { project: next, change: { patches, inverse } };
}
