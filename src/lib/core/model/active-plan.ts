import type { Plan } from './plan';
import type { Project } from './project';

/** The plan the views show. */
export function activePlan(project: Project): Plan {
  return project.plans.find((plan) => plan.id === project.activePlanId) ?? project.plans[0]!;
}
