import type { Outcome } from './judge-protocol';

/** Which work comes first. What a person waits for before their eyes is urgent. */
export const priorities = { urgent: 0, visible: 1, soon: 2, later: 3, idle: 4 } as const;
export type Priority = (typeof priorities)[keyof typeof priorities];

/** Work in slices: between two of them it says how urgent the next one is. */
export type Sliced<T> = Generator<Priority, T, void>;

interface Job {
  /** Jobs of one name replace each other. */
  name: string;
  priority: Priority;
  work: Sliced<unknown>;
  finish: (outcome: Outcome<unknown>) => void;
  fail: (error: unknown) => void;
}

/** So long one job works before messages are looked at, in milliseconds. */
const SLICE_MS = 8;

/**
 * The one queue of a worker. A single thread does one thing at a time; cut into slices, the most
 * urgent job goes on while others wait, and a newer question of a name cancels the older.
 */
export class Scheduler {
  #jobs: Job[] = [];
  #running = false;

  /** @param breathe lets messages in; @param now the clock, in milliseconds */
  constructor(
    private readonly breathe: () => Promise<void> = nextMessage,
    private readonly now: () => number = () => performance.now()
  ) {}

  run<T>(name: string, priority: Priority, work: Sliced<T>): Promise<Outcome<T>> {
    this.cancel(name);
    return new Promise((resolve, reject) => {
      this.#jobs.push({
        name,
        priority,
        work,
        finish: resolve as Job['finish'],
        fail: reject
      });
      if (!this.#running) void this.#work();
    });
  }

  cancel(name: string): void {
    for (const job of this.#jobs)
      if (job.name === name) job.finish({ cancelled: true, done: undefined });
    this.#jobs = this.#jobs.filter((job) => job.name !== name);
  }

  async #work(): Promise<void> {
    this.#running = true;
    // What was asked in the same breath is weighed together.
    await this.breathe();
    while (this.#jobs.length > 0) {
      this.#slice(this.#mostUrgent());
      await this.breathe();
    }
    this.#running = false;
  }

  #mostUrgent(): Job {
    return this.#jobs.reduce((best, job) => (job.priority < best.priority ? job : best));
  }

  #slice(job: Job): void {
    const until = this.now() + SLICE_MS;
    try {
      do {
        const step = job.work.next();
        if (step.done) {
          this.#drop(job);
          job.finish({ cancelled: false, done: step.value });
          return;
        }
        if (step.value !== job.priority) {
          job.priority = step.value;
          return;
        }
      } while (this.now() < until);
    } catch (error) {
      this.#drop(job);
      job.fail(error);
    }
  }

  #drop(job: Job): void {
    this.#jobs = this.#jobs.filter((other) => other !== job);
  }
}

/** Waits until messages that have come in were handed over: a timer would wait four milliseconds each time. */
function nextMessage(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(undefined);
  });
}

/** Work done in one go, where nobody waits beside it. */
export function* atOnce<T>(work: () => T): Sliced<T> {
  return work();
}

/** Runs sliced work to its end. */
export function finished<T>(work: Generator<unknown, T, void>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
