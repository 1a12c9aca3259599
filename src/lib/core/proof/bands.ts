import FFT from 'fft.js';
import { decibels, loudest, quietest } from './gating';

/** Thirds of an octave, by their middle. */
export const BANDS_HZ = [
  50, 63, 80, 100, 125, 160, 200, 250, 315, 400, 500, 630, 800, 1000, 1250, 1600, 2000, 2500, 3150,
  4000, 5000, 6300, 8000, 10_000, 12_500, 16_000
] as const;

/** Levels by band, of the voice and of the silence between. */
export interface Spectrum {
  hz: readonly number[];
  voiceDb: readonly number[];
  silenceDb: readonly number[];
}

const SIZE = 4096;
/** Voice and silence are told apart by what is in the voice's range: wind is as loud in either. */
const VOICE_FROM_HZ = 200;
const VOICE_TO_HZ = 5000;
/** Every so many stretches one is looked at: a voice is the same for a third of a second. */
const EVERY = 4;

/** Thirds of an octave in stretches over a take. */
export class BandMeter {
  private readonly fft = new FFT(SIZE);
  private readonly spectrum = this.fft.createComplexArray();
  private readonly block = new Float64Array(SIZE);
  private readonly edges: readonly (readonly [from: number, to: number])[];
  private filled = 0;
  private skipped = 0;
  /** By stretch, what is in the voice's range, and every band. */
  private readonly stretches: { power: number; bands: Float32Array }[] = [];

  constructor(private readonly sampleRate: number) {
    const binHz = sampleRate / SIZE;
    const half = 2 ** (1 / 6);
    this.edges = BANDS_HZ.filter((hz) => hz * half < sampleRate / 2).map((hz) => [
      Math.max(1, Math.round(hz / half / binHz)),
      Math.max(2, Math.round((hz * half) / binHz))
    ]);
  }

  push(samples: Float64Array, length: number): void {
    let index = 0;
    while (index < length) {
      const skips = Math.min(this.skipped, length - index);
      this.skipped -= skips;
      index += skips;
      const takes = Math.min(SIZE - this.filled, length - index);
      if (this.skipped > 0 || takes === 0) continue;
      this.block.set(samples.subarray(index, index + takes), this.filled);
      this.filled += takes;
      index += takes;
      if (this.filled === SIZE) this.measure();
    }
  }

  private measure(): void {
    this.filled = 0;
    this.skipped = SIZE * (EVERY - 1);
    for (let index = 0; index < SIZE; index++)
      this.block[index]! *= 0.5 - 0.5 * Math.cos((2 * Math.PI * index) / SIZE);
    this.fft.realTransform(this.spectrum, this.block);
    let power = 0;
    const bands = Float32Array.from(this.edges, ([from, to], band) => {
      let sum = 0;
      for (let bin = from; bin < Math.max(to, from + 1); bin++)
        sum += this.spectrum[2 * bin]! ** 2 + this.spectrum[2 * bin + 1]! ** 2;
      // Mean square: both halves of the spectrum, over the window's own mean square of 3/8.
      const meanSquare = (2 * sum) / (SIZE * SIZE * 0.375);
      if (BANDS_HZ[band]! >= VOICE_FROM_HZ && BANDS_HZ[band]! <= VOICE_TO_HZ) power += meanSquare;
      return meanSquare;
    });
    this.stretches.push({ power, bands });
  }

  result(): Spectrum {
    const levels = (some: readonly { bands: Float32Array }[]) =>
      this.edges.map((_, band) =>
        decibels(some.reduce((sum, { bands }) => sum + bands[band]!, 0) / Math.max(1, some.length))
      );
    const powerOf = ({ power }: { power: number }) => power;
    return {
      hz: BANDS_HZ.slice(0, this.edges.length),
      voiceDb: levels(loudest(this.stretches, powerOf)),
      silenceDb: levels(quietest(this.stretches, powerOf))
    };
  }
}
