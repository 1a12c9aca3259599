import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RelationError } from '../argument';
import { backgroundBlurPercent, blurWord, vanishingDetailMm } from './background-blur';
import {
  apertureForFaceN,
  apertureForPlaneN,
  circleOfConfusionMm,
  diffractionCapN,
  farLimitM,
  focusForRow,
  hyperfocalDistanceM,
  nearLimitM
} from './depth-in-focus';
import { equivalentFocalLengthMm, focalLengthOfEquivalentMm } from './equivalent-focal-length';
import { groupWidthM } from './framing-sizes';
import { pictureAreaMm } from './picture-area';
import { distanceForSizeM, focalLengthForSizeMm, pictureSizeM } from './picture-size';
import { distanceFromSensorMarkM } from './sensor-mark-distance';
import { edgeStretch, nearStretch } from './stretch';
import { walkingBlurPx } from './walking-blur';

const apsc = pictureAreaMm(23.5, 15.6, 1, 'wide');
const apscSmall = pictureAreaMm(22.3, 14.9, 1, 'wide');

describe('picture area', () => {
  it('stands upright by turning, by cropping and from open gate', () => {
    const turned = pictureAreaMm(36, 24, 1, 'upright turned');
    expect([turned.widthMm, turned.heightMm]).toEqual([20.25, 36]);
    const cropped = pictureAreaMm(36, 24, 1, 'upright cropped');
    expect(cropped.widthMm).toBeCloseTo(11.39, 2);
    expect(cropped.heightMm).toBe(20.25);
    const gate = pictureAreaMm(36, 24, 1, 'upright open gate');
    expect([gate.widthMm, gate.heightMm]).toEqual([13.5, 24]);
  });

  it('gives the same view as a longer lens on full frame', () => {
    expect(equivalentFocalLengthMm(13, 22.3)).toBeCloseTo(21.0, 1);
    expect(equivalentFocalLengthMm(12, 17.3)).toBeCloseTo(25.0, 1);
  });

  it('is worked back from the equivalent a phone states', () => {
    expect(focalLengthOfEquivalentMm(24, 9.8)).toBeCloseTo(6.533, 3);
    expect(focalLengthOfEquivalentMm(16, 36)).toBe(16);
    for (const wrong of [0, -1, NaN]) {
      expect(() => focalLengthOfEquivalentMm(wrong, 9.8)).toThrow(/equivalentMm/);
      expect(() => focalLengthOfEquivalentMm(24, wrong)).toThrow(/longSideMm/);
    }
  });
});

describe('framing', () => {
  it('shows 0.900 × 0.506 m with 28 mm on APS-C at 1.10 m', () => {
    expect(pictureSizeM(apsc.widthMm, 28, 1.1)).toBeCloseTo(0.9, 3);
    expect(pictureSizeM(apsc.heightMm, 28, 1.1)).toBeCloseTo(0.506, 3);
  });

  it('wants 25.3 mm for a metre at 1.10 m', () => {
    expect(focalLengthForSizeMm(23.5, 1, 1.1)).toBeCloseTo(25.3, 1);
  });

  it('turns round: focal length, size and distance agree', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 36, noNaN: true }),
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        fc.double({ min: 0.3, max: 50, noNaN: true }),
        (side, size, distance) => {
          const focal = focalLengthForSizeMm(side, size, distance);
          fc.pre(focal < distance * 1000);
          expect(pictureSizeM(side, focal, distance)).toBeCloseTo(size, 6);
          expect(distanceForSizeM(side, focal, size)).toBeCloseTo(distance, 6);
        }
      )
    );
  });

  it('needs 1.85 m for three people standing, 2.15 m seated', () => {
    expect(groupWidthM(3, false)).toBeCloseTo(1.85);
    expect(groupWidthM(3, true)).toBeCloseTo(2.15);
  });

  it('takes a tape held at the sensor mark', () => {
    const d = distanceFromSensorMarkM(1, 25);
    expect(d + (d * 0.025) / (d - 0.025)).toBeCloseTo(1, 6);
    expect(() => distanceFromSensorMarkM(0.08, 25)).toThrow(RelationError);
  });
});

