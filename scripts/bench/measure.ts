/** A sample takes at least this long, for a browser tells the time in tenths of milliseconds. */
const SAMPLE_MICROSECONDS = 4000;
const FEWEST_SAMPLES = 9;

/** Time of one run in microseconds, several times over, after a warm-up of as many runs. */
export function sampleMicroseconds(runs: number, run: () => void): number[] {
  const timed = (count: number): number => {
    const begun = performance.now();
    for (let index = 0; index < count; index++) run();
    return ((performance.now() - begun) * 1000) / count;
  };
  const once = timed(Math.max(3, runs));
  const batch = Math.max(1, Math.ceil(SAMPLE_MICROSECONDS / Math.max(once, 0.1)));
  const samples = Math.max(FEWEST_SAMPLES, Math.ceil(runs / batch));
  return Array.from({ length: samples }, () => timed(batch));
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
