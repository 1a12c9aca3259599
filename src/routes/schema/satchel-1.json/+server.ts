import { satchelSchema } from '$lib/core/formats/satchel-schema';

/** `GET /schema/satchel-1.json`: the published schema of the satchel file. */
export function GET(): Response {
  return new Response(JSON.stringify(satchelSchema(), null, 2), {
    headers: { 'content-type': 'application/schema+json; charset=utf-8' }
  });
}
