import type { ChanceId } from '../model/rehearsal';
import { chanceIds } from '../model/word-lists';
import type { Luck } from './day-outcome';
import { deviation, drawn, keyOf } from './draws';

/** Whoever does not play a take back notices a fault after every other one. */
const NOTICED_SHARE = 0.5;
/** How many takes of one day are told apart in a draw. */
const TAKES_APART = 1000;

const chanceKey = Object.fromEntries(chanceIds.map((chance) => [chance, keyOf(chance)])) as Record<
  ChanceId,
  number
>;
const NOTICED_KEY = keyOf('noticed');
const HEAT_KEY = keyOf('heat');

/** What chance does on one day; without luck everything goes as planned. */
export class DayLuck {
  /** The day of those away. */
  #day = 0;

  constructor(
    private readonly luck: Luck | undefined,
    private readonly chances: Readonly<Record<ChanceId, number>>
  ) {}

  begin(day: number): void {
    this.#day = day;
  }

  /** @param whom and which time it could happen to them */
  happens(chance: ChanceId, whom: number, index: number, share?: number): boolean {
    const { luck } = this;
    return (
      luck !== undefined &&
      drawn(luck.seed, luck.day, chanceKey[chance] ^ whom, this.#day * TAKES_APART + index) <
        (share ?? this.chances[chance])
    );
  }

  /** Whether somebody sees by and by that a take has a fault. */
  isNoticed(whom: number, take: number): boolean {
    const { luck } = this;
    return (
      luck !== undefined &&
      drawn(luck.seed, luck.day, NOTICED_KEY ^ whom, this.#day * TAKES_APART + take) < NOTICED_SHARE
    );
  }

  /** A figure that varies from day to day, never below half of itself. */
  spread(chance: ChanceId, whom: number): number {
    const { luck } = this;
    if (!luck) return 1;
    const off = deviation(luck.seed, luck.day, chanceKey[chance] ^ whom, this.#day);
    return Math.max(0.5, 1 + off * this.chances[chance]);
  }

  /** How slowly a body warms, from 0 to 1: it is so on all days away. */
  slowness(warming: number): number {
    const { luck } = this;
    return luck ? drawn(luck.seed, luck.day, HEAT_KEY, warming) : 0.5;
  }
}
