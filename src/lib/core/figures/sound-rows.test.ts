import { describe, expect, it } from 'vitest';
import { calmKit, ownCopy, setRig, swap, walkOutside, without } from '../judge/tests/calm-kit';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { absent, unknown } from './record';
import { add, angle, figure, made, scene, state } from './tests/figures-of';

const lapel = 'dunmarrow-burr';
const shoe = 'dunmarrow-plover';
const body = 'orrowby-linnet-ii';
const lamp = 'quillfeather-ray-65-two-colour-55-cm-dome';

const withShoe = (more: (p: Project) => void = () => undefined) =>
  made((p) => {
    swap(p, lapel, shoe);
    more(p);
  });
const outside = (more: (p: Project) => void = () => undefined) =>
  made((p) => {
    walkOutside(p);
    more(p);
  });
const mic = (p: Project, id: string, change: (gear: GearOf<'microphone'>) => void) =>
  ownCopy<GearOf<'microphone'>>(p, id, change);
/** Levels in power. */
const sum = (...levels: number[]) =>
  10 * Math.log10(levels.reduce((power, level) => power + 10 ** (level / 10), 0));

describe('where the microphone is', () => {
  it('decides how far the mouth is', () => {
    expect(figure(calmKit(), 'micDistance')).toBe(0.2);
    expect(figure(withShoe(), 'micDistance')).toBe(angle(calmKit()).distanceM);
    const desk = made((p) => swap(p, lapel, 'dunmarrow-burr-long'));
    expect(figure(desk, 'micDistance')).toBe(0.2);
  });

  it('on a boom is as near as the top of the picture lets it', () => {
    const boomed = withShoe((p) => {
      add(p, 'brackenholt-stand-boom');
      setRig(p, { micPlace: 'boom arm' });
    });
    const near = figure(boomed, 'micDistance')!;
    expect(near).toBe(figure(boomed, 'boomDistance'));
    expect(near).toBeLessThan(angle(boomed).distanceM);
    // A wider picture pushes it away.
    const wide = structuredClone(boomed);
    scene(wide).angles[0]!.distanceM *= 1.4;
    expect(figure(wide, 'topAboveMouth')).toBeCloseTo(
      figure(wide, 'pictureHeight')! / 3 + 0.07,
      12
    );
  });

  it('is nowhere when nothing is said, or in the second angle', () => {
    const silent = made((p) => (scene(p).voice = 'none'));
    for (const id of ['micPlace', 'micPattern', 'voiceAt1m', 'selfNoise', 'speechToNoise'] as const)
      expect(state(silent, id), id).toBe(absent);
    const two = made((p) => {
      scene(p).angles.push({ ...angle(p), id: 'b' });
      add(p, 'orrowby-linnet');
    });
    expect(state(two, 'voiceAt1m', 1)).toBe(absent);
    expect(state(two, 'speechToNoise', 1)).toBe(absent);
  });
});

describe('the voice', () => {
  it.each([
    // A lavalier at 0.2 m hears five times the pressure: 13.98 dB more.
    ['normal', 60, 73.98],
    ['raised', 66, 79.98],
    ['loud', 72, 85.98]
  ] as const)('%s is %i dB(A) at a metre', (voice, level, near) => {
    const project = made((p) => (scene(p).voice = voice));
    expect(figure(project, 'voiceAt1m')).toBe(level);
    expect(figure(project, 'voiceAtMic')).toBeCloseTo(near, 2);
  });
});

