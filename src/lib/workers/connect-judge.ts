import { proxy, type Remote, wrap } from 'comlink';

import type { GearItem } from '../core/model/gear';
import type { Project } from '../core/model/project';
import type { JudgeWorker, Outcome, SentProject, Share } from './judge-protocol';

/** Makes what a worker tells as it goes come back to the page. */
export { proxy };

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
/** A tab may judge with so many workers at once. */
const MOST_JUDGES = 4;
/** One processor is left to the page where there are more than two. */
const judgesHere = (): number => {
  const processors = globalThis.navigator?.hardwareConcurrency ?? 1;
  return Math.max(1, Math.min(MOST_JUDGES, processors <= 2 ? processors : processors - 1));
};
/** By their share; started when first asked. */
const connections: (Connection | undefined)[] = [];

function connect(index: number): Connection {
  const worker = new Worker(new URL('./judge-worker.ts', import.meta.url), {
    type: 'module',
    name: index === 0 ? 'judge' : `judge ${index + 1}`
  });
  const failed = new Promise<never>((_resolve, reject) => {
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      worker.terminate();
      connections[index] = undefined;
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

type Asked<T> = T extends Outcome<infer Done> ? Done : T;

/**
 * Asks the first judging worker of this tab, which is started when first asked.
 *
 * @param ask is given the worker, and a way to send it a project without its parts each time
 * @throws JudgeFailedError instead of waiting for ever when it breaks off; what `isCancelled` knows when
 *   something newer took the place of what was asked
 */
export async function askJudge<T>(
  ask: (judge: Remote<JudgeWorker>, send: (project: Project) => SentProject) => Promise<T>
): Promise<Asked<T>> {
  return askAt(0, ask);
}

/**
 * Asks the last of them, for what keeps a worker busy at one stretch: where there are several, the first goes on
 * answering. Throws as `askJudge` does.
 */
export async function askPatientJudge<T>(
  ask: (judge: Remote<JudgeWorker>, send: (project: Project) => SentProject) => Promise<T>
): Promise<Asked<T>> {
  return askAt(judgesHere() - 1, ask);
}

/** Has a first kit packed, told meanwhile how many kits were judged. Throws as `askJudge` does. */
export const packFirst = (project: Project, ontold: (judged: number) => void): Promise<Project> =>
  askPatientJudge((judge, send) => judge.packFirst(send(project), proxy(ontold)));

/**
 * Asks all of them, each for its share of what many findings or parts are asked about. Throws as `askJudge` does,
 * as soon as one does.
 */
export async function askJudges<T>(
  ask: (
    judge: Remote<JudgeWorker>,
    send: (project: Project) => SentProject,
    share: Share
  ) => Promise<T>
): Promise<Asked<T>[]> {
  const of = judgesHere();
  return Promise.all(
    Array.from({ length: of }, (_, index) =>
      askAt(index, (judge, send) => ask(judge, send, { index, of }))
    )
  );
}

async function askAt<T>(
  index: number,
  ask: (judge: Remote<JudgeWorker>, send: (project: Project) => SentProject) => Promise<T>
): Promise<Asked<T>> {
  const to = (connections[index] ??= connect(index));
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
export function doneOf<T>(answer: T): Asked<T> {
  if (typeof answer !== 'object' || answer === null || !('cancelled' in answer))
    return answer as Asked<T>;
  if (answer.cancelled) throw new CancelledError();
  return (answer as unknown as Outcome<Asked<T>>).done as Asked<T>;
}
