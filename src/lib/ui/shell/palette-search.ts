import type { IFuseOptions } from 'fuse.js';
import type { PaletteEntry } from './palette-entries';

/** How the palette is searched: the name counts more than what stands beside it. */
export const paletteSearch: IFuseOptions<PaletteEntry> = {
  keys: [
    { name: 'name', weight: 3 },
    { name: 'detail', weight: 1 }
  ],
  threshold: 0.38,
  ignoreLocation: true
};
