import { type Remote, wrap } from 'comlink';
import type { JudgeWorker } from './judge-protocol';

let connection: Remote<JudgeWorker> | undefined;

/** The one judging worker of this tab, started when first asked for. */
export function connectJudge(): Remote<JudgeWorker> {
  connection ??= wrap<JudgeWorker>(
    new Worker(new URL('./judge-worker.ts', import.meta.url), { type: 'module', name: 'judge' })
  );
  return connection;
}
