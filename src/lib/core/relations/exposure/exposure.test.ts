import { describe, expect, it } from 'vitest';
import { RelationError } from '../argument';
import {
  closeUpFactor,
  illuminanceNeededLx,
  isoNeeded,
  neutralDensityStops,
  stopsFromDensity,
  stopsFromFactor,
  transmissionN,
  highestUsableIso
} from './exposure';
import { bandsExpected, flickerLeftPercent, pwmRipplePercent } from './flicker';

describe('sensitivity', () => {
  it('is ISO 766 at f/3.5 in a lit room, 122.5 at f/1.4', () => {
    expect(isoNeeded(3.5, 1 / 50, 200)).toBeCloseTo(766, 0);
    expect(isoNeeded(1.4, 1 / 50, 200)).toBeCloseTo(122.5, 1);
  });

  it('is without bound in the dark', () => {
    expect(isoNeeded(1.4, 1 / 50, 0)).toBe(Infinity);
  });

  it('turns round into light', () => {
    expect(illuminanceNeededLx(3.5, 1 / 50, isoNeeded(3.5, 1 / 50, 200))).toBeCloseTo(200, 9);
  });

  it.each([
    [23.5, 2700],
    [17.3, 1480],
    [13.2, 860],
    [9.8, 470],
    [6.17, 190]
  ])('of a %f mm wide area stays usable to about %i', (width, iso) => {
    expect(Math.abs(highestUsableIso(width, (width * 9) / 16) - iso) / iso).toBeLessThan(0.02);
  });
});

describe('neutral density', () => {
  it('is 7.9 stops in the sun at f/1.8 and 4.7 at f/5.6', () => {
    expect(neutralDensityStops(1.8, 1 / 50, 100_000, 100)).toBeCloseTo(7.9, 1);
    expect(neutralDensityStops(5.6, 1 / 50, 100_000, 100)).toBeCloseTo(4.7, 1);
  });

  it('is 10.9 and 7.7 with a flat profile of base 800', () => {
    expect(neutralDensityStops(1.8, 1 / 50, 100_000, 800)).toBeCloseTo(10.9, 1);
    expect(neutralDensityStops(5.6, 1 / 50, 100_000, 800)).toBeCloseTo(7.7, 1);
  });

  it('is never negative and counts factors and densities alike', () => {
    expect(neutralDensityStops(1.8, 1 / 50, 5, 100)).toBe(0);
    expect(stopsFromFactor(1000)).toBeCloseTo(9.97, 2);
    expect(stopsFromDensity(3)).toBeCloseTo(9.97, 2);
  });
});

describe('flicker', () => {
  it.each([
    [1 / 48, 50, 4.0],
    [1 / 60, 50, 16.5],
    [1 / 50, 60, 12.6]
  ])('with %f s under %i Hz leaves %f %%', (shutter, mains, percent) => {
    expect(flickerLeftPercent(shutter, mains)).toBeCloseTo(percent, 1);
  });

  it('vanishes when the shutter holds whole cycles', () => {
    expect(flickerLeftPercent(1 / 50, 50)).toBeLessThan(0.01);
    expect(bandsExpected(1 / 200, 50)).toBe(true);
    expect(bandsExpected(1 / 100, 50)).toBe(false);
  });

  it('of a fast dimmer is small', () => {
    expect(pwmRipplePercent(25_000, 1 / 50)).toBeLessThan(0.1);
  });
});

describe('apertures', () => {
  it('lose light in the glass and close up', () => {
    expect(transmissionN(2, 0.81)).toBeCloseTo(2.22, 2);
    expect(closeUpFactor(0.5)).toBe(2.25);
    expect(() => closeUpFactor(-1)).toThrow(RelationError);
  });
});
