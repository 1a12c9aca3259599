import { describe, expect, it } from 'vitest';
import { calmKit, ownCopy, swap, without } from '../judge/tests/calm-kit';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { batteriesFilled } from '../relations/power/charging';
import { absent, unknown } from './record';
import { add, figure, made, pieces, scene, state, twoAtOnce } from './tests/figures-of';

const body = 'orrowby-linnet-ii';
const charger = 'quillfeather-charger-ember-16-two-bays';
const drive = 'pellamund-cellar-1-tb';
const reader = 'nibsworth-reader-sd';

const away = (days: number, more: (p: Project) => void = () => undefined) =>
  made((p) => {
    scene(p).daysWithoutSocket = days;
    more(p);
  });

describe('days away from a socket', () => {
  it('need draw × minutes × days, from two days on', () => {
    expect(state(calmKit(), 'awayDays')).toBe(absent);
    expect(state(away(1), 'awayDays')).toBe(absent);
    const four = away(4);
    expect(figure(four, 'awayDays')).toBe(4);
    expect(figure(four, 'energyNeededAway')).toBeCloseTo(
      (6.6 * scene(four).recordedMin * 4) / 60,
      9
    );
  });

  it('live on batteries, then banks at 0.85 twice, then sun and car', () => {
    const batteries = 16.2 + 15.4 * 0.85;
    const cold = (p: Project) => figure(p, 'coldShare')!;
    const bare = away(3);
    expect(figure(bare, 'energyAway')).toBeCloseTo(batteries * cold(bare), 9);
    const banked = away(3, (p) => {
      add(p, 'pellamund-hearth-74');
      pieces(p, 'pellamund-hearth-74', 2);
    });
    expect(figure(banked, 'bankCarried')).toBeCloseTo(2 * 74 * 0.85 * 0.85, 9);
    const sunny = away(3, (p) => {
      add(p, 'pellamund-meadow-14');
      scene(p).sunHoursPerDay = 4;
      scene(p).drivenHoursPerDay = 2;
    });
    expect(figure(sunny, 'panelWatts')).toBe(14);
    expect(figure(sunny, 'energyAway')).toBeCloseTo(
      batteries * cold(sunny) + 3 * (14 * 4 * 0.6 + 15 * 2),
      9
    );
    expect(figure(sunny, 'awayShare')).toBeCloseTo(
      figure(sunny, 'energyAway')! / figure(sunny, 'energyNeededAway')!,
      12
    );
  });

  it('are unknown while a bank or a panel states nothing', () => {
    const bank = away(3, (p) => {
      add(p, 'pellamund-hearth-74');
      ownCopy<GearOf<'power bank'>>(p, 'pellamund-hearth-74', (gear) => delete gear.energyWh);
    });
    expect(state(bank, 'energyAway')).toBe(unknown);
    const panel = away(3, (p) => {
      add(p, 'pellamund-meadow-14');
      ownCopy<GearOf<'solar panel'>>(p, 'pellamund-meadow-14', (gear) => delete gear.outputW);
    });
    expect(state(panel, 'energyAway')).toBe(unknown);
  });
});

