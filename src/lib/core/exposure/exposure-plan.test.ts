import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveExposure } from './exposure-plan';
import type { ExposureTask } from './exposure-task';

const sun: ExposureTask = {
  fps: 25,
  apertureWidestN: 1.8,
  apertureSmallestN: 16,
  shutterShortestS: 1 / 8000,
  isoLowest: 100,
  isoHighest: 25_600,
  isoUsable: 2700,
  placeLx: 100_000,
  lampsLx: 0,
  pulsing: { place: 0, lamps: 0 },
  mainsHz: 50,
  filters: [],
  blurFirst: false,
  diffractionCapN: 13,
  equivalentFocalLengthMm: 24
};
const softSun: ExposureTask = { ...sun, blurN: 2.8 };
const fixed6 = { stopsMin: 6, stopsMax: 6 };
const variable = { stopsMin: 2, stopsMax: 9 };
const room: ExposureTask = {
  ...sun,
  apertureWidestN: 1.4,
  placeLx: 200,
  pulsing: { place: 1, lamps: 0 }
};
const phone: ExposureTask = {
  ...sun,
  apertureSmallestN: 1.8,
  isoLowest: 50,
  isoUsable: 470
};

const examples: [string, ExposureTask, [n: number, perS: number, iso: number, cost: number]][] = [
  ['sun', sun, [13, 240, 101, 0.81]],
  ['10 000 lx', { ...sun, placeLx: 10_000 }, [9, 50, 101, 0.13]],
  ['sun, blur to f/2.8', softSun, [2.5, 6400, 100, 1.77]],
  ['… fixed ND 6', { ...softSun, filters: [fixed6] }, [2.8, 80, 100, 0.33]],
  [
    '… variable 2–9, 85 mm',
    { ...softSun, filters: [variable], equivalentFocalLengthMm: 85 },
    [2.8, 50, 100, 0.75]
  ],
  ['… variable 2–9, 24 mm', { ...softSun, filters: [variable] }, [2.5, 6400, 100, 1.77]],
  ['… flat profile, base 800', { ...softSun, isoLowest: 800 }, [6.3, 8000, 800, 3.17]],
  [
    'depth f/4.3 against blur f/2.8, ND 6',
    { ...softSun, depthN: 4.3, filters: [fixed6] },
    [4, 50, 128, 0.72]
  ],
  [
    '… blur first',
    { ...softSun, depthN: 4.3, filters: [fixed6], blurFirst: true },
    [3.5, 50, 100, 0.87]
  ],
  ['phone in sun', phone, [1.8, 6400, 52, 1.93]],
  [
    'action camera in sun',
    { ...sun, apertureWidestN: 2.8, apertureSmallestN: 2.8, isoUsable: 190 },
    [2.8, 5000, 100, 2.51]
  ],
  ['street 5 lx', { ...room, placeLx: 5 }, [1.4, 25, 2450, 1.94]],
  ['phone, 15 lx', { ...phone, placeLx: 15 }, [1.8, 25, 1350, 3.52]],
  ['phone, 5 lx', { ...phone, placeLx: 5 }, [1.8, 25, 4050, 5.11]],
  ['room 200 lx', room, [1.4, 50, 122, 0.15]],
  ['… f/3.5 lens', { ...room, apertureWidestN: 3.5 }, [3.5, 50, 766, 0.47]],
  ['… face f/4.3', { ...room, depthN: 4.3 }, [4.5, 50, 1266, 0.76]],
  ['60 lx + lamp 2 000 lx', { ...room, placeLx: 60, lampsLx: 2000 }, [1.4, 50, 100, 0.12]],
  ['24 fps, 60 Hz', { ...room, fps: 24, mainsHz: 60 }, [1.4, 60, 147, 0.28]],
  ['30 fps, 50 Hz', { ...room, fps: 30 }, [1.4, 50, 122, 0.36]],
  ['60 fps, 50 Hz', { ...room, fps: 60 }, [1.4, 100, 245, 0.46]],
  ['50 fps, 60 Hz', { ...room, fps: 50, mainsHz: 60 }, [1.4, 120, 294, 0.36]],
  ['120 fps, 50 Hz, 1 000 lx', { ...room, fps: 120, placeLx: 1000 }, [2, 120, 120, 2.46]],
  [
    'by hand 1/8000, 10 000 lx',
    { ...sun, placeLx: 10_000, set: { shutterS: 1 / 8000 } },
    [1.8, 8000, 648, 2.09]
  ],
  [
    'by hand f/1.8 1/50, sun',
    { ...sun, set: { apertureN: 1.8, shutterS: 1 / 50 } },
    [1.8, 50, 100, 23.97]
  ]
];

