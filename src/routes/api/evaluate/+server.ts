import { SATCHEL_MOST_BYTES } from '$lib/core/formats/satchel-file';
import { faultsAnswer, type ReadyAnswer } from '$lib/server/answer-evaluation';
import { EvaluationPool } from '$lib/server/evaluation-pool';
import { readJsonText } from '$lib/server/json-body';

/** The thread's program is bundled and named by whoever serves. */
const program = process.env.EVALUATION_PROGRAM;
const pool = program === undefined ? undefined : new EvaluationPool(program);

const sent = ({ status, body }: ReadyAnswer) =>
  new Response(body, {
    status,
    headers: {
      'content-type': 'application/json',
      ...(status === 503 ? { 'retry-after': '5' } : {})
    }
  });

/**
 * `POST /api/evaluate`: a satchel file, judged as the page judges it. `?plan=` names one of its plans;
 * without it the active one is judged. The file's own parts stand before the shelf that ships.
 */
export async function POST({ request, url }: { request: Request; url: URL }): Promise<Response> {
  const body = await readJsonText(request, url.origin, SATCHEL_MOST_BYTES);
  if (!body.ok) return sent(faultsAnswer(body.status, body.faults));
  if (!pool) {
    const says = 'This server was started without its judging program; start it with npm start';
    return sent(faultsAnswer(503, [{ field: '', says }]));
  }
  return sent(
    await pool.ask({ text: body.text, planId: url.searchParams.get('plan') ?? undefined })
  );
}
