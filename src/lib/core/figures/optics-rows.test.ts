import { describe, expect, it } from 'vitest';
import { calmKit, ownCopy, setRig, swap, walkOutside, without } from '../judge/tests/calm-kit';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import type { Orientation } from '../model/scene';
import { orientations } from '../model/word-lists';
import { absent, unknown } from './record';
import { add, angle, figure, made, scene, state } from './tests/figures-of';

const body = 'orrowby-linnet-ii';
const lens = 'pellamund-24-f-1-5';

/** APS-C, 16:9, in millimetres: the calm kit's picture. */
const WIDE = 23.5;
const HIGH = (WIDE * 9) / 16;

describe('the area in use', () => {
  it('is the sensor’s width over the mode’s crop, and 9/16 of that high', () => {
    const project = calmKit();
    expect(figure(project, 'sensorWidth')).toBe(23.5);
    expect(figure(project, 'areaWidth')).toBeCloseTo(WIDE, 9);
    expect(figure(project, 'areaHeight')).toBeCloseTo(HIGH, 9);
    const cropped = made((p) =>
      ownCopy<GearOf<'body'>>(p, body, (gear) => {
        for (const mode of gear.modes) mode.crop = 1.5;
      })
    );
    expect(figure(cropped, 'areaWidth')).toBeCloseTo(WIDE / 1.5, 9);
    expect(figure(cropped, 'equivalentFocalLength')).toBeCloseTo(
      figure(project, 'equivalentFocalLength')! * 1.5,
      6
    );
  });

  it('stands on end when the camera is turned, and keeps its long side', () => {
    const turned = made((p) => (scene(p).orientation = 'upright turned'));
    expect(figure(turned, 'areaHeight')).toBeCloseTo(WIDE, 9);
    expect(figure(turned, 'longSide')).toBeCloseTo(figure(calmKit(), 'longSide')!, 9);
  });

  it('is nothing without a body', () => {
    const bare = made((p) => without(p, body));
    for (const id of ['sensorWidth', 'areaWidth', 'modeCrop', 'pixelsAcross'] as const)
      expect(state(bare, id), id).toBe(absent);
  });
});

describe('the framing', () => {
  it('is w·(d − f)/f of the side it is measured on', () => {
    const project = calmKit();
    // 24 mm at 0.9 m: 36.5 times what is on the sensor; 0.55 m are wanted.
    expect(figure(project, 'pictureHeight')).toBeCloseTo(0.482484, 6);
    expect(figure(project, 'pictureWidth')).toBeCloseTo(0.85775, 6);
    expect(figure(project, 'framingRatio')).toBeCloseTo(0.877244, 6);
    expect(figure(project, 'framingMiss')).toBeCloseTo(0.18895, 5);
  });

  it('is hit by the focal length w·d/(W + w)', () => {
    const project = calmKit();
    expect(figure(project, 'framedSide')).toBe(0);
    // 13.22 mm · 900 mm / (550 mm + 13.22 mm)
    expect(figure(project, 'focalLengthWanted')).toBeCloseTo(21.123, 4);
  });

  it('is what somebody has measured, where somebody has', () => {
    const measured = made((p) => (angle(p).framedSizeM = 0.42));
    expect(figure(measured, 'framedWanted')).toBe(0.42);
  });

  it('of a zoom is taken at the focal length that fits, unless another is said', () => {
    const zoom = made((p) => swap(p, lens, 'orrowby-15-43-f-3-5-5-6'));
    expect(figure(zoom, 'focalLength')).toBeCloseTo(21.123, 4);
    const said = made((p) => {
      swap(p, lens, 'orrowby-15-43-f-3-5-5-6');
      setRig(p, { focalLengthMm: 35 });
    });
    expect(figure(said, 'focalLength')).toBe(35);
    // Its widest aperture slides from f/3.5 to f/5.6 along the way.
    expect(figure(said, 'apertureWidest')).toBeCloseTo(3.5 + (2.1 * 20) / 28, 9);
    const beyond = made((p) => {
      swap(p, lens, 'orrowby-15-43-f-3-5-5-6');
      setRig(p, { focalLengthMm: 90 });
    });
    expect(figure(beyond, 'focalLength')).toBe(43);
  });
});

