import { describe, expect, it } from 'vitest';
import { deviation, drawn, keyOf } from './draws';

describe('a draw', () => {
  it('is the same for the same question on every machine', () => {
    // Worked in another language: whole numbers of 32 bits leave no room for rounding.
    expect(
      [0, 1, 2].map((index) => Math.floor(drawn(2417, 0, keyOf('gust'), index) * 1e6))
    ).toEqual([280_970, 708_622, 248_021]);
  });

  it('differs with the seed, the day, what it is about and which time it is', () => {
    const all = new Set<number>();
    for (const seed of [1, 2])
      for (const day of [0, 1])
        for (const key of ['gust', 'radio'])
          for (const index of [0, 1]) all.add(drawn(seed, day, keyOf(key), index));
    expect(all.size).toBe(16);
  });

  it('falls evenly, and as evenly over days as over takes', () => {
    const N = 20_000;
    for (const draw of [
      (n: number) => drawn(3, n, keyOf('a'), 0),
      (n: number) => drawn(3, 0, keyOf('a'), n),
      (n: number) => drawn(n, 0, keyOf('a'), 0)
    ]) {
      const bins = new Array<number>(20).fill(0);
      for (let n = 0; n < N; n++) bins[Math.floor(draw(n) * 20)]! += 1;
      const chiSquare = bins.reduce((sum, count) => sum + (count - N / 20) ** 2 / (N / 20), 0);
      // 19 degrees of freedom: past 43.8 once in a thousand.
      expect(chiSquare).toBeLessThan(43.8);
    }
  });

  it('deviates by nothing on the mean and by one as the square root of its square', () => {
    const many = Array.from({ length: 20_000 }, (_, day) => deviation(3, day, keyOf('b'), 0));
    const mean = many.reduce((sum, value) => sum + value, 0) / many.length;
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(
      Math.sqrt(many.reduce((sum, value) => sum + value * value, 0) / many.length)
    ).toBeCloseTo(1, 1);
    expect(Math.max(...many.map(Math.abs))).toBeLessThanOrEqual(3);
  });
});
