import { activePlan } from '../model/active-plan';
import { describe, expect, it } from 'vitest';
import { calmKit, ownCopy, setRig, swap, walkOutside, without } from '../judge/tests/calm-kit';
import type { GearItem, GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { steadyings } from './handling-rows';
import { absent, unknown } from './record';
import { add, angle, figure, made, pieces, scene, state } from './tests/figures-of';

const body = 'orrowby-linnet-ii';
const lens = 'pellamund-24-f-1-5';
const legs = 'nibsworth-hob-mini-tripod-wide';
const G = 9.81;

const massOf = (project: Project, id: string, massG: number | undefined) =>
  ownCopy<GearItem>(project, id, (gear) => {
    if (massG === undefined) delete gear.massG;
    else gear.massG = massG;
  });
const walked = (change: (project: Project) => void = () => undefined): Project =>
  made((p) => {
    walkOutside(p);
    change(p);
  });

describe('what the support carries', () => {
  it('is the body with what rides on it', () => {
    const bodyAndLens = made((p) => {
      massOf(p, body, 431);
      massOf(p, lens, 301);
    });
    expect(figure(bodyAndLens, 'loadOnSupport')).toBeCloseTo(0.732, 12);
    const withCage = made((p) => {
      massOf(p, body, 431);
      massOf(p, lens, 301);
      add(p, 'cobberly-crate-for-linnet-ii');
    });
    // The cage stays in the bag until the body would overheat without it.
    expect(figure(withCage, 'loadOnSupport')).toBeCloseTo(0.732, 12);
    const hot = structuredClone(withCage);
    ownCopy<GearOf<'body'>>(hot, body, (gear) => {
      gear.massG = 431;
      gear.modes.forEach((mode) => (mode.heatMinutesAt20C = 10));
    });
    scene(hot).longestTakeMin = 30;
    expect(figure(hot, 'loadOnSupport')).toBeCloseTo(0.9, 12);
  });

  it('has the microphone only where it sits on the camera', () => {
    const bare = figure(calmKit(), 'loadOnSupport')!;
    const shoe = made((p) => swap(p, 'dunmarrow-burr', 'dunmarrow-plover'));
    expect(figure(shoe, 'loadOnSupport')! - bare).toBeCloseTo(0.103, 12);
    const boomed = made((p) => {
      swap(p, 'dunmarrow-burr', 'dunmarrow-plover');
      add(p, 'brackenholt-stand-boom');
      setRig(p, { micPlace: 'boom arm' });
    });
    expect(figure(boomed, 'loadOnSupport')).toBeCloseTo(bare, 12);
  });

  it('has a filter that is on, and none that stays in the bag or does not fit', () => {
    const threadMm = 62;
    const fits = made((p) => {
      setRig(p, { filterLineId: 'own-filter' });
      ownCopy<GearOf<'lens'>>(p, lens, (gear) => (gear.filterThreadMm = threadMm));
      add(p, 'own-filter');
      ownCopy<GearOf<'filter'>>(p, 'pellamund-six-stops-67-mm', (gear) => {
        gear.id = 'own-filter';
        gear.threadMm = threadMm;
      });
    });
    const bare = figure(calmKit(), 'loadOnSupport')!;
    expect(figure(fits, 'loadOnSupport')! - bare).toBeCloseTo(0.028, 12);
    // Indoors nobody wants it: it stays in the bag.
    const inBag = structuredClone(fits);
    delete activePlan(inBag).rigs[0]!.filterLineId;
    expect(figure(inBag, 'loadOnSupport')).toBeCloseTo(bare, 12);
    const loose = structuredClone(fits);
    (loose.ownGear.find(({ id }) => id === 'own-filter') as GearOf<'filter'>).threadMm = 49;
    expect(figure(loose, 'loadOnSupport')).toBeCloseTo(bare, 12);
  });

  it('is unknown while one part has not been weighed, and absent with nothing to stand on', () => {
    expect(
      state(
        made((p) => massOf(p, lens, undefined)),
        'loadOnSupport'
      )
    ).toBe(unknown);
    expect(
      state(
        made((p) => without(p, legs)),
        'loadOnSupport'
      )
    ).toBe(absent);
    expect(
      state(
        made((p) => without(p, body)),
        'loadOnSupport'
      )
    ).toBe(absent);
  });

  it('against the rating is their quotient', () => {
    const project = made((p) =>
      ownCopy<GearOf<'support'>>(p, legs, (gear) => (gear.payloadKg = 1.5))
    );
    expect(figure(project, 'payloadShare')).toBeCloseTo(
      figure(project, 'loadOnSupport')! / 1.5,
      12
    );
    const unsaid = made((p) =>
      ownCopy<GearOf<'support'>>(p, legs, (gear) => delete gear.payloadKg)
    );
    expect(state(unsaid, 'payloadShare')).toBe(unknown);
  });
});

describe('what the arm holds', () => {
  it('is nothing on legs', () => {
    for (const id of ['heldOut', 'heldReach', 'armMoment', 'holdMinutes'] as const)
      expect(state(calmKit(), id), id).toBe(absent);
  });

  it('is held at arm’s length, and farther on a grip', () => {
    const bare = walked((p) => without(p, legs));
    const kg = figure(bare, 'heldOut')!;
    expect(figure(bare, 'heldReach')).toBe(0);
    expect(figure(bare, 'armMoment')).toBeCloseTo(kg * G * 0.6, 3);
    const grip = walked((p) => {
      swap(p, legs, 'vantlow-palm-grip');
      setRig(p, { supportLineId: 'vantlow-palm-grip' });
    });
    expect(figure(grip, 'heldReach')).toBe(0.14);
    expect(figure(grip, 'armMoment')).toBeCloseTo(kg * G * 0.74, 3);
    expect(figure(grip, 'holdMinutes')!).toBeLessThan(figure(bare, 'holdMinutes')!);
  });

  it('lasts −1.5 + 2.1/F − 0.6/F² + 0.1/F³ minutes, F = (10 + M)/50', () => {
    const grip = walked((p) => {
      swap(p, legs, 'vantlow-palm-grip');
      setRig(p, { supportLineId: 'vantlow-palm-grip' });
    });
    const effort = (10 + figure(grip, 'armMoment')!) / 50;
    expect(figure(grip, 'holdMinutes')).toBeCloseTo(
      -1.5 + 2.1 / effort - 0.6 / effort ** 2 + 0.1 / effort ** 3,
      9
    );
  });
});

describe('what holds the picture still', () => {
  const word = (project: Project) => steadyings[figure(project, 'steadying')!];
  const stabilised = (
    p: Project,
    sensor: boolean | undefined,
    glass: boolean | undefined
  ): void => {
    ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.stabilised = sensor));
    ownCopy<GearOf<'lens'>>(p, lens, (gear) => (gear.stabilised = glass));
  };

  it.each<[string, Project, (typeof steadyings)[number] | undefined]>([
    ['legs', calmKit(), 'stands'],
    ['nothing under it', made((p) => without(p, legs)), 'nothing'],
    ['a hand', walked((p) => stabilised(p, false, false)), 'nothing'],
    ['a hand and the sensor', walked((p) => stabilised(p, true, false)), 'lens or sensor'],
    ['a hand and the lens', walked((p) => stabilised(p, false, true)), 'lens or sensor'],
    ['a hand and both', walked((p) => stabilised(p, true, true)), 'lens and sensor'],
    ['a gimbal', walked((p) => swap(p, legs, 'withrick-sway')), 'gimbal']
  ])('%s', (_, project, said) => {
    expect(word(project)).toBe(said);
  });

  it('is unknown when nobody says whether the sensor does, unless the lens does', () => {
    expect(
      state(
        walked((p) => stabilised(p, undefined, false)),
        'steadying'
      )
    ).toBe(unknown);
    expect(word(walked((p) => stabilised(p, undefined, true)))).toBe('lens or sensor');
  });
});