describe('the noise', () => {
  it('of the place is heard less by what points at the mouth: L − 10·log10 Q', () => {
    expect(figure(calmKit(), 'roomNoiseHeard')).toBe(36);
    const q = figure(withShoe(), 'micQ')!;
    expect(q).toBeGreaterThan(1);
    expect(figure(withShoe(), 'roomNoiseHeard')).toBeCloseTo(36 - 10 * Math.log10(q), 9);
  });

  it('of an unstated pattern is unknown, and so is all that rests on it', () => {
    const project = withShoe((p) => mic(p, shoe, (gear) => delete gear.pattern));
    for (const id of ['micPattern', 'roomNoiseHeard', 'noiseAtMic', 'speechMargin'] as const)
      expect(state(project, id), id).toBe(unknown);
  });

  it('of the wind is 40 + 55·log10 v less the cover, and 10 less for an omni', () => {
    const bare = outside((p) => {
      scene(p).windMps = 4;
      mic(p, lapel, (gear) => (gear.windscreenIncluded = 'none'));
    });
    // Walking adds a breeze of its own.
    const v = figure(bare, 'airSpeed')!;
    expect(v).toBeGreaterThan(4);
    expect(figure(bare, 'windNoise')).toBeCloseTo(40 + 55 * Math.log10(v) - 10, 6);
    const furred = structuredClone(bare);
    add(furred, 'dunmarrow-furry-windscreen-for-lavaliers-pair');
    expect(figure(furred, 'windNoise')!).toBeLessThan(figure(bare, 'windNoise')! - 15);
    expect(state(calmKit(), 'airSpeed')).toBe(absent);
    expect(state(calmKit(), 'windNoise')).toBe(absent);
  });

  it('of the input counts as 94 + noise − (sensitivity + boost), boost only when on', () => {
    const on = withShoe();
    expect(figure(on, 'boost')).toBe(12);
    expect(figure(on, 'inputNoiseAsLevel')).toBeCloseTo(94 - 108 - (-36 + 12), 9);
    const off = withShoe((p) => setRig(p, { boostOn: false }));
    expect(figure(off, 'boost')).toBe(0);
    expect(figure(off, 'inputNoiseAsLevel')).toBeCloseTo(94 - 108 + 36, 9);
  });

  it('of the input is nothing to a microphone that goes into the computer', () => {
    const desk = made((p) => {
      swap(p, lapel, 'own-desk');
      mic(p, lapel, (gear) => {
        gear.id = 'own-desk';
        gear.form = 'desk';
      });
    });
    expect(state(desk, 'inputNoise')).toBe(absent);
    expect(state(desk, 'inputFullScale')).toBe(absent);
    expect(figure(desk, 'micDistance')).toBe(0.35);
  });

  it('adds up in power', () => {
    const project = withShoe((p) => {
      delete scene(p).room;
      scene(p).windMps = 3;
    });
    const parts = (['roomNoiseHeard', 'windNoise', 'selfNoise', 'inputNoiseAsLevel'] as const).map(
      (id) => figure(project, id)!
    );
    const fan = figure(project, 'fanHeard');
    expect(figure(project, 'noiseAtMic')).toBeCloseTo(
      sum(...parts, ...(fan === undefined ? [] : [fan])),
      9
    );
  });

  it('of the key lamp’s fan is heard from where it stands, unless it has none', () => {
    const project = calmKit();
    expect(figure(project, 'fanLevel')).toBe(24);
    const near = made((p) => setRig(p, { lamps: [{ lineId: lamp, distanceM: 0.5 }] }));
    expect(figure(near, 'fanHeard')!).toBeGreaterThan(figure(project, 'fanHeard')!);
    const still = made((p) => ownCopy<GearOf<'lamp'>>(p, lamp, (gear) => (gear.fanLevelDbA = 0)));
    expect(state(still, 'fanLevel')).toBe(absent);
    const unsaid = made((p) => ownCopy<GearOf<'lamp'>>(p, lamp, (gear) => delete gear.fanLevelDbA));
    expect(state(unsaid, 'noiseAtMic')).toBe(unknown);
  });

  it('of a computer counts live and indoors', () => {
    const live = made((p) => {
      scene(p).live = true;
      add(p, 'tesselind-fold-14');
    });
    expect(figure(live, 'computerFan')).toBe(29);
    expect(figure(live, 'noiseAtMic')!).toBeGreaterThan(figure(calmKit(), 'noiseAtMic')!);
    expect(
      state(
        made((p) => add(p, 'tesselind-fold-14')),
        'computerFan'
      )
    ).toBe(absent);
  });
});

describe('the room', () => {
  it('rings for 0.161·V/(−S·ln(1 − ᾱ)) seconds', () => {
    const project = made(
      (p) => (scene(p).room = { lengthM: 4, widthM: 3, heightM: 2.5, feel: 'lived-in' })
    );
    expect(figure(project, 'roomVolume')).toBe(30);
    expect(figure(project, 'roomSurface')).toBe(59);
    const absorption = 0.2;
    expect(figure(project, 'reverberation')).toBeCloseTo(
      (0.161 * 30) / (-59 * Math.log(1 - absorption)),
      9
    );
    const t = figure(project, 'reverberation')!;
    const rc = 0.057 * Math.sqrt((2 * 1 * 30) / t);
    expect(figure(project, 'criticalDistance')).toBeCloseTo(rc, 9);
    expect(figure(project, 'directToReverberant')).toBeCloseTo(
      20 * Math.log10(rc / 0.2) + 3 / t,
      9
    );
  });

  it('is none outdoors', () => {
    for (const id of [
      'roomVolume',
      'reverberation',
      'criticalDistance',
      'directToReverberant'
    ] as const)
      expect(state(outside(), id), id).toBe(absent);
  });
});

describe('a radio', () => {
  it('reaches what it states less 20 dB through a body, and less indoors', () => {
    const radio = (more: (p: Project) => void = () => undefined) =>
      made((p) => {
        swap(p, lapel, 'withrick-thimble-one');
        more(p);
      });
    expect(figure(radio(), 'radioStated')).toBe(100);
    expect(figure(radio(), 'radioReach')).toBeCloseTo(21.544, 3);
    expect(
      figure(
        radio((p) => walkOutside(p)),
        'radioReach'
      )
    ).toBeCloseTo(10, 9);
    expect(state(calmKit(), 'radioStated')).toBe(absent);
    expect(
      state(
        radio((p) => mic(p, 'withrick-thimble-one', (gear) => delete gear.radioRangeM)),
        'radioReach'
      )
    ).toBe(unknown);
  });
});

describe('a recorder beside the camera', () => {
  it('drifts 3.6 ms an hour for each part in a million', () => {
    const project = made((p) => (scene(p).longestTakeMin = 60));
    expect(figure(project, 'recorderClock')).toBe(35);
    expect(figure(project, 'recorderDrift')).toBeCloseTo(35 * 3.6, 9);
    const bare = made((p) => without(p, 'withrick-pocket-scribe'));
    expect(state(bare, 'recorderDrift')).toBe(absent);
  });
});

describe('the level', () => {
  it('is set so that peaks 17 dB over the voice stay 12 dB below full scale', () => {
    const project = withShoe();
    const volts = -36 + 12 + figure(project, 'voiceAtMic')! - 94;
    expect(figure(project, 'micOutput')).toBeCloseTo(volts, 9);
    expect(figure(project, 'gainForPeaks')).toBeCloseTo(-12 + -11 - (volts + 17), 9);
    const unsaid = withShoe((p) =>
      ownCopy<GearOf<'body'>>(p, body, (gear) => delete gear.inputFullScaleDbV)
    );
    expect(state(unsaid, 'gainForPeaks')).toBe(unknown);
  });
});
