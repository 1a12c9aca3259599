import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BANK_BY_PLUG } from '../supplies/energy-of-day';
import type { ChanceId } from '../model/rehearsal';
import type { DayPlan } from './planned-day';
import { keyOf } from './draws';
import { runDay } from './run-day';
import { showDay } from './shown-day';
import { battery, day, device, filming, noChance, scene } from './tests/made-day';

const luck = { seed: 7, day: 3 };
const lostOf = (plan: DayPlan, more = {}) =>
  runDay(plan, { ...luck, ...more }).lost.map(({ take, cause, name }) => [take, cause, name]);
const sure = (...happen: ChanceId[]) => ({
  ...noChance,
  ...Object.fromEntries(happen.map((chance) => [chance, 1]))
});

describe('batteries through a day', () => {
  it('are swapped before a take they do not last through, and the last one breaks off where it must', () => {
    // 10 Wh at 10 W are 60 minutes: two takes of 25 each, and 10 minutes left in either for the fifth.
    const shown = showDay(day());
    expect(shown.outcome.lost).toEqual([
      {
        day: 0,
        scene: 0,
        take: 4,
        cause: 'battery empty',
        lineId: 'camera',
        name: 'Camera',
        // 9:00, 10 set up, 25 5 25 5 1.5 25 5 25 5, and 10 of the last take.
        atMin: 540 + 10 + 25 + 5 + 25 + 5 + 1.5 + 25 + 5 + 25 + 5 + 10
      }
    ]);
    expect(shown.events.map(({ kind, atMin }) => [kind, atMin])).toEqual([
      ['swap', 610],
      ['empty', 681.5]
    ]);
  });

  it('give less in the cold, in that scene alone', () => {
    const takes = { takes: 2, takeMin: 25 };
    const cold = day({
      pieces: [battery(0)],
      devices: [device({ pieces: [0] })],
      scenes: [scene({ ...takes, cold: 0.8 })]
    });
    // 10 Wh × 0.8 at 10 W are 48 minutes.
    expect(runDay(cold).lost.map(({ take, atMin }) => [take, atMin])).toEqual([[1, 580 + 23]]);
    expect(runDay({ ...cold, scenes: [scene(takes)] }).lost).toEqual([]);
  });

  it('last longer with a bank on the plug, less its losses', () => {
    const takes = 5;
    const banked = (wattHours: number) =>
      runDay(
        day({
          banks: [{ lineId: 'bank', name: 'Bank', wattHours }],
          devices: [device({ banks: [{ bank: 0, shareWh: wattHours }] })],
          scenes: [scene({ takes })]
        })
      ).lost.length;
    // The batteries do four takes with 10 minutes left in each; what is wanting is 15 minutes of 10 W, 2.5 Wh.
    expect(banked(2.49 / BANK_BY_PLUG)).toBe(1);
    expect(banked(2.51 / BANK_BY_PLUG)).toBe(0);
  });

  it('are charged while one waits, where there is a socket and it stands on the list', () => {
    const bench = scene({ hasSocket: true });
    const plan = day({ scenes: [bench], bays: [{ type: 'Knot', watts: 7 }] });
    expect(runDay(plan).lost).toHaveLength(1);
    const kept = showDay({ ...plan, habits: new Set(['charged while there is a socket']) });
    expect(kept.outcome.lost).toEqual([]);
    // 7 W in the bay are 5 W in the battery.
    expect(kept.outcome.books.chargedWh).toBeGreaterThan(0);
  });

  it('of a monitor cost no take, those of a lamp do', () => {
    const lit = (losesTakes: boolean) =>
      day({
        devices: [device(), device({ lineId: 'lamp', name: 'Lamp', losesTakes, pieces: [2] })],
        pieces: [battery(0, 100), battery(1, 100), battery(2, 10)],
        scenes: [scene({ uses: [{ device: 1, watts: 10, minutes: 25 }] })]
      });
    expect(runDay(lit(false)).lost).toEqual([]);
    expect(runDay(lit(true)).lost.map(({ take, cause, name }) => [take, cause, name])).toEqual([
      [2, 'battery empty', 'Lamp'],
      [3, 'battery empty', 'Lamp'],
      [4, 'battery empty', 'Lamp']
    ]);
  });
});

