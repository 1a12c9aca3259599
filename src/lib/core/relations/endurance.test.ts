import { describe, expect, it } from 'vitest';
import { RelationError } from './argument';
import { bankEnergyAtPlugWh, bankWattsNeeded } from './power/bank';
import { batteryMinutes, coldShare, wattHours } from './power/battery-minutes';
import { chargingHours } from './power/charging';
import { offloadMinutes } from './storage/offload';
import { cardMinutes, recordingGb } from './storage/recording-size';
import { sustainedWriteVerdict } from './storage/sustained-write';
import { armMomentNm, holdMinutes } from './support/arm-hold';
import { payloadVerdict } from './support/payload';
import { boomBagKg, tipAngleDeg } from './support/tipping';

describe('storage', () => {
  it('writes 67.5 GB in ninety minutes at 100 Mb/s', () => {
    expect(recordingGb(100, 90)).toBeCloseTo(67.5);
    expect(recordingGb(100, cardMinutes(128, 100))).toBeCloseTo(128 * 0.98);
  });

  it('sets megabits against megabytes: 240 on V30 warns, 280 needs V60', () => {
    expect(sustainedWriteVerdict(100, 30)).toBe('fine');
    expect(sustainedWriteVerdict(240, 30)).toBe('warn');
    expect(sustainedWriteVerdict(280, 30)).toBe('stop');
    expect(sustainedWriteVerdict(280, 60)).toBe('fine');
  });

  it('carries 117.5 GB off in 21.8 minutes at 90 MB/s, the slowest ruling', () => {
    expect(offloadMinutes(117.5, [90])).toBeCloseTo(21.8, 1);
    expect(offloadMinutes(117.5, [250, 90, 480])).toBeCloseTo(21.8, 1);
    expect(() => offloadMinutes(10, [])).toThrow(RelationError);
  });
});

describe('power', () => {
  it('leaves 0.8 of a battery at freezing and refuses to promise below −20 °C', () => {
    expect([30, 20, 10, 0, -10, -20].map(coldShare)).toEqual([1, 1, 0.9, 0.8, 0.65, 0.5]);
    expect(() => coldShare(-21)).toThrow(RelationError);
  });

  it('lasts as long as its watt-hours', () => {
    expect(batteryMinutes(16, 1, 1, 6.4)).toBeCloseTo(150);
    expect(batteryMinutes(16, 0.85, 0.8, 6.4)).toBeCloseTo(102);
    expect(wattHours(20_000, 3.7)).toBe(74);
  });

  it('loses a share of a bank on the way: 62.9 Wh at the plug, 6 W for 10.5 h', () => {
    expect(bankEnergyAtPlugWh(74)).toBeCloseTo(62.9);
    expect(bankEnergyAtPlugWh(74) / 6).toBeCloseTo(10.5, 1);
    expect(bankWattsNeeded(9)).toBeCloseTo(10);
  });

  it('charges a 16 Wh battery at 8 W in 2.8 h', () => {
    expect(chargingHours(16, 8)).toBeCloseTo(2.8);
  });
});

describe('support', () => {
  it('warns above two thirds of a rating and stops above it', () => {
    expect([1, 1.7, 2.6].map((load) => payloadVerdict(load, 2.5))).toEqual([
      'fine',
      'warn',
      'stop'
    ]);
  });

  it('is held for about 2.4 minutes at 5.5 N·m', () => {
    expect(armMomentNm(0.7, 0.2)).toBeCloseTo(5.5, 1);
    expect(holdMinutes(5.5)).toBeCloseTo(2.4, 1);
    expect(holdMinutes(80)).toBe(0);
  });

  it('tips at 13.0°, and at 12.2° with the camera 50 mm forward', () => {
    const masses = [
      { kg: 2, heightM: 0.6 },
      { kg: 0.8, heightM: 1.45 },
      { kg: 1.3, heightM: 1.6 }
    ];
    expect(tipAngleDeg(0.5, masses, 0)).toBeCloseTo(13, 1);
    expect(tipAngleDeg(0.5, masses, (1.3 * 0.05) / 4.1)).toBeCloseTo(12.2, 1);
  });

  it('wants a 4.6 kg bag under a 1.2 m boom', () => {
    const loads = [
      { kg: 1, armM: 1.2 },
      { kg: 0.6, armM: 0.5 }
    ];
    expect(boomBagKg(loads, 3, 0.45, false)).toBeCloseTo(4.6, 1);
    expect(boomBagKg([{ kg: 0.1, armM: 0.1 }], 3, 0.45, false)).toBe(0);
  });
});
