import type { Act } from '../acts/act';
import type { Finding } from '../findings/finding';
import type { Judgement } from '../judge/judgement';
import { judgePlan } from '../judge/judge-plan';
import { newLine } from '../model/new-line';
import { fullName, type GearItem } from '../model/gear';
import type { Plan, PlanLine } from '../model/plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';

/** One plan as it stands in the comparison. */
export interface ComparedPlan {
  plan: Plan;
  judgement: Judgement;
}

/** A part that the plans do not hold alike, with the line of each plan; undefined where it has none. */
export interface DifferingLine {
  gearId: string;
  gear: GearItem | undefined;
  name: string;
  lines: readonly (PlanLine | undefined)[];
}

/** What stands in the way in some plans and not in all, in its own words. */
export interface DifferingFinding {
  title: string;
  severity: 'stop' | 'warn';
  /** Plan by plan, whether it stands. */
  stands: readonly boolean[];
}

export interface PlanComparison {
  plans: readonly ComparedPlan[];
  lines: readonly DifferingLine[];
  findings: readonly DifferingFinding[];
  /** Parts that all of them hold alike. */
  alike: number;
}

const tells = ({ severity }: Finding): boolean => severity === 'stop' || severity === 'warn';

/** What makes two lines of one part the same choice. */
const choiceOf = (line: PlanLine | undefined): string =>
  line ? `${line.quantity} ${line.basis} ${line.step} ${line.state}` : '';

/** Two to four plans side by side: only what differs, and what comes of it. */
export function comparePlans(
  project: Project,
  shelf: Shelf,
  plans: readonly Plan[]
): PlanComparison {
  const compared = plans.map((plan): ComparedPlan => ({
    plan,
    judgement: judgePlan(project, plan, shelf)
  }));
  const gearIds = [...new Set(plans.flatMap(({ lines }) => lines.map(({ gearId }) => gearId)))];
  const rows = gearIds.map((gearId): DifferingLine => {
    const gear = shelf.byId.get(gearId);
    return {
      gearId,
      gear,
      name: gear ? fullName(gear) : gearId,
      lines: plans.map(({ lines }) => lines.find((line) => line.gearId === gearId))
    };
  });
  const lines = rows.filter(({ lines: of }) => new Set(of.map(choiceOf)).size > 1);
  // The same thing said with another figure is the same thing: only what some plans lack altogether differs.
  const found = compared.map(
    ({ judgement }) =>
      new Map(judgement.findings.filter(tells).map((finding) => [finding.key, finding]))
  );
  const findings = [...new Set(found.flatMap((of) => [...of.keys()]))]
    .map((key): DifferingFinding => {
      const stands = found.map((of) => of.has(key));
      const all = found.flatMap((of) => of.get(key) ?? []);
      return {
        title: all[0]!.title(),
        severity: all.some(({ severity }) => severity === 'stop') ? 'stop' : 'warn',
        stands
      };
    })
    .filter(({ stands }) => new Set(stands).size > 1)
    .sort((a, b) => (a.severity === b.severity ? 0 : a.severity === 'stop' ? -1 : 1));
  return { plans: compared, lines, findings, alike: rows.length - lines.length };
}

/**
 * Takes the choice of another plan into the plan that is shown: its line comes, is changed or goes.
 *
 * @returns undefined where both choose alike
 */
export function takeAcross(
  shown: Plan,
  { gear, lines }: DifferingLine,
  from: PlanLine | undefined
): Act | undefined {
  const own = shown.lines.find((line) => line.gearId === (gear?.id ?? lines.find(Boolean)?.gearId));
  if (choiceOf(own) === choiceOf(from)) return undefined;
  if (!from) return own && { type: 'remove line', lineId: own.id };
  const { quantity, basis, step, state } = from;
  if (own) return { type: 'change line', lineId: own.id, patch: { quantity, basis, step, state } };
  if (!gear) return undefined;
  return { type: 'add line', line: { ...newLine(shown, gear, quantity, basis), step, state } };
}
