import { proxy, type Remote, wrap } from 'comlink';
import { JudgeFailedError } from './connect-judge';
import type { ProofWorker } from './proof-protocol';

export { proxy };

interface Connection {
  work: Remote<ProofWorker>;
  failed: Promise<never>;
}
let connection: Connection | undefined;

function connect(): Connection {
  const worker = new Worker(new URL('./proof-worker.ts', import.meta.url), {
    type: 'module',
    name: 'proof'
  });
  const failed = new Promise<never>((_resolve, reject) => {
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      worker.terminate();
      connection = undefined;
      reject(
        new JudgeFailedError(event.message || 'the part of the app that measures did not start')
      );
    });
  });
  // Nobody may be asking just now; who asks next hears of it.
  failed.catch(() => undefined);
  return { work: wrap<ProofWorker>(worker), failed };
}

/**
 * Asks the measuring worker of this tab, which is started when first asked.
 *
 * @throws JudgeFailedError instead of waiting for ever when it breaks off
 */
export function askProof<T>(ask: (work: Remote<ProofWorker>) => Promise<T>): Promise<T> {
  const to = (connection ??= connect());
  return Promise.race([ask(to.work), to.failed]);
}
