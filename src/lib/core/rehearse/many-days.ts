import type { DayPlan } from './planned-day';
import type { Cause, LostTake } from './day-outcome';
import { runDay } from './run-day';

/** How many days are run unless somebody says otherwise. */
export const DAYS_RUN = 1000;

/** What is to blame for lost takes, a part or a chance, and for how many. */
export interface Blame {
  cause: Cause;
  lineId: string | undefined;
  name: string | undefined;
  takes: number;
}

/** A share with the interval it lies in with 95 in 100. */
export interface ShareWithin {
  share: number;
  low: number;
  high: number;
}

/** What many days of one plan came to, so far. */
export interface ManyDays {
  seed: number;
  /** How many were run, of how many. */
  days: number;
  of: number;
  /** Takes of one day. */
  takes: number;
  /** How many days lost so many takes, from none up. */
  byLost: readonly number[];
  lostTakes: number;
  whole: ShareWithin;
  /** Lost takes of a day on the mean, and its 95-in-100 interval. */
  meanLost: { mean: number; low: number; high: number };
  /** The most to blame first. */
  blames: readonly Blame[];
  /** The share of whole days after so many days, as it settles. */
  settling: readonly (readonly [days: number, share: number])[];
  /** A day of each kind to look at: one that loses as many as the middle one does, and the worst. */
  middleDay: number;
  worstDay: number;
}

/** Days run between two looks at what there is so far. */
const DAYS_A_STEP = 25;
/** Two-sided, 95 in 100. */
const Z = 1.96;

/**
 * The interval of a share, by Wilson: it holds near none and near all, where the plain one falls short.
 *
 * @example wilson(8, 10) // { share: 0.8, low: 0.490, high: 0.943 }
 */
export function wilson(happened: number, of: number): ShareWithin {
  if (of === 0) return { share: 0, low: 0, high: 1 };
  const share = happened / of;
  const square = (Z * Z) / of;
  const middle = (share + square / 2) / (1 + square);
  const half = (Z / (1 + square)) * Math.sqrt((share * (1 - share)) / of + square / (4 * of));
  return { share, low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/** Runs many days of a plan, and tells now and then what they came to so far. */
export function* runningDays(
  plan: DayPlan,
  of = DAYS_RUN,
  seed = plan.seed
): Generator<ManyDays, ManyDays, void> {
  const tally = new Tally(seed, of);
  for (let day = 0; day < of; day++) {
    tally.add(day, runDay(plan, { seed, day }));
    if ((day + 1) % DAYS_A_STEP === 0 && day + 1 < of) yield tally.sofar();
  }
  return tally.sofar();
}

/** The same to its end, at once. */
export function runDays(plan: DayPlan, of = DAYS_RUN, seed = plan.seed): ManyDays {
  const running = runningDays(plan, of, seed);
  for (;;) {
    const step = running.next();
    if (step.done) return step.value;
  }
}

class Tally {
  private days = 0;
  private takes = 0;
  private lostTakes = 0;
  private squares = 0;
  private readonly lostOf: number[] = [];
  private readonly byLost: number[] = [0];
  private readonly blames = new Map<string, Blame>();
  private readonly settling: [number, number][] = [];

  constructor(
    private readonly seed: number,
    private readonly of: number
  ) {}

  add(day: number, { takes, lost }: { takes: number; lost: readonly LostTake[] }): void {
    this.days += 1;
    this.takes = takes;
    this.lostOf[day] = lost.length;
    this.lostTakes += lost.length;
    this.squares += lost.length ** 2;
    while (this.byLost.length <= lost.length) this.byLost.push(0);
    this.byLost[lost.length]! += 1;
    for (const { cause, lineId, name } of lost) {
      const key = `${cause} ${lineId ?? ''}`;
      const blame = this.blames.get(key);
      if (blame) blame.takes += 1;
      else this.blames.set(key, { cause, lineId, name, takes: 1 });
    }
    if (this.days % 10 === 0) this.settling.push([this.days, this.byLost[0]! / this.days]);
  }

  sofar(): ManyDays {
    const { days, lostTakes } = this;
    const mean = days > 0 ? lostTakes / days : 0;
    const variance = days > 1 ? (this.squares - days * mean * mean) / (days - 1) : 0;
    const half = Z * Math.sqrt(Math.max(0, variance) / Math.max(1, days));
    const sorted = [...this.lostOf].sort((a, b) => a - b);
    return {
      seed: this.seed,
      days,
      of: this.of,
      takes: this.takes,
      byLost: [...this.byLost],
      lostTakes,
      whole: wilson(this.byLost[0]!, days),
      meanLost: { mean, low: Math.max(0, mean - half), high: mean + half },
      blames: [...this.blames.values()]
        .map((blame) => ({ ...blame }))
        .sort(
          (a, b) =>
            b.takes - a.takes ||
            a.cause.localeCompare(b.cause) ||
            (a.lineId ?? '').localeCompare(b.lineId ?? '')
        ),
      settling: [...this.settling],
      middleDay: Math.max(0, this.lostOf.indexOf(sorted[Math.floor((days - 1) / 2)] ?? 0)),
      worstDay: Math.max(0, this.lostOf.indexOf(sorted.at(-1) ?? 0))
    };
  }
}
