import { mustBePositive } from '../argument';

/** One load is one stream of 4K at 30 frames. */
const PIXELS_PER_LOAD = 249e6;
/** How hard a codec is to play; estimates. */
export const codecFactors = { intra: 0.5, 'long-GOP': 0.5, '4:2:2 10-bit': 6 } as const;
/** Load against rating: to here it plays, to there lighter copies help. */
export const EDITING_SHARE = { plays: 1, lighterCopies: 3 } as const;
/** Bit rate of lighter copies. */
export const LIGHTER_COPY_MBPS = 45;

/**
 * Editing load of streams played at once: Σ w·h·fps ÷ 249 M × codec factor.
 *
 * @example editingLoad([{ pixelsAcross: 3840, pixelsDown: 2160, fps: 30, factor: 1 }]) // 1.0
 */
export function editingLoad(
  streams: readonly { pixelsAcross: number; pixelsDown: number; fps: number; factor: number }[]
): number {
  return streams.reduce((load, { pixelsAcross, pixelsDown, fps, factor }) => {
    mustBePositive('pixelsAcross', pixelsAcross);
    mustBePositive('pixelsDown', pixelsDown);
    mustBePositive('fps', fps);
    mustBePositive('factor', factor);
    return load + ((pixelsAcross * pixelsDown * fps) / PIXELS_PER_LOAD) * factor;
  }, 0);
}
