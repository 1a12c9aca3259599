import type { Box } from '../proof/measure-picture';

/** What a simulated still is made from. */
export interface StillRecipe {
  width: number;
  height: number;
  seed: number;
  /** Stops under the exposure that is right; below zero over it. */
  underStops: number;
  /** Colour of the light, and what the camera is set to. */
  lightK: number;
  balanceK: number;
  /** Grain, as a share of full scale. */
  noise: number;
}

/** Where the face and the grey card are in every simulated still. */
export const SIMULATED_FACE: Box = { left: 0.42, top: 0.24, right: 0.58, bottom: 0.56 };
export const SIMULATED_GREY: Box = { left: 0.72, top: 0.72, right: 0.8, bottom: 0.84 };

/** Light thrown back, of all that falls on it: red, green, blue. */
const REFLECTS = {
  wall: [0.15, 0.13, 0.1],
  shelf: [0.07, 0.04, 0.025],
  face: [0.5, 0.34, 0.26],
  shirt: [0.04, 0.12, 0.13],
  grey: [0.18, 0.18, 0.18]
} as const;
type Colour = readonly [red: number, green: number, blue: number];
/** A face before a wall with a grey card, as the camera would see it: exposed, tinted and grained as the figures say. */
export function simulatedStill(recipe: StillRecipe): Uint8ClampedArray<ArrayBuffer> {
  const { width, height, seed, underStops, lightK, balanceK, noise } = recipe;
  const out = new Uint8ClampedArray(width * height * 4);
  const exposure = 2 ** -underStops;
  const tint = tintOf(lightK, balanceK);
  let state = seed | 0 || 1;
  const grain = () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return ((state >>> 0) / 2 ** 31 - 1) * noise;
  };
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      const light = reflectsAt(x / width, y / height);
      for (let channel = 0; channel < 3; channel++)
        out[at + channel] = 255 * (written(light[channel]! * exposure * tint[channel]!) + grain());
      out[at + 3] = 255;
    }
  return out;
}

function reflectsAt(x: number, y: number): Colour {
  const { left, top, right, bottom } = SIMULATED_GREY;
  if (x >= left && x < right && y >= top && y < bottom) return REFLECTS.grey;
  const fromFace = ((x - 0.5) / 0.09) ** 2 + ((y - 0.4) / 0.2) ** 2;
  // The key comes from the left.
  if (fromFace < 1) return lit(REFLECTS.face, 1.1 - 0.35 * ((x - 0.41) / 0.18));
  if (((x - 0.5) / 0.24) ** 2 + ((y - 1) / 0.4) ** 2 < 1) return REFLECTS.shirt;
  return x < 0.2 && y < 0.6 ? REFLECTS.shelf : lit(REFLECTS.wall, 1 - 0.4 * x);
}

const lit = ([red, green, blue]: Colour, by: number): Colour => [red * by, green * by, blue * by];

/** What a balance off by some mired makes of grey: warm light is red, green unchanged. */
function tintOf(lightK: number, balanceK: number): readonly [number, number, number] {
  const mired = 1e6 / lightK - 1e6 / balanceK;
  return [2 ** (mired / 200), 1, 2 ** (-mired / 140)];
}

/** From light to a written value, as sRGB has it. */
const written = (light: number): number =>
  light <= 0.0031308 ? 12.92 * Math.max(0, light) : 1.055 * light ** (1 / 2.4) - 0.055;
