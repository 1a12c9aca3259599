import { judgePlan } from '../judge/judge-plan';
import type { Judgement } from '../judge/judgement';
import { compareKits, type KitMerit } from '../merit/kit-merit';
import { activePlan } from '../model/active-plan';
import type { Plan } from '../model/plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';

/** A whole kit that was judged: what it holds, costs and is worth. */
export interface PackedKit {
  lines: Plan['lines'];
  rigs: Plan['rigs'];
  priceMinor: number;
  merit: KitMerit;
}

/** How kits compare; those that do nothing yet are told apart by what they would be worth. */
export const compareWorth = (a: KitMerit, b: KitMerit): number =>
  compareKits(a, b) || a.onceSettledHundredths - b.onceSettledHundredths;

/** Every scene that must work does. */
export const filmsAll = ({ mustDoWorking, mustDoScenes }: KitMerit): boolean =>
  mustDoWorking === mustDoScenes;

export function judged(project: Project, shelf: Shelf): Judgement {
  return judgePlan(project, activePlan(project), shelf);
}

export function kitOf(project: Project, { merit, money }: Judgement): PackedKit {
  const { lines, rigs } = activePlan(project);
  return { lines, rigs, priceMinor: money.firmMinor, merit };
}

/** A project with another kit in its plan. */
export function withKit(
  project: Project,
  { lines, rigs }: Pick<PackedKit, 'lines' | 'rigs'>
): Project {
  const plan = activePlan(project);
  return {
    ...project,
    plans: project.plans.map((other) => (other === plan ? { ...plan, lines, rigs } : other))
  };
}