describe('what is sharp', () => {
  it('lies between the limits of the hyperfocal distance', () => {
    const project = calmKit();
    // 24 mm at f/1.5, the diagonal of 26.96 mm over 1 500.
    expect(figure(project, 'circleOfConfusion')).toBeCloseTo(0.017975, 6);
    expect(figure(project, 'hyperfocal')).toBeCloseTo(21.38687, 5);
    expect(figure(project, 'nearLimit')).toBeCloseTo(0.864549, 6);
    expect(figure(project, 'farLimit')).toBeCloseTo(0.938483, 6);
  });

  it('is half as deep where it is watched large', () => {
    const large = made((p) => (scene(p).seenLargeIn4K = true));
    expect(figure(large, 'seenLarge')).toBe(1);
    expect(figure(large, 'circleOfConfusion')).toBeCloseTo(
      figure(calmKit(), 'circleOfConfusion')! / 2,
      12
    );
    expect(figure(large, 'diffractionCap')).toBeCloseTo(
      figure(calmKit(), 'diffractionCap')! / 2,
      9
    );
  });

  it('is asked of a face only where one is filmed and wanted sharp', () => {
    expect(state(calmKit(), 'apertureForFace')).toBe(absent);
    const face = made((p) => (scene(p).wantsFaceSharp = true));
    expect(figure(face, 'apertureForFace')).toBeGreaterThan(0);
    expect(figure(face, 'apertureForSharp')).toBe(figure(face, 'apertureForFace'));
    // There is light enough to close down for it, to the next mark.
    expect(figure(face, 'aperture')).toBe(4);
    expect(figure(face, 'depthShort')).toBe(0);
    const hands = made((p) => {
      scene(p).wantsFaceSharp = true;
      angle(p).framing = 'hands';
    });
    expect(state(hands, 'apertureForFace')).toBe(absent);
    expect(state(hands, 'nearStretch')).toBe(absent);
  });

  it('of a row of people needs a stop of its own', () => {
    expect(state(calmKit(), 'rowDepth')).toBe(absent);
    const row = made((p) => Object.assign(angle(p), { people: 3, rowDepthM: 0.6, distanceM: 2.5 }));
    expect(figure(row, 'rowDepth')).toBe(0.6);
    expect(figure(row, 'apertureForRow')).toBeGreaterThan(0);
    expect(figure(row, 'rowFocus')).toBeGreaterThan(2.5);
    const flat = made((p) => Object.assign(angle(p), { people: 3 }));
    expect(state(flat, 'rowDepth')).toBe(absent);
  });
});

describe('the background', () => {
  it('is as soft as f²/N·|D − d|/(D·(d − f)) of the long side', () => {
    const project = made((p) => {
      Object.assign(angle(p), { distanceM: 1, backgroundM: 2 });
      setRig(p, { apertureN: 1.5 });
    });
    const [f, n, d, plane] = [24, 1.5, 1000, 3000];
    const percent = (100 * ((f * f) / n) * (plane - d)) / (plane * (d - f)) / WIDE;
    expect(figure(project, 'backgroundDistance')).toBe(3);
    expect(figure(project, 'backgroundBlur')).toBeCloseTo(percent, 9);
    expect(state(project, 'apertureForBlur')).toBe(absent);
    const wanted = made((p) => {
      Object.assign(angle(p), { distanceM: 1, backgroundM: 2 });
      scene(p).wantsBlurPercent = 1;
    });
    expect(figure(wanted, 'apertureForBlur')).toBeCloseTo(1.5 * percent, 9);
    expect(figure(wanted, 'aperture')).toBeLessThanOrEqual(1.5 * percent + 1e-9);
  });

  it('without end is as soft as it gets', () => {
    const open = made((p) => delete angle(p).backgroundM);
    expect(figure(open, 'backgroundDistance')).toBe(Infinity);
    expect(figure(open, 'backgroundBlur')).toBeGreaterThan(0);
  });
});

