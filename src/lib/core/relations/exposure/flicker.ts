import { mustBePositive, mustLieBetween } from '../argument';

/** Flicker left in the picture, in percent: below `fine` unseen, above `warn` it pulses. */
export const FLICKER_PERCENT = { fine: 2, warn: 5 } as const;

/** Frame rates that keep step with the mains, and their doubles: half its frequency. */
export const STEADY_FPS = { 50: 25, 60: 30 } as const;

/**
 * Share of a lamp's mains ripple that survives the shutter: m·|sin πx/(πx)|, x = 2·f·t.
 *
 * @param depth modulation of the lamp, 0 to 1; 1 when unknown, the worst there is
 * @returns percent
 * @example flickerLeftPercent(1 / 60, 50) // 16.5
 */
export function flickerLeftPercent(shutterS: number, mainsHz: number, depth = 1): number {
  mustBePositive('shutterS', shutterS);
  mustBePositive('mainsHz', mainsHz);
  mustLieBetween('depth', depth, 0, 1);
  const turns = Math.PI * 2 * mainsHz * shutterS;
  return 100 * depth * Math.abs(Math.sin(turns) / turns);
}

/**
 * With a shutter faster than half a mains cycle dark bands cross the picture.
 *
 * @example bandsExpected(1 / 240, 50) // true
 */
export function bandsExpected(shutterS: number, mainsHz: number): boolean {
  mustBePositive('shutterS', shutterS);
  mustBePositive('mainsHz', mainsHz);
  return shutterS < 1 / (2 * mainsHz) - 1e-9;
}

/**
 * Upper bound of the ripple left of a lamp dimmed by pulses: 1/(π·f·t), in percent.
 * @example pwmRipplePercent(1000, 1 / 50) // 1.59
 */
export function pwmRipplePercent(pwmHz: number, shutterS: number): number {
  mustBePositive('pwmHz', pwmHz);
  mustBePositive('shutterS', shutterS);
  return 100 / (Math.PI * pwmHz * shutterS);
}
