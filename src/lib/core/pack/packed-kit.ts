import { figureOf } from '../figures/record';
import { judgePlan } from '../judge/judge-plan';
import type { Judgement } from '../judge/judgement';
import { compareKits, type KitMerit } from '../merit/kit-merit';
import { activePlan } from '../model/active-plan';
import type { Plan } from '../model/plan';
import type { Project } from '../model/project';
import { pockets } from '../model/pocket';
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

/** What the person has set beside the budget is kept to: pockets, the price of one part, weight, time, switches. */
export function keepsLimits(project: Project, { money, angles, kit }: Judgement): boolean {
  for (const pocket of pockets) {
    const { firmMinor, limitMinor } = money.pockets[pocket];
    // What stays whatever is packed may lie over it already; then the limit says nothing about the rest.
    if (limitMinor !== undefined && firmMinor > limitMinor) {
      const free = money.lines.some(
        ({ line, pocket: own }) => own === pocket && line.state === 'wanted' && !line.locked
      );
      if (free) return false;
    }
  }
  const { carriedLimitKg, setUpLimitMin, switchLimit } = project;
  if (carriedLimitKg !== undefined && kit.parts.length > 0)
    for (const { record } of angles)
      if ((figureOf(record, 'carriedMass') ?? 0) > carriedLimitKg) return false;
  for (const { record } of angles) {
    if (setUpLimitMin !== undefined && (figureOf(record, 'setUp') ?? 0) > setUpLimitMin)
      return false;
    if (switchLimit !== undefined && (figureOf(record, 'switches') ?? 0) > switchLimit)
      return false;
  }
  return true;
}
