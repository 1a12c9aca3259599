import type { Box, PictureMeasures } from './measure-picture';
import type { SoundMeasures } from './measure-sound';

/** A take that was measured: sound or a still, with the file itself. It never leaves this browser. */
export type KeptTake = {
  id: string;
  projectId: string;
  /** The scene it was made for, where somebody has said so. */
  sceneId?: string;
  name: string;
  /** When it came in, milliseconds since 1970. */
  at: number;
  file: Blob;
  /** Made from the kit's own figures. */
  isSimulated?: true;
  /** How often it was listened to blind, and how often it was chosen. */
  heardBlind?: number;
  chosenBlind?: number;
} & (
  | { kind: 'sound'; measures: SoundMeasures }
  | { kind: 'still'; measures: PictureMeasures; face?: Box; grey?: Box }
);
