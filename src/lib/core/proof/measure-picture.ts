/** A stretch of a picture, in shares of its width and height from its upper left corner. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** What a still measures. */
export interface PictureMeasures {
  width: number;
  height: number;
  /** Picture points by luma, from black to white in 64 steps, shares of all. */
  histogram: readonly number[];
  /** Share at 250 and above, and at 5 and below, of 255. */
  clippedShare: number;
  crushedShare: number;
  meanLuma: number;
  /** Mean luma in the box over the face, 0 to 1. */
  faceLuma: number | undefined;
  faceHistogram: readonly number[] | undefined;
  /** Colour of the grey patch, and how far it is off daylight: above zero too warm. */
  patch:
    | {
        kelvin: number;
        castMired: number;
        /** Its light, of what is written as white; takes that were measured earlier lack it. */
        light?: number;
      }
    | undefined;
}

export const HISTOGRAM_STEPS = 64;
const CLIPPED_FROM = 250;
const CRUSHED_UP_TO = 5;
/** What the white of sRGB is. */
const WHITE_K = 6504;

/** Luma of one picture point by Rec. 709, 0 to 255. */
const lumaOf = (red: number, green: number, blue: number): number =>
  0.2126 * red + 0.7152 * green + 0.0722 * blue;

/** From a written value to light, as sRGB has it. */
const linear = (value: number): number => {
  const share = value / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
};

/**
 * Measures a still.
 *
 * @param rgba four bytes a point, row by row
 * @param face where the face is; @param grey where something grey is
 */
export function measurePicture(
  rgba: Uint8ClampedArray | Uint8Array,
  width: number,
  height: number,
  { face, grey }: { face?: Box | undefined; grey?: Box | undefined } = {}
): PictureMeasures {
  const histogram = new Array<number>(HISTOGRAM_STEPS).fill(0);
  const faceHistogram = new Array<number>(HISTOGRAM_STEPS).fill(0);
  let clipped = 0;
  let crushed = 0;
  let sum = 0;
  let faceSum = 0;
  let facePoints = 0;
  let patchPoints = 0;
  const light = [0, 0, 0];
  const inside = pointsOf(width, height);
  const inFace = inside(face);
  const inGrey = inside(grey);
  for (let y = 0, index = 0; y < height; y++)
    for (let x = 0; x < width; x++, index += 4) {
      const [red, green, blue] = [rgba[index]!, rgba[index + 1]!, rgba[index + 2]!];
      const luma = lumaOf(red, green, blue);
      const step = Math.min(HISTOGRAM_STEPS - 1, Math.floor((luma / 256) * HISTOGRAM_STEPS));
      histogram[step]! += 1;
      sum += luma;
      if (luma >= CLIPPED_FROM) clipped += 1;
      else if (luma <= CRUSHED_UP_TO) crushed += 1;
      if (inFace(x, y)) {
        faceHistogram[step]! += 1;
        faceSum += luma;
        facePoints += 1;
      }
      if (inGrey(x, y)) {
        light[0]! += linear(red);
        light[1]! += linear(green);
        light[2]! += linear(blue);
        patchPoints += 1;
      }
    }
  const points = Math.max(1, width * height);
  return {
    width,
    height,
    histogram: histogram.map((count) => count / points),
    clippedShare: clipped / points,
    crushedShare: crushed / points,
    meanLuma: sum / points / 255,
    faceLuma: facePoints > 0 ? faceSum / facePoints / 255 : undefined,
    faceHistogram: facePoints > 0 ? faceHistogram.map((count) => count / facePoints) : undefined,
    patch: patchPoints > 0 ? castOf(light as [number, number, number], patchPoints) : undefined
  };
}

const pointsOf =
  (width: number, height: number) =>
  (box: Box | undefined): ((x: number, y: number) => boolean) =>
    box
      ? (x, y) =>
          x >= box.left * width &&
          x < box.right * width &&
          y >= box.top * height &&
          y < box.bottom * height
      : () => false;

/**
 * Colour temperature of something grey: light by sRGB, its place in xy, and McCamy's line.
 *
 * @returns undefined for black, which has no colour
 */
function castOf(
  [red, green, blue]: readonly [number, number, number],
  points: number
): PictureMeasures['patch'] {
  const x = 0.4124 * red + 0.3576 * green + 0.1805 * blue;
  const y = 0.2126 * red + 0.7152 * green + 0.0722 * blue;
  const z = 0.0193 * red + 0.1192 * green + 0.9505 * blue;
  const all = x + y + z;
  if (all <= 0) return undefined;
  const n = (x / all - 0.332) / (0.1858 - y / all);
  const kelvin = 449 * n ** 3 + 3525 * n ** 2 + 6823.3 * n + 5520.33;
  return kelvin > 0 && Number.isFinite(kelvin)
    ? { kelvin, castMired: 1e6 / kelvin - 1e6 / WHITE_K, light: y / points }
    : undefined;
}
