import type { Box } from '../proof/measure-picture';

/** What a simulated still is made from. */
export interface StillRecipe {
  width: number;
  height: number;
  seed: number;
  /** Metres at the subject that fill the width and the height. */
  pictureWidthM: number;
  pictureHeightM: number;
  /** A face is filmed, eyes on the upper third; else the bench. */
  hasFace: boolean;
  /** Diameter of the blur of the background, in per cent of the long side. */
  blurPercent: number;
  /** Stops under the exposure that is right; below zero over it. */
  underStops: number;
  /** Colour of the light, and what the camera is set to. */
  lightK: number;
  balanceK: number;
  /** Grain, as a share of full scale. */
  noise: number;
}

/** A face as it is drawn. */
const FACE_WIDE_M = 0.16;
const FACE_HIGH_M = 0.23;
const FACE_AT = { x: 0.5, y: 0.4 } as const;
/** Half as wide and as high as the face is in the picture, in shares of it; never so small that nothing is left. */
function faceHalves({ pictureWidthM, pictureHeightM }: StillRecipe): { x: number; y: number } {
  const half = (sizeM: number, ofM: number) => Math.max(0.01, sizeM / 2 / ofM);
  return { x: half(FACE_WIDE_M, pictureWidthM), y: half(FACE_HIGH_M, pictureHeightM) };
}

/** Where the face is, well inside its edge; nowhere where none is filmed. */
export function simulatedFace(recipe: StillRecipe): Box | undefined {
  if (!recipe.hasFace) return undefined;
  const { x, y } = faceHalves(recipe);
  const within = (share: number) => Math.min(1, Math.max(0, share));
  return {
    left: within(FACE_AT.x - 0.8 * x),
    top: within(FACE_AT.y - 0.75 * y),
    right: within(FACE_AT.x + 0.8 * x),
    bottom: within(FACE_AT.y + 0.75 * y)
  };
}

/** Where the grey card is in every simulated still. */
export const SIMULATED_GREY: Box = { left: 0.72, top: 0.72, right: 0.8, bottom: 0.84 };

/** Light thrown back, of all that falls on it: red, green, blue. */
const REFLECTS = {
  wall: [0.15, 0.13, 0.1],
  shelf: [0.07, 0.04, 0.025],
  face: [0.5, 0.34, 0.26],
  shirt: [0.04, 0.12, 0.13],
  bench: [0.22, 0.13, 0.07],
  grey: [0.18, 0.18, 0.18]
} as const;
type Colour = readonly [red: number, green: number, blue: number];
/** A face before a wall with a grey card, as the camera would see it: exposed, tinted and grained as the figures say. */
export function simulatedStill(recipe: StillRecipe): Uint8ClampedArray<ArrayBuffer> {
  const { width, height, seed, underStops, lightK, balanceK, noise } = recipe;
  const out = new Uint8ClampedArray(width * height * 4);
  const exposure = 2 ** -underStops;
  const tint = tintOf(lightK, balanceK);
  const reflectsAt = sceneOf(recipe);
  let state = seed | 0 || 1;
  const grain = () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return ((state >>> 0) / 2 ** 31 - 1) * noise;
  };
  for (let y = 0, index = 0; y < height; y++)
    for (let x = 0; x < width; x++, index += 4) {
      const light = reflectsAt(x / width, y / height);
      for (let channel = 0; channel < 3; channel++)
        out[index + channel] =
          255 * (written(light[channel]! * exposure * tint[channel]!) + grain());
      out[index + 3] = 255;
    }
  return out;
}

/** What is seen at each place of the picture, in shares of it: somebody before a wall with a dark shelf, or a bench. */
function sceneOf(recipe: StillRecipe): (x: number, y: number) => Colour {
  const { left, top, right, bottom } = SIMULATED_GREY;
  const { width, height, hasFace, blurPercent } = recipe;
  const face = faceHalves(recipe);
  const blurPx = (Math.max(width, height) * blurPercent) / 100;
  /** How much of a blurred edge is passed, from 0 to 1, so far from it in shares of a side. */
  const passed = (by: number, sidePx: number) =>
    Math.min(1, Math.max(0, 0.5 + (by * sidePx) / Math.max(1, blurPx)));
  return (x, y) => {
    if (x >= left && x < right && y >= top && y < bottom) return REFLECTS.grey;
    if (hasFace) {
      const [offX, offY] = [(x - FACE_AT.x) / face.x, (y - FACE_AT.y) / face.y];
      // The key comes from the left.
      if (offX ** 2 + offY ** 2 < 1) return lit(REFLECTS.face, 0.925 - 0.175 * offX);
      if ((offX / 2.7) ** 2 + ((offY - 3) / 2) ** 2 < 1) return REFLECTS.shirt;
    } else if (y > 0.55) return REFLECTS.bench;
    const shelf = passed(0.2 - x, width) * passed(0.6 - y, height);
    return mixedOf(REFLECTS.shelf, lit(REFLECTS.wall, 1 - 0.4 * x), shelf);
  };
}

const mixedOf = (a: Colour, b: Colour, share: number): Colour => [
  a[0] * share + b[0] * (1 - share),
  a[1] * share + b[1] * (1 - share),
  a[2] * share + b[2] * (1 - share)
];

const lit = ([red, green, blue]: Colour, by: number): Colour => [red * by, green * by, blue * by];

/** What a balance off by some mired makes of grey: warm light is red, green unchanged. */
function tintOf(lightK: number, balanceK: number): readonly [number, number, number] {
  const mired = 1e6 / lightK - 1e6 / balanceK;
  return [2 ** (mired / 200), 1, 2 ** (-mired / 140)];
}

/** From light to a written value, as sRGB has it. */
const written = (light: number): number =>
  light <= 0.0031308 ? 12.92 * Math.max(0, light) : 1.055 * light ** (1 / 2.4) - 0.055;
