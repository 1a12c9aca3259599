import { mustNotBeNegative } from '../argument';

/**
 * Ratio of the bright to the dark side of a face: (key + fill + ambient)/(fill + ambient).
 *
 * @returns a ratio, or undefined when nothing fills the dark side
 * @example keyToFill(600, 100, 100) // 4
 */
export function keyToFill(keyLx: number, fillLx: number, ambientLx: number): number | undefined {
  mustNotBeNegative('keyLx', keyLx);
  mustNotBeNegative('fillLx', fillLx);
  mustNotBeNegative('ambientLx', ambientLx);
  const dark = fillLx + ambientLx;
  return dark === 0 ? undefined : (keyLx + dark) / dark;
}
