import { makeShelf, type Shelf } from '../model/shelf';
import { activePlan } from '../model/active-plan';
import { type GearItem, pocketOf } from '../model/gear';
import type { Plan, PlanLine } from '../model/plan';
import { type Pocket, pockets } from '../model/pocket';
import type { Project } from '../model/project';
import { basisFor, payableMinor } from '../money/payable-price';

export const usedChoices = ['never', 'where cheaper', 'only'] as const;
export type UsedChoice = (typeof usedChoices)[number];

/** What the packer may do, and what it keeps its hands off. */
export interface PackRules {
  /** Pockets in which nothing changes. */
  lockedPockets: readonly Pocket[];
  /** Undefined goes by the rules of the project. */
  used?: UsedChoice;
  /** Makers nothing new is taken from. */
  excludedMakers: readonly string[];
}

export const noRules: PackRules = { lockedPockets: [], excludedMakers: [] };

/** What is packed from: the project under these rules, the parts that may come in, and the lines that stay. */
export interface PackFrame {
  project: Project;
  shelf: Shelf;
  /** Parts that may be taken in, pocket by pocket, those without a payable price left out; by their ids. */
  parts: Readonly<Record<Pocket, readonly GearItem[]>>;
  isFixed: (line: PlanLine) => boolean;
  /** Firm total beyond which nothing is looked at. */
  mostMinor: number;
}

/** Past the budget the front goes on by this share, to show what a little more would bring. */
const PAST_THE_BUDGET = 1.25;

/** A line the packer leaves alone: locked, owned, paid, sent back, for later, or in a locked pocket. */
function staysIn(line: PlanLine, gear: GearItem | undefined, locked: ReadonlySet<Pocket>): boolean {
  return (
    line.locked ||
    line.state !== 'wanted' ||
    line.step === 'later' ||
    gear === undefined ||
    locked.has(pocketOf(gear))
  );
}

function underUsedChoice(project: Project, used: UsedChoice | undefined): Project {
  if (used === undefined) return project;
  const rules = { ...project.rules };
  delete rules.onlyUsed;
  delete rules.preferUsed;
  if (used === 'only') rules.onlyUsed = true;
  if (used === 'where cheaper') rules.preferUsed = true;
  return { ...project, rules };
}

/** What a project and rules come to for the packer. */
export function frameOf(given: Project, whole: Shelf, rules: PackRules): PackFrame {
  const project = underUsedChoice(given, rules.used);
  const plan = activePlan(project);
  const inPlan = new Set(plan.lines.map(({ gearId }) => gearId));
  const excluded = new Set(rules.excludedMakers);
  const locked = new Set(rules.lockedPockets);
  const limit = project.itemLimitMinor;
  const onlyUsed = project.rules?.onlyUsed === true;
  const spendable = Math.max(0, project.limitMinor - project.reserveMinor);
  const mostMinor = Math.round(spendable * PAST_THE_BUDGET);
  const mayComeIn = (gear: GearItem): boolean => {
    const price = payableMinor(project, gear);
    if (price === undefined || price > mostMinor) return false;
    if (excluded.has(gear.maker) || (limit !== undefined && price > limit)) return false;
    const basis = basisFor(project, gear);
    return basis === 'used' ? rules.used !== 'never' : !onlyUsed;
  };
  const allowed = new Set(whole.items.filter(mayComeIn).map(({ id }) => id));
  // What joins comes from the same parts as what is joined.
  const shelf = makeShelf(whole.items.filter(({ id }) => allowed.has(id) || inPlan.has(id)));
  return {
    project,
    shelf,
    parts: Object.fromEntries(
      pockets.map((pocket) => [
        pocket,
        locked.has(pocket)
          ? []
          : shelf.items.filter((gear) => allowed.has(gear.id) && pocketOf(gear) === pocket)
      ])
    ) as unknown as PackFrame['parts'],
    isFixed: (line) => staysIn(line, shelf.byId.get(line.gearId), locked),
    mostMinor
  };
}

/** The plan with nothing in it but what stays whatever is packed. */
export function bareProject({ project, isFixed }: PackFrame): Project {
  const plan = activePlan(project);
  const lines = plan.lines.filter(isFixed);
  const there = new Set(lines.map(({ id }) => id));
  const bare: Plan = {
    ...plan,
    lines,
    rigs: plan.rigs.filter((rig) =>
      [rig.bodyLineId, rig.lensLineId, rig.micLineId, rig.supportLineId, rig.filterLineId].every(
        (id) => id === undefined || there.has(id)
      )
    )
  };
  return { ...project, plans: project.plans.map((one) => (one === plan ? bare : one)) };
}
