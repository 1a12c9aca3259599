import { describe, expect, it } from 'vitest';
import { calmKit, ownCopy, swap, without } from '../judge/tests/calm-kit';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { absent, known, unknown } from './record';
import { add, figure, lineOf, made, pieces, recordOf, state, twoAtOnce } from './tests/figures-of';

const body = 'orrowby-linnet-ii';
const card = 'quillfeather-sd-128-v30';
const battery = 'quillfeather-ember-16-battery-twin';
const bank = 'pellamund-hearth-74';
const block = 'quillfeather-dummy-battery-ember-16';
const lead = 'nibsworth-usb-c-cable-c-to-c-1-m';

describe('space on the cards', () => {
  it.each<[string, (p: Project) => void, number | undefined]>([
    ['one card', () => undefined, 128],
    ['three pieces of it', (p) => pieces(p, card, 3), 384],
    ['none at all', (p) => without(p, card), 0],
    ['a small card with no sleeve', (p) => swap(p, card, 'quillfeather-microsd-128-v30'), 0],
    [
      'a small card in a sleeve',
      (p) => {
        swap(p, card, 'quillfeather-microsd-128-v30');
        add(p, 'quillfeather-sleeve-microsd-in-sd');
      },
      128
    ],
    [
      'storage inside the body besides',
      (p) => ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.internalStorageGb = 64)),
      192
    ],
    [
      'a card whose size nobody says',
      (p) => ownCopy<GearOf<'card'>>(p, card, (gear) => delete gear.capacityGb),
      undefined
    ],
    ['a card moved to later', (p) => (lineOf(p, card).step = 'later'), 0]
  ])('with %s', (_, change, gb) => {
    expect(figure(made(change), 'cardSpace')).toBe(gb);
  });

  it('is shared out between two bodies that take the same cards', () => {
    const project = made((p) => twoAtOnce(p, 'orrowby-linnet'));
    expect(figure(project, 'cardSpace', 0)).toBe(64);
    expect(figure(project, 'cardSpace', 1)).toBe(64);
  });

  it('is not shared with a body that takes other cards', () => {
    const project = made((p) => {
      twoAtOnce(p, 'ellowen-dragonfly');
      p.scenes[0]!.angles[1]!.cameraPlace = 'in the air';
    });
    expect(figure(project, 'cardSpace', 0)).toBe(128);
    expect(figure(project, 'cardSpace', 1)).toBe(0);
  });

  it('is filled by the mode’s rate: label × 0.98 × 0.95 over Mb/s ÷ 8', () => {
    const project = calmKit();
    const rate = figure(project, 'bitRate')!;
    const minutes = (128_000 * 0.98 * 0.95) / ((rate / 8) * 60);
    expect(figure(project, 'cardMinutes')).toBeCloseTo(minutes, 9);
    expect(figure(project, 'storageShare')).toBeCloseTo(
      minutes / project.scenes[0]!.recordedMin,
      9
    );
  });

  it('has to last all days away from a socket', () => {
    const project = made((p) => (p.scenes[0]!.daysWithoutSocket = 3));
    expect(figure(project, 'recordedAway')).toBe(3 * project.scenes[0]!.recordedMin);
    expect(figure(project, 'sizeNeeded')).toBeCloseTo(
      ((figure(project, 'bitRate')! / 8) * 180 * project.scenes[0]!.recordedMin) / 1000,
      9
    );
  });
});

describe('the sustained write of the cards', () => {
  it('is that of the slowest', () => {
    expect(figure(calmKit(), 'writePromised')).toBe(30);
    const mixed = made((p) => {
      add(p, 'own-slow');
      ownCopy<GearOf<'card'>>(p, card, (gear) => {
        gear.id = 'own-slow';
        gear.speedClass = 'V10';
      });
    });
    expect(figure(mixed, 'writePromised')).toBe(10);
  });

  it('is absent without a card, and unknown while one states no class', () => {
    expect(
      state(
        made((p) => without(p, card)),
        'writePromised'
      )
    ).toBe(absent);
    expect(
      state(
        made((p) => ownCopy<GearOf<'card'>>(p, card, (gear) => delete gear.speedClass)),
        'writePromised'
      )
    ).toBe(unknown);
  });
});

