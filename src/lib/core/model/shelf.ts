import { type GearItem, type GearKind, type GearOf, gearKindNames } from './gear';

/** The parts one may choose from, indexed once. */
export interface Shelf {
  readonly items: readonly GearItem[];
  readonly byId: ReadonlyMap<string, GearItem>;
  ofKind<K extends GearKind>(kind: K): readonly GearOf<K>[];
}

/** Later items win over earlier ones with the same id, so a person's own copy hides the shelf's. */
export function makeShelf(...sources: readonly (readonly GearItem[])[]): Shelf {
  const byId = new Map<string, GearItem>();
  for (const source of sources) for (const item of source) byId.set(item.id, item);
  const items = [...byId.values()];
  const byKind = new Map<GearKind, GearItem[]>(gearKindNames.map((kind) => [kind, []]));
  for (const item of items) byKind.get(item.kind)?.push(item);
  return {
    items,
    byId,
    ofKind: <K extends GearKind>(kind: K) => (byKind.get(kind) ?? []) as GearOf<K>[]
  };
}
