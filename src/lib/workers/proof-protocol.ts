import type { Alignment } from '../core/proof/align';
import type { Box, PictureMeasures } from '../core/proof/measure-picture';
import type { SoundMeasures } from '../core/proof/measure-sound';
import type { SoundRecipe } from '../core/takes/simulated-sound';
import type { StillRecipe } from '../core/takes/simulated-still';

/** Sound the browser has decoded: every channel, full scale at 1. */
export interface DecodedSound {
  channels: Float32Array[];
  sampleRate: number;
}

/** What the measuring worker answers; files stay where they are and are read a stretch at a time. */
export interface ProofWorker {
  /**
   * A WAV file, with its progress from 0 to 1. Asking again or stopping ends it.
   *
   * @returns neither where it was stopped
   */
  measureWav(
    file: Blob,
    onprogress: (share: number) => void
  ): Promise<{ measures?: SoundMeasures; refused?: string }>;
  /** Sound that was just taken in, as a WAV file of 24 bits. */
  writeWav(sound: DecodedSound): Blob;
  measureDecoded(sound: DecodedSound): SoundMeasures;
  measureStill(file: Blob, boxes: { face?: Box; grey?: Box }): Promise<PictureMeasures>;
  /** How the second lies to the first; nothing where they have no common sound. */
  align(first: Blob | DecodedSound, second: Blob | DecodedSound): Promise<Alignment | undefined>;
  simulateSound(recipe: SoundRecipe): Blob;
  simulateStill(recipe: StillRecipe): Promise<Blob>;
  stop(): void;
}
