import { slug } from '../../core/model/slug';

/** An id for a part of one's own that none of the shelf has. */
export function ownId(name: string, isTaken: (id: string) => boolean): string {
  const base = `own-${slug(name).slice(0, 50) || 'part'}`;
  let id = base;
  for (let number = 2; isTaken(id); number++) id = `${base}-${number}`;
  return id;
}