describe('batteries', () => {
  it('are counted with those the body came with', () => {
    const own = calmKit();
    expect(figure(own, 'batteryCount')).toBe(2);
    expect(
      figure(
        made((p) => pieces(p, battery, 3)),
        'batteryCount'
      )
    ).toBe(4);
    expect(
      figure(
        made((p) => without(p, battery)),
        'batteryCount'
      )
    ).toBe(1);
    expect(
      figure(
        made((p) => pieces(p, battery, 3)),
        'spareBatteries'
      )
    ).toBe(3);
  });

  it('of another kind are left in the kit', () => {
    const project = made((p) => swap(p, battery, 'quillfeather-ember-8-battery-twin'));
    expect(figure(project, 'batteryCount')).toBe(1);
    expect(figure(project, 'batteriesEnergy')).toBeCloseTo(16.2, 9);
  });

  it('give the best of them for one take: 16.2 Wh of the maker before 15.4 × 0.85', () => {
    const project = calmKit();
    expect(figure(project, 'batteryEnergy')).toBe(16.2);
    expect(figure(project, 'batteryHealth')).toBe(1);
    expect(figure(project, 'batteriesEnergy')).toBeCloseTo(16.2 + 15.4 * 0.85, 9);
    // Without the one it came with, the other maker’s is the best there is.
    const bare = made((p) =>
      ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.batteriesIncluded = 0))
    );
    expect(figure(bare, 'batteryEnergy')).toBe(15.4);
    expect(figure(bare, 'batteryHealth')).toBe(0.85);
    expect(figure(bare, 'minutesPerBattery')).toBeCloseTo((60 * 15.4 * 0.85) / 6.6, 9);
  });

  it('that cannot be taken out are the only ones', () => {
    const fixed = made((p) =>
      ownCopy<GearOf<'body'>>(p, body, (gear) => {
        gear.internalBatteryWh = 20;
        delete gear.batteryType;
      })
    );
    expect(figure(fixed, 'batteryCount')).toBe(1);
    expect(figure(fixed, 'batteryEnergy')).toBe(20);
    expect(figure(fixed, 'batteriesEnergy')).toBe(20);
    expect(figure(fixed, 'bodiesOnBatteries')).toBe(1);
  });

  it('nobody has measured leave all that rests on them unknown', () => {
    const project = made((p) =>
      ownCopy<GearOf<'battery'>>(p, battery, (gear) => delete gear.energyWh)
    );
    for (const id of ['batteriesEnergy', 'dayPower', 'dayPowerShare'] as const)
      expect(state(project, id), id).toBe(unknown);
    // For one take the maker’s own is good enough, whatever the other holds.
    expect(state(project, 'minutesPerBattery')).toBe(known);
  });

  it('are shared by two bodies that live on them, and by no other', () => {
    const alike = made((p) => {
      twoAtOnce(p, 'own-second');
      ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.id = 'own-second'));
    });
    expect(figure(alike, 'bodiesAtOnce')).toBe(2);
    expect(figure(alike, 'bodiesOnBatteries')).toBe(2);
    expect(figure(alike, 'batteriesEnergy')).toBeCloseTo((2 * 16.2 + 15.4 * 0.85) / 2, 9);
    const other = made((p) => twoAtOnce(p, 'orrowby-linnet'));
    expect(figure(other, 'bodiesAtOnce')).toBe(2);
    expect(figure(other, 'bodiesOnBatteries')).toBe(1);
  });

  it('give less in the cold, line by line between the points', () => {
    const atValue = (temperatureC: number) =>
      made((p) => (p.scenes[0]!.temperatureC = temperatureC));
    expect(figure(atValue(20), 'coldShare')).toBe(1);
    expect(figure(atValue(30), 'coldShare')).toBe(1);
    expect(figure(atValue(10), 'coldShare')).toBeCloseTo(0.9, 12);
    expect(figure(atValue(-5), 'coldShare')).toBeCloseTo(0.725, 12);
    expect(figure(atValue(-15), 'minutesPerBattery')).toBeCloseTo((60 * 16.2 * 0.575) / 6.6, 9);
    // Colder than anybody has measured: unknown, and the reason is kept.
    expect(state(atValue(-25), 'coldShare')).toBe(unknown);
    expect(recordOf(atValue(-25)).refused?.get('coldShare')?.message).toContain('−20');
  });
});

