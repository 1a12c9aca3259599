import { AWeighting } from './a-weighting';
import { BandMeter, type Spectrum } from './bands';
import { type Decay, DECAY_STEP_S, decayOf } from './decay';
import { decibels, type GatedLevels, gatedLevels } from './gating';
import { type Hum, HumMeter } from './hum';
import { TruePeak } from './true-peak';

/** What a take of sound measures. Levels are in dBFS: a full sine is −3.01. */
export interface SoundMeasures extends GatedLevels {
  seconds: number;
  sampleRate: number;
  channels: number;
  samplePeakDb: number;
  /** Between the samples too, four times oversampled. */
  truePeakDb: number;
  /** How often three samples or more in a row stand at full scale. */
  /** The highest sample but for a clap: what gain is set by. */
  voicePeakDb: number;
  clippedRuns: number;
  rmsDb: number;
  rmsADb: number;
  hum: Hum | undefined;
  decay: Decay | undefined;
  /** Low rumble in the silence over the middle of the voice's range there: wind, lorries, a bumped stand. */
  rumbleDb: number | undefined;
  spectrum: Spectrum;
  /** The take from left to right in columns: the highest sample and the mean level of each. */
  strip: { peakDb: readonly number[]; rmsDb: readonly number[] };
}

/** Moments that voice and silence are told apart by. */
const MOMENT_S = 0.05;
const STRIP_COLUMNS = 480;
/** A clap is over after so long, and its hands begin it so long before. */
const CLAP_S = 0.3;
/** Samples at full scale: 16 bits reach all but their last step. */
const FULL_SCALE = 1 - 1.5 / 32_768;
const CLIPPED_RUN = 3;
/** Samples that are gone through together. */
const BLOCK = 4096;
const RUMBLE_UP_TO_HZ = 80;
const VOICE_HZ = [200, 1000] as const;

/**
 * Measures sound as it comes, in bounded memory: an hour of it is some hundred thousand numbers.
 * All channels are looked at for peaks; levels are of their mean.
 */
export class SoundMeter {
  private readonly weighting: AWeighting;
  private readonly peaks: readonly TruePeak[];
  private readonly bands: BandMeter;
  private readonly hum: HumMeter;
  private readonly momentFrames: number;
  private readonly stepFrames: number;
  private readonly moments = new Growing();
  private readonly momentsA = new Growing();
  private readonly momentPeaks = new Growing();
  private readonly steps = new Growing();
  private readonly runs: Int32Array;
  private frames = 0;
  private samplePeak = 0;
  private clippedRuns = 0;
  private square = 0;
  private squareA = 0;
  private momentSquare = 0;
  private momentSquareA = 0;
  private momentPeak = 0;
  private stepSquare = 0;
  private readonly mix = new Float64Array(BLOCK);
  private readonly highest = new Float64Array(BLOCK);
  private readonly weighted = new Float64Array(BLOCK);

  constructor(
    private readonly sampleRate: number,
    private readonly channels: number
  ) {
    this.weighting = new AWeighting(sampleRate);
    this.peaks = Array.from({ length: channels }, () => new TruePeak());
    this.bands = new BandMeter(sampleRate);
    this.hum = new HumMeter(sampleRate);
    this.momentFrames = Math.max(1, Math.round(sampleRate * MOMENT_S));
    this.stepFrames = Math.max(1, Math.round(sampleRate * DECAY_STEP_S));
    this.runs = new Int32Array(channels);
  }

  /** @param channels equally long stretches, full scale at 1 */
  push(channels: readonly Float32Array[]): void {
    for (const [index, samples] of channels.entries()) {
      this.peaks[index]!.push(samples);
      this.countClipped(index, samples);
    }
    const length = channels[0]?.length ?? 0;
    for (let from = 0; from < length; from += BLOCK)
      this.pushBlock(channels, from, Math.min(BLOCK, length - from));
  }

  private countClipped(channel: number, samples: Float32Array): void {
    let run = this.runs[channel]!;
    for (let index = 0; index < samples.length; index++) {
      const sample = samples[index]!;
      if (sample < FULL_SCALE && sample > -FULL_SCALE) run = 0;
      else if (++run === CLIPPED_RUN) this.clippedRuns += 1;
    }
    this.runs[channel] = run;
  }

  private pushBlock(channels: readonly Float32Array[], from: number, length: number): void {
    const { mix, highest, weighted } = this;
    mix.fill(0, 0, length);
    highest.fill(0, 0, length);
    for (const samples of channels)
      for (let index = 0; index < length; index++) {
        const sample = samples[from + index]!;
        mix[index]! += sample;
        const size = sample < 0 ? -sample : sample;
        if (size > highest[index]!) highest[index] = size;
      }
    if (channels.length > 1)
      for (let index = 0; index < length; index++) mix[index]! /= channels.length;
    this.weighting.run(mix, length, weighted);
    this.bands.push(mix, length);
    this.hum.push(mix, length);
    this.addUp(length);
  }

