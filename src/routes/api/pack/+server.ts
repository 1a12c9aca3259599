import { SATCHEL_MOST_BYTES } from '$lib/core/formats/satchel-file';
import { faultsAnswer, type ReadyAnswer } from '$lib/server/answer-evaluation';
import { packRulesOf } from '$lib/server/answer-packing';
import { PackingThreads } from '$lib/server/packing-threads';
import { readJsonText } from '$lib/server/json-body';

/** The thread's program is bundled and named by whoever serves. */
const program = process.env.PACKING_PROGRAM;
const threads = program === undefined ? undefined : new PackingThreads(program);

const sent = ({ status, body }: ReadyAnswer) =>
  new Response(body, {
    status,
    headers: {
      'content-type': 'application/json',
      ...(status === 503 ? { 'retry-after': '30' } : {})
    }
  });

/**
 * `POST /api/pack`: the best kits found for a satchel file, at every spend, as lines of JSON: how far it is, and last
 * what was found. Ends when who asked leaves.
 */
export async function POST({ request, url }: { request: Request; url: URL }): Promise<Response> {
  const asked = packRulesOf(url.searchParams);
  if (!asked.ok) return sent(faultsAnswer(400, asked.faults));
  const body = await readJsonText(request, url.origin, SATCHEL_MOST_BYTES);
  if (!body.ok) return sent(faultsAnswer(body.status, body.faults));
  if (!threads) {
    const says = 'This server was started without its packing program; start it with npm start';
    return sent(faultsAnswer(503, [{ field: '', says }]));
  }
  const { rules, mostJudged } = asked;
  const planId = url.searchParams.get('plan') ?? undefined;
  const answer = await threads.ask({ text: body.text, planId, rules, mostJudged }, request.signal);
  if ('refused' in answer) return sent(answer.refused);
  return new Response(answer.lines, {
    headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' }
  });
}
