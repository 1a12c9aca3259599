import { mustBePositive, mustLieBetween } from '../argument';

/** Index of the polarising glass. */
const GLASS_INDEX = 1.5;

/** How the polarisers cross at the centre (θ) and how much more in the corners (δ), in radians. */
function polariserAngles(equivalentFocalLengthMm: number, stops: number) {
  mustBePositive('equivalentFocalLengthMm', equivalentFocalLengthMm);
  mustLieBetween('stops', stops, 0.01, 12);
  const halfDiagonal = Math.atan(Math.hypot(36, 20.25) / 2 / equivalentFocalLengthMm);
  const inside = Math.asin(Math.sin(halfDiagonal) / GLASS_INDEX);
  const turned = 2 * Math.atan(1 / Math.cos(inside)) - Math.PI / 2;
  return { turned, crossing: Math.acos(Math.sqrt(2 ** -stops)) };
}

/**
 * True once the corners cross altogether and a dark cross stands in the picture: θ + δ ≥ 90°.
 *
 * @example crossesInCorners(24, 4) // false
 */
export function crossesInCorners(equivalentFocalLengthMm: number, stops: number): boolean {
  const { turned, crossing } = polariserAngles(equivalentFocalLengthMm, stops);
  return crossing + turned >= Math.PI / 2;
}

/**
 * How much a variable filter's corners differ from its centre. A ray through the corner meets the two
 * polarisers turned by δ = 2·atan(1/cos α′) − 90°, sin α′ = sin α/1.5, α the half diagonal; crossing by
 * θ takes −log2 cos²θ stops.
 *
 * @param equivalentFocalLengthMm on full frame, whose 16:9 picture has a half diagonal of 20.65 mm
 * @param stops set on the filter at the centre
 * @returns change in stops in the two pairs of corners: darker is positive
 * @example variableDensityCornerStops(24, 4) // { darker: 1.5, lighter: 1.0 }
 */
export function variableDensityCornerStops(
  equivalentFocalLengthMm: number,
  stops: number
): { darker: number; lighter: number } {
  const { turned, crossing } = polariserAngles(equivalentFocalLengthMm, stops);
  const change = (by: number) => Math.log2(Math.cos(crossing + by) ** 2 / Math.cos(crossing) ** 2);
  return { darker: -change(turned), lighter: change(-turned) };
}
