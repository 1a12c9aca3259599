import type { Alignment } from '../core/proof/align';
import type { Box } from '../core/proof/measure-picture';
import type { SoundRecipe } from '../core/takes/simulated-sound';
import { simulatedFace, SIMULATED_GREY } from '../core/takes/simulated-still';
import type { StillRecipe } from '../core/takes/simulated-still';
import type { KeptTake } from '../core/proof/kept-take';
import { NoRoomForTakeError } from '../data/takes-repository';
import { askProof, proxy } from '../workers/connect-proof';
import type { DecodedSound } from '../workers/proof-protocol';
import { satchel } from './project-store.svelte';

/** A file that came to nothing, and why. */
export interface RefusedTake {
  name: string;
  says: string;
}

const isStill = ({ type, name }: File): boolean =>
  type.startsWith('image/') || /\.(png|jpe?g)$/i.test(name);
const isWav = ({ type, name }: File): boolean => /wav/.test(type) || /\.wav$/i.test(name);
/** A browser decodes a whole file at once; past this it is told to be cut. */
const MOST_DECODED_BYTES = 60 * 1024 * 1024;

/** Sound of any kind the browser knows. @throws where it knows none of it */
export async function decodedSound(file: Blob): Promise<DecodedSound> {
  const context = new OfflineAudioContext(1, 1, 48_000);
  const buffer = await context.decodeAudioData(await file.arrayBuffer());
  return {
    channels: Array.from({ length: buffer.numberOfChannels }, (_, index) =>
      buffer.getChannelData(index).slice()
    ),
    sampleRate: buffer.sampleRate
  };
}

/** The takes of the open project: brought in, measured, kept in this browser. */
export class Takes {
  list = $state.raw<readonly KeptTake[]>([]);
  bytes = $state(0);
  refused = $state.raw<readonly RefusedTake[]>([]);
  /** What is being measured, and how far it is. */
  measuring = $state.raw<{ name: string; share: number } | undefined>(undefined);
  failure = $state('');

  async open(projectId: string): Promise<void> {
    try {
      this.list = await satchel.repository.takes.list(projectId);
      this.bytes = await satchel.repository.takes.bytes();
      this.failure = '';
    } catch {
      this.failure = 'The takes of this browser cannot be read.';
    }
  }

  /** Several files at once, one after the other; what cannot be read is told and the rest goes on. */
  async bringIn(files: readonly File[], projectId: string, sceneId?: string): Promise<void> {
    this.refused = [];
    for (const file of files) {
      this.measuring = { name: file.name, share: 0 };
      try {
        const take = await this.#measured(file, projectId, sceneId);
        if (take) await this.#keep(take);
      } catch (error) {
        const says =
          error instanceof NoRoomForTakeError
            ? error.message
            : isStill(file)
              ? 'This picture cannot be read. Save it as PNG or JPEG and drop it again.'
              : 'This browser cannot decode it. Save it as WAV and drop it again.';
        this.refused = [...this.refused, { name: file.name, says }];
      }
    }
    this.measuring = undefined;
  }

  stop(): void {
    this.measuring = undefined;
    void askProof((work) => work.stop()).catch(() => undefined);
  }

