import { describe, expect, it } from 'vitest';
import { calmKit, line, ownCopy, setRig, swap, without } from '../judge/tests/calm-kit';
import type { GearItem, GearOf } from '../model/gear';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { absent, unknown } from './record';
import { add, figure, made, pieces, scene, state } from './tests/figures-of';

const body = 'orrowby-linnet-ii';
const lens = 'pellamund-24-f-1-5';
const legs = 'nibsworth-hob-mini-tripod-wide';
const lamp = 'quillfeather-ray-65-two-colour-55-cm-dome';
const stand = 'brackenholt-stand-2';
const G = 9.81;

const outdoors = (p: Project) => delete scene(p).room;
const unweighed = (id: string) =>
  made((p) => ownCopy<GearItem>(p, id, (gear) => delete gear.massG));
const tripods = (more: (p: Project) => void = () => undefined) =>
  made((p) => {
    swap(p, legs, 'cobberly-meadow-tripod');
    scene(p).angles[0]!.cameraPlace = 'tripod';
    more(p);
  });

describe('legs', () => {
  it('stand as high as one films: sitting 1.1 m, standing 1.5, or as far as they rise', () => {
    expect(figure(calmKit(), 'supportHeight')).toBe(0.32);
    expect(figure(tripods(), 'supportHeight')).toBe(1.1);
    expect(
      figure(
        tripods((p) => (scene(p).style = 'evening')),
        'supportHeight'
      )
    ).toBe(1.5);
    const low = tripods((p) => {
      scene(p).style = 'evening';
      ownCopy<GearOf<'support'>>(p, 'cobberly-meadow-tripod', (gear) => (gear.heightMaxM = 1.3));
    });
    expect(figure(low, 'supportHeight')).toBe(1.3);
  });

  it('tip at atan((r/2 − e)/h), with legs, camera and lens weighed', () => {
    const project = tripods();
    const load = figure(project, 'loadOnSupport')!;
    const [supportKg, glassKg] = [1.08, figure(project, 'lensMass')!];
    const centre = (supportKg * 1.1 * 0.4 + load * 1.1) / (supportKg + load);
    const forward = (glassKg * 0.06) / (supportKg + load);
    expect(figure(project, 'tipAngle')).toBeCloseTo(
      (Math.atan((0.42 / 2 - forward) / centre) * 180) / Math.PI,
      9
    );
  });

  it('tip sooner with a longer lens forward and later with wider feet', () => {
    const heavier = tripods((p) => ownCopy<GearOf<'lens'>>(p, lens, (gear) => (gear.massG = 1400)));
    const wider = tripods((p) =>
      ownCopy<GearOf<'support'>>(p, 'cobberly-meadow-tripod', (gear) => (gear.footRadiusM = 0.6))
    );
    const asTheyAre = figure(tripods(), 'tipAngle')!;
    expect(figure(heavier, 'tipAngle')).toBeLessThan(asTheyAre);
    expect(figure(wider, 'tipAngle')).toBeGreaterThan(asTheyAre);
  });

  it('nobody has measured leave the tipping unknown; in the hand there is nothing to tip', () => {
    for (const field of ['massG', 'heightMaxM', 'footRadiusM'] as const)
      expect(
        state(
          made((p) => ownCopy<GearOf<'support'>>(p, legs, (gear) => delete gear[field])),
          'tipAngle'
        ),
        field
      ).toBe(unknown);
    const held = made((p) => swap(p, legs, 'vantlow-palm-grip'));
    expect(state(held, 'tipAngle')).toBe(absent);
  });

  it('are asked for their head only where a pan is wanted', () => {
    expect(state(calmKit(), 'supportHead')).toBe(absent);
    const panned = made((p) => (scene(p).wantsPan = true));
    expect(figure(panned, 'supportHead')).toBeDefined();
    const unsaid = made((p) => {
      scene(p).wantsPan = true;
      ownCopy<GearOf<'support'>>(p, legs, (gear) => delete gear.head);
    });
    expect(state(unsaid, 'supportHead')).toBe(unknown);
  });
});

describe('a head bought by itself', () => {
  const bare = (more: (p: Project) => void = () => undefined) =>
    made((p) => {
      swap(p, legs, 'cobberly-meadow-tripod-bare');
      scene(p).angles[0]!.cameraPlace = 'tripod';
      add(p, 'cobberly-pebble-ball');
      more(p);
    });

  it('weighs on the legs with all that it carries', () => {
    const project = bare();
    expect(figure(project, 'loadOnSupport')! - figure(project, 'loadOnHead')!).toBeCloseTo(
      0.19,
      12
    );
    expect(figure(project, 'headPayload')).toBe(2.5);
    expect(figure(project, 'headRatedHeight')).toBe(50);
  });

  it('has its load in the middle of the body, the microphone on top', () => {
    const project = bare((p) => swap(p, 'dunmarrow-burr', 'dunmarrow-plover'));
    const [bodyG, glassG, micG, bodyMm] = [431, figure(project, 'lensMass')! * 1000, 103, 72];
    const turning = (bodyG + glassG) * (bodyMm / 2) + micG * (bodyMm + 40);
    expect(figure(project, 'loadCentre')).toBeCloseTo(turning / (bodyG + glassG + micG), 9);
  });

  it('is unknown without the body’s height, and absent on legs that came with one', () => {
    const unsaid = bare((p) => ownCopy<GearOf<'body'>>(p, body, (gear) => delete gear.sizeMm));
    expect(state(unsaid, 'loadCentre')).toBe(unknown);
    const own = made((p) => add(p, 'cobberly-pebble-ball'));
    for (const id of ['loadOnHead', 'headPayload', 'headRatedHeight'] as const)
      expect(state(own, id), id).toBe(absent);
  });
});

