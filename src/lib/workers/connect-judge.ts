import { type Remote, wrap } from 'comlink';
import type { JudgeWorker } from './judge-protocol';

/** The judging worker could not be started or broke off. What is on screen stands; asking again starts another. */
export class JudgeFailedError extends Error {}

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
 * @throws JudgeFailedError instead of waiting for ever when it breaks off
 */
export function askJudge<T>(ask: (judge: Remote<JudgeWorker>) => Promise<T>): Promise<T> {
  const { judge, failed } = (connection ??= connect());
  return Promise.race([ask(judge), failed]);
}
