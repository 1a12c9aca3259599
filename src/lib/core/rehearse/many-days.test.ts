import { describe, expect, it } from 'vitest';
import { runDays, runningDays, wilson } from './many-days';
import { runDay } from './run-day';
import { battery, day, noChance, scene } from './tests/made-day';

const plan = day({
  pieces: [battery(0, 1000), battery(1, 1000)],
  scenes: [scene({ isOutdoors: true, windMps: 5 })],
  chances: { ...noChance, gust: 0.1 }
});

describe('many days', () => {
  it('come out as the chance of one take says', () => {
    const many = runDays(plan, 4000);
    // Five takes at one in ten: 0.9⁵ = 0.590 days whole, half a take lost a day.
    expect(many.whole.share).toBeCloseTo(0.59, 1);
    expect(many.whole.low).toBeLessThan(0.59049);
    expect(many.whole.high).toBeGreaterThan(0.59049);
    expect(many.meanLost.low).toBeLessThan(0.5);
    expect(many.meanLost.high).toBeGreaterThan(0.5);
    // One lost: 5 × 0.1 × 0.9⁴ = 0.328.
    expect(many.byLost[1]! / 4000).toBeCloseTo(0.328, 1);
    expect(many.blames).toEqual([
      { cause: 'gust', lineId: undefined, name: undefined, takes: many.lostTakes }
    ]);
  });

  it('add up, name a day of each kind, and settle', () => {
    const many = runDays(plan, 500);
    expect(many.byLost.reduce((sum, days) => sum + days, 0)).toBe(500);
    expect(many.byLost.reduce((sum, days, lost) => sum + days * lost, 0)).toBe(many.lostTakes);
    const lostOn = (on: number) => runDay(plan, { seed: many.seed, day: on }).lost.length;
    expect(lostOn(many.worstDay)).toBe(many.byLost.length - 1);
    const sorted = Array.from({ length: 500 }, (_, on) => lostOn(on)).sort((a, b) => a - b);
    expect(lostOn(many.middleDay)).toBe(sorted[249]);
    expect(many.settling).toHaveLength(50);
    expect(many.settling.at(-1)).toEqual([500, many.whole.share]);
  });

  it('tell what they have so far, and end as they would at once', () => {
    const running = runningDays(plan, 100);
    const told = [];
    for (;;) {
      const step = running.next();
      told.push(step.value.days);
      if (step.done) {
        expect(step.value).toEqual(runDays(plan, 100));
        break;
      }
    }
    expect(told).toEqual([25, 50, 75, 100]);
  });
});

describe('the interval of a share', () => {
  it.each([
    // By the formula on paper, z 1.96.
    [8, 10, 0.4902, 0.9433],
    [0, 20, 0, 0.1611],
    [20, 20, 0.8389, 1],
    [0, 0, 0, 1]
  ])('of %s in %s is %s to %s', (happened, of, low, high) => {
    const found = wilson(happened, of);
    expect(found.low).toBeCloseTo(low, 3);
    expect(found.high).toBeCloseTo(high, 3);
  });
});
