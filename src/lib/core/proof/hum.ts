import FFT from 'fft.js';
import { quietest } from './gating';

/** What the hum of the mains may begin at. */
export const MAINS_HZ = [50, 60] as const;
export type MainsHz = (typeof MAINS_HZ)[number];

/** Hum of the mains, as it is heard in the silence between words. */
export interface Hum {
  hz: MainsHz;
  /** Of its first five harmonics together, dBFS. */
  levelDb: number;
}

const HARMONICS = 5;
/** Sound is thinned out to about this rate first: hum lies low. */
const RATE_HZ = 2000;
const SIZE = 2048;
/** Bins round a line that are its own under the window, and those beside it that tell how loud the rest is. */
const OWN = 2;
const BESIDE = 6;
/** A line stands out that is this many times what is beside it. */
const STANDS_OUT = 6;

/** Finds hum: in a stretch of a second each, then in the quietest of them. */
export class HumMeter {
  private readonly every: number;
  private readonly rate: number;
  private readonly fft = new FFT(SIZE);
  private readonly spectrum = this.fft.createComplexArray();
  private readonly window = Float64Array.from(
    { length: SIZE },
    (_, index) => 0.5 - 0.5 * Math.cos((2 * Math.PI * index) / SIZE)
  );
  private readonly block = new Float64Array(SIZE);
  private readonly windowed = new Float64Array(SIZE);
  private filled = 0;
  private sum = 0;
  private counted = 0;
  private readonly stretches: { power: number; lines: Record<MainsHz, number> }[] = [];

  constructor(sampleRate: number) {
    this.every = Math.max(1, Math.round(sampleRate / RATE_HZ));
    this.rate = sampleRate / this.every;
  }

  push(samples: Float64Array, length: number): void {
    for (let index = 0; index < length; index++) {
      this.sum += samples[index]!;
      if (++this.counted === this.every) this.keep();
    }
  }

  private keep(): void {
    this.block[this.filled++] = this.sum / this.every;
    this.sum = 0;
    this.counted = 0;
    if (this.filled < SIZE) return;
    this.measure();
    // Stretches overlap by half: what falls on the edge of one lies in the middle of the next.
    this.block.copyWithin(0, SIZE / 2);
    this.filled = SIZE / 2;
  }

  private measure(): void {
    let power = 0;
    for (let index = 0; index < SIZE; index++) {
      this.windowed[index] = this.block[index]! * this.window[index]!;
      power += this.block[index]! ** 2;
    }
    this.fft.realTransform(this.spectrum, this.windowed);
    this.stretches.push({
      power: power / SIZE,
      lines: { 50: this.linesOf(50), 60: this.linesOf(60) }
    });
  }

  /** Mean square of a hum's harmonics that stand out from what is beside them. */
  private linesOf(hz: MainsHz): number {
    let all = 0;
    for (let harmonic = 1; harmonic <= HARMONICS; harmonic++) {
      const binIndex = (harmonic * hz * SIZE) / this.rate;
      const centre = Math.round(binIndex);
      if (centre + BESIDE + OWN >= SIZE / 2) break;
      let own = 0;
      for (let bin = centre - OWN; bin <= centre + OWN; bin++) own += this.binPower(bin);
      let beside = 0;
      for (let off = OWN + 1; off <= BESIDE; off++)
        beside += this.binPower(centre - off) + this.binPower(centre + off);
      const expected = (beside / (2 * (BESIDE - OWN))) * (2 * OWN + 1);
      if (own < STANDS_OUT * expected) continue;
      // What thinning out takes away comes back: a running mean lets high tones through less.
      const x = (Math.PI * harmonic * hz) / this.rate;
      const passed = Math.sin(x) / x;
      // A sine's mean square from its bins under a Hann window: Σ|X|² = 1.5·(A·N/4)².
      all += ((own - expected) * 16) / (3 * SIZE * SIZE) / passed ** 2;
    }
    return all;
  }

  private binPower(bin: number): number {
    return this.spectrum[2 * bin]! ** 2 + this.spectrum[2 * bin + 1]! ** 2;
  }

  /** Undefined where nothing hums, or where there is too little to tell. */
  result(): Hum | undefined {
    const quiet = quietest(this.stretches, ({ power }) => power);
    if (quiet.length === 0) return undefined;
    let found: Hum | undefined;
    for (const hz of MAINS_HZ) {
      const mean = quiet.reduce((sum, { lines }) => sum + lines[hz], 0) / quiet.length;
      if (mean <= 0) continue;
      const levelDb = 10 * Math.log10(mean);
      if (!found || levelDb > found.levelDb) found = { hz, levelDb };
    }
    return found;
  }
}