describe('a boom', () => {
  const boomed = (more: (p: Project) => void = () => undefined) =>
    made((p) => {
      swap(p, 'dunmarrow-burr', 'dunmarrow-plover');
      add(p, 'brackenholt-stand-boom');
      setRig(p, { micPlace: 'boom arm' });
      more(p);
    });

  it('needs a bag of 1.5·M/e less its stand', () => {
    const project = boomed();
    const e = 0.25;
    const moment = 0.103 * (1.3 - e) + 2.4 * 0.3 * (1.3 / 2 - e);
    expect(figure(project, 'boomBag')).toBeCloseTo(Math.max(0, (1.5 * moment) / e - 2.4 * 0.7), 9);
  });

  it('clamped to a desk has no feet to tip over', () => {
    const desk = made((p) => {
      swap(p, 'dunmarrow-burr', 'dunmarrow-plover');
      add(p, 'brackenholt-desk-boom');
      setRig(p, { micPlace: 'boom arm' });
    });
    expect(state(desk, 'boomMass')).toBe(absent);
    expect(state(desk, 'boomBag')).toBe(absent);
  });

  it('nobody has weighed leaves the bag unknown; without a boom there is none', () => {
    const unsaid = boomed((p) =>
      ownCopy<GearOf<'support'>>(p, 'brackenholt-stand-boom', (gear) => delete gear.massG)
    );
    expect(state(unsaid, 'boomBag')).toBe(unknown);
    expect(state(calmKit(), 'boomBag')).toBe(absent);
  });
});

describe('the stand of the key lamp', () => {
  it('indoors is judged by what it carries, not by the wind', () => {
    const project = calmKit();
    expect(figure(project, 'lampMass')).toBe(1.95);
    expect(figure(project, 'standPayload')).toBe(3);
    expect(figure(project, 'lampLoadShare')).toBeCloseTo(0.65, 12);
    for (const id of ['standRadius', 'standHeight', 'lampTipWind', 'windOutside'] as const)
      expect(state(project, id), id).toBe(absent);
  });

  it('outside is tipped at √(m·g·(r/2)/(½·1.2·1.2·A·H))', () => {
    const project = made(outdoors);
    const area = Math.PI * 0.275 ** 2;
    const wind = (kg: number) => Math.sqrt((kg * G * (0.44 / 2)) / (0.5 * 1.2 * 1.2 * area * 2));
    expect(figure(project, 'lampTipWind')).toBeCloseTo(wind(1.95 + 1.15), 6);
    const bagged = made((p) => {
      outdoors(p);
      add(p, 'brackenholt-saddle-bag-5');
      pieces(p, 'brackenholt-saddle-bag-5', 2);
    });
    expect(figure(bagged, 'sandbag')).toBe(10);
    expect(figure(bagged, 'lampTipWind')).toBeCloseTo(wind(1.95 + 1.15 + 10), 6);
  });

  it('is the lightest that carries the lamp, else the strongest of the kit', () => {
    const two = made((p) => add(p, 'brackenholt-stand-3-steel'));
    expect(figure(two, 'standPayload')).toBe(3);
    const heavy = structuredClone(two);
    ownCopy<GearOf<'lamp'>>(heavy, lamp, (gear) => (gear.massG = 4000));
    expect(figure(heavy, 'standPayload')).toBe(10);
    expect(figure(heavy, 'standMass')).toBe(5.2);
  });

  it('nobody has measured is unknown; with none there is nothing to ask', () => {
    expect(state(unweighed(stand), 'standMass')).toBe(unknown);
    expect(state(unweighed(lamp), 'lampLoadShare')).toBe(unknown);
    const bare = made((p) => without(p, stand));
    for (const id of ['standMass', 'standPayload', 'lampMass', 'lampLoadShare'] as const)
      expect(state(bare, id), id).toBe(absent);
    const dark = made((p) => without(p, lamp));
    expect(state(dark, 'lampLoadShare')).toBe(absent);
  });
});

