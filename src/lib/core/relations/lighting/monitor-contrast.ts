import { mustBePositive, mustNotBeNegative } from '../argument';

/** Share of the light a screen's face throws back. */
export const screenReflectance = { glossy: 0.04, coated: 0.015 } as const;
/** From here one can frame by it, from there judge by it. */
export const MONITOR_CONTRAST = { frame: 3, judge: 5 } as const;

/**
 * Contrast left on a screen in daylight: 1 + π·L/(ρ·E).
 *
 * @param luminanceCdM2 white of the screen
 * @param illuminanceLx on its face
 * @example monitorContrast(400, 10_000, 0.04) // 4.1
 */
export function monitorContrast(
  luminanceCdM2: number,
  illuminanceLx: number,
  reflectance: number
): number {
  mustNotBeNegative('luminanceCdM2', luminanceCdM2);
  mustBePositive('illuminanceLx', illuminanceLx);
  mustBePositive('reflectance', reflectance);
  return 1 + (Math.PI * luminanceCdM2) / (reflectance * illuminanceLx);
}
