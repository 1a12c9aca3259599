import {
  crossesInCorners,
  variableDensityCornerStops
} from '../relations/exposure/variable-density-corners';

/**
 * What a setting costs the picture, in stops. Named and stated here and nowhere else; each is a piecewise
 * linear estimate of what practitioners put up with.
 */
export const exposureCosts = {
  /** Noise, n = log2(4·S/usable): from −4 to 0 it is clean, to 2 usable, past that it shows. */
  noise: { cleanFrom: -4, cleanTo: 0, usableTo: 2, clean: 0.1, usable: 0.4, past: 1 },
  /** Shutter shorter than half the frame time: choppy; past four stops it cannot get much choppier. */
  shorter: { to: 4, near: 0.3, past: 0.15 },
  /** Shutter longer than half the frame time: smeared. */
  longer: 0.8,
  /** Less depth of field than asked, and more than a blurred background allows. */
  depth: { usual: 0.7, blurFirst: 0.45 },
  blur: { usual: 0.4, blurFirst: 0.6 },
  diffraction: 0.5,
  /** Corners of a variable filter: up to half a stop, and beyond. */
  corners: { to: 0.5, near: 1.6, past: 0.3, most: 4 },
  castPerMired: 0.02,
  /** Flicker left, in percent: from `from` to `warn` it costs up to `atWarn`, then by the percent. */
  flicker: { from: 2, warn: 5, atWarn: 0.8, perPercent: 0.05, most: 3 },
  /** Over- or underexposed. */
  wrong: 3
} as const;

const between = (value: number, low: number, high: number) =>
  Math.min(high, Math.max(low, value)) - low;

export const noiseCost = (iso: number, usableIso: number): number =>
  noiseCostAt(Math.log2((4 * iso) / usableIso));

/** @param n stops of ISO past two below the usable one: log2(4·S/usable) */
export function noiseCostAt(n: number): number {
  const { cleanFrom, cleanTo, usableTo, clean, usable, past } = exposureCosts.noise;
  return (
    clean * between(n, cleanFrom, cleanTo) +
    usable * between(n, cleanTo, usableTo) +
    past * Math.max(0, n - usableTo)
  );
}

export function shutterCost(shutterS: number, fps: number): { shorter: number; longer: number } {
  const { to, near, past } = exposureCosts.shorter;
  const stops = Math.log2(1 / (2 * fps) / shutterS);
  return {
    shorter: near * between(stops, 0, to) + past * Math.max(0, stops - to),
    longer: exposureCosts.longer * Math.max(0, -stops)
  };
}

/** Stops between two apertures, none where the first is the wider one. */
const stopsPast = (apertureN: number, limitN: number) =>
  Math.max(0, 2 * Math.log2(apertureN / limitN));

export const depthCost = (apertureN: number, neededN: number, blurFirst: boolean): number =>
  stopsPast(neededN, apertureN) * exposureCosts.depth[blurFirst ? 'blurFirst' : 'usual'];

export const blurCost = (apertureN: number, largestN: number, blurFirst: boolean): number =>
  stopsPast(apertureN, largestN) * exposureCosts.blur[blurFirst ? 'blurFirst' : 'usual'];

export const diffractionCost = (apertureN: number, capN: number): number =>
  stopsPast(apertureN, capN) * exposureCosts.diffraction;

export function cornersCost(equivalentFocalLengthMm: number, stops: number): number {
  const { most } = exposureCosts.corners;
  if (stops < 0.01) return 0;
  const { darker, lighter } = variableDensityCornerStops(equivalentFocalLengthMm, stops);
  const told = crossesInCorners(equivalentFocalLengthMm, stops)
    ? most
    : Math.min(most, Math.max(darker, lighter));
  return cornersCostOf(told);
}

/** @param changeStops the larger change of either pair of corners */
export function cornersCostOf(changeStops: number): number {
  const { to, near, past, most } = exposureCosts.corners;
  const told = Math.min(most, changeStops);
  return near * Math.min(to, told) + past * Math.max(0, told - to);
}

export function flickerCost(percentLeft: number): number {
  const { from, warn, atWarn, perPercent, most } = exposureCosts.flicker;
  return Math.min(
    most,
    (atWarn * between(percentLeft, from, warn)) / (warn - from) +
      perPercent * Math.max(0, percentLeft - warn)
  );
}
