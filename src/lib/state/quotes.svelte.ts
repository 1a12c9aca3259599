import { type Quote, type ShopId, shops } from '../core/ledger/shops';

/** A question to one shop that got no answer. */
export interface Unanswered {
  gearId: string;
  shop: ShopId;
  why: string;
}

const AT_ONCE = 4;
const MOST_TRIES = 3;
const FIRST_WAIT_MS = 200;

/** Asks the simulated shops, a few at once, each up to three times; what is asked can be stopped. */
class Quotes {
  asked = $state(0);
  answered = $state(0);
  running = $state(false);
  quotes = $state.raw<readonly Quote[]>([]);
  unanswered = $state.raw<readonly Unanswered[]>([]);
  #stop: AbortController | undefined;

  /** @returns whether every question was gone through, and none stopped it */
  async ask(gearIds: readonly string[], day: string): Promise<boolean> {
    this.stop();
    const stop = (this.#stop = new AbortController());
    const questions = gearIds.flatMap((gearId) => shops.map(({ id }) => ({ gearId, shop: id })));
    this.asked = questions.length;
    this.answered = 0;
    this.quotes = [];
    this.unanswered = [];
    this.running = true;
    let next = 0;
    const worker = async () => {
      while (!stop.signal.aborted) {
        const question = questions[next++];
        if (!question) return;
        const answer = await askOne(question.gearId, question.shop, day, stop.signal);
        if (stop.signal.aborted) return;
        if (typeof answer === 'string')
          this.unanswered = [...this.unanswered, { ...question, why: answer }];
        else this.quotes = [...this.quotes, answer];
        this.answered += 1;
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, worker));
    if (this.#stop !== stop) return false;
    this.running = false;
    return true;
  }

  stop(): void {
    this.#stop?.abort();
    this.#stop = undefined;
    this.running = false;
  }
}

/** The answer of one shop, or why there is none. */
async function askOne(
  gearId: string,
  shop: ShopId,
  day: string,
  signal: AbortSignal
): Promise<Quote | string> {
  let why = 'no answer';
  for (let attempt = 1; attempt <= MOST_TRIES; attempt++) {
    try {
      const words = new URLSearchParams({ shop, gear: gearId, day, attempt: String(attempt) });
      const response = await fetch(`/api/quotes?${words}`, { signal });
      // 202 says that the shop is not ready: ask again.
      if (response.status === 200) return (await response.json()) as Quote;
      why = ((await response.json()) as { message?: string }).message ?? String(response.status);
      if (response.status !== 202) return why;
    } catch (error) {
      if (signal.aborted) return 'stopped';
      why =
        error instanceof TypeError
          ? 'The shops cannot be reached: there is no network.'
          : String(error);
    }
    await new Promise((resolve) => setTimeout(resolve, FIRST_WAIT_MS * attempt));
  }
  return why;
}

export const quotes = new Quotes();
