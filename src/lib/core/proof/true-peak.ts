const OVERSAMPLING = 4;
/** Neighbours each point between two samples is made from. */
const TAPS = 12;
/** Samples that are looked at together: most are too low to matter. */
const BLOCK = 256;

/** Points between samples by a windowed sinc: at a quarter, a half and three quarters of the way. */
const phases: readonly Float64Array[] = Array.from({ length: OVERSAMPLING - 1 }, (_, index) => {
  const shift = (index + 1) / OVERSAMPLING;
  const taps = Float64Array.from({ length: TAPS }, (_unused, tap) => {
    const x = tap - (TAPS / 2 - 1) - shift;
    const sinc = x === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
    // A cosine-squared window as wide as the taps.
    return sinc * Math.cos((Math.PI * x) / (TAPS + 1)) ** 2;
  });
  const sum = taps.reduce((all, tap) => all + tap, 0);
  return taps.map((tap) => tap / sum);
});
/** No point between can be higher than its neighbours by more than this. */
const MOST_GAIN = Math.max(
  ...phases.map((taps) => taps.reduce((all, tap) => all + Math.abs(tap), 0))
);

/** The highest point of one channel, between its samples too: four times as many are looked at. */
export class TruePeak {
  /** From 0; past 1 it is clipped by whoever plays it. */
  peak = 0;
  private tail = new Float32Array(TAPS - 1);

  push(samples: Float32Array): void {
    // What lies across the edge of two stretches is looked at on its own.
    const joint = new Float32Array(this.tail.length + Math.min(samples.length, TAPS - 1));
    joint.set(this.tail);
    joint.set(samples.subarray(0, TAPS - 1), this.tail.length);
    this.look(joint);
    this.look(samples);
    this.tail = (samples.length >= TAPS - 1 ? samples : joint).slice(-(TAPS - 1));
  }

  private look(samples: Float32Array): void {
    for (let from = 0; from < samples.length; from += BLOCK) {
      const to = Math.min(samples.length, from + BLOCK + TAPS - 1);
      let highest = 0;
      let lowest = 0;
      for (let index = from; index < to; index++) {
        const sample = samples[index]!;
        if (sample > highest) highest = sample;
        else if (sample < lowest) lowest = sample;
      }
      const most = Math.max(highest, -lowest);
      if (most > this.peak) this.peak = most;
      if (most * MOST_GAIN <= this.peak) continue;
      for (let index = from; index + TAPS <= to; index++)
        for (const taps of phases) {
          let sum = 0;
          for (let tap = 0; tap < TAPS; tap++) sum += taps[tap]! * samples[index + tap]!;
          if (Math.abs(sum) > this.peak) this.peak = Math.abs(sum);
        }
    }
  }
}