describe('filling batteries overnight', () => {
  it('takes 1.4·Wh ÷ W for each, in as many bays as there are', () => {
    const project = calmKit();
    expect(figure(project, 'wattsPerBay')).toBe(7.5);
    expect(figure(project, 'chargingHours')).toBeCloseTo((1.4 * 16.2) / 7.5, 9);
    // Two bays, and the body fills one over USB.
    expect(figure(project, 'bays')).toBe(3);
    // Two batteries leave a bay empty.
    expect(figure(project, 'batteriesByMorning')).toBe(2);
    const more = made((p) => pieces(p, 'quillfeather-ember-16-battery-twin', 4));
    expect(figure(more, 'batteriesByMorning')).toBe(3);
    const two = made((p) => pieces(p, charger, 2));
    expect(figure(two, 'bays')).toBe(5);
  });

  it('leaves out the bay that cannot fill a battery by the morning', () => {
    const slow = made((p) =>
      ownCopy<GearOf<'charger'>>(p, charger, (gear) => (gear.wattsPerBay = 2))
    );
    expect(figure(slow, 'chargingHours')!).toBeGreaterThan(8);
    // What the body fills over USB is full all the same.
    expect(figure(slow, 'batteriesByMorning')).toBe(1);
  });

  it('is unknown while a charger states no bays or no watts', () => {
    for (const field of ['bays', 'wattsPerBay'] as const) {
      const unsaid = made((p) =>
        ownCopy<GearOf<'charger'>>(p, charger, (gear) => delete gear[field])
      );
      expect(state(unsaid, 'batteriesByMorning'), field).toBe(unknown);
    }
  });

  it('matches unlike batteries and bays so that the most fill', () => {
    expect(batteriesFilled([16, 16], [7, 7, 7, 7], 8)).toBe(2);
    // 1.4 × 16 ÷ 2.5 = 8.96 h is past the night; 1.4 × 7 ÷ 2.5 = 3.9 h is not.
    expect(batteriesFilled([16, 7], [2.5, 2.5], 8)).toBe(1);
    expect(batteriesFilled([7, 16], [6, 2.5], 8)).toBe(2);
    expect(batteriesFilled([], [6], 8)).toBe(0);
    expect(batteriesFilled([16], [], 8)).toBe(0);
  });

  it('goes at the pace of the slowest charger, or of the body alone', () => {
    const mixed = made((p) => add(p, 'orrowby-charger-ember-16-one-bay'));
    expect(figure(mixed, 'wattsPerBay')).toBe(7.5);
    const bare = made((p) => without(p, charger));
    expect(figure(bare, 'wattsPerBay')).toBe(6);
    expect(figure(bare, 'bays')).toBe(1);
    const none = made((p) => {
      without(p, charger);
      ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.runsFromUsb = false));
    });
    expect(state(none, 'wattsPerBay')).toBe(absent);
    expect(figure(none, 'bays')).toBe(0);
    const other = made((p) => swap(p, charger, 'quillfeather-charger-ember-8-two-bays'));
    expect(figure(other, 'bays')).toBe(1);
  });

  it('is nothing without a socket or with a battery one cannot remove', () => {
    expect(state(away(1), 'bays')).toBe(absent);
    const fixed = made((p) =>
      ownCopy<GearOf<'body'>>(p, body, (gear) => {
        gear.internalBatteryWh = 12;
        delete gear.batteryType;
      })
    );
    expect(state(fixed, 'bays')).toBe(absent);
    expect(state(fixed, 'wattsPerBay')).toBe(absent);
  });

  it('is for batteries emptied: minutes ÷ minutes a battery, rounded up, times bodies on them', () => {
    const long = made((p) => (scene(p).recordedMin = 200));
    // 16.2 Wh at 6.6 W are 147 min: 200 min empty the one it came with and the one bought for it.
    expect(figure(long, 'minutesPerBattery')).toBeCloseTo(147.27, 2);
    expect(figure(long, 'batteriesEmptied')).toBe(2);
    expect(figure(long, 'spareBatteriesOfDay')).toBe(0);
    expect(figure(calmKit(), 'batteriesEmptied')).toBe(1);
    const two = made((p) => {
      scene(p).recordedMin = 200;
      twoAtOnce(p, 'own-second');
      ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.id = 'own-second'));
    });
    expect(figure(two, 'batteriesEmptied')).toBe(4);
  });
});

describe('carrying the files off', () => {
  it('goes at the pace of the slowest of reader and drive', () => {
    expect(figure(calmKit(), 'offloadSpeed')).toBe(160);
    const slow = made((p) => swap(p, drive, 'pellamund-barn-4-tb'));
    expect(figure(slow, 'offloadSpeed')).toBe(115);
    const bare = made((p) => without(p, reader));
    expect(figure(bare, 'offloadSpeed')).toBe(480);
    expect(
      state(
        made((p) => without(p, drive)),
        'offloadSpeed'
      )
    ).toBe(absent);
    const unsaid = made((p) => ownCopy<GearOf<'drive'>>(p, drive, (gear) => delete gear.writeMBps));
    expect(state(unsaid, 'offloadMinutes')).toBe(unknown);
  });
});

describe('cutting on the computer', () => {
  const cut = (more: (p: Project) => void = () => undefined) =>
    made((p) => {
      add(p, 'tesselind-fold-14');
      more(p);
    });

  it('asks pixels × rate × codec of all angles at once', () => {
    const project = cut();
    const load =
      ((figure(project, 'pixelsAcross')! *
        figure(project, 'pixelsDown')! *
        figure(project, 'fps')!) /
        249e6) *
      figure(project, 'codecFactor')!;
    expect(figure(project, 'editingShare')!).toBeCloseTo(load / 3.1, 2);
    const two = cut((p) => twoAtOnce(p, 'orrowby-linnet'));
    expect(figure(two, 'anglesCut')).toBe(2);
    expect(figure(two, 'editingShare')! / figure(project, 'editingShare')!).toBeCloseTo(2, 9);
  });

  it('is nothing to ask without a computer, and unknown while it is not rated', () => {
    expect(state(calmKit(), 'editingShare')).toBe(absent);
    expect(state(calmKit(), 'freeSpace')).toBe(absent);
    const unrated = cut((p) =>
      ownCopy<GearOf<'computer'>>(p, 'tesselind-fold-14', (gear) => {
        delete gear.editingRating;
        delete gear.freeSpaceGb;
      })
    );
    expect(state(unrated, 'editingShare')).toBe(unknown);
    expect(state(unrated, 'freeSpace')).toBe(unknown);
    expect(figure(cut(), 'freeSpace')).toBe(420);
  });

  it('of a mode whose codec nobody says is unknown', () => {
    const unsaid = cut((p) =>
      ownCopy<GearOf<'body'>>(p, body, (gear) => {
        for (const mode of gear.modes) delete mode.codec;
      })
    );
    expect(state(unsaid, 'codecFactor')).toBe(unknown);
    expect(state(unsaid, 'editingShare')).toBe(unknown);
  });
});
