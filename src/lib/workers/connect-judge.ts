import { type Remote, wrap } from 'comlink';
import type { GearItem } from '../core/model/gear';
import type { Project } from '../core/model/project';
import type { JudgeWorker, Outcome, SentProject } from './judge-protocol';

/** The judging worker could not be started or broke off. What is on screen stands; asking again starts another. */
export class JudgeFailedError extends Error {}
/** What was asked for was given up, for something newer took its place. */
class CancelledError extends Error {}

export const isCancelled = (error: unknown): boolean => error instanceof CancelledError;

interface Connection {
  judge: Remote<JudgeWorker>;
  failed: Promise<never>;
  /** Parts of one's own that the worker holds. */
  held: readonly GearItem[] | undefined;
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
  return { judge: wrap<JudgeWorker>(worker), failed, held: undefined };
}

/**
 * Asks the one judging worker of this tab, which is started when first asked.
 *
 * @param ask is given the worker, and a way to send it a project without its parts each time
 * @throws JudgeFailedError instead of waiting for ever when it breaks off; what `isCancelled` knows when
 *   something newer took the place of what was asked
 */
export async function askJudge<T>(
  ask: (judge: Remote<JudgeWorker>, send: (project: Project) => SentProject) => Promise<T>
): Promise<T extends Outcome<infer Done> ? Done : T> {
  const to = (connection ??= connect());
  /** Messages arrive in their order, so the parts are there before the project that speaks of them. */
  const send = (project: Project): SentProject => {
    if (project.ownGear !== to.held) {
      to.held = project.ownGear;
      void to.judge.holdGear(project.ownGear);
    }
    return { ...project, ownGear: [], gearIsHeld: true };
  };
  return doneOf(await Promise.race([ask(to.judge, send), to.failed]));
}

/** What was asked for, out of an answer that may say it was cancelled. */
export function doneOf<T>(answer: T): T extends Outcome<infer Done> ? Done : T {
  type Done = T extends Outcome<infer D> ? D : T;
  if (typeof answer !== 'object' || answer === null || !('cancelled' in answer))
    return answer as Done;
  if (answer.cancelled) throw new CancelledError();
  return (answer as unknown as Outcome<Done>).done as Done;
}
