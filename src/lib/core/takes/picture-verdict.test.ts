import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HISTOGRAM_STEPS, measurePicture, type PictureMeasures } from '../proof/measure-picture';
import { pictureVerdict } from './picture-verdict';

const measures = (more: Partial<PictureMeasures> = {}): PictureMeasures => ({
  width: 10,
  height: 10,
  histogram: [],
  clippedShare: 0,
  crushedShare: 0,
  meanLuma: 0.5,
  faceLuma: undefined,
  faceHistogram: undefined,
  patch: undefined,
  ...more
});
const wordOf = (more: Partial<PictureMeasures>, name: string) =>
  pictureVerdict(measures(more)).rows.find((row) => row.name.startsWith(name))?.word;

describe('the verdict on a still', () => {
  it.each([
    [0.44, 'too dark'],
    [0.45, 'as wanted'],
    [0.7, 'as wanted'],
    [0.71, 'too bright']
  ])('on a face of %s is %s', (faceLuma, word) => {
    expect(wordOf({ faceLuma }, 'brightness')).toBe(word);
  });

  it.each([
    [0.009, 'unseen'],
    [0.01, 'seen'],
    [0.05, 'strong']
  ])('on %s clipped is %s', (clippedShare, word) => {
    expect(wordOf({ clippedShare }, 'clipped')).toBe(word);
    expect(wordOf({ crushedShare: clippedShare }, 'crushed')).toBe(word);
  });

  it.each([
    [14, 'unseen'],
    [-15, 'seen'],
    [40, 'strong'],
    [-90, 'strong']
  ])('on a cast of %s mired is %s', (castMired, word) => {
    expect(wordOf({ patch: { kelvin: 5000, castMired } }, 'colour cast')).toBe(word);
  });

  it('shows a cast with its sign, and none without one', () => {
    const shown = (castMired: number) =>
      pictureVerdict(measures({ patch: { kelvin: 5000, castMired } })).rows.at(-1)!.shown;
    expect([shown(-0.3), shown(0.4), shown(-12), shown(12)]).toEqual([
      '0 mired',
      '0 mired',
      '−12 mired',
      '+12 mired'
    ]);
  });

  it('says by how many stops: half the light is a stop', () => {
    const advice = (faceLuma: number) => pictureVerdict(measures({ faceLuma })).advice[0]?.does;
    // Written values go by light to the power of 1 ÷ 2.2.
    expect(advice(0.58 * 0.5 ** (1 / 2.2))).toBe('1 stop more light');
    expect(advice(0.58 * 0.25 ** (1 / 2.2))).toBe('2 stops more light');
    expect(advice(0.58 * 2 ** (1 / 2.2))).toBe('1 stop less light');
    expect(advice(0.44)).toMatch(/^1 stop|two thirds of a stop|1 and a third stops/);
    expect(advice(0.58)).toBeUndefined();
  });

  it('says which way the balance is off', () => {
    const does = (castMired: number) =>
      pictureVerdict(measures({ patch: { kelvin: 4000, castMired } })).advice.at(-1)!.does;
    expect(does(50)).toBe('white balance cooler by 50 mired');
    expect(does(-30)).toBe('white balance warmer by 30 mired');
  });
});

describe('any picture', () => {
  it('is counted once, point by point, against a plain count of its own', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 1, max: 8 }),
        fc.infiniteStream(fc.nat(255)),
        (width, height, stream) => {
          const rgba = Uint8ClampedArray.from(
            { length: width * height * 4 },
            () => stream.next().value as number
          );
          const box = { left: 0, top: 0, right: 1, bottom: 1 };
          const found = measurePicture(rgba, width, height, { face: box, grey: box });
          const lumas = Array.from({ length: width * height }, (_, index) => {
            const [r, g, b] = rgba.subarray(index * 4, index * 4 + 3);
            return r! * 0.2126 + g! * 0.7152 + b! * 0.0722;
          });
          const share = (passes: (luma: number) => boolean) =>
            lumas.filter(passes).length / lumas.length;
          expect(found.clippedShare).toBeCloseTo(
            share((luma) => luma >= 250),
            9
          );
          expect(found.crushedShare).toBeCloseTo(
            share((luma) => luma <= 5),
            9
          );
          expect(found.histogram).toHaveLength(HISTOGRAM_STEPS);
          expect(found.histogram.reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9);
          // A box over all of it sees what all of it is.
          expect(found.faceHistogram).toEqual(found.histogram);
          expect(found.faceLuma).toBeCloseTo(found.meanLuma, 9);
          expect(JSON.stringify(found)).not.toMatch(/null|NaN/);
          expect(JSON.stringify(pictureVerdict(found))).not.toMatch(/null|NaN|Infinity/);
        }
      ),
      { numRuns: 150 }
    );
  });

  it('has no face and no cast where nobody has pointed, or where the box holds nothing', () => {
    const rgba = new Uint8ClampedArray(4 * 4 * 4).fill(90);
    const plain = measurePicture(rgba, 4, 4);
    expect([plain.faceLuma, plain.patch]).toEqual([undefined, undefined]);
    const empty = { left: 0.5, top: 0.5, right: 0.5, bottom: 0.5 };
    expect(measurePicture(rgba, 4, 4, { face: empty, grey: empty }).faceLuma).toBeUndefined();
    // Black has no colour.
    const black = measurePicture(new Uint8ClampedArray(64), 4, 4, {
      grey: { left: 0, top: 0, right: 1, bottom: 1 }
    });
    expect(black.patch).toBeUndefined();
  });
});