describe('depth in focus', () => {
  it('has an 18 µm circle of confusion on APS-C', () => {
    expect(circleOfConfusionMm(apsc.widthMm, apsc.heightMm)).toBeCloseTo(0.018, 4);
  });

  it('wants f/2.1 for the nose and f/4.3 for the ears at 0.70 m with 20 mm', () => {
    const c = circleOfConfusionMm(apscSmall.widthMm, apscSmall.heightMm);
    expect(apertureForPlaneN(20, 0.7, 0.66, c)).toBeCloseTo(2.1, 1);
    expect(apertureForPlaneN(20, 0.7, 0.8, c)).toBeCloseTo(4.3, 1);
    expect(apertureForFaceN(20, 0.7, c)).toBeCloseTo(4.3, 1);
  });

  it('focuses a row between 2.0 and 2.5 m at 2.22 m', () => {
    expect(focusForRow(25.1, 2, 2.5, 0.018).focusM).toBeCloseTo(2.22, 2);
  });

  it('is sharp from half the hyperfocal distance on when focused there', () => {
    const h = hyperfocalDistanceM(24, 8, 0.018);
    expect(nearLimitM(h, h, 24)).toBeCloseTo(h / 2, 2);
    expect(farLimitM(h, h, 24)).toBe(Infinity);
  });

  it('reaches no further than f/13 on APS-C and f/7.5 on a 1-inch sensor before diffraction', () => {
    expect(diffractionCapN(0.018)).toBeCloseTo(13.4, 1);
    const inch = pictureAreaMm(13.2, 8.8, 1, 'wide');
    expect(diffractionCapN(circleOfConfusionMm(inch.widthMm, inch.heightMm))).toBeCloseTo(7.5, 1);
  });
});

describe('blur', () => {
  it('is 1.28 % of the width at f/1.4 and 0.45 % at f/4', () => {
    expect(backgroundBlurPercent(28, 1.4, 1.1, 2.6, 23.5)).toBeCloseTo(1.28, 2);
    expect(backgroundBlurPercent(28, 4, 1.1, 2.6, 23.5)).toBeCloseTo(0.45, 2);
    expect(vanishingDetailMm(28, 1.4, 1.1, 2.6)).toBeCloseTo(27.3, 1);
  });

  it('grows with distance behind and never past the far one', () => {
    const near = backgroundBlurPercent(28, 1.4, 1.1, 5, 23.5);
    const far = backgroundBlurPercent(28, 1.4, 1.1, Infinity, 23.5);
    expect(near).toBeLessThan(far);
  });

  it('has words that carry the figure', () => {
    expect([0.1, 0.5, 1.3, 3].map(blurWord)).toEqual(['readable', 'softened', 'soft', 'melted']);
  });

  it('smears a walking camera by 4.8 pixels', () => {
    expect(walkingBlurPx(5, 1 / 50, 16, 22.3, 3840)).toBeCloseTo(4.8, 1);
  });
});

describe('stretch', () => {
  it.each([
    [0.3, 1.538],
    [0.45, 1.341],
    [0.6, 1.25],
    [1, 1.146]
  ])('at %f m draws the nose %f times as large as the ears', (distance, ratio) => {
    expect(nearStretch(distance)).toBeCloseTo(ratio, 3);
  });

  it('pulls a face at the edge of a 24 mm equivalent by 1.25', () => {
    expect(edgeStretch(18, 24)).toBeCloseTo(1.25, 2);
  });
});

describe('bad numbers', () => {
  it.each([
    ['a negative distance', () => pictureSizeM(23.5, 28, -1)],
    ['not a number', () => pictureSizeM(23.5, NaN, 1)],
    ['a subject nearer than the focal length', () => pictureSizeM(23.5, 50, 0.04)],
    ['no aperture', () => backgroundBlurPercent(28, 0, 1.1, 2.6, 23.5)],
    ['a zero crop', () => pictureAreaMm(36, 24, 0, 'wide')]
  ])('refuses %s by name', (_, compute) => {
    expect(compute).toThrow(RelationError);
    expect(compute).toThrow(/ is .+; it must/);
  });
});
