import type { Project } from '../core/model/project';
import { CHECKS, type HeadRow, type ProjectRow, type SatchelDatabase } from './database';

/** What is kept cannot be read as a project any more. */
export class StoredProjectError extends Error {}

/** Everything kept of one project, just as it lies there. */
export interface RawProject {
  head: HeadRow | undefined;
  row: ProjectRow | undefined;
  journal: unknown[];
  log: unknown[];
}

/** Keys of one project in a table whose key begins with the project's. */
export const all = (id: string): [[string, number], [string, number]] => [
  [id, -Infinity],
  [id, Infinity]
];

/** The rough shape, for what a check has passed before and something has spoilt since. */
export function looksLikeProject(value: unknown): value is Project {
  const project = value as Partial<Project> | null | undefined;
  return (
    typeof project === 'object' &&
    project !== null &&
    Array.isArray(project.scenes) &&
    Array.isArray(project.plans) &&
    project.plans.length > 0 &&
    project.plans.every((plan) => Array.isArray(plan?.lines) && Array.isArray(plan.rigs)) &&
    Array.isArray(project.ownGear)
  );
}

/** A project that older checks have passed, or none: mended where only the form is old, and checked whole. */
export async function checkedProject(db: SatchelDatabase, row: ProjectRow): Promise<Project> {
  // Checking is fetched only for what an older build has kept.
  const { checkProject, withoutNulls } = await import('../core/formats/satchel-file');
  const { faultSentence } = await import('../core/formats/faults');
  const project = withoutNulls(row.project) as Project;
  const faults = checkProject(project, 'project');
  if (faults.length > 0)
    throw new StoredProjectError(
      `The saved project cannot be read: ${faults.slice(0, 3).map(faultSentence).join(' ')}`
    );
  await db.projects.update(row.id, { project, checkedAs: CHECKS });
  return project;
}
