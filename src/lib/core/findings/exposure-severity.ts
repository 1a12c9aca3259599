import type { Severity } from './finding';

/** Size of a finding of the exposure plan, in stops: from `note` it is told, from `weakens` it costs the picture. */
export const EXPOSURE_SIZE = { note: 0.4, weakens: 0.8 } as const;

/**
 * How grave a cost of the exposure plan is.
 *
 * @param sizeStops what it costs at the worse end of the light
 * @param blocks no setting keeps within what a picture can be mended from
 * @param noteFrom where it is told before it reaches the usual size
 */
export function exposureSeverity(
  sizeStops: number,
  blocks = false,
  noteFrom: number = EXPOSURE_SIZE.note
): Severity | undefined {
  if (blocks) return 'stop';
  if (sizeStops >= EXPOSURE_SIZE.weakens - 1e-9) return 'warn';
  return sizeStops >= noteFrom - 1e-9 ? 'note' : undefined;
}
