import { describeKind, type GearItem } from '../../core/model/gear';
import type { GlyphName } from './glyph-shapes';

/** Which drawing stands for a part. */
export function glyphOf(gear: GearItem): GlyphName {
  return (describeKind(gear).drawing?.(gear) ?? gear.kind) as GlyphName;
}

/** Longest side of the real thing in millimetres, for drawing parts of one pocket to one scale. */
export function longestSideMm(gear: GearItem): number | undefined {
  const { width, height, depth } = gear.sizeMm ?? {};
  const sides = [width, height, depth].filter((side): side is number => side !== undefined);
  return sides.length === 0 ? undefined : Math.max(...sides);
}
