import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { schoolIds } from '../model/word-lists';
import { pockets } from '../model/pocket';
import { axisPoints, pointsOn } from './axis-scores';
import { type Axis, axes, axisCurves, MOST_RISE } from './axis-curves';
import { nonDominated } from './front';
import { compareKits, type KitMerit, meritOfKit } from './kit-merit';
import { combineAxes, noScores } from './scene-merit';
import { schools } from './schools';

const all = (points: number, more: Partial<Record<Axis, number>> = {}) =>
  ({ ...Object.fromEntries(axes.map((axis) => [axis, points])), ...more }) as Record<Axis, number>;
const weights = schools['sound and light first'].weights;

describe('axes into a scene', () => {
  it('gives about 42 to a kit with sound 10 and the rest 95, and 70 to one with all 70', () => {
    expect(combineAxes(all(95, { sound: 10 }), weights).merit).toBeCloseTo(41.9, 1);
    expect(combineAxes(all(95, { sound: 10 }), weights).worst).toBe('sound');
    expect(combineAxes(all(70), weights).merit).toBeCloseTo(70, 9);
  });

  it('never falls when an axis rises, under any school', () => {
    const points = fc.record(
      Object.fromEntries(axes.map((axis) => [axis, fc.double({ min: 0, max: 100, noNaN: true })]))
    );
    fc.assert(
      fc.property(
        points,
        fc.constantFrom(...axes),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.constantFrom(...schoolIds),
        (before, axis, rise, school) => {
          const have = before as Record<Axis, number>;
          const better = { ...have, [axis]: Math.min(100, have[axis] + rise) };
          const by = schools[school].weights;
          expect(combineAxes(better, by).merit).toBeGreaterThanOrEqual(
            combineAxes(have, by).merit - 1e-9
          );
        }
      )
    );
  });
});

describe('curves', () => {
  it('feed one axis each', () => {
    const figures = axes.flatMap((axis) => axisCurves[axis].map((curve) => curve.figure));
    expect(new Set(figures).size).toBe(figures.length);
  });

  it('rise at most to what is left above good, one way, and are flat past their ends', () => {
    for (const axis of axes) {
      for (const { points, figure } of axisCurves[axis]) {
        const values = points.map(([, value]) => value);
        expect(Math.max(...values), figure).toBeLessThanOrEqual(MOST_RISE);
        const steps = values.slice(1).map((value, index) => value - values[index]!);
        expect(steps.every((step) => step >= 0) || steps.every((step) => step <= 0), figure).toBe(
          true
        );
        expect(pointsOn(points, -Infinity), figure).toBe(values[0]);
        expect(pointsOn(points, Infinity), figure).toBe(values.at(-1));
      }
    }
  });

  it('lose eight points exactly where their finding begins to weaken', () => {
    const atValue = (axis: Axis, figure: string, value: number) =>
      pointsOn(axisCurves[axis].find((curve) => curve.figure === figure)!.points, value);
    // Speech 10 dB short of clean is where usable ends, indoors (35 to 25) and outdoors (20 to 10).
    expect(atValue('sound', 'speechMargin', -10)).toBeCloseTo(-8, 12);
    expect(atValue('sound', 'directToReverberant', 6)).toBeCloseTo(-8, 12);
    expect(atValue('light', 'exposureCost', 0.8)).toBeCloseTo(-8, 12);
    expect(atValue('light', 'exposureCost', 0)).toBe(29);
    expect(atValue('light', 'exposureCost', 1.4)).toBeCloseTo(-20, 12);
    expect(atValue('picture', 'framingMiss', Math.log2(1.35))).toBeCloseTo(-8, 12);
    expect(atValue('picture', 'nearStretch', 1.34)).toBeCloseTo(-8, 12);
    expect(atValue('steadiness', 'payloadShare', 2 / 3)).toBeCloseTo(-8, 12);
    expect(atValue('steadiness', 'holdShare', 0.5)).toBeCloseTo(-8, 12);
    for (const share of ['dayPowerShare', 'takePowerShare', 'storageShare'])
      expect(atValue('endurance', share, 1), share).toBeCloseTo(-8, 12);
  });
});

describe('what the figures of an axis come to', () => {
  it('counts a quarter below twenty, and ends at nothing', () => {
    expect([99, 70, 20, 12, -20, -60, -200].map(axisPoints)).toEqual([99, 70, 20, 18, 10, 0, 0]);
  });
});

describe('schools', () => {
  it.each(schoolIds)('%s shares out a hundred and weighs a hundred', (id) => {
    const school = schools[id];
    expect(pockets.reduce((sum, pocket) => sum + school.split[pocket], 0)).toBe(100);
    expect(axes.reduce((sum, axis) => sum + school.weights[axis], 0)).toBe(100);
    expect([...school.pocketOrder].sort()).toEqual([...pockets].sort());
  });
});

describe('kits', () => {
  const kit = (more: Partial<KitMerit>): KitMerit => ({
    mustDoWorking: 3,
    mustDoScenes: 3,
    stops: 0,
    meritHundredths: 5000,
    onceSettledHundredths: 5000,
    scenes: [],
    ...more
  });

  it('compare by must-do scenes that work, then stops, then merit', () => {
    expect(compareKits(kit({}), kit({ mustDoWorking: 2, meritHundredths: 9900 }))).toBeGreaterThan(
      0
    );
    expect(compareKits(kit({ stops: 1, meritHundredths: 9900 }), kit({}))).toBeLessThan(0);
    expect(compareKits(kit({ meritHundredths: 5001 }), kit({}))).toBeGreaterThan(0);
  });

  it('count nothing for a scene that cannot work', () => {
    const scene = (works: boolean) => ({
      sceneId: 's',
      low: 80,
      high: 80,
      heldBackBy: undefined,
      axes: { ...noScores },
      works
    });
    const merit = meritOfKit(
      [
        { sharePercent: 50, mustDo: true },
        { sharePercent: 50, mustDo: true }
      ] as never,
      [scene(true), scene(false)],
      1
    );
    expect(merit.meritHundredths).toBe(4000);
    expect(merit.onceSettledHundredths).toBe(8000);
    const noShares = meritOfKit(
      [
        { sharePercent: 0, mustDo: true },
        { sharePercent: 0, mustDo: true }
      ] as never,
      [scene(true), scene(false)],
      1
    );
    expect(noShares.meritHundredths, 'no scene counts more than another').toBe(4000);
  });

  it('weigh every axis alike where all weights are zero', () => {
    const alike = Object.fromEntries(axes.map((axis) => [axis, 1])) as Record<Axis, number>;
    const none = Object.fromEntries(axes.map((axis) => [axis, 0])) as Record<Axis, number>;
    const points = { sound: 40, light: 90, ease: 71 };
    expect(combineAxes(points, none)).toEqual(combineAxes(points, alike));
    // Nor may a scene come out as nothing because what it is judged on is just what weighs nothing.
    expect(combineAxes({ sound: 60 }, { ...alike, sound: 0 }).merit).toBe(60);
  });

  it('nothing on the edge is beaten, and everything off it is', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ priceMinor: fc.nat(1000), merit: fc.nat(100) }), {
          minLength: 1,
          maxLength: 40
        }),
        (offers) => {
          const edge = new Set(nonDominated(offers));
          for (const offer of offers) {
            const beaten = offers.some(
              (other) =>
                other.priceMinor <= offer.priceMinor &&
                other.merit >= offer.merit &&
                (other.priceMinor < offer.priceMinor || other.merit > offer.merit)
            );
            if (edge.has(offer)) expect(beaten).toBe(false);
          }
        }
      )
    );
  });
});