describe('cards, heat and the clock', () => {
  const full = { pieces: [battery(0, 1000), battery(1, 1000)] };

  it('change cards before a take that would not fit, and lose what no card takes', () => {
    const plan = day({
      ...full,
      cards: [0, 1].map((index) => ({
        lineId: 'card',
        name: `Card ${index}`,
        gigabytes: 12,
        isBuiltIn: false,
        key: index
      })),
      recordings: [{ lineId: 'camera', name: 'Camera', cards: [0, 1] }],
      scenes: [scene({ filming: [filming({ recording: 0, gigabytesPerMin: 0.2 })] })]
    });
    // Five GB a take: two fit on a card, and the fifth finds 2 GB, 10 minutes.
    const shown = showDay(plan);
    expect(shown.outcome.lost.map(({ take, cause }) => [take, cause])).toEqual([[4, 'card full']]);
    expect(shown.outcome.startFreeGb - shown.outcome.endFreeGb).toBeCloseTo(22, 9);
    expect(shown.outcome.books.writtenGb).toBeCloseTo(22, 9);
    expect(shown.events.map(({ kind }) => kind)).toEqual(['card swapped', 'card full']);
  });

  it('switch off at the heat limit, and wait until it has cooled', () => {
    const heat = { minutesAt20: 30, load: 1, airC: 20, quickMin: 20, slowMin: 20 };
    const plan = day({
      ...full,
      warming: [{ lineId: 'camera', name: 'Camera', quickMin: 20, slowMin: 20 }],
      scenes: [
        scene({ takes: 2, filming: [filming({ minutes: 40, heat, heatAt: 0 })], pauseMin: 1 })
      ]
    });
    const shown = showDay(plan);
    expect(shown.outcome.lost[0]).toMatchObject({ take: 0, cause: 'overheated' });
    // At 20 °C it is the minutes its sheet states.
    expect(shown.outcome.lost[0]!.atMin).toBeCloseTo(550 + 30, 6);
    const cooling = shown.segments.find(({ kind }) => kind === 'cooling')!;
    // From 60 to 50 °C over 20 °C of air: 20·ln(40/30) minutes in all, one of them the pause.
    expect(cooling.toMin - cooling.fromMin).toBeCloseTo(20 * Math.log(40 / 30) - 1, 6);
  });

  it('end a clip where the mode does, and take nothing where there is no card', () => {
    const long = day({ ...full, scenes: [scene({ filming: [filming({ clipLimitMin: 20 })] })] });
    expect(runDay(long).lost.map(({ cause }) => cause)).toEqual(Array(5).fill('clip limit'));
    const bare = day({ ...full, scenes: [scene({ filming: [filming({ lacksCard: true })] })] });
    expect(runDay(bare).lost.map(({ cause }) => cause)).toEqual(Array(5).fill('no card'));
    const none = day({ ...full, scenes: [scene({ filming: [] })] });
    expect(runDay(none).lost.map(({ cause }) => cause)).toEqual(Array(5).fill('no camera'));
  });

  it('wait for the light, and have eaten by then', () => {
    const plan = day({
      ...full,
      lunchAtMin: 600,
      lunchMin: 30,
      scenes: [scene({ takes: 1 }), scene({ id: 'camp', takes: 1, notBeforeMin: 720 })]
    });
    // 550–575 filmed, 5 of packing; then nothing until noon.
    const { segments, outcome } = showDay(plan);
    expect(outcome.lost).toEqual([]);
    expect(segments.find(({ kind }) => kind === 'waiting')).toMatchObject({
      fromMin: 580,
      toMin: 720
    });
    expect(segments.some(({ kind }) => kind === 'lunch')).toBe(false);
    expect(segments.findLast(({ kind }) => kind === 'take')!.fromMin).toBe(730);
  });

  it('stop where the day ends, and eat in the first gap after noon', () => {
    const plan = day({ ...full, endsAtMin: 600, lunchAtMin: 570, lunchMin: 30 });
    const shown = showDay(plan);
    // 550–575, lunch to 605: too late for the other four.
    expect(shown.outcome.lost.map(({ take, cause }) => [take, cause])).toEqual(
      [1, 2, 3, 4].map((take) => [take, 'no time left'])
    );
    expect(shown.segments.filter(({ kind }) => kind === 'lunch')).toEqual([
      { kind: 'lunch', fromMin: 575, toMin: 605, scene: 0, take: 0 }
    ]);
  });
});

