import body from './shelf/body.json?url&no-inline';
import joining from './shelf/accessories.json?url&no-inline';
import lamp from './shelf/lamp.json?url&no-inline';
import lens from './shelf/lens.json?url&no-inline';
import microphone from './shelf/microphone.json?url&no-inline';
import power from './shelf/power.json?url&no-inline';
import soundExtras from './shelf/sound-extras.json?url&no-inline';
import storage from './shelf/storage.json?url&no-inline';
import support from './shelf/support.json?url&no-inline';
import type { ShelfTable } from './shelf-tables';

/**
 * The same tables for a page: data beside its script, fetched while the rest is read in, so that the first view
 * does not carry them as script. `vite.config.ts` puts this in the place of the other; a page that cannot have them has
 * no shelf to judge by, so it waits and fails as it would for its script.
 */
export const shelfTables: readonly ShelfTable[] = (
  await Promise.all(
    [body, lens, microphone, soundExtras, lamp, support, storage, power, joining].map(
      async (url): Promise<ShelfTable | ShelfTable[]> => (await fetch(url)).json()
    )
  )
).flat();
