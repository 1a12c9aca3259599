/** Time of each of so many runs in microseconds, after a warm-up of a fifth of them. */
export function sampleMicroseconds(samples: number, run: () => void): number[] {
  for (let warm = 0; warm < Math.max(3, samples / 5); warm++) run();
  return Array.from({ length: samples }, () => {
    const begun = performance.now();
    run();
    return (performance.now() - begun) * 1000;
  });
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