describe('power that comes by a lead', () => {
  it('counts only when the lead is there and carries the watts', () => {
    const bare = made((p) => add(p, bank));
    expect(state(bare, 'bankEnergy')).toBe(absent);
    const joined = made((p) => add(p, bank, lead));
    expect(figure(joined, 'bankEnergy')).toBe(74);
    expect(figure(joined, 'bankMinutes')).toBeCloseTo((60 * 74 * 0.85 * 0.9) / 6.6, 9);
    const thin = made((p) => {
      add(p, bank, lead);
      ownCopy<GearOf<'cable'>>(p, lead, (gear) => (gear.carriesW = 5));
    });
    expect(state(thin, 'bankEnergy')).toBe(absent);
  });

  it('from two banks is the sum, and unknown while one states none', () => {
    const two = made((p) => {
      add(p, bank, lead, 'pellamund-hearth-37');
    });
    expect(figure(two, 'bankEnergy')).toBe(111);
    const unsaid = made((p) => {
      add(p, bank, lead, 'pellamund-hearth-37');
      ownCopy<GearOf<'power bank'>>(p, 'pellamund-hearth-37', (gear) => delete gear.energyWh);
    });
    expect(state(unsaid, 'bankEnergy')).toBe(unknown);
  });

  it('lengthens a take and a day by its minutes', () => {
    const bare = calmKit();
    const joined = made((p) => add(p, bank, lead));
    const minutes = figure(joined, 'bankMinutes')!;
    expect(figure(joined, 'takePower')! - figure(bare, 'takePower')!).toBeCloseTo(minutes, 9);
    expect(figure(joined, 'dayPower')! - figure(bare, 'dayPower')!).toBeCloseTo(minutes, 9);
  });

  it('from a block in the battery’s place never ends where there is a socket', () => {
    const mains = made((p) => add(p, block));
    expect(figure(mains, 'onMains')).toBe(1);
    expect(figure(mains, 'takePower')).toBe(Infinity);
    expect(figure(mains, 'dayPowerShare')).toBe(Infinity);
    expect(figure(mains, 'batteriesEmptied')).toBe(0);
    const away = made((p) => {
      add(p, block);
      p.scenes[0]!.daysWithoutSocket = 1;
    });
    expect(figure(away, 'onMains')).toBe(0);
    expect(Number.isFinite(figure(away, 'takePower'))).toBe(true);
  });

  it('from one block runs the first body only', () => {
    const two = made((p) => {
      twoAtOnce(p, 'own-second');
      add(p, block);
      ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.id = 'own-second'));
    });
    expect(figure(two, 'onMains', 0)).toBe(1);
    expect(figure(two, 'onMains', 1)).toBe(0);
    pieces(two, block, 2);
    expect(figure(two, 'onMains', 1)).toBe(1);
  });
});

describe('the longest clip', () => {
  it('is what the mode says, and without end where it says nothing', () => {
    expect(figure(calmKit(), 'recordLimit')).toBe(Infinity);
    const limited = made((p) =>
      ownCopy<GearOf<'body'>>(p, body, (gear) => {
        for (const mode of gear.modes) mode.recordLimitMin = 29;
      })
    );
    expect(figure(limited, 'recordLimit')).toBe(29);
  });

  it('is absent with nothing to film with', () => {
    const bare = made((p) => without(p, body));
    for (const id of ['recordLimit', 'bitRate', 'bodyDraw', 'batteryCount', 'onMains'] as const)
      expect(state(bare, id), id).toBe(absent);
  });
});