  /** Into steps and moments, each closed when it is full. */
  private addUp(length: number): void {
    const { mix, highest, weighted, stepFrames, momentFrames } = this;
    let index = 0;
    while (index < length) {
      const toStep = stepFrames - (this.frames % stepFrames);
      const toMoment = momentFrames - (this.frames % momentFrames);
      const until = Math.min(length, index + Math.min(toStep, toMoment));
      let square = 0;
      let squareA = 0;
      let peak = this.momentPeak;
      for (let n = index; n < until; n++) {
        square += mix[n]! * mix[n]!;
        squareA += weighted[n]! * weighted[n]!;
        if (highest[n]! > peak) peak = highest[n]!;
      }
      this.stepSquare += square;
      this.momentSquare += square;
      this.momentSquareA += squareA;
      this.momentPeak = peak;
      this.frames += until - index;
      index = until;
      if (this.frames % stepFrames === 0) {
        this.steps.push(this.stepSquare / stepFrames);
        this.stepSquare = 0;
      }
      if (this.frames % momentFrames === 0) this.closeMoment(momentFrames);
    }
  }

  private closeMoment(frames: number): void {
    this.moments.push(this.momentSquare / frames);
    this.momentsA.push(this.momentSquareA / frames);
    this.momentPeaks.push(this.momentPeak);
    this.samplePeak = Math.max(this.samplePeak, this.momentPeak);
    this.square += this.momentSquare;
    this.squareA += this.momentSquareA;
    this.momentSquare = 0;
    this.momentSquareA = 0;
    this.momentPeak = 0;
  }

  result(): SoundMeasures {
    const rest = this.frames % this.momentFrames;
    if (rest > 0) this.closeMoment(rest);
    const spectrum = this.bands.result();
    const decay = decayOf(this.steps.values());
    const frames = Math.max(1, this.frames);
    return {
      seconds: this.frames / this.sampleRate,
      sampleRate: this.sampleRate,
      channels: this.channels,
      samplePeakDb: 2 * decibels(this.samplePeak),
      truePeakDb: 2 * decibels(Math.max(0, ...this.peaks.map(({ peak }) => peak))),
      voicePeakDb: 2 * decibels(this.peakBut(decay)),
      clippedRuns: this.clippedRuns,
      rmsDb: decibels(this.square / frames),
      rmsADb: decibels(this.squareA / frames),
      ...gatedLevels(this.momentsA.values()),
      hum: this.hum.result(),
      decay,
      rumbleDb: rumbleOf(spectrum),
      spectrum,
      strip: this.strip()
    };
  }

  private peakBut(decay: Decay | undefined): number {
    let most = 0;
    for (const [index, peak] of this.momentPeaks.values().entries()) {
      const fromClapS = decay ? index * MOMENT_S - decay.atS : Infinity;
      if (peak > most && !(fromClapS > -CLAP_S && fromClapS < CLAP_S)) most = peak;
    }
    return most;
  }

  private strip(): SoundMeasures['strip'] {
    const moments = this.moments.values();
    const peaks = this.momentPeaks.values();
    const columns = Math.min(STRIP_COLUMNS, moments.length);
    const peakDb: number[] = [];
    const rmsDb: number[] = [];
    for (let column = 0; column < columns; column++) {
      const from = Math.floor((column * moments.length) / columns);
      const to = Math.max(from + 1, Math.floor(((column + 1) * moments.length) / columns));
      let peak = 0;
      let square = 0;
      for (let index = from; index < to; index++) {
        peak = Math.max(peak, peaks[index]!);
        square += moments[index]! / (to - from);
      }
      peakDb.push(2 * decibels(peak));
      rmsDb.push(decibels(square));
    }
    return { peakDb, rmsDb };
  }
}

function rumbleOf({ hz, silenceDb }: Spectrum): number | undefined {
  const level = (passes: (bandHz: number) => boolean) =>
    decibels(
      hz.reduce(
        (sum, bandHz, index) => sum + (passes(bandHz) ? 10 ** (silenceDb[index]! / 10) : 0),
        0
      )
    );
  if (hz.length === 0) return undefined;
  return (
    level((bandHz) => bandHz <= RUMBLE_UP_TO_HZ) -
    level((bandHz) => bandHz >= VOICE_HZ[0] && bandHz <= VOICE_HZ[1])
  );
}

/** A list of numbers that grows without being copied at every one. */
class Growing {
  private store = new Float32Array(1024);
  private length = 0;

  push(value: number): void {
    if (this.length === this.store.length) {
      const wider = new Float32Array(this.store.length * 2);
      wider.set(this.store);
      this.store = wider;
    }
    this.store[this.length++] = value;
  }

  values(): Float32Array {
    return this.store.subarray(0, this.length);
  }
}

/** All of a take at once. */
export function measureSound(channels: readonly Float32Array[], sampleRate: number): SoundMeasures {
  const meter = new SoundMeter(sampleRate, channels.length);
  meter.push(channels);
  return meter.result();
}
