import body from './shelf/body.json';
import joining from './shelf/accessories.json';
import lamp from './shelf/lamp.json';
import lens from './shelf/lens.json';
import microphone from './shelf/microphone.json';
import power from './shelf/power.json';
import soundExtras from './shelf/sound-extras.json';
import storage from './shelf/storage.json';
import support from './shelf/support.json';

/** A shelf file: one kind, its columns, a row a part. Empty cells stay unsaid. */
export interface ShelfTable {
  kind: string;
  columns: string[];
  modeColumns?: string[];
  rows: unknown[][];
}

/** Where the tables are part of the program: on the server, in workers, in tests. */
export const shelfTables: readonly ShelfTable[] = [
  body,
  lens,
  microphone,
  ...soundExtras,
  lamp,
  ...support,
  ...storage,
  ...power,
  ...joining
] as ShelfTable[];