describe('what happens by chance', () => {
  const full = {
    pieces: [battery(0, 1000), battery(1, 1000)],
    scenes: [scene({ switches: [{ name: 'Mic', lineId: 'mic', key: 5, device: -1 }] })]
  };

  it('silences takes until somebody notices, the first alone when it is played back', () => {
    const plan = day({ ...full, chances: sure('switch left off') });
    const silent = lostOf(plan);
    expect(silent.length).toBeGreaterThan(0);
    expect(silent[0]).toEqual([0, 'switch left off', 'Mic']);
    const heard = { ...plan, habits: new Set(['first take played back'] as const) };
    expect(lostOf(heard)).toEqual([[0, 'switch left off', 'Mic']]);
  });

  it('takes a scene, a take or a file as each chance says', () => {
    expect(lostOf(day({ ...full, chances: sure('setting left wrong') }))[0]).toEqual([
      0,
      'setting left wrong',
      undefined
    ]);
    const radio = day({
      ...full,
      scenes: [scene({ usesRadio: true })],
      chances: sure('radio drop-out')
    });
    expect(lostOf(radio)).toHaveLength(5);
    expect(lostOf(day({ ...full, chances: sure('radio drop-out') }))).toEqual([]);
    const gusty = (windMps: number, isOutdoors = true) =>
      lostOf(
        day({
          ...full,
          scenes: [scene({ isOutdoors, windMps })],
          chances: { ...noChance, gust: 0.5 }
        })
      ).length;
    expect([gusty(0), gusty(10), gusty(10, false)]).toEqual([0, 5, 0]);
    const kept = (recordsTwice: boolean) =>
      lostOf(
        day({
          ...full,
          recordings: [{ lineId: 'camera', name: 'Camera', cards: [0] }],
          cards: [{ lineId: 'c', name: 'Card', gigabytes: 99, isBuiltIn: false, key: 1 }],
          scenes: [
            scene({
              takes: 300,
              takeMin: 0.1,
              filming: [filming({ recording: 0, minutes: 0.1, recordsTwice })]
            })
          ],
          chances: { ...noChance, 'file lost': 0.2 },
          endsAtMin: 99_999
        })
      ).length;
    // 300 takes: about 60 at one in five, about 12 at one in five twice over.
    expect(kept(false)).toBeGreaterThan(40);
    expect(kept(false)).toBeLessThan(80);
    expect(kept(true)).toBeLessThan(25);
  });

  it('leaves a battery uncharged, a card full, a recorder on', () => {
    const uncharged = day({ chances: sure('battery not charged') });
    expect(runDay(uncharged, luck).startWh).toBeCloseTo(5, 9);
    const carded = day({
      cards: [{ lineId: 'c', name: 'Card', gigabytes: 100, isBuiltIn: false, key: 1 }],
      chances: sure('card not emptied')
    });
    expect(runDay(carded, luck).startFreeGb).toBeCloseTo(60, 9);
    const on = (chances: Record<ChanceId, number>) =>
      runDay(
        day({
          pieces: [battery(0, 1000), battery(1, 1000), battery(2, 30)],
          devices: [
            device(),
            device({ lineId: 'rec', name: 'Recorder', canBeLeftOn: true, pieces: [2] })
          ],
          scenes: [scene({ uses: [{ device: 1, watts: 6, minutes: 25 }] })],
          chances
        }),
        luck
      );
    // Off in between it needs 5 × 25 min × 6 W, 12.5 Wh; left on, also the four pauses and the 5 min of packing.
    expect(on(noChance).books.usedWh).toBeCloseTo((125 * 16) / 60, 6);
    expect(on(sure('left on in between')).books.usedWh).toBeCloseTo(
      (125 * 16) / 60 + (25 * 6) / 60,
      6
    );
  });

  it('forgets to look at a battery: the take begins with what is in it', () => {
    expect(lostOf(day({ chances: sure('battery not checked') }))).toEqual([
      [2, 'battery empty', 'Camera'],
      [3, 'battery empty', 'Camera'],
      [4, 'battery empty', 'Camera']
    ]);
  });
});

