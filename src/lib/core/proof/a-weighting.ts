/** Poles of the A curve, as its standard gives them. */
const POLES_HZ = [20.598997, 107.65265, 737.86223, 12_194.217] as const;
const UNITY_AT_HZ = 1000;

/** One second-order filter: a0 is 1. */
interface Biquad {
  b: readonly [number, number, number];
  a: readonly [number, number];
}

/**
 * A filter that weighs sound as the ear does at ordinary levels (A), 0 dB at 1 kHz. It is made from the analogue curve
 * by the bilinear transform: within 0.3 dB up to 6 kHz at 48 kHz, falling too early above 12 kHz.
 */
export class AWeighting {
  private readonly sections: readonly Biquad[];
  private readonly memory: Float64Array;

  constructor(sampleRate: number) {
    const [first, second, third, fourth] = POLES_HZ.map((hz) => 2 * Math.PI * hz) as [
      number,
      number,
      number,
      number
    ];
    const sections = [
      highPass(first, first, sampleRate),
      highPass(second, third, sampleRate),
      lowPass(fourth, sampleRate)
    ];
    const gain =
      1 / sections.reduce((all, section) => all * gainAt(section, UNITY_AT_HZ, sampleRate), 1);
    const [head, ...rest] = sections;
    this.sections = [
      { ...head!, b: head!.b.map((b) => b * gain) as [number, number, number] },
      ...rest
    ];
    this.memory = new Float64Array(this.sections.length * 2);
  }

  /** Some samples further; what comes out stands in `out`. */
  run(samples: ArrayLike<number>, length: number, out: Float64Array): void {
    for (let index = 0; index < length; index++) out[index] = samples[index]!;
    for (let section = 0; section < this.sections.length; section++) {
      const {
        b: [b0, b1, b2],
        a: [a1, a2]
      } = this.sections[section]!;
      let first = this.memory[2 * section]!;
      let second = this.memory[2 * section + 1]!;
      for (let index = 0; index < length; index++) {
        const value = out[index]!;
        const passed = b0 * value + first;
        first = b1 * value - a1 * passed + second;
        second = b2 * value - a2 * passed;
        out[index] = passed;
      }
      this.memory[2 * section] = first;
      this.memory[2 * section + 1] = second;
    }
  }
}

/** s² ÷ ((s + p)(s + q)). */
function highPass(p: number, q: number, sampleRate: number): Biquad {
  const k = 2 * sampleRate;
  const a0 = (k + p) * (k + q);
  return {
    b: [(k * k) / a0, (-2 * k * k) / a0, (k * k) / a0],
    a: [(2 * (p * q - k * k)) / a0, ((k - p) * (k - q)) / a0]
  };
}

/** p² ÷ (s + p)². */
function lowPass(p: number, sampleRate: number): Biquad {
  const k = 2 * sampleRate;
  const a0 = (k + p) ** 2;
  return {
    b: [(p * p) / a0, (2 * p * p) / a0, (p * p) / a0],
    a: [(2 * (p * p - k * k)) / a0, (k - p) ** 2 / a0]
  };
}

function gainAt({ b, a }: Biquad, hz: number, sampleRate: number): number {
  const w = (2 * Math.PI * hz) / sampleRate;
  const size = (c0: number, c1: number, c2: number) =>
    Math.hypot(
      c0 + c1 * Math.cos(w) + c2 * Math.cos(2 * w),
      c1 * Math.sin(w) + c2 * Math.sin(2 * w)
    );
  return size(b[0], b[1], b[2]) / size(1, a[0], a[1]);
}
