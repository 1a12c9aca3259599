import { describe, expect, it } from 'vitest';
import { dropOutShare } from './chances';
import { dayStory } from './day-words';
import type { DayPlan } from './planned-day';
import { runDay } from './run-day';
import { showDay } from './shown-day';
import { battery, day, filming, noChance, scene } from './tests/made-day';

/** Two days of four takes of 25 minutes at 10 W: each leaves 1.67 Wh in either of two batteries of 10 Wh. */
const twoDays = (more: Partial<DayPlan> = {}): DayPlan =>
  day({ days: 2, hasSocketAtNight: true, scenes: [scene({ takes: 4 })], ...more });
const bay = (watts: number) => ({ type: 'Knot', watts });
const lostOf = (plan: DayPlan) =>
  runDay(plan).lost.map(({ day: on, take, cause }) => [on, take, cause]);
const told = (plan: DayPlan) => dayStory(showDay(plan)).map(({ text }) => text);

describe('a night at a socket', () => {
  it('fills one battery after the other while somebody is up to change them', () => {
    // 7 W in the bay are 5 W in the battery: 100 minutes each, the second begun before two hours are over.
    const plan = twoDays({ bays: [bay(7)] });
    expect(lostOf(plan)).toEqual([]);
    // And again on the last evening.
    expect(runDay(plan).books.chargedWh).toBeCloseTo(4 * (25 / 3) - 25 / 3 + 10 / 6, 6);
  });

  it('leaves empty what nobody is up to put in', () => {
    // 2.5 W: the first takes 200 minutes, and then one is asleep. It does two takes, the other has ten minutes.
    const plan = twoDays({ bays: [bay(3.5)] });
    expect(lostOf(plan)).toEqual([
      [1, 2, 'battery empty'],
      [1, 3, 'battery empty']
    ]);
    expect(told(plan)).toContain('Battery 1 is not full on 1 of 1 mornings.');
    expect(lostOf({ ...plan, bays: [bay(3.5), bay(3.5)] })).toEqual([]);
  });

  it('gives nothing without a bay for them, and nothing to what is forgotten', () => {
    const three = [
      [1, 0],
      [1, 1],
      [1, 2],
      [1, 3]
    ].map((row) => [...row, 'battery empty']);
    expect(lostOf(twoDays())).toEqual(three);
    expect(lostOf(twoDays({ bays: [{ type: 'Reef', watts: 20 }] }))).toEqual(three);
    const forgotten = runDay(
      twoDays({ bays: [bay(7)], chances: { ...noChance, 'battery not charged': 1 } }),
      { seed: 1, day: 1 }
    );
    expect(forgotten.lost.filter(({ day: on }) => on === 1)).toHaveLength(4);
  });

  it('fills what is built in and the banks without a bay', () => {
    const plan = twoDays({ pieces: [{ ...battery(0, 20), isBuiltIn: true }, battery(1, 0)] });
    expect(lostOf(plan)).toEqual([]);
  });

  const recorded = (more: Partial<DayPlan> = {}) =>
    twoDays({
      days: 3,
      pieces: [battery(0, 1000), battery(1, 1000)],
      cards: [
        { lineId: 'card', name: 'Marl 12', gigabytes: 12, isBuiltIn: false, key: 1 },
        { lineId: 'inside', name: 'the storage', gigabytes: 1, isBuiltIn: true, key: 2 }
      ],
      recordings: [{ lineId: 'camera', name: 'Camera', cards: [0] }],
      scenes: [scene({ takes: 4, filming: [filming({ recording: 0, gigabytesPerMin: 0.05 })] })],
      ...more
    });

  it('copies cards one after the other, and a machine that is none of the kit copies them all', () => {
    expect(lostOf(recorded())).toEqual([]);
    expect(lostOf(recorded({ copyGbPerMin: 0.1 }))).toEqual([]);
    // Five gigabytes a day take longer than the night: the third day has two left, a take and a half.
    const slow = recorded({ copyGbPerMin: 0.001 });
    expect(lostOf(slow)).toEqual([
      [2, 1, 'card full'],
      [2, 2, 'card full'],
      [2, 3, 'card full']
    ]);
    expect(told(slow)).toContain('Marl 12 still has files on it on 2 of 2 mornings.');
  });

  it('tells what went through it', () => {
    expect(told(recorded({ copyGbPerMin: 0.1, bays: [bay(20)] }))).toContain(
      '3 days used 50 Wh and wrote 15 GB; the socket gave 50 Wh in all evenings and nights, and 10 GB were copied on the way.'
    );
  });
});

describe('a radio', () => {
  it('drops out as stated well within reach, one take in two at its edge, always at twice it', () => {
    expect(dropOutShare(0.01, 0)).toBe(0.01);
    expect(dropOutShare(0.01, 0.5)).toBe(0.01);
    expect(dropOutShare(0.01, 0.75)).toBeCloseTo(0.0707, 4);
    expect(dropOutShare(0.01, 1)).toBe(0.5);
    expect(dropOutShare(0.01, 2)).toBe(1);
    expect(dropOutShare(0.01, 9)).toBe(1);
    // Whoever says never, means it; and whoever says worse, gets no better.
    expect(dropOutShare(0, 3)).toBe(0);
    expect(dropOutShare(0.8, 1)).toBe(0.8);
    for (let stretch = 0; stretch < 2.5; stretch += 0.05)
      expect(dropOutShare(0.02, stretch + 0.05)).toBeGreaterThanOrEqual(
        dropOutShare(0.02, stretch)
      );
  });

  it('loses takes by how far off one stands', () => {
    const lost = (radioStretch: number) =>
      Array.from({ length: 200 }, (_, on) =>
        runDay(
          day({
            scenes: [scene({ takes: 1, usesRadio: true, radioStretch })],
            chances: { ...noChance, 'radio drop-out': 0.01 }
          }),
          { seed: 3, day: on }
        )
      ).filter(({ lost: takes }) => takes.length > 0).length;
    expect(lost(0.2)).toBeLessThan(8);
    expect(lost(1)).toBeGreaterThan(80);
    expect(lost(1)).toBeLessThan(120);
    expect(lost(2)).toBe(200);
  });
});
