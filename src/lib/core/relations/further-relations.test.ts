import { describe, expect, it } from 'vitest';
import { chanceOver, chanceOverTogether } from '../money/chance-over';
import { RelationError } from './argument';
import { variableDensityCornerStops } from './exposure/variable-density-corners';
import { monitorContrast, screenReflectance } from './lighting/monitor-contrast';
import { windowIlluminanceLx } from './lighting/window';
import { heatFromTwo, heatMinutes } from './power/heat';
import { offGridEnergyWh } from './power/off-grid';
import { gainForPeaksDb, microphoneOutputDbV } from './sound/level-set-up';
import { pathLossExponent, radioReachM } from './sound/radio-reach';
import { driftMs, pictureLagMs } from './sound/sync';
import { editingLoad } from './storage/editing-load';
import { recordingGb } from './storage/recording-size';
import { tippingWindMps } from './support/wind-tip';

describe('light', () => {
  it('on a 400 nit screen in 10 000 lx leaves a contrast of 4.1', () => {
    expect(monitorContrast(400, 10_000, screenReflectance.glossy)).toBeCloseTo(4.1, 1);
  });

  it('of a window close by is π·L', () => {
    expect(windowIlluminanceLx(2000, 1, 1000, 0.01)).toBeCloseTo(Math.PI * 2000, 0);
    expect(windowIlluminanceLx(2000, 0.8, 0.6, 2)).toBeLessThan(
      windowIlluminanceLx(2000, 0.8, 0.6, 1)
    );
  });

  it.each([
    [24, 1.5, 1.0],
    [35, 0.8, 0.6],
    [50, 0.4, 0.4]
  ])(
    'through a variable filter at 4 stops differs at %i mm by −%f and +%f in the corners',
    (focal, darker, lighter) => {
      const change = variableDensityCornerStops(focal, 4);
      expect(change.darker).toBeCloseTo(darker, 1);
      expect(Math.abs(change.lighter - lighter)).toBeLessThan(0.06);
    }
  );
});

describe('sound', () => {
  it('by radio reaches 10 m outdoors and 8.6 m indoors with a body between', () => {
    expect(radioReachM(100, 20, pathLossExponent.outdoors)).toBeCloseTo(10);
    expect(radioReachM(40, 20, pathLossExponent.indoors)).toBeCloseTo(8.6, 1);
  });

  it('comes 147 ms before a picture five frames late, and drifts 144 ms in an hour at 40 ppm', () => {
    expect(pictureLagMs(5, 30, 20, 0)).toBeCloseTo(147, 0);
    expect(driftMs(40, 1)).toBeCloseTo(144);
  });

  it('is set so that peaks of speech stand at −12 and a laugh clips by three', () => {
    const gain = gainForPeaksDb(microphoneOutputDbV(-38, 70), -10);
    expect(microphoneOutputDbV(-38, 70) + 17 + gain - -10).toBeCloseTo(-12);
    expect(-12 + 15).toBe(3);
  });
});

describe('endurance', () => {
  it('has a rise of 46.2 K and a time constant of 21.1 min when 30 min at 25 °C and 12 at 40 are known', () => {
    const { finalRiseK, timeConstantMin } = heatFromTwo(
      60,
      { ambientC: 25, minutes: 30 },
      { ambientC: 40, minutes: 12 }
    );
    expect(finalRiseK).toBeCloseTo(46.2, 1);
    expect(timeConstantMin).toBeCloseTo(21.1, 1);
    expect(heatMinutes(60, 25, finalRiseK, timeConstantMin)).toBeCloseTo(30, 6);
    expect(heatMinutes(60, 10, finalRiseK, timeConstantMin)).toBe(Infinity);
    expect(() =>
      heatFromTwo(60, { ambientC: 25, minutes: 10 }, { ambientC: 40, minutes: 12 })
    ).toThrow(RelationError);
  });

  it('away from mains adds sun and driving to what is carried', () => {
    expect(offGridEnergyWh(100, 2, 28, 4, 1)).toBeCloseTo(100 + 2 * (28 * 4 * 0.6 + 15));
  });

  it('in editing counts one stream of 4K at 30 as one, lighter copies 20 GB an hour', () => {
    expect(editingLoad([{ pixelsAcross: 3840, pixelsDown: 2160, fps: 30, factor: 1 }])).toBeCloseTo(
      1,
      2
    );
    expect(recordingGb(45, 60)).toBeCloseTo(20.25);
  });

  it('of a lamp ends at 5.5 m/s of wind', () => {
    expect(tippingWindMps(5, 0.45, 1.2, Math.PI * 0.3 ** 2, 1.8)).toBeCloseTo(5.5, 1);
  });
});

describe('the chance of being over', () => {
  const ranges = [
    { low: 700, likely: 760, high: 900 },
    { low: 250, likely: 300, high: 380 },
    { low: 90, likely: 100, high: 140 }
  ];

  it.each([
    [1160, 0.81, 0.68],
    [1200, 0.53, 0.49],
    [1250, 0.2, 0.29]
  ])('of %i is %f independent and %f together', (limit, apart, together) => {
    expect(chanceOver(ranges, limit)).toBeCloseTo(apart, 2);
    expect(chanceOverTogether(ranges, limit)).toBeCloseTo(together, 2);
  });

  it('is certain at the ends, in pence as in pounds', () => {
    expect(chanceOver(ranges, 1040)).toBeCloseTo(1, 3);
    expect(chanceOver(ranges, 1420)).toBeCloseTo(0, 3);
    const pence = ranges.map(({ low, likely, high }) => ({
      low: low * 100,
      likely: likely * 100,
      high: high * 100
    }));
    expect(chanceOver(pence, 120_000)).toBeCloseTo(0.53, 2);
    expect(chanceOver([{ low: 5, likely: 5, high: 5 }], 5)).toBe(0);
  });
});
