import { type GearItem, type GearKind, gearKindNames, type GearOf } from '../model/gear';
import type { Plan, PlanLine } from '../model/plan';
import type { Shelf } from '../model/shelf';
import { isInKit } from '../money/statement';
import type { JoiningPart } from '../joining/chain';
import type { JoiningIndex } from '../joining/chains';
import type { BodyGear, SupportGear } from '../model/gear';
import type { Port } from '../model/ports';
import type { UsedLens } from './placed-rig';
import type { Connection, ConnectionPurpose, MissingPort } from './connection';

/** A part of the kit: the line it was chosen by and the thing itself. */
export interface KitPart<G extends GearItem = GearItem> {
  readonly line: PlanLine;
  readonly gear: G;
}

/** What is in the kit on the day, sorted by kind. */
export interface Kit {
  readonly parts: readonly KitPart[];
  of<K extends GearKind>(kind: K): readonly KitPart<GearOf<K>>[];
  byLine(lineId: string | undefined): KitPart | undefined;
  readonly kept: KeptOfKit;
}

/** What a kit keeps once it was found, for all angles of all scenes ask it the same. */
export interface KeptOfKit {
  /** Pieces that can stand between two ports, one entry a piece, and the same by the ends they take in. */
  pieces: undefined | readonly JoiningPart[];
  index: JoiningIndex | undefined;
  /** Parts that lead from one end to another. */
  passages: readonly { gear: GearItem; ends: readonly Port[] }[] | undefined;
  /** See `lampStandOf`; null where there is none. */
  lampStand: KitPart<SupportGear> | null | undefined;
  /** Joints between two parts of it. */
  readonly joints: {
    purpose: ConnectionPurpose;
    from: KitPart;
    to: KitPart;
    need: Connection | MissingPort;
  }[];
  /** Lenses as angles use them: the one a body cannot take off, or those that come off. */
  readonly lenses: { body: KitPart<BodyGear> | undefined; list: readonly UsedLens[] }[];
  /** Power for a body. */
  readonly supplies: {
    body: KitPart<BodyGear> | undefined;
    hasSocket: boolean;
    list: readonly Connection[];
  }[];
}

export const nothingKept = (): KeptOfKit => ({
  pieces: undefined,
  index: undefined,
  passages: undefined,
  lampStand: undefined,
  joints: [],
  lenses: [],
  supplies: []
});

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
  return new PackedKit(parts, byKind);
}

class PackedKit implements Kit {
  readonly kept = nothingKept();

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

/** The stand the key lamp stands on: the strongest of the bag. */
export function lampStandOf(kit: Kit): KitPart<SupportGear> | undefined {
  const { kept } = kit;
  if (kept.lampStand !== undefined) return kept.lampStand ?? undefined;
  let best: KitPart<SupportGear> | undefined;
  for (const part of kit.of('support'))
    if (part.gear.form === 'light stand')
      if ((part.gear.payloadKg ?? 0) > (best?.gear.payloadKg ?? -1)) best = part;
  kept.lampStand = best ?? null;
  return best;
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
