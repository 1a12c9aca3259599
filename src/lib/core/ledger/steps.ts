import { addMonths, formatISO, parseISO, startOfMonth } from 'date-fns';
import { judgePlan } from '../judge/judge-plan';
import { activePlan } from '../model/active-plan';
import type { Step } from '../model/plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { steps } from '../model/word-lists';
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

/** Savings that take longer than this are never. */
const MOST_MONTHS = 600;

/**
 * The day on which there is so much money: today if it is in hand, else the first of a month, when what is put aside
 * comes in.
 *
 * @param today YYYY-MM-DD
 */
export function dayReached(
  neededMinor: number,
  inHandMinor: number,
  perMonthMinor: number,
  today: string
): string | undefined {
  if (neededMinor <= inHandMinor) return today;
  if (perMonthMinor <= 0) return undefined;
  const months = Math.ceil((neededMinor - inHandMinor) / perMonthMinor);
  if (months > MOST_MONTHS) return undefined;
  return formatISO(addMonths(startOfMonth(parseISO(today)), months), { representation: 'date' });
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
  return steps.map((step, at): BuyingStep => {
    const lines = money.lines.filter(
      (one) => one.line.step === step && one.line.state !== 'owned' && one.line.state !== 'returned'
    );
    const toPayMinor = lines.reduce((sum, one) => sum + toPay(one), 0);
    together += toPayMinor;
    const plan = activePlan(project);
    const byThen = {
      ...plan,
      lines: plan.lines.map((line) =>
        steps.indexOf(line.step) <= at
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
      reachedOn: dayReached(
        together,
        project.inHandMinor ?? 0,
        project.savedPerMonthMinor ?? 0,
        today
      ),
      works: named(true),
      blocked: named(false)
    };
  });
}

/** Money there is on a day. */
export interface Saved {
  day: string;
  minor: number;
}

/** Savings month by month until every step is reached, for a year at least. */
export function savingsByMonth(
  project: Project,
  buying: readonly BuyingStep[],
  today: string
): Saved[] {
  const { inHandMinor = 0, savedPerMonthMinor = 0 } = project;
  const last = buying
    .map(({ reachedOn }) => reachedOn ?? today)
    .sort()
    .at(-1)!;
  const saved: Saved[] = [{ day: today, minor: inHandMinor }];
  const first = startOfMonth(parseISO(today));
  for (let month = 1; month <= MOST_MONTHS; month++) {
    const day = formatISO(addMonths(first, month), { representation: 'date' });
    saved.push({ day, minor: inHandMinor + month * savedPerMonthMinor });
    if (month >= LEAST_MONTHS && day > last) break;
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

/** Cash-back to claim and steps reached, by the day; what is past is left out. */
export function moneyDays(
  money: MoneyStatement,
  buying: readonly BuyingStep[],
  today: string,
  say: (minor: number) => string
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
  return [...claims, ...reached]
    .filter(({ day }) => day >= today)
    .sort((one, other) => (one.day < other.day ? -1 : one.day > other.day ? 1 : 0));
}
