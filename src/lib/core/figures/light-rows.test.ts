import { describe, expect, it } from 'vitest';
import { calmKit, ownCopy, setRig, without } from '../judge/tests/calm-kit';
import type { GearOf } from '../model/gear';
import { absent, unknown } from './record';
import { add, angle, figure, made, pieces, scene, state } from './tests/figures-of';

describe('light, as the brief and the kit say it', () => {
  const lamp = 'quillfeather-ray-65-two-colour-55-cm-dome';

  it('of a lamp nobody has measured is unknown, and of none is absent', () => {
    const unsaid = made((p) =>
      ownCopy<GearOf<'lamp'>>(p, lamp, (gear) => delete gear.illuminanceAt1mLx)
    );
    expect(state(unsaid, 'keyLight')).toBe(unknown);
    expect(state(unsaid, 'faceDim')).toBe(unknown);
    const dark = made((p) => without(p, lamp));
    expect(state(dark, 'keyLight')).toBe(absent);
    expect(figure(dark, 'faceDim')).toBe(scene(dark).lightDimLx);
  });

  it('of two lamps is key and fill, and their quotient the contrast of the face', () => {
    const two = made((p) => {
      pieces(p, lamp, 2);
      add(p, 'brackenholt-stand-2-6-cushioned');
      setRig(p, { keyLampLineId: lamp, fillLampLineId: lamp });
    });
    const key = figure(two, 'keyLight')!;
    const fill = figure(two, 'fillLight')!;
    expect(fill).toBeLessThan(key);
    expect(figure(two, 'faceDim')).toBeCloseTo(scene(two).lightDimLx + key + fill, 6);
    expect(figure(two, 'lampsSeen')).toBe(2);
  });

  it('needs two stops less than the highest usable ISO of the body', () => {
    const project = calmKit();
    const [n, t, usable] = (['lightAperture', 'shutter', 'highestUsableIso'] as const).map((id) =>
      figure(project, id)!
    );
    expect(figure(project, 'lightNeeded')).toBeCloseTo((250 * n! ** 2) / (t! * (usable! / 4)), 6);
  });

  it('is held by a shutter somebody has set, else by half the frame time', () => {
    const said = made((p) => setRig(p, { shutterS: 1 / 200 }));
    expect(figure(said, 'shutter')).toBeCloseTo(1 / 200, 12);
    const fps = figure(calmKit(), 'fps')!;
    expect(figure(calmKit(), 'shutter')).toBeCloseTo(1 / (2 * fps), 3);
  });

  it('outdoors flickers with no mains', () => {
    const sky = made((p) => delete scene(p).room);
    expect(state(sky, 'flickerMains')).toBe(absent);
    expect(state(sky, 'flickerLeft')).toBe(absent);
    expect(figure(calmKit(), 'flickerMains')).toBe(50);
  });

  it('swings from the dimmest to the brightest of the day', () => {
    const day = made((p) => Object.assign(scene(p), { lightDimLx: 100, lightBrightLx: 1600 }));
    expect(figure(day, 'lightSwing')).toBeCloseTo(4, 9);
  });

  it('is measured for the picture by the tape from the sensor mark, too', () => {
    const mark = made((p) => {
      angle(p).measuredFrom = 'sensor mark';
      angle(p).distanceM = 1;
    });
    const f = figure(mark, 'focalLength')! / 1000;
    expect(figure(mark, 'subjectDistance')).toBeCloseTo((1 + Math.sqrt(1 - 4 * f)) / 2, 6);
    expect(figure(calmKit(), 'subjectDistance')).toBe(angle(calmKit()).distanceM);
  });
});
