import { type Remote, wrap } from 'comlink';
import type { JudgeWorker, Outcome } from './judge-protocol';

/** The judging worker could not be started or broke off. What is on screen stands; asking again starts another. */
export class JudgeFailedError extends Error {}
/** What was asked for was given up, for something newer took its place. */
class CancelledError extends Error {}

export const isCancelled = (error: unknown): boolean => error instanceof CancelledError;

interface Connection {
  judge: Remote<JudgeWorker>;
  failed: Promise<never>;
}
let connection: Connection | undefined;

function connect(): Connection {
  const worker = new Worker(new URL('./judge-worker.ts', import.meta.url), {
    type: 'module',
    name: 'judge'
  });
  const failed = new Promise<never>((_resolve, reject) => {
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      worker.terminate();
      connection = undefined;
      reject(
        new JudgeFailedError(
          event.message || 'the part of the app that tries things out did not start'
        )
      );
    });
  });
  // Nobody may be asking just now; who asks next hears of it.
  failed.catch(() => undefined);
  return { judge: wrap<JudgeWorker>(worker), failed };
}

/**
 * Asks the one judging worker of this tab, which is started when first asked.
 * @throws JudgeFailedError instead of waiting for ever when it breaks off; what `isCancelled` knows when
 *   something newer took the place of what was asked
 */
export async function askJudge<T>(
  ask: (judge: Remote<JudgeWorker>) => Promise<T>
): Promise<T extends Outcome<infer Done> ? Done : T> {
  const { judge, failed } = (connection ??= connect());
  return doneOf(await Promise.race([ask(judge), failed]));
}

/** What was asked for, out of an answer that may say it was cancelled. */
export function doneOf<T>(answer: T): T extends Outcome<infer Done> ? Done : T {
  type Done = T extends Outcome<infer D> ? D : T;
  if (typeof answer !== 'object' || answer === null || !('cancelled' in answer))
    return answer as Done;
  if (answer.cancelled) throw new CancelledError();
  return (answer as unknown as Outcome<Done>).done as Done;
}
