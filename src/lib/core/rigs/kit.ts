import { type GearItem, type GearKind, gearKindNames, type GearOf } from '../model/gear';
import type { Plan, PlanLine } from '../model/plan';
import type { Shelf } from '../model/shelf';
import { isInKit } from '../money/statement';
import { freshMemory, type Remembering } from '../memo';

/** A part of the kit: the line it was chosen by and the thing itself. */
export interface KitPart<G extends GearItem = GearItem> {
  readonly line: PlanLine;
  readonly gear: G;
}

/** What is in the kit on the day, sorted by kind. */
export interface Kit extends Remembering {
  readonly parts: readonly KitPart[];
  of<K extends GearKind>(kind: K): readonly KitPart<GearOf<K>>[];
  byLine(lineId: string | undefined): KitPart | undefined;
}

const none: readonly never[] = [];

/** One shape for every kit, whatever is in it: what is of a kind is asked for hundreds of times. */
const noKinds: Record<string, undefined> = Object.fromEntries(
  gearKindNames.map((kind) => [kind, undefined])
);

export function makeKit(plan: Plan, shelf: Shelf): Kit {
  const parts: KitPart[] = [];
  const byKind: Record<string, KitPart[] | undefined> = { ...noKinds };
  for (const line of plan.lines) {
    if (!isInKit(line)) continue;
    const gear = shelf.byId.get(line.gearId);
    if (!gear) continue;
    const part = { line, gear };
    parts.push(part);
    const alike = byKind[gear.kind];
    if (alike) alike.push(part);
    else byKind[gear.kind] = [part];
  }
  for (const kind in byKind) {
    const alike = byKind[kind];
    if (alike && alike.length > 1) alike.sort(byGear);
  }
  return new PackedKit(parts, byKind);
}

/** By what the parts are: the order in which they were chosen changes nothing of what is said of them. */
const byGear = (a: KitPart, b: KitPart): number =>
  a.gear.id < b.gear.id ? -1 : a.gear.id > b.gear.id ? 1 : a.line.id < b.line.id ? -1 : 1;

class PackedKit implements Kit {
  readonly memory = freshMemory();

  constructor(
    readonly parts: readonly KitPart[],
    private readonly byKind: Readonly<Record<string, readonly KitPart[] | undefined>>
  ) {}

  of<K extends GearKind>(kind: K): readonly KitPart<GearOf<K>>[] {
    return (this.byKind[kind] ?? none) as readonly KitPart<GearOf<K>>[];
  }

  byLine(lineId: string | undefined): KitPart | undefined {
    if (lineId !== undefined)
      for (const part of this.parts) if (part.line.id === lineId) return part;
    return undefined;
  }
}

/** Pieces of some parts, quantities counted. */
export function piecesOf(parts: readonly KitPart[]): number {
  let pieces = 0;
  for (const { line } of parts) pieces += line.quantity;
  return pieces;
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
