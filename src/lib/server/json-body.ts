import type { Fault } from '$lib/core/formats/faults';

type JsonText =
  { ok: true; text: string } | { ok: false; status: 400 | 403 | 413 | 415; faults: Fault[] };

const refused = (status: 400 | 403 | 413 | 415, says: string): JsonText => ({
  ok: false,
  status,
  faults: [{ field: '', says }]
});

/** The host a page comes from; `null` and what is no address come from nowhere we know. */
function hostOf(origin: string): string | undefined {
  return URL.canParse(origin) ? new URL(origin).host : undefined;
}

/**
 * Reads the text of a JSON body within a limit. A page of another origin may not post here; programs send no
 * origin and may.
 */
export async function readJsonText(
  request: Request,
  ownOrigin: string,
  mostBytes: number
): Promise<JsonText> {
  const origin = request.headers.get('origin');
  if (origin !== null && hostOf(origin) !== hostOf(ownOrigin)) {
    return refused(403, 'The request comes from another site and is not answered');
  }
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/json\b/i.test(type)) {
    return refused(415, 'The body must be sent as content-type application/json');
  }
  const tooLarge = `The body is larger than ${mostBytes / 1024 / 1024} MB`;
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) return refused(413, tooLarge);
  try {
    return { ok: true, text: await readText(request, mostBytes) };
  } catch (error) {
    if (isTooLarge(error)) return refused(413, tooLarge);
    if (error instanceof TypeError) return refused(400, 'The body is not text in UTF-8');
    throw error;
  }
}

class BodyTooLarge extends Error {}

function isTooLarge(error: unknown): boolean {
  return (
    error instanceof BodyTooLarge ||
    (typeof error === 'object' && error !== null && 'status' in error && error.status === 413)
  );
}

/** A body without a stated length is counted as it comes. */
async function readText(request: Request, mostBytes: number): Promise<string> {
  if (!request.body) return '';
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let bytes = 0;
  let text = '';
  const reader = request.body.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return text + decoder.decode();
    bytes += value.byteLength;
    if (bytes > mostBytes) throw new BodyTooLarge();
    text += decoder.decode(value, { stream: true });
  }
}
