import type { KitPart } from './kit';

/** Pieces that earlier angles of the scene hold already, by line: two at once need two. */
export type Allocated = Map<string, number>;

/** A piece of the part is left for this angle. */
export function isFree({ line }: KitPart, allocated: Allocated): boolean {
  return line.quantity > (allocated.size === 0 ? 0 : (allocated.get(line.id) ?? 0));
}

export function allocate(lineId: string | undefined, allocated: Allocated): void {
  if (lineId !== undefined) allocated.set(lineId, (allocated.get(lineId) ?? 0) + 1);
}
