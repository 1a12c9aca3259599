import { mustBePositive } from '../argument';

/** Picture against the framing asked for: inside `fine` nobody minds, outside `warn` it is another picture. */
export const FRAMING_RATIO = { fine: 1.15, warn: 1.35 } as const;

/**
 * How far a picture is off what was asked, too wide and too tight alike: 1 is exact.
 *
 * @example framingMissRatio(0.8) // 1.25
 */
export function framingMissRatio(ratio: number): number {
  mustBePositive('ratio', ratio);
  return Math.max(ratio, 1 / ratio);
}
