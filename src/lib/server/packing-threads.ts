import { Worker } from 'node:worker_threads';
import { faultsAnswer, type ReadyAnswer } from './answer-evaluation';
import type { PackQuestion, PackTold } from './answer-packing';

interface Limits {
  /** Searches at a time; one more is told to come again. */
  threads: number;
  /** One search may take so long, in milliseconds. */
  patienceMs: number;
}

const usual: Limits = { threads: 2, patienceMs: 60_000 };
const MOST_HEAP_MB = 512;

/** A search under way, told line by line; or why there is none. */
export type PackingStream = { refused: ReadyAnswer } | { lines: ReadableStream<Uint8Array> };

const encoder = new TextEncoder();

/** Packs in threads of their own, each ended when it is done, takes too long, or nobody listens any more. */
export class PackingThreads {
  #running = 0;

  /** @param program path of the thread's program */
  constructor(
    private readonly program: string,
    private readonly limits: Limits = usual
  ) {}

  get running(): number {
    return this.#running;
  }

  /** @throws what broke the thread off before it told anything */
  async ask(question: PackQuestion, gone: AbortSignal): Promise<PackingStream> {
    if (this.#running >= this.limits.threads) {
      const says = 'The server packs as much as it can just now; try again in a minute';
      return { refused: faultsAnswer(503, [{ field: '', says }]) };
    }
    this.#running += 1;
    const worker = new Worker(this.program, {
      workerData: question,
      resourceLimits: { maxOldGenerationSizeMb: MOST_HEAP_MB }
    });
    let ended = false;
    const end = () => {
      if (ended) return;
      ended = true;
      this.#running -= 1;
      clearTimeout(timer);
      gone.removeEventListener('abort', end);
      void worker.terminate();
    };
    let tell: ((told: PackTold) => void) | undefined;
    /** Told while nobody takes it: before the first is waited for, and until the stream that follows it is open. */
    const early: PackTold[] = [];
    const hear = (told: PackTold) => {
      if (tell) tell(told);
      else early.push(told);
    };
    let fail: ((error: Error) => void) | undefined;
    const timer = setTimeout(() => {
      const why = `stopped after ${this.limits.patienceMs / 1000} s; the lines before say how far it came`;
      hear({ line: JSON.stringify({ done: false, why }), isLast: true });
    }, this.limits.patienceMs);
    gone.addEventListener('abort', end, { once: true });
    worker.on('message', hear);
    const first = await new Promise<PackTold>((resolve, reject) => {
      tell = (told) => {
        tell = undefined;
        resolve(told);
      };
      fail = reject;
      worker.on('error', (error: Error) => fail?.(error));
      worker.on('exit', () => fail?.(new Error('the packing thread ended')));
      gone.addEventListener('abort', () => reject(new Error('nobody listens any more')), {
        once: true
      });
    }).catch((error: unknown) => {
      end();
      throw error;
    });
    if ('refused' in first) {
      end();
      return first;
    }
    const lines = new ReadableStream<Uint8Array>({
      start: (controller) => {
        const close = (then: () => void) => {
          if (ended) return;
          end();
          then();
        };
        tell = (told) => {
          if (ended || 'refused' in told) return;
          controller.enqueue(encoder.encode(`${told.line}\n`));
          if (told.isLast) close(() => controller.close());
        };
        fail = (error) => close(() => controller.error(error));
        tell(first);
        for (const told of early) tell(told);
      },
      cancel: end
    });
    return { lines };
  }
}
