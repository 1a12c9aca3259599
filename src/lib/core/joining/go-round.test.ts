import { describe, expect, it } from 'vitest';
import type { Chain } from './chain';
import { goRound } from './go-round';

/** A chain by the pieces it takes, each `line#piece`. */
const chain = (...pieces: string[]): Chain =>
  ({ parts: pieces.map((lineId) => ({ lineId })), costMinor: 0, steps: [] }) as unknown as Chain;
const stock = (pieces: Record<string, number>) => new Map(Object.entries(pieces));

/** Every choice of one chain a joint, gone through one by one. */
function bruteForce(joints: Chain[][], pieces: Map<string, number>): boolean {
  const choose = (joint: number, taken: string[]): boolean =>
    joint === joints.length
      ? [...new Set(taken)].every(
          (line) => taken.filter((other) => other === line).length <= (pieces.get(line) ?? 0)
        )
      : joints[joint]!.some(({ parts }) =>
          choose(joint + 1, [...taken, ...parts.map(({ lineId }) => lineId!.split('#')[0]!)])
        );
  return choose(0, []);
}

describe('pieces of the bag', () => {
  it('go round where each joint finds one, in whatever order they are asked', () => {
    expect(goRound([[chain('a#0')], [chain('a#0')]], stock({ a: 1 }))).toBe(false);
    expect(goRound([[chain('a#0')], [chain('a#0'), chain('a#1')]], stock({ a: 2 }))).toBe(true);
    // The first could take either and leaves the one the second must have.
    expect(goRound([[chain('a#0'), chain('b#0')], [chain('a#0')]], stock({ a: 1, b: 1 }))).toBe(
      true
    );
    expect(goRound([[chain('a#0', 'b#0')], [chain('b#0')]], stock({ a: 1, b: 1 }))).toBe(false);
  });

  it('are shared out as going through every choice shares them', () => {
    let seed = 7;
    const below = (most: number) => {
      seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648;
      return Math.floor((seed / 2_147_483_648) * most);
    };
    const verdicts = new Set<boolean>();
    for (let round = 0; round < 2_000; round++) {
      const pieces = new Map(['a', 'b', 'c', 'd'].map((line) => [line, 1 + below(2)]));
      const piece = () => {
        const line = 'abcd'[below(4)]!;
        return `${line}#${below(pieces.get(line)!)}`;
      };
      const joints = Array.from({ length: 2 + below(4) }, () =>
        Array.from({ length: 1 + below(3) }, () =>
          chain(...new Set(Array.from({ length: 1 + below(2) }, piece)))
        )
      );
      const found = goRound(joints, pieces);
      verdicts.add(found);
      expect(found, JSON.stringify([joints, [...pieces]])).toBe(bruteForce(joints, pieces));
    }
    expect(verdicts.size).toBe(2);
  });
});
