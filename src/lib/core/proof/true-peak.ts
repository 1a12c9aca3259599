const OVERSAMPLING = 4;
/** Neighbours each point between two samples is made from. */
const TAPS = 12;
/** Samples that are looked at together: most are too low to matter. */
const BLOCK = 64;

/** Points between samples by a windowed sinc: at a quarter, a half and three quarters of the way. */
const phases: readonly Float64Array[] = Array.from({ length: OVERSAMPLING - 1 }, (_, at) => {
  const shift = (at + 1) / OVERSAMPLING;
  const taps = Float64Array.from({ length: TAPS }, (_unused, tap) => {
    const x = tap - (TAPS / 2 - 1) - shift;
    const sinc = x === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
    // A cosine-squared window as wide as the taps.
    return sinc * Math.cos((Math.PI * x) / (TAPS + 1)) ** 2;
  });
  const sum = taps.reduce((all, one) => all + one, 0);
  return taps.map((one) => one / sum);
});
/** No point between can be higher than its neighbours by more than this. */
const MOST_GAIN = Math.max(
  ...phases.map((taps) => taps.reduce((all, one) => all + Math.abs(one), 0))
);

/** The highest point of one channel, between its samples too: four times as many are looked at. */
export class TruePeak {
  /** From 0; past 1 it is clipped by whoever plays it. */
  peak = 0;
  private tail = new Float32Array(TAPS - 1);

  push(samples: Float32Array): void {
    const all = new Float32Array(this.tail.length + samples.length);
    all.set(this.tail);
    all.set(samples, this.tail.length);
    for (let from = 0; from + TAPS <= all.length; from += BLOCK) {
      const to = Math.min(all.length - TAPS + 1, from + BLOCK);
      let most = 0;
      for (let at = from; at < to + TAPS - 1; at++) most = Math.max(most, Math.abs(all[at]!));
      if (most > this.peak) this.peak = most;
      if (most * MOST_GAIN <= this.peak) continue;
      for (let at = from; at < to; at++)
        for (const taps of phases) {
          let sum = 0;
          for (let tap = 0; tap < TAPS; tap++) sum += taps[tap]! * all[at + tap]!;
          if (Math.abs(sum) > this.peak) this.peak = Math.abs(sum);
        }
    }
    this.tail = all.slice(Math.max(0, all.length - TAPS + 1));
  }
}
