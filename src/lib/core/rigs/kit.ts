import { type GearItem, type GearKind, type GearOf } from '../model/gear';
import type { Plan, PlanLine } from '../model/plan';
import type { Shelf } from '../model/shelf';
import { isInKit } from '../money/statement';

/** A part of the kit: the line it was chosen by and the thing itself. */
export interface KitPart<G extends GearItem = GearItem> {
  readonly line: PlanLine;
  readonly gear: G;
}

/** What is in the bag on the day, sorted by kind. */
export interface Kit {
  readonly parts: readonly KitPart[];
  of<K extends GearKind>(kind: K): readonly KitPart<GearOf<K>>[];
  byLine(lineId: string | undefined): KitPart | undefined;
}

const none: readonly never[] = [];

export function makeKit(plan: Plan, shelf: Shelf): Kit {
  const parts: KitPart[] = [];
  const byKind: Partial<Record<GearKind, KitPart[]>> = {};
  for (const line of plan.lines) {
    if (!isInKit(line)) continue;
    const gear = shelf.byId.get(line.gearId);
    if (!gear) continue;
    const part = { line, gear };
    parts.push(part);
    (byKind[gear.kind] ??= []).push(part);
  }
  return {
    parts,
    of: <K extends GearKind>(kind: K) => (byKind[kind] ?? none) as readonly KitPart<GearOf<K>>[],
    byLine: (lineId) =>
      lineId === undefined ? undefined : parts.find((part) => part.line.id === lineId)
  };
}

/** Pieces of a kind that pass a test, quantities counted. */
export function countPieces<G extends GearItem>(
  parts: readonly KitPart<G>[],
  passes: (gear: G) => boolean
): number {
  let pieces = 0;
  for (const part of parts) if (passes(part.gear)) pieces += part.line.quantity;
  return pieces;
}