describe('faces', () => {
  it('near the lens are drawn larger in front: (d + 0.10)/(d − 0.04)', () => {
    const near = made((p) => (angle(p).distanceM = 0.5));
    expect(figure(near, 'nearStretch')).toBeCloseTo(0.6 / 0.46, 9);
  });

  it('at the edge of a group are pulled outwards', () => {
    const group = made((p) =>
      Object.assign(angle(p), { framing: 'group', people: 4, distanceM: 2 })
    );
    // Four heads: the middle of the outer one stands 0.975 m off the axis, 2 m away.
    expect(figure(group, 'edgeFace')).toBeCloseTo(0.975, 9);
    expect(figure(group, 'edgeStretch')).toBeCloseTo(1.1125, 4);
    expect(state(calmKit(), 'edgeFace')).toBe(absent);
  });
});

describe('seeing oneself', () => {
  const screened = (
    screen: GearOf<'body'>['screen'],
    more: (p: Project) => void = () => undefined
  ) =>
    made((p) => {
      scene(p).wantsSeeSelf = true;
      ownCopy<GearOf<'body'>>(p, body, (gear) => {
        if (screen === undefined) delete gear.screen;
        else gear.screen = screen;
      });
      more(p);
    });

  it.each([
    ['side hinge', 1],
    ['flips up', 1],
    ['front', 1],
    ['fixed', 0],
    ['tilts', 0]
  ] as const)('on a screen that is %s: %i', (screen, sees) => {
    expect(figure(screened(screen), 'seesSelf')).toBe(sees);
  });

  it('is unknown of a screen nobody describes, and certain with a monitor or a mirror', () => {
    expect(state(screened(undefined), 'seesSelf')).toBe(unknown);
    const mirrored = screened('fixed', (p) => add(p, 'nibsworth-look-back-mirror'));
    expect(figure(mirrored, 'seesSelf')).toBe(1);
    // A monitor nothing joins shows nobody.
    const loose = screened('fixed', (p) => add(p, 'tesselind-pane-5'));
    expect(figure(loose, 'seesSelf')).toBe(0);
    const joined = screened('fixed', (p) => {
      add(p, 'tesselind-pane-5');
      add(p, 'nibsworth-hdmi-cable-d-to-a-1-m');
    });
    expect(figure(joined, 'seesSelf'), 'joined, and held by nothing').toBe(0);
    add(joined, 'nibsworth-shoe-ball-1-4');
    expect(figure(joined, 'seesSelf')).toBe(1);
    const unasked = made((p) => (scene(p).wantsSeeSelf = false));
    expect(state(unasked, 'seesSelf')).toBe(absent);
  });
});

describe('walking', () => {
  it('smears a turning picture, and only a carried camera', () => {
    expect(state(calmKit(), 'walkingBlur')).toBe(absent);
    const walked = made((p) => walkOutside(p));
    expect(figure(walked, 'walking')).toBe(1);
    // 5°/s for half the frame time, over pixels of 23.5 mm ÷ 1920.
    const radians = ((5 * Math.PI) / 180) * (1 / 50);
    expect(figure(walked, 'walkingBlur')).toBeCloseTo(
      (radians * figure(walked, 'focalLength')!) / (WIDE / 1920),
      6
    );
  });

  it('smears an upright picture over the same pixels as a wide one', () => {
    const standing = (orientation: Orientation) =>
      made((p) => {
        walkOutside(p);
        scene(p).orientation = orientation;
      });
    const perMm = (p: Project) => figure(p, 'walkingBlur')! / figure(p, 'focalLength')!;
    const wide = perMm(standing('wide'));
    for (const orientation of orientations)
      expect(perMm(standing(orientation)), orientation).toBeCloseTo(wide, 9);
  });
});
