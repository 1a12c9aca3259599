import { addMonths, formatISO, parseISO } from 'date-fns';
import { judgePlan } from '../judge/judge-plan';
import { activePlan } from '../model/active-plan';
import type { Step } from '../model/plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { steps } from '../model/word-lists';
import { type ComingIn, comingIn, dayReached, type Saved } from '../money/savings';
import { isPaid, type MoneyStatement, type StatementLine } from '../money/statement';

/** One step of buying: what it still takes, when there is money for it, and what one can film once it is done. */
export interface BuyingStep {
  step: Step;
  lines: readonly StatementLine[];
  /** Still to pay in this step, and with every step before it. */
  toPayMinor: number;
  togetherMinor: number;
  /** The day there is money for it, as YYYY-MM-DD; undefined where savings never reach it. */
  reachedOn: string | undefined;
  /** Scenes that work with what is bought by then, by name; those that do not. */
  works: readonly string[];
  blocked: readonly string[];
}

const toPay = ({ line, firmMinor, laterMinor }: StatementLine): number =>
  line.state === 'owned' || line.state === 'returned' || isPaid(line) ? 0 : firmMinor + laterMinor;

/** Now, next and later, each with what it still takes and what it alone makes possible. */
export function buyingSteps(
  project: Project,
  shelf: Shelf,
  money: MoneyStatement,
  today: string
): BuyingStep[] {
  let together = 0;
  return steps.map((step, position): BuyingStep => {
    const lines = money.lines.filter(
      (statement) =>
        statement.line.step === step &&
        statement.line.state !== 'owned' &&
        statement.line.state !== 'returned'
    );
    const toPayMinor = lines.reduce((sum, statement) => sum + toPay(statement), 0);
    together += toPayMinor;
    const plan = activePlan(project);
    const byThen = {
      ...plan,
      lines: plan.lines.map((line) =>
        steps.indexOf(line.step) <= position
          ? { ...line, step: 'now' as const }
          : { ...line, step: 'later' as const }
      )
    };
    const { merit } = judgePlan(project, byThen, shelf);
    const named = (works: boolean) =>
      merit.scenes.flatMap((scene, index) =>
        scene.works === works ? project.scenes[index]!.name : []
      );
    return {
      step,
      lines,
      toPayMinor,
      togetherMinor: together,
      reachedOn: dayReached(together, project, today),
      works: named(true),
      blocked: named(false)
    };
  });
}

/** What there is, day by day as it comes in, until every step is reached, for some months at least. */
export function savingsByMonth(
  project: ComingIn,
  buying: readonly BuyingStep[],
  today: string
): Saved[] {
  const last = buying
    .map(({ reachedOn }) => reachedOn ?? today)
    .sort()
    .at(-1)!;
  const least = formatISO(addMonths(parseISO(today), LEAST_MONTHS), { representation: 'date' });
  const saved: Saved[] = [];
  for (const coming of comingIn(project, today)) {
    saved.push(coming);
    if (coming.day >= least && coming.day > last) break;
  }
  return saved;
}
const LEAST_MONTHS = 4;

/** A day that money depends on. */
export interface MoneyDay {
  day: string;
  /** What has to be done, or is possible from then on. */
  what: string;
}

/** Cash-back to claim, deals that end, money that comes in and steps reached, by the day; what is past is left out. */
export function moneyDays(
  money: MoneyStatement,
  buying: readonly BuyingStep[],
  today: string,
  say: (minor: number) => string,
  project: Pick<Project, 'incomes'> = {}
): MoneyDay[] {
  const claims = money.lines.flatMap(({ line, gear, inKit }): MoneyDay[] =>
    inKit && line.cashBackUntil !== undefined && line.cashBackMinor !== undefined
      ? [
          {
            day: line.cashBackUntil,
            what: `last day to claim ${say(line.cashBackMinor)} back for ${gear?.model ?? line.gearId}`
          }
        ]
      : []
  );
  const reached = buying.flatMap(({ step, reachedOn, toPayMinor }): MoneyDay[] =>
    reachedOn !== undefined && reachedOn > today && toPayMinor > 0
      ? [{ day: reachedOn, what: `enough saved for what is ${step}: ${say(toPayMinor)}` }]
      : []
  );
  const deals = money.lines.flatMap(({ line, gear, price, inKit }): MoneyDay[] =>
    inKit && line.state === 'wanted' && price?.dealEnds !== undefined
      ? [
          {
            day: price.dealEnds,
            what: `last day ${gear?.model ?? line.gearId} is ${say(price.likely)} at the ${price.source}`
          }
        ]
      : []
  );
  const incomes = (project.incomes ?? []).map(({ date, label, amountMinor }) => ({
    day: date,
    what: `${label} brings ${say(amountMinor)}`
  }));
  return [...claims, ...deals, ...incomes, ...reached]
    .filter(({ day }) => day >= today)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}