describe('what is carried in a day', () => {
  const limited = (more: (p: Project) => void = () => undefined) =>
    made((p) => {
      p.carriedLimitKg = 8;
      more(p);
    });

  it('is everything in the kit, pieces counted, but for what stays at home', () => {
    const all = limited();
    const twoCards = limited((p) => pieces(p, 'quillfeather-sd-128-v30', 6));
    expect(figure(twoCards, 'carriedMass')! - figure(all, 'carriedMass')!).toBeCloseTo(0.01, 12);
    for (const home of ['tesselind-hearth-tower', 'brackenholt-saddle-bag-9'])
      expect(
        figure(
          limited((p) => add(p, home)),
          'carriedMass'
        ),
        home
      ).toBeCloseTo(figure(all, 'carriedMass')!, 12);
    const later = limited((p) =>
      activePlan(p).lines.push(line('brackenholt-stand-3-steel', { step: 'later' }))
    );
    expect(figure(later, 'carriedMass')).toBe(figure(all, 'carriedMass'));
  });

  it('is asked for only where somebody has set a limit', () => {
    expect(state(calmKit(), 'carriedMass')).toBe(absent);
    const unsaid = limited((p) =>
      ownCopy<GearItem>(p, 'withrick-pocket-scribe', (gear) => delete gear.massG)
    );
    expect(state(unsaid, 'carriedMass')).toBe(unknown);
  });
});

describe('heat', () => {
  const timed = (
    minutes: number | undefined,
    more: (p: Project) => void = () => undefined,
    at40?: number
  ) =>
    made((p) => {
      ownCopy<GearOf<'body'>>(p, body, (gear) => {
        for (const mode of gear.modes) {
          delete mode.noHeatLimit;
          if (minutes === undefined) delete mode.heatMinutesAt20C;
          else mode.heatMinutesAt20C = minutes;
          if (at40 !== undefined) mode.heatMinutesAt40C = at40;
        }
      });
      more(p);
    });

  it('at 20 °C comes after as many minutes as stated, whatever the time constant', () => {
    const project = timed(40, (p) => (scene(p).temperatureC = 20));
    expect(figure(project, 'heatMinutes')).toBeCloseTo(40, 6);
    expect(figure(project, 'heatMinutesMost')).toBeCloseTo(40, 6);
  });

  it('is one time where minutes at 40 °C are known beside those at 20 °C', () => {
    const both = (at40: number, airC: number) =>
      timed(40, (p) => (scene(p).temperatureC = airC), at40);
    const hot = both(15, 40);
    expect(figure(hot, 'heatMinutes')).toBeCloseTo(15, 4);
    expect(figure(hot, 'heatMinutesMost')).toBeCloseTo(15, 4);
    expect(figure(hot, 'heatQuick')).toBe(figure(hot, 'heatSlow'));
    // Sooner in the warm than in the cool goes; later does not, and leaves the usual range.
    const odd = both(50, 30);
    expect(figure(odd, 'heatQuick')).toBe(12);
    expect(figure(odd, 'heatSlow')).toBe(35);
  });

  it('comes sooner where it is warmer and later in a cage or with a fan', () => {
    const warm = timed(40, (p) => (scene(p).temperatureC = 30));
    expect(figure(warm, 'heatMinutes')!).toBeLessThan(40);
    expect(figure(warm, 'heatMinutes')!).toBeLessThan(figure(warm, 'heatMinutesMost')!);
    const caged = timed(40, (p) => {
      scene(p).temperatureC = 30;
      add(p, 'cobberly-crate-for-linnet-ii');
    });
    expect(figure(caged, 'heatRelief')).toBe(0.85);
    expect(figure(caged, 'heatMinutes')!).toBeGreaterThan(figure(warm, 'heatMinutes')!);
    const other = timed(40, (p) => add(p, 'cobberly-crate-for-linnet'));
    expect(figure(other, 'heatRelief')).toBe(1);
  });

  it('is nothing to ask of a mode that has no limit, and unknown of a large one that says nothing', () => {
    expect(state(calmKit(), 'heatAt20')).toBe(absent);
    const large = timed(undefined, (p) => {
      scene(p).pixelsAcross = 3840;
      scene(p).fps = 50;
    });
    expect(state(large, 'heatAt20')).toBe(unknown);
    expect(state(large, 'heatMinutes')).toBe(unknown);
    const small = timed(undefined, (p) => {
      scene(p).pixelsAcross = 1920;
      scene(p).fps = 25;
    });
    expect(state(small, 'heatAt20')).toBe(absent);
  });

  it('in full sun takes in 800 W/m² over the body’s front', () => {
    const sunny = timed(40, (p) => {
      outdoors(p);
      Object.assign(scene(p), { lightSource: 'sky', lightDimLx: 50_000, lightBrightLx: 90_000 });
    });
    const frontM2 = (121 * 72) / 1e6;
    expect(figure(sunny, 'sunLoad')).toBeCloseTo((6.6 + 800 * frontM2) / 6.6, 9);
    const shaded = timed(40);
    expect(figure(shaded, 'sunLoad')).toBe(1);
  });
});
