import { Worker } from 'node:worker_threads';
import { faultsAnswer, type ReadyAnswer } from './answer-evaluation';

/** What is asked of a thread. */
export interface EvaluationQuestion {
  text: string;
  planId: string | undefined;
}

interface Waiting {
  question: EvaluationQuestion;
  answer: (answer: ReadyAnswer) => void;
  fail: (error: Error) => void;
}

interface Limits {
  /** Threads at a time. */
  threads: number;
  /** Questions that wait; one more is told to come again. */
  waiting: number;
  /** One answer may take so long, in milliseconds. */
  patienceMs: number;
}

const usual: Limits = { threads: 2, waiting: 200, patienceMs: 15_000 };
/** More memory than this no honest file takes. */
const MOST_HEAP_MB = 512;

/**
 * Judges in threads of their own, so that the server answers others meanwhile. A thread that takes too
 * long, or breaks off, is ended, and its question answered with a sentence.
 */
export class EvaluationPool {
  readonly #threads = new Set<Thread>();
  #waiting: Waiting[] = [];

  /** @param program path of the thread's program */
  constructor(
    private readonly program: string,
    private readonly limits: Limits = usual
  ) {}

  /** @throws what broke the thread off */
  ask(question: EvaluationQuestion): Promise<ReadyAnswer> {
    if (this.#waiting.length >= this.limits.waiting) {
      const says = 'The server judges as much as it can just now; try again in a few seconds';
      return Promise.resolve(faultsAnswer(503, [{ field: '', says }]));
    }
    return new Promise((answer, fail) => {
      this.#waiting.push({ question, answer, fail });
      this.#next();
    });
  }

  /** Ends every thread. */
  async close(): Promise<void> {
    await Promise.all([...this.#threads].map(({ worker }) => worker.terminate()));
  }

  #next(): void {
    if (this.#waiting.length === 0) return;
    const idle = [...this.#threads].find(({ task }) => task === undefined);
    const thread = idle ?? (this.#threads.size < this.limits.threads ? this.#start() : undefined);
    if (!thread) return;
    const task = this.#waiting.shift()!;
    thread.task = task;
    thread.timer = setTimeout(() => {
      const says = `This file takes longer than ${this.limits.patienceMs / 1000} s to judge; fewer scenes, lines or parts of its own may help`;
      this.#end(thread, () => task.answer(faultsAnswer(503, [{ field: '', says }])));
    }, this.limits.patienceMs);
    thread.worker.ref();
    thread.worker.postMessage(task.question);
  }

  #start(): Thread {
    const worker = new Worker(this.program, {
      resourceLimits: { maxOldGenerationSizeMb: MOST_HEAP_MB }
    });
    const thread: Thread = { worker, task: undefined, timer: undefined };
    this.#threads.add(thread);
    worker.on('message', (answer: ReadyAnswer) => {
      const { task } = thread;
      clearTimeout(thread.timer);
      thread.task = undefined;
      // A thread that waits for work keeps no program from ending.
      worker.unref();
      task?.answer(answer);
      this.#next();
    });
    worker.on('error', (error: Error) => this.#end(thread, () => thread.task?.fail(error)));
    worker.on('exit', () =>
      this.#end(thread, () => thread.task?.fail(new Error('the judging thread ended')))
    );
    return thread;
  }

  /** Lets a thread go; what it was asked is answered once. */
  #end(thread: Thread, tell: () => void): void {
    if (!this.#threads.delete(thread)) return;
    clearTimeout(thread.timer);
    tell();
    void thread.worker.terminate();
    this.#next();
  }
}

interface Thread {
  worker: Worker;
  /** What it judges just now. */
  task: Waiting | undefined;
  timer: ReturnType<typeof setTimeout> | undefined;
}
