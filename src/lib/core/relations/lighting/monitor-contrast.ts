import { mustBePositive, mustNotBeNegative } from '../argument';

/** Share of the light a screen's face throws back. */
export const screenReflectance = { glossy: 0.04, coated: 0.015 } as const;
/** From here one can frame by it, from there judge by it. */
export const MONITOR_CONTRAST = { frame: 3, judge: 5 } as const;

/**
 * Contrast left on a screen in daylight: 1 + π·L/(ρ·E).
 *
 * @param luminanceCdM2 white of the screen
 * @param illuminanceLx on its face; without any the contrast is unbounded
 * @returns 1 for a dark screen, Infinity without light
 * @example monitorContrast(400, 10_000, 0.04) // 4.1
 */
export function monitorContrast(
  luminanceCdM2: number,
  illuminanceLx: number,
  reflectance: number
): number {
  mustNotBeNegative('luminanceCdM2', luminanceCdM2);
  mustNotBeNegative('illuminanceLx', illuminanceLx);
  mustBePositive('reflectance', reflectance);
  if (luminanceCdM2 === 0) return 1;
  return 1 + (Math.PI * luminanceCdM2) / (reflectance * illuminanceLx);
}