describe('several days away', () => {
  const away = day({
    days: 3,
    devices: [device({ pieces: [0] })],
    pieces: [battery(0, 10)],
    scenes: [scene({ takes: 2 })]
  });

  it('carry over what is left, and what the sun adds at night', () => {
    // Two takes a day need 8.33 Wh of 10: the second day is short, and the third has nothing.
    expect(runDay(away).lost.map(({ day: on, take }) => [on, take])).toEqual([
      [1, 0],
      [1, 1],
      [2, 0],
      [2, 1]
    ]);
    expect(runDay({ ...away, sunAndCarWhPerDay: 9 }).lost).toEqual([]);
  });

  it('fill at night from a bank what no plug reaches, with the bank’s losses', () => {
    const outcome = runDay({ ...away, banks: [{ lineId: 'b', name: 'Bank', wattHours: 40 }] });
    expect(outcome.lost).toEqual([]);
    expect(outcome.books.lostWh).toBeCloseTo((2 * (50 / 6) * (1 - 0.7225)) / 0.7225, 6);
  });
});

/** Days of all sorts, over and under supplied. */
const anyDay = fc
  .record({
    capacities: fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 2, maxLength: 5 }),
    bankWh: fc.integer({ min: 0, max: 60 }),
    takes: fc.integer({ min: 1, max: 8 }),
    minutes: fc.integer({ min: 1, max: 60 }),
    watts: fc.integer({ min: 1, max: 20 }),
    cold: fc.constantFrom(1, 0.8, 0.5),
    days: fc.integer({ min: 1, max: 3 }),
    sun: fc.integer({ min: 0, max: 20 }),
    hasSocketAtNight: fc.boolean(),
    copyGbPerMin: fc.constantFrom(undefined, 0.001, 0.5),
    hasSocket: fc.boolean(),
    share: fc.constantFrom(0, 0.2, 1),
    rate: fc.constantFrom(0, 0.1, 0.9)
  })
  .map((variant): DayPlan =>
    day({
      days: variant.days,
      hasSocketAtNight: variant.hasSocketAtNight,
      copyGbPerMin: variant.copyGbPerMin,
      pieces: variant.capacities.map((capacity, index) => battery(index, capacity)),
      banks: [{ lineId: 'bank', name: 'Bank', wattHours: variant.bankWh }],
      devices: [
        device({
          pieces: variant.capacities.map((_, index) => index),
          banks: [{ bank: 0, shareWh: variant.bankWh }]
        }),
        device({
          lineId: 'mic',
          name: 'Mic',
          key: keyOf('mic'),
          canBeLeftOn: true,
          pieces: variant.capacities.map((_, index) => index)
        })
      ],
      cards: [20, 8].map((gigabytes, index) => ({
        lineId: 'card',
        name: `Card ${index}`,
        gigabytes,
        isBuiltIn: false,
        key: index + 100
      })),
      recordings: [{ lineId: 'camera', name: 'Camera', cards: [0, 1] }],
      scenes: [
        scene({
          takes: variant.takes,
          takeMin: variant.minutes,
          cold: variant.cold,
          hasSocket: variant.hasSocket,
          filming: [
            filming({
              minutes: variant.minutes,
              watts: variant.watts,
              recording: 0,
              gigabytesPerMin: variant.rate
            })
          ],
          uses: [{ device: 1, watts: 2, minutes: variant.minutes }]
        })
      ],
      bays: [{ type: 'Knot', watts: 8 }],
      sunAndCarWhPerDay: variant.sun,
      habits: new Set(variant.hasSocket ? (['charged while there is a socket'] as const) : []),
      chances: Object.fromEntries(
        Object.keys(noChance).map((chance) => [chance, variant.share])
      ) as DayPlan['chances'],
      lunchMin: 30
    })
  );

