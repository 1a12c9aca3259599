import { json } from '@sveltejs/kit';
import { type Fault, faultSentence } from '$lib/core/formats/faults';

type JsonBody =
  { ok: true; value: unknown } | { ok: false; status: 400 | 403 | 413 | 415; faults: Fault[] };

const refused = (status: 400 | 403 | 413 | 415, says: string): JsonBody => ({
  ok: false,
  status,
  faults: [{ field: '', says }]
});

/** Faults as the body of an answer: sentences, never a stack. */
export function answerFaults(status: number, faults: readonly Fault[]): Response {
  return json(
    { faults: faults.map((fault) => ({ ...fault, sentence: faultSentence(fault) })) },
    { status }
  );
}

/**
 * Reads a JSON body within a limit. A page of another origin may not post here; programs send no
 * origin and may.
 */
export async function readJsonBody(
  request: Request,
  ownOrigin: string,
  mostBytes: number
): Promise<JsonBody> {
  const origin = request.headers.get('origin');
  if (origin !== null && new URL(origin).host !== new URL(ownOrigin).host) {
    return refused(403, 'The request comes from another site and is not answered');
  }
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/json\b/i.test(type)) {
    return refused(415, 'The body must be sent as content-type application/json');
  }
  const tooLarge = `The body is larger than ${mostBytes / 1024 / 1024} MB`;
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) return refused(413, tooLarge);
  let text: string;
  try {
    text = await readText(request, mostBytes);
  } catch (error) {
    if (isTooLarge(error)) return refused(413, tooLarge);
    throw error;
  }
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch (error) {
    return refused(400, `The body is no JSON: ${(error as Error).message}`);
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
  const decoder = new TextDecoder();
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
