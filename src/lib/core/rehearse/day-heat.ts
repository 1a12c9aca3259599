import { BODY_HEAT_LIMIT_C } from '../figures/heat-rows';
import type { DayLuck } from './day-luck';
import type { Witness } from './day-outcome';
import type { DayState } from './day-state';
import { heatAfter, type HeatCurve, heatCurve, minutesUntil, RESTART_C } from './heating';
import type { DayPlan, Filming } from './planned-day';

/** A curve is drawn through a point every so often. */
const HEAT_SEEN_EVERY_MIN = 2;

/** Bodies that warm while they film and cool in between. */
export class DayHeat {
  /** By warming body, how slowly it warms on this day. */
  readonly #slowness: readonly number[];
  /** By warming body, how it cools: the air is put in where it stands. */
  readonly #timeConstants: readonly number[];
  /** Those that have switched themselves off. */
  readonly #tooHot = new Set<number>();

  constructor(
    plan: DayPlan,
    private readonly state: DayState,
    luck: DayLuck,
    private readonly witness: Witness | undefined
  ) {
    this.#slowness = plan.warming.map((_, index) => luck.slowness(index));
    this.#timeConstants = plan.warming.map(
      ({ quickMin, slowMin }, index) => quickMin * (slowMin / quickMin) ** this.#slowness[index]!
    );
  }

  curveOf(heat: NonNullable<Filming['heat']>, heatAt: number): HeatCurve {
    return heatCurve(heat, this.#slowness[heatAt]!);
  }

  minutesToLimit(heatAt: number, curve: HeatCurve): number {
    return minutesUntil(this.state.heatC[heatAt]!, curve, BODY_HEAT_LIMIT_C);
  }

  /** Until a body that has switched itself off may go on; 0 where it has not. Asked once for each time it was too hot. */
  minutesToRestart(heatAt: number, airC: number): number {
    if (!this.#tooHot.delete(heatAt)) return 0;
    const curve = { endC: airC, timeConstantMin: this.#timeConstants[heatAt]! };
    return minutesUntil(this.state.heatC[heatAt]!, curve, RESTART_C);
  }

  warm(fromMin: number, heatAt: number, curve: HeatCurve, minutes: number, toLimit: boolean): void {
    const { state, witness } = this;
    const was = state.heatC[heatAt]!;
    if (witness)
      for (let after = HEAT_SEEN_EVERY_MIN; after < minutes; after += HEAT_SEEN_EVERY_MIN)
        witness.heat(fromMin + after, heatAt, heatAfter(was, curve, after));
    state.heatC[heatAt] = toLimit ? BODY_HEAT_LIMIT_C : heatAfter(was, curve, minutes);
    if (toLimit) this.#tooHot.add(heatAt);
  }

  cool(minutes: number, airC: number): void {
    const { heatC } = this.state;
    for (const [index, timeConstantMin] of this.#timeConstants.entries())
      heatC[index] = heatAfter(heatC[index]!, { endC: airC, timeConstantMin }, minutes);
  }
}
