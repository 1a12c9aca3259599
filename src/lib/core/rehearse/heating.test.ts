import { describe, expect, it } from 'vitest';
import { heatAfter, heatCurve, minutesUntil } from './heating';

const sheet = { minutesAt20: 30, load: 1, airC: 20, quickMin: 12, slowMin: 35 };

describe('how a body warms', () => {
  it.each([0, 0.5, 1])(
    'meets its limit after the minutes its sheet states at 20 °C, however slow (%s)',
    (slowness) => {
      expect(minutesUntil(20, heatCurve(sheet, slowness), 60)).toBeCloseTo(30, 6);
    }
  );

  it('is quicker in warm air and slower with a fan', () => {
    const atValue = (more: object) => minutesUntil(20, heatCurve({ ...sheet, ...more }, 0.5), 60);
    expect(atValue({ airC: 35 })).toBeLessThan(30);
    // The fan leaves half of the rise: 60 °C is never met.
    expect(atValue({ load: 0.5 })).toBe(Infinity);
  });

  it('follows a curve that can be gone along in steps', () => {
    const curve = heatCurve(sheet, 0.3);
    const once = heatAfter(20, curve, 17);
    const twice = heatAfter(heatAfter(20, curve, 9), curve, 8);
    expect(twice).toBeCloseTo(once, 9);
    expect(minutesUntil(20, curve, once)).toBeCloseTo(17, 9);
  });

  it('lies between its ends by their ratio', () => {
    // The middle of 12 and 35 by ratio: √(12 × 35).
    expect(heatCurve(sheet, 0.5).timeConstantMin).toBeCloseTo(Math.sqrt(12 * 35), 9);
    expect(heatCurve(sheet, 0).timeConstantMin).toBe(12);
    expect(heatCurve(sheet, 1).timeConstantMin).toBeCloseTo(35, 9);
  });

  it('cools towards the air and meets what lies on the way, and nothing else', () => {
    const air = { endC: 20, timeConstantMin: 20 };
    expect(minutesUntil(60, air, 50)).toBeCloseTo(20 * Math.log(40 / 30), 9);
    expect(minutesUntil(60, air, 60)).toBe(0);
    expect(minutesUntil(60, air, 15)).toBe(Infinity);
    expect(minutesUntil(40, air, 50)).toBe(Infinity);
  });
});