describe('the exposure plan', () => {
  it.each(examples)('%s', (_, task, [n, perS, iso, cost]) => {
    const plan = solveExposure(task)!;
    expect({
      n: plan.apertureN,
      perS: Math.round(1 / plan.shutterS),
      iso: Math.round(plan.iso),
      cost: Math.round(plan.cost * 100) / 100
    }).toEqual({ n, perS, iso, cost });
  });

  it('blocks in the dark with a phone and wide open by hand in the sun, and in no other example', () => {
    const blocked = examples
      .filter(([, task]) => solveExposure(task)!.blocks)
      .map(([name]) => name);
    expect(blocked).toEqual(['phone, 5 lx', 'by hand f/1.8 1/50, sun']);
  });

  it('turns one’s own lamps down rather than overexpose', () => {
    const plan = solveExposure({ ...room, placeLx: 60, lampsLx: 2000 })!;
    expect(Math.round(plan.lx)).toBe(245);
  });

  const anyTask = fc
    .record({
      fps: fc.constantFrom(24, 25, 30, 50, 60),
      apertureWidestN: fc.constantFrom(1.4, 1.8, 2.8, 4),
      apertureSmallestN: fc.constantFrom(8, 11, 16, 22),
      isoLowest: fc.constantFrom(50, 100, 200, 800),
      isoUsable: fc.integer({ min: 190, max: 6400 }),
      placeLx: fc.integer({ min: 1, max: 120_000 }),
      lampsLx: fc.constantFrom(0, 150, 2000),
      place: fc.constantFrom(0, 0.5, 1),
      mainsHz: fc.constantFrom(50, 60),
      filters: fc.subarray([fixed6, variable, { stopsMin: 3, stopsMax: 3, castMired: 8 }]),
      depthN: fc.option(fc.constantFrom(2.8, 4.3, 8), { nil: undefined }),
      blurN: fc.option(fc.constantFrom(1.8, 2.8, 5.6), { nil: undefined }),
      blurFirst: fc.boolean()
    })
    .map(({ place, depthN, blurN, ...rest }): ExposureTask => ({
      ...sun,
      ...rest,
      ...(depthN === undefined ? {} : { depthN }),
      ...(blurN === undefined ? {} : { blurN }),
      pulsing: { place, lamps: 0 }
    }));
  /** Whatever one may choose besides never makes the choice worse. */
  const neverWorse = (better: (task: ExposureTask) => ExposureTask) =>
    fc.assert(
      fc.property(anyTask, (task) => {
        const before = solveExposure(task)!;
        const after = solveExposure(better(task))!;
        if (!before.blocks) {
          expect(after.blocks).toBe(false);
          expect(after.cost).toBeLessThanOrEqual(before.cost + 1e-9);
        }
      }),
      { numRuns: 40 }
    );

  it.each<[string, (task: ExposureTask) => ExposureTask]>([
    ['a wider marked aperture', (task) => ({ ...task, apertureWidestN: 1.2 })],
    ['a smaller marked aperture', (task) => ({ ...task, apertureSmallestN: 32 })],
    ['a shorter shutter', (task) => ({ ...task, shutterShortestS: 1 / 16_000 })],
    ['a lower base ISO', (task) => ({ ...task, isoLowest: task.isoLowest / 2 })],
    ['a higher ISO', (task) => ({ ...task, isoHighest: 102_400 })],
    [
      'one more filter',
      (task) => ({ ...task, filters: [...task.filters, { stopsMin: 4, stopsMax: 4 }] })
    ],
    ['brighter lamps of one’s own', (task) => ({ ...task, lampsLx: task.lampsLx * 2 + 500 })],
    ['less ripple', (task) => ({ ...task, pulsing: { place: 0, lamps: 0 } })],
    ['a body that is clean higher up', (task) => ({ ...task, isoUsable: task.isoUsable * 2 })]
  ])('is never worse for %s', (_, better) => neverWorse(better));

  it('is no worse once a setting by hand is released', () => {
    fc.assert(
      fc.property(
        anyTask,
        fc.constantFrom(2.8, 5.6, 11),
        fc.constantFrom(50, 125, 1000),
        (task, n, per) => {
          const byHand = solveExposure({ ...task, set: { apertureN: n, shutterS: 1 / per } })!;
          const free = solveExposure(task)!;
          if (!byHand.blocks) expect(free.cost).toBeLessThanOrEqual(byHand.cost + 1e-9);
        }
      ),
      { numRuns: 40 }
    );
  });

  it('does not mind the order of the filters in the kit', () => {
    fc.assert(
      fc.property(anyTask, (task) => {
        const turned = { ...task, filters: [...task.filters].reverse() };
        expect(solveExposure(turned)).toEqual(solveExposure(task));
      }),
      { numRuns: 40 }
    );
  });

  it('is none without any light', () => {
    expect(solveExposure({ ...room, placeLx: 0 })).toBeUndefined();
  });
});
