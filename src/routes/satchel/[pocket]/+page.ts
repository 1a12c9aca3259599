import { error } from '@sveltejs/kit';
import { type Pocket, pockets } from '$lib/core/model/pocket';

export function load({ params }: { params: { pocket: string } }): { pocket: Pocket } {
  const pocket = pockets.find((pocket) => pocket === params.pocket);
  if (!pocket) error(404, `The satchel has no pocket called "${params.pocket}".`);
  return { pocket };
}
