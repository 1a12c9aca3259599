import { calmKit, judged, line } from '../../judge/tests/calm-kit';
import { activePlan } from '../../model/active-plan';
import type { Project } from '../../model/project';
import { figureOf, stateOf } from '../record';
import type { FigureId } from '../table';

/** The record of an angle, all judged from nothing. */
export const recordOf = (project: Project, index = 0) => judged(project).angles[index]!.record;
export const figure = (project: Project, id: FigureId, index = 0) =>
  figureOf(recordOf(project, index), id);
export const state = (project: Project, id: FigureId, index = 0) =>
  stateOf(recordOf(project, index), id);

/** The calm kit with something changed. */
export function made(change: (project: Project) => void): Project {
  const project = calmKit();
  change(project);
  return project;
}
export const add = (project: Project, ...gearIds: string[]) =>
  activePlan(project).lines.push(...gearIds.map((id) => line(id)));
export const lineOf = (project: Project, gearId: string) =>
  activePlan(project).lines.find((line) => line.gearId === gearId)!;
export const pieces = (project: Project, gearId: string, quantity: number) => {
  lineOf(project, gearId).quantity = quantity;
};
export const scene = (project: Project) => project.scenes[0]!;
export const angle = (project: Project) => scene(project).angles[0]!;

/** A second angle at the same time, with one more body in the kit for it. */
export function twoAtOnce(project: Project, secondBody: string): void {
  scene(project).angles.push({ ...angle(project), id: 'b' });
  add(project, secondBody);
}
