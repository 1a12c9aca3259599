import { json } from '@sveltejs/kit';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { SATCHEL_FORMAT, SATCHEL_VERSION } from '$lib/core/formats/satchel-file';

/** `GET /api/health`: the server stands and its shelf is loaded. */
export function GET(): Response {
  return json({
    status: 'ok',
    format: SATCHEL_FORMAT,
    version: SATCHEL_VERSION,
    shelfParts: catalogue.items.length
  });
}