describe('what the scene takes out of the bag', () => {
  it('weighs what it weighs, spares left in', () => {
    const alone = figure(calmKit(), 'rigMass')!;
    expect(
      figure(
        made((p) => pieces(p, 'quillfeather-sd-128-v30', 9)),
        'rigMass'
      )
    ).toBe(alone);
    expect(
      figure(
        made((p) => add(p, 'pellamund-hearth-148')),
        'rigMass'
      )
    ).toBe(alone);
    const twice = made((p) => massOf(p, legs, 398 + 1000));
    expect(figure(twice, 'rigMass')! - alone).toBeCloseTo(1, 12);
  });

  it('takes its minutes to set up, part by part', () => {
    // Body and lens half a minute each, a lapel one, a lamp two, mini tripod half, its stand 0.7.
    expect(figure(calmKit(), 'setUp')).toBeCloseTo(0.5 + 0.5 + 1 + 2 + 0.5 + 0.7, 12);
    const gimbal = walked((p) => swap(p, legs, 'withrick-sway'));
    expect(figure(gimbal, 'setUp')).toBeCloseTo(0.5 + 0.5 + 1 + 3, 12);
    const boomed = made((p) => {
      swap(p, 'dunmarrow-burr', 'dunmarrow-plover');
      add(p, 'brackenholt-stand-boom');
      setRig(p, { micPlace: 'boom arm' });
    });
    const shoe = made((p) => swap(p, 'dunmarrow-burr', 'dunmarrow-plover'));
    // The microphone goes up with the boom, which is a part to set up itself.
    expect(figure(boomed, 'setUp')! - figure(shoe, 'setUp')!).toBeCloseTo(0.5 + 1.5, 12);
  });

  it('has so many switches to remember: camera, lamps, microphones', () => {
    expect(figure(calmKit(), 'switches')).toBe(2);
    const radio = made((p) => swap(p, 'dunmarrow-burr', 'withrick-thimble-one'));
    expect(figure(radio, 'switches')).toBe(4);
    const wired = made((p) => swap(p, 'dunmarrow-burr', 'dunmarrow-burr-long'));
    expect(figure(wired, 'switches')).toBe(3);
    expect(figure(walked(), 'switches')).toBe(1);
    // A recorder that the voice goes into has one of its own; lying in the bag it has none to remember.
    const scribe = (p: Project, hasSwitch: boolean) =>
      ownCopy<GearOf<'recorder'>>(p, 'withrick-pocket-scribe', (gear) => {
        gear.hasSwitch = hasSwitch;
      });
    const deaf = (p: Project) =>
      ownCopy<GearOf<'body'>>(p, body, (gear) => {
        gear.ports = gear.ports.filter(({ role }) => role !== 'audioIn');
      });
    expect(
      figure(
        made((p) => scribe(p, true)),
        'switches'
      )
    ).toBe(2);
    for (const hasSwitch of [false, true])
      expect(
        figure(
          made((p) => {
            scribe(p, hasSwitch);
            deaf(p);
          }),
          'switches'
        )
      ).toBe(hasSwitch ? 3 : 2);
  });

  it('is nothing without a body', () => {
    const bare = made((p) => without(p, body));
    for (const id of [
      'rigMass',
      'setUp',
      'switches',
      'recordings',
      'spareBatteries',
      'copies'
    ] as const)
      expect(state(bare, id), id).toBe(absent);
  });
});

