import { mustBeFinite, mustBePositive } from '../argument';
import type { PickupPattern } from '../../model/gear/microphone';

/**
 * Q: how much a pattern favours the front against sound from everywhere.
 * a: the pattern's omni share, sensitivity a + (1 − a)·cos θ.
 */
export const pickupPatterns = {
  omni: { q: 1, omniShare: 1 },
  cardioid: { q: 3, omniShare: 0.5 },
  supercardioid: { q: 3.7, omniShare: 0.366 },
  hypercardioid: { q: 4, omniShare: 0.25 },
  'short shotgun': { q: 5, omniShare: 0.25 }
} as const satisfies Record<PickupPattern, { q: number; omniShare: number }>;

/**
 * Room noise as a pattern hears it, the noise being everywhere: L − 10·log10 Q.
 *
 * @returns dB(A)
 * @example roomNoiseHeardDbA(38, 3.7) // 32.3
 */
export function roomNoiseHeardDbA(roomDbA: number, directivityQ: number): number {
  mustBeFinite('roomDbA', roomDbA);
  mustBePositive('directivityQ', directivityQ);
  return roomDbA - 10 * Math.log10(directivityQ);
}
