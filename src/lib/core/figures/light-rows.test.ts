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
    expect(scene(two).lightDimLx).toBe(20);
    expect(figure(two, 'faceDim')! - key - fill).toBeCloseTo(20, 6);
    expect(figure(two, 'lampsSeen')).toBe(2);
  });

  it('needs two stops less than the highest usable ISO of the body', () => {
    // 250 lx·s · 1.541² at 1/50 s and a quarter of ISO 2727: 593.74 / 13.636.
    expect(figure(calmKit(), 'highestUsableIso')).toBeCloseTo(2727.16, 2);
    expect(figure(calmKit(), 'lightNeeded')).toBeCloseTo(43.543, 3);
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
    // d²/(d − 24 mm) is a metre.
    expect(figure(mark, 'subjectDistance')).toBeCloseTo(0.975395, 6);
    expect(figure(calmKit(), 'subjectDistance')).toBe(angle(calmKit()).distanceM);
  });
});