  async #measured(
    file: File,
    projectId: string,
    sceneId: string | undefined
  ): Promise<KeptTake | undefined> {
    const about = {
      id: `take-${crypto.randomUUID().slice(0, 12)}`,
      projectId,
      ...(sceneId === undefined ? {} : { sceneId }),
      name: file.name.slice(0, 120),
      at: Date.now(),
      file
    };
    if (isStill(file))
      return {
        ...about,
        kind: 'still',
        measures: await askProof((work) => work.measureStill(file, {}))
      };
    if (!isWav(file)) {
      if (file.size > MOST_DECODED_BYTES) {
        this.#refuse(file, 'It is too large to be decoded here. Save it as WAV, or cut it.');
        return undefined;
      }
      const sound = await decodedSound(file);
      return {
        ...about,
        kind: 'sound',
        measures: await askProof((work) => work.measureDecoded(sound))
      };
    }
    const tell = proxy((share: number) => (this.measuring = { name: file.name, share }));
    const { measures, refused } = await askProof((work) => work.measureWav(file, tell));
    if (refused !== undefined) this.#refuse(file, refused);
    return measures && { ...about, kind: 'sound', measures };
  }

  #refuse(file: File, says: string): void {
    this.refused = [...this.refused, { name: file.name, says }];
  }

  async #keep(take: KeptTake): Promise<void> {
    await satchel.repository.takes.add(take);
    this.list = [take, ...this.list];
    this.bytes += take.file.size;
  }

  /** A take from the kit's own figures, where no microphone is at hand. */
  async simulateSound(
    recipe: SoundRecipe,
    projectId: string,
    sceneId: string,
    name: string
  ): Promise<void> {
    await this.#simulated(name, async () => {
      const file = await askProof((work) => work.simulateSound(recipe));
      const { measures } = await askProof((work) =>
        work.measureWav(
          file,
          proxy(() => undefined)
        )
      );
      return (
        measures && { ...this.#about(projectId, sceneId, name), file, kind: 'sound', measures }
      );
    });
  }

  async simulateStill(
    recipe: StillRecipe,
    projectId: string,
    sceneId: string,
    name: string
  ): Promise<void> {
    await this.#simulated(name, async () => {
      const file = await askProof((work) => work.simulateStill(recipe));
      const face = simulatedFace(recipe);
      const boxes = { ...(face ? { face } : {}), grey: SIMULATED_GREY };
      const measures = await askProof((work) => work.measureStill(file, boxes));
      return { ...this.#about(projectId, sceneId, name), file, kind: 'still', measures, ...boxes };
    });
  }

  #about(projectId: string, sceneId: string, name: string) {
    return {
      id: `take-${crypto.randomUUID().slice(0, 12)}`,
      projectId,
      sceneId,
      name,
      at: Date.now(),
      isSimulated: true as const
    };
  }

  async #simulated(name: string, make: () => Promise<KeptTake | undefined>): Promise<void> {
    this.measuring = { name, share: 0 };
    try {
      const take = await make();
      if (take) await this.#keep(take);
    } catch (error) {
      this.failure = error instanceof Error ? error.message : String(error);
    } finally {
      this.measuring = undefined;
    }
  }

  /** Where the face or something grey is, pointed at by hand: seen at once, measured as soon as it stands still. */
  async setBoxes(
    take: KeptTake & { kind: 'still' },
    boxes: { face?: Box; grey?: Box }
  ): Promise<void> {
    const pointed = { ...take, ...boxes };
    const turn = ++this.#pointed;
    this.list = this.list.map((other) => (other.id === take.id ? pointed : other));
    const measures = await askProof((work) => work.measureStill(take.file, boxes));
    if (turn === this.#pointed) await this.change({ ...pointed, measures });
  }
  #pointed = 0;

  async change(take: KeptTake): Promise<void> {
    this.list = this.list.map((other) => (other.id === take.id ? take : other));
    await satchel.repository.takes.change(take);
  }

  async remove({ id, file }: KeptTake): Promise<void> {
    this.list = this.list.filter((other) => other.id !== id);
    this.bytes -= file.size;
    await satchel.repository.takes.remove(id);
  }

  /** How the sound of one take lies to another's. @throws where one cannot be decoded */
  async align(first: KeptTake, second: KeptTake): Promise<Alignment | undefined> {
    const sound = async ({ file, name }: KeptTake) =>
      /wav/.test(file.type) || /\.wav$/i.test(name) ? file : decodedSound(file);
    const [earlier, other] = [await sound(first), await sound(second)];
    return askProof((work) => work.align(earlier, other));
  }
}
