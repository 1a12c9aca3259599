import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import type { GearItem } from '../model/gear';
import type { Port } from '../model/ports';
import { mates } from '../model/mating';
import type { JoiningPart } from './chain';
import { chainsBetween, cheapestChain, indexJoiningParts, MOST_PARTS_IN_CHAIN } from './chains';

const audio = (type: string, end: Port['end']): Port => ({
  family: 'audio',
  type,
  end,
  role: 'joins'
});
const part = (id: number, costMinor: number, a: Port, b: Port, lineId?: string): JoiningPart => ({
  ...(lineId === undefined ? {} : { lineId }),
  gear: { id: `p${id}`, kind: 'cable', maker: 'm', model: `lead ${id}`, ports: [a, b] } as GearItem,
  costMinor
});

/** Found by either way of walking: all of them, or only those that may still be cheaper. */
const cheapest = (from: Port, to: Port, parts: readonly JoiningPart[]) => {
  const index = indexJoiningParts(parts);
  const [first] = chainsBetween(from, to, index);
  const alone = cheapestChain([from], [to], index, () => undefined);
  expect(alone?.parts).toEqual(first?.parts);
  return alone;
};

/** Every sequence of parts, tried out: slow and plainly right. Parts of the bag are used once. */
function cheapestByTrying(
  from: Port,
  to: Port,
  parts: readonly JoiningPart[],
  depth = 0
): number | undefined {
  if (mates(from, to)) return 0;
  if (depth === MOST_PARTS_IN_CHAIN) return undefined;
  let best: number | undefined;
  for (const part of parts) {
    const rest = part.lineId === undefined ? parts : parts.filter((other) => other !== part);
    const [a, b] = part.gear.ports as [Port, Port];
    for (const [entry, exit] of [
      [a, b],
      [b, a]
    ] as const) {
      if (!mates(from, entry)) continue;
      const beyond = cheapestByTrying(exit, to, rest, depth + 1);
      if (beyond !== undefined && (best === undefined || beyond + part.costMinor < best))
        best = beyond + part.costMinor;
    }
  }
  return best;
}

describe('a chain of joining parts', () => {
  it('is empty when plug and socket meet', () => {
    expect(cheapest(audio('3.5 TRS', 'plug'), audio('3.5 TRS', 'socket'), [])).toMatchObject({
      parts: [],
      costMinor: 0,
      steps: []
    });
  });

  it('is the cheapest there is, as trying everything finds it', () => {
    const ends = fc.constantFrom<Port['end']>('plug', 'socket');
    const port = fc
      .record({ type: fc.constantFrom('A', 'B', 'C'), end: ends })
      .map(({ type, end }) => audio(type, end));
    const parts = fc
      .array(fc.tuple(fc.nat(30), port, port, fc.boolean()), { maxLength: 4 })
      .map((list) =>
        list.map(([cost, a, b, owned], id) =>
          part(id, owned ? 0 : cost + 1, a, b, owned ? `l${id}` : undefined)
        )
      );
    fc.assert(
      fc.property(port, port, parts, (from, to, list) => {
        expect(cheapest(from, to, list)?.costMinor).toBe(cheapestByTrying(from, to, list));
      }),
      { numRuns: 600 }
    );
  });

  it('leads a phone’s jack to a wired lapel over two leads of the shelf and says how', () => {
    const joins = catalogue.items
      .filter((gear) => gear.ports.some((port) => port.role === 'joins'))
      .map((gear) => ({ gear, costMinor: gear.priceNew!.likely }));
    const chain = cheapest(audio('3.5 TRRS', 'plug'), audio('USB-C', 'socket'), joins)!;
    expect(chain.parts.map(({ gear }) => gear.model)).toEqual([
      'Cable TRRS to TRS',
      'Cable TRS to USB-C'
    ]);
    expect(chain.costMinor).toBe(1700);
    expect(chain.steps).toHaveLength(3);
  });

  it('is not there when nothing fits', () => {
    expect(cheapest(audio('XLR', 'socket'), audio('USB-C', 'socket'), [])).toBeUndefined();
  });
});
