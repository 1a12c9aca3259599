import { makeShelf, type Shelf } from '../model/shelf';
import { activePlan } from '../model/active-plan';
import { type GearItem, pocketOf } from '../model/gear';
import type { Plan, PlanLine, PriceBasis } from '../model/plan';
import { rigLines } from '../model/rig-lines';
import { type Pocket, pockets } from '../model/pocket';
import type { Project } from '../model/project';
import { NO_PART } from '../model/word-lists';
import { basisFor, priceOf as statedPrice } from '../money/payable-price';

export const usedChoices = ['never', 'where cheaper', 'only'] as const;
export type UsedChoice = (typeof usedChoices)[number];

/** What the packer may do, and what it keeps its hands off. */
export interface PackRules {
  /** Pockets in which nothing changes. */
  lockedPockets: readonly Pocket[];
  /** Undefined goes by the rules of the project. */
  used?: UsedChoice;
  /** Makers of whose parts none is in a kit, but what stays whatever is packed. */
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
  /** How a part is bought, and what is likely paid for it. */
  basisOf: (gear: GearItem) => PriceBasis;
  priceOf: (gear: GearItem) => number | undefined;
  /** Whether a kit leaves what stays as it is, and buys as the rules say. */
  respects: (lines: readonly PlanLine[]) => boolean;
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

/**
 * What a project and rules come to for the packer.
 *
 * @param upTo firm total looked at, in place of a quarter past the budget
 */
export function frameOf(given: Project, whole: Shelf, rules: PackRules, upTo?: number): PackFrame {
  const project = underUsedChoice(given, rules.used);
  const plan = activePlan(project);
  const inPlan = new Set(plan.lines.map(({ gearId }) => gearId));
  const excluded = new Set(rules.excludedMakers);
  const locked = new Set(rules.lockedPockets);
  const limit = project.itemLimitMinor;
  const onlyUsed = project.rules?.onlyUsed === true;
  const spendable = Math.max(0, project.limitMinor - project.reserveMinor);
  const mostMinor = upTo ?? Math.round(spendable * PAST_THE_BUDGET);
  // What the plan buys used or new is bought so, unless the rules are asked for by name.
  const chosenBasis = new Map(
    rules.used === undefined ? plan.lines.map(({ gearId, basis }) => [gearId, basis] as const) : []
  );
  const basisOf = (gear: GearItem) => chosenBasis.get(gear.id) ?? basisFor(project, gear);
  const priceOf = (gear: GearItem) => {
    const price = statedPrice(gear, basisOf(gear));
    return price?.currency === project.currency ? price.likely : undefined;
  };
  const mayComeIn = (gear: GearItem): boolean => {
    const price = priceOf(gear);
    if (price === undefined || price > mostMinor) return false;
    if (locked.has(pocketOf(gear)) || excluded.has(gear.maker)) return false;
    if (limit !== undefined && price > limit) return false;
    return basisOf(gear) === 'used' ? rules.used !== 'never' : !onlyUsed;
  };
  const allowed = new Set(whole.items.filter(mayComeIn).map(({ id }) => id));
  // What joins comes from the same parts as what is joined.
  const shelf = makeShelf(whole.items.filter(({ id }) => allowed.has(id) || inPlan.has(id)));
  const fixed = new Map(
    plan.lines
      .filter((line) => staysIn(line, shelf.byId.get(line.gearId), locked))
      .map(({ id, quantity }) => [id, quantity] as const)
  );
  return {
    project,
    shelf,
    parts: Object.fromEntries(
      pockets.map((pocket) => [
        pocket,
        shelf.items.filter((gear) => allowed.has(gear.id) && pocketOf(gear) === pocket)
      ])
    ) as unknown as PackFrame['parts'],
    basisOf,
    priceOf,
    respects: (lines) => {
      for (const [id, quantity] of fixed)
        if (lines.find((line) => line.id === id)?.quantity !== quantity) return false;
      return lines.every((line) => {
        if (fixed.has(line.id)) return true;
        const gear = shelf.byId.get(line.gearId);
        if (gear && (locked.has(pocketOf(gear)) || excluded.has(gear.maker))) return false;
        return rules.used === 'only'
          ? line.basis === 'used'
          : rules.used !== 'never' || line.basis === 'new';
      });
    },
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
      rigLines.every((field) => {
        const id = rig[field];
        return id === undefined || id === NO_PART || there.has(id);
      })
    )
  };
  return { ...project, plans: project.plans.map((other) => (other === plan ? bare : other)) };
}
