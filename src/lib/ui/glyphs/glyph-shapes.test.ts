import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { gearKindNames } from '../../core/model/gear';
import { glyphOf } from './glyph-of';
import { type GlyphName, type GlyphShape, glyphShapes } from './glyph-shapes';

const shapes = Object.entries(glyphShapes) as [GlyphName, GlyphShape][];

/** Every point a path goes through or is bent by, walked the way a drawing program walks it. */
function pointsOf(path: string): { x: number; y: number }[] {
  const points: { x: number; y: number }[] = [];
  let [x, y, startX, startY] = [0, 0, 0, 0];
  const arguments_: Record<string, number> = {
    M: 2,
    L: 2,
    H: 1,
    V: 1,
    C: 6,
    S: 4,
    Q: 4,
    A: 7,
    Z: 0
  };
  for (const [, letter, rest] of path.matchAll(/([a-zA-Z])([^a-zA-Z]*)/g)) {
    const command = letter!.toUpperCase();
    const relative = letter !== command;
    const count = arguments_[command];
    if (count === undefined) throw new Error(`no such command: ${letter} in ${path}`);
    const numbers = (rest!.match(/-?(?:\d*\.\d+|\d+)/g) ?? []).map(Number);
    if (count === 0) {
      [x, y] = [startX, startY];
      continue;
    }
    if (numbers.length === 0 || numbers.length % count !== 0)
      throw new Error(`${letter} takes ${count} numbers: ${path}`);
    for (let index = 0; index < numbers.length; index += count) {
      const own = numbers.slice(index, index + count);
      const from = relative ? { x, y } : { x: 0, y: 0 };
      if (command === 'H') x = own[0]! + from.x;
      else if (command === 'V') y = own[0]! + from.y;
      else {
        x = own[count - 2]! + from.x;
        y = own[count - 1]! + from.y;
      }
      if (command === 'M' && index === 0) [startX, startY] = [x, y];
      points.push({ x, y });
    }
  }
  return points;
}

describe('the drawings', () => {
  it.each(shapes)('%s stays within its box and is more than a dot', (_name, shape) => {
    const paths = [...shape.strokes, ...(shape.washes ?? []), ...(shape.dots ?? [])];
    expect(shape.strokes.length).toBeGreaterThan(0);
    const points = paths.flatMap(pointsOf);
    for (const { x, y } of points) {
      expect(x).toBeGreaterThanOrEqual(-2);
      expect(x).toBeLessThanOrEqual(102);
      expect(y).toBeGreaterThanOrEqual(-2);
      expect(y).toBeLessThanOrEqual(102);
    }
    const spread = (values: number[]) => Math.max(...values) - Math.min(...values);
    const widest = Math.max(
      spread(points.map(({ x }) => x)),
      spread(points.map(({ y }) => y)),
      // A whole circle is an arc that ends where it began.
      ...paths.flatMap((path) =>
        [...path.matchAll(/[aA]\s*([\d.]+)/g)].map(([, radius]) => 2 * Number(radius))
      )
    );
    expect(widest).toBeGreaterThan(40);
  });

  it.each(shapes)('%s draws no line twice', (_name, { strokes, washes, dots }) => {
    for (const list of [strokes, washes ?? [], dots ?? []])
      expect(new Set(list).size).toBe(list.length);
  });

  it('are there for every part of the shelf, and tell unlike things apart', () => {
    const used = new Set(catalogue.items.map(glyphOf));
    for (const name of used) expect(glyphShapes[name], name).toBeDefined();
    for (const kind of gearKindNames) {
      const [part] = catalogue.ofKind(kind);
      expect(part, kind).toBeDefined();
      expect(glyphShapes[glyphOf(part!)], kind).toBeDefined();
    }
    const glyphsOf = (kind: 'support' | 'body' | 'microphone' | 'lamp') =>
      new Set(catalogue.ofKind(kind).map(glyphOf));
    expect(glyphsOf('support').size).toBeGreaterThanOrEqual(8);
    expect(glyphsOf('body').size).toBeGreaterThanOrEqual(4);
    expect(glyphsOf('microphone').size).toBeGreaterThanOrEqual(4);
    expect(glyphsOf('lamp').size).toBeGreaterThanOrEqual(2);
  });

  it('are all used by something', () => {
    const used = new Set(catalogue.items.map(glyphOf));
    expect(shapes.map(([name]) => name).filter((name) => !used.has(name))).toEqual([]);
  });
});