describe('any day', () => {
  it('keeps its books: what was there and came in is what was used, lost and is left', () => {
    fc.assert(
      fc.property(anyDay, fc.nat(1000), (plan, on) => {
        const { startWh, endWh, startFreeGb, endFreeGb, books } = runDay(plan, {
          seed: 1,
          day: on
        });
        expect(startWh + books.chargedWh).toBeCloseTo(endWh + books.usedWh + books.lostWh, 6);
        expect(startFreeGb).toBeCloseTo(endFreeGb + books.writtenGb - books.copiedGb, 6);
        expect(endWh).toBeGreaterThanOrEqual(-1e-9);
        expect(endFreeGb).toBeGreaterThanOrEqual(-1e-9);
      }),
      { numRuns: 400 }
    );
  });

  it('uses no more than its takes ask for, but for what is left on', () => {
    fc.assert(
      fc.property(anyDay, (plan) => {
        const { takes, filming: bodies, uses } = plan.scenes[0]!;
        const asked =
          (plan.days *
            takes *
            (bodies[0]!.watts * bodies[0]!.minutes + uses[0]!.watts * uses[0]!.minutes)) /
          60;
        expect(runDay(plan).books.usedWh).toBeLessThanOrEqual(asked + 1e-6);
      }),
      { numRuns: 200 }
    );
  });

  it('is the same again with the same seed, and goes forward in time', () => {
    fc.assert(
      fc.property(anyDay, fc.nat(1000), (plan, on) => {
        const shown = showDay(plan, { seed: 5, day: on });
        expect(showDay(plan, { seed: 5, day: on })).toEqual(shown);
        // Whether somebody looks on or not.
        expect(runDay(plan, { seed: 5, day: on })).toEqual(shown.outcome);
        let now = -Infinity;
        for (const { fromMin, toMin } of shown.segments) {
          expect(fromMin).toBeGreaterThanOrEqual(now - 1e-9);
          expect(toMin).toBeGreaterThanOrEqual(fromMin);
          now = toMin;
        }
        for (const { points } of shown.strips)
          for (const [index, [minute, level]] of points.entries()) {
            expect(level).toBeGreaterThanOrEqual(0);
            expect(level).toBeLessThanOrEqual(1);
            if (index > 0) expect(minute).toBeGreaterThanOrEqual(points[index - 1]![0]);
          }
      }),
      { numRuns: 100 }
    );
  });

  it('loses each take once at most', () => {
    fc.assert(
      fc.property(anyDay, fc.nat(1000), (plan, on) => {
        const { lost, takes } = runDay(plan, { seed: 2, day: on });
        const ids = lost.map((take) => `${take.day} ${take.scene} ${take.take}`);
        expect(new Set(ids).size).toBe(ids.length);
        expect(lost.length).toBeLessThanOrEqual(takes);
      }),
      { numRuns: 200 }
    );
  });
});
