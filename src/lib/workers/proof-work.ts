import { align } from '../core/proof/align';
import { measurePicture } from '../core/proof/measure-picture';
import { measureSound, SoundMeter } from '../core/proof/measure-sound';
import { readWavInfo, samplesOf, WavError, type WavInfo, wavOf } from '../core/proof/wav';
import { simulatedSound } from '../core/takes/simulated-sound';
import { simulatedStill } from '../core/takes/simulated-still';
import type { DecodedSound, ProofWorker } from './proof-protocol';

/** Frames that are read and measured together. */
const STRETCH = 1 << 18;
/** For laying recordings on each other they are kept at about this rate. */
const ALIGNED_RATE_HZ = 8000;

const readFrom =
  (file: Blob) =>
  async (index: number, length: number): Promise<Uint8Array> =>
    new Uint8Array(await file.slice(index, index + length).arrayBuffer());

/** The sound of a WAV file, a stretch at a time. */
async function* stretchesOf(file: Blob, info: WavInfo) {
  const frameBytes = info.dataBytes / info.frames;
  for (let frame = 0; frame < info.frames; frame += STRETCH) {
    const from = info.dataAt + frame * frameBytes;
    const bytes = await readFrom(file)(from, Math.min(STRETCH, info.frames - frame) * frameBytes);
    yield { channels: samplesOf(bytes, info), done: Math.min(info.frames, frame + STRETCH) };
  }
}

/** Running means of the first channel, so that an hour fits into memory. */
class Thinner {
  private readonly out: number[] = [];
  private sum = 0;
  private counted = 0;
  constructor(private readonly every: number) {}
  push(samples: Float32Array): void {
    for (const sample of samples) {
      this.sum += sample;
      if (++this.counted < this.every) continue;
      this.out.push(this.sum / this.every);
      this.sum = 0;
      this.counted = 0;
    }
  }
  result(): Float32Array {
    return Float32Array.from(this.out);
  }
}

async function thinned(
  sound: Blob | DecodedSound
): Promise<{ samples: Float32Array; rate: number }> {
  const info = sound instanceof Blob ? await readWavInfo(readFrom(sound), sound.size) : undefined;
  const sampleRate = info ? info.sampleRate : (sound as DecodedSound).sampleRate;
  const every = Math.max(1, Math.round(sampleRate / ALIGNED_RATE_HZ));
  const thinner = new Thinner(every);
  if (info)
    for await (const { channels } of stretchesOf(sound as Blob, info)) thinner.push(channels[0]!);
  else thinner.push((sound as DecodedSound).channels[0]!);
  return { samples: thinner.result(), rate: sampleRate / every };
}

/** The same sound at another rate, between samples along a line. */
function atRate(samples: Float32Array, from: number, to: number): Float32Array {
  if (from === to) return samples;
  return Float32Array.from({ length: Math.floor((samples.length * to) / from) }, (_, index) => {
    const place = (index * from) / to;
    const low = Math.floor(place);
    const share = place - low;
    return samples[low]! * (1 - share) + (samples[low + 1] ?? samples[low]!) * share;
  });
}

/** What the measuring worker does, apart from the worker it is done in. */
export function makeProofWork(): ProofWorker {
  let turn = 0;
  return {
    async measureWav(file, onprogress) {
      const mine = ++turn;
      try {
        const info = await readWavInfo(readFrom(file), file.size);
        const meter = new SoundMeter(info.sampleRate, info.channels);
        for await (const { channels, done } of stretchesOf(file, info)) {
          if (mine !== turn) return {};
          meter.push(channels);
          onprogress(done / info.frames);
        }
        return { measures: meter.result() };
      } catch (error) {
        if (error instanceof WavError) return { refused: error.message };
        throw error;
      }
    },
    writeWav: ({ channels, sampleRate }) =>
      new Blob([wavOf(channels, sampleRate, 24)], { type: 'audio/wav' }),
    measureDecoded: ({ channels, sampleRate }) => measureSound(channels, sampleRate),
    async measureStill(file, boxes) {
      const bitmap = await createImageBitmap(file);
      const { width, height } = bitmap;
      const context = new OffscreenCanvas(width, height).getContext('2d')!;
      context.drawImage(bitmap, 0, 0);
      bitmap.close();
      return measurePicture(context.getImageData(0, 0, width, height).data, width, height, boxes);
    },
    async align(first, second) {
      const envelope = await thinned(first);
      const other = await thinned(second);
      return align(
        envelope.samples,
        atRate(other.samples, other.rate, envelope.rate),
        envelope.rate
      );
    },
    simulateSound: (recipe) =>
      new Blob([wavOf([simulatedSound(recipe)], recipe.sampleRate, 24)], { type: 'audio/wav' }),
    async simulateStill(recipe) {
      const { width, height } = recipe;
      const canvas = new OffscreenCanvas(width, height);
      canvas
        .getContext('2d')!
        .putImageData(new ImageData(simulatedStill(recipe), width, height), 0, 0);
      return canvas.convertToBlob({ type: 'image/png' });
    },
    stop: () => {
      turn += 1;
    }
  };
}