describe('the safety net', () => {
  it('counts recordings made at once', () => {
    expect(figure(calmKit(), 'recordings')).toBe(2);
    expect(
      figure(
        made((p) => without(p, 'withrick-pocket-scribe')),
        'recordings'
      )
    ).toBe(1);
    const radio = made((p) => {
      without(p, 'withrick-pocket-scribe');
      swap(p, 'dunmarrow-burr', 'withrick-thimble-two');
    });
    expect(figure(radio, 'recordings')).toBe(2);
    const twoSlots = made((p) => {
      ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.cardSlots = 2));
      pieces(p, 'quillfeather-sd-128-v30', 2);
    });
    expect(figure(twoSlots, 'recordings')).toBe(3);
    const silent = made((p) => (scene(p).voice = 'none'));
    expect(figure(silent, 'recordings')).toBe(1);
  });

  it('counts places the files are kept: the card, and each drive', () => {
    expect(figure(calmKit(), 'copies')).toBe(2);
    expect(
      figure(
        made((p) => pieces(p, 'pellamund-cellar-1-tb', 3)),
        'copies'
      )
    ).toBe(4);
    expect(
      figure(
        made((p) => without(p, 'pellamund-cellar-1-tb')),
        'copies'
      )
    ).toBe(1);
  });

  it('counts batteries beyond the first, and banks that a cable joins to the body', () => {
    expect(figure(calmKit(), 'spareBatteries')).toBe(1);
    const bank = (...others: string[]) =>
      made((p) => ['pellamund-hearth-74', ...others].forEach((id) => add(p, id)));
    expect(figure(bank(), 'spareBatteries')).toBe(1);
    expect(figure(bank('nibsworth-usb-c-cable-c-to-c-1-m'), 'spareBatteries')).toBe(2);
    const none = made((p) => {
      without(p, 'quillfeather-ember-16-battery-twin');
      ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.batteriesIncluded = 0));
    });
    expect(figure(none, 'spareBatteries')).toBe(0);
  });

  it('asks for a weather seal only where the weather is rough', () => {
    expect(state(calmKit(), 'weatherCover')).toBe(absent);
    const rough = walked((p) => (scene(p).roughWeather = true));
    expect(figure(rough, 'weatherCover')).toBe(0);
    const unsaid = walked((p) => {
      scene(p).roughWeather = true;
      ownCopy<GearOf<'body'>>(p, body, (gear) => delete gear.weatherCover);
    });
    expect(state(unsaid, 'weatherCover')).toBe(unknown);
  });
});

describe('an angle filmed with two hands full', () => {
  it('on an extension pole reaches by the pole', () => {
    const stick = walked((p) => {
      angle(p).cameraPlace = 'extension pole';
      swap(p, legs, 'ellowen-wand');
    });
    expect(figure(stick, 'heldReach')).toBe(0.7);
  });
});
