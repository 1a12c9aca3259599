import { shelfOf } from '../catalogue/load-catalogue';
import { rememberRigs } from '../core/judge/best-rig/place-best-rigs';
import { activePlan } from '../core/model/active-plan';
import type { Project } from '../core/model/project';
import { asOfToday } from './as-of-today';

/** From here on choosing the parts of every angle takes longer than a page may be held up on a slow machine. */
const LONG_ANGLES_BY_LINES = 150;
export const isLong = (project: Project): boolean =>
  project.scenes.flatMap(({ angles }) => angles).length * activePlan(project).lines.length >
  LONG_ANGLES_BY_LINES;

/** Has the parts of every angle chosen in the worker, which would hold up the page; where that fails, it does. */
export async function chooseRigsAhead(project: Project): Promise<void> {
  const judged = asOfToday(project);
  try {
    const chosen = await (
      await import('../workers/connect-judge')
    ).askJudge((judge, send) => judge.chooseRigs(send(judged)));
    rememberRigs(judged, activePlan(judged), shelfOf(judged), chosen);
  } catch {
    // Nothing is remembered, and the page chooses by itself.
  }
}
