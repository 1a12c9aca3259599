import { afterEach, describe, expect, it, vi } from 'vitest';
import { catalogue } from '../catalogue/load-catalogue';
import { quoteOf, type ShopId, shops } from '../core/ledger/shops';
import { quotes } from './quotes.svelte';

const DAY = '2026-11-29';
const gearIds = catalogue.items.slice(0, 3).map(({ id }) => id);

/** A network that answers as the route does, and fails as it is told to. */
function answering(fails: (shop: string, attempt: number) => Response | Error | undefined) {
  const asked: string[] = [];
  vi.stubGlobal('fetch', async (address: string, { signal }: { signal: AbortSignal }) => {
    const words = new URL(address, 'http://here').searchParams;
    const [shop, gear] = [words.get('shop') as ShopId, words.get('gear')!];
    asked.push(`${shop} ${gear} ${words.get('attempt')}`);
    await Promise.resolve();
    if (signal.aborted) throw new DOMException('stopped', 'AbortError');
    const failure = fails(shop, Number(words.get('attempt')));
    if (failure instanceof Error) throw failure;
    return failure ?? Response.json(quoteOf(catalogue.byId.get(gear)!, shop, DAY));
  });
  return asked;
}
const says = (status: number, message: string) => Response.json({ message }, { status });

afterEach(() => {
  quotes.stop();
  vi.unstubAllGlobals();
});

describe('asking the shops', () => {
  it('asks every shop for every part, once where it answers', async () => {
    const asked = answering(() => undefined);
    await quotes.ask(gearIds, DAY);
    expect(asked).toHaveLength(gearIds.length * shops.length);
    expect(quotes.answered).toBe(asked.length);
    expect(quotes.quotes).toHaveLength(asked.length);
    expect(quotes.unanswered).toEqual([]);
    expect(quotes.running).toBe(false);
  });

  it('asks again where a shop is not ready, and tells what never came', async () => {
    const asked = answering((shop, attempt) =>
      shop === 'parcel' && attempt < 3
        ? says(202, 'The parcel house did not answer. Ask again.')
        : shop === 'swap'
          ? says(202, 'The swap board did not answer. Ask again.')
          : undefined
    );
    await quotes.ask(gearIds.slice(0, 1), DAY);
    expect(asked.filter((shop) => shop.startsWith('parcel'))).toHaveLength(3);
    expect(quotes.quotes.map(({ shop }) => shop).sort()).toEqual(['corner', 'harbour', 'parcel']);
    expect(quotes.unanswered).toMatchObject([
      { shop: 'swap', why: 'The swap board did not answer. Ask again.' }
    ]);
  });

  it('does not ask again what is refused, and says when there is no network', async () => {
    const refused = answering((shop) =>
      shop === 'corner' ? says(404, 'No shop here sells a part of this id.') : undefined
    );
    await quotes.ask(gearIds.slice(0, 1), DAY);
    expect(refused.filter((shop) => shop.startsWith('corner'))).toHaveLength(1);
    expect(quotes.unanswered[0]!.why).toBe('No shop here sells a part of this id.');
    answering(() => new TypeError('failed to fetch'));
    await quotes.ask(gearIds.slice(0, 1), DAY);
    expect(quotes.quotes).toEqual([]);
    expect(quotes.unanswered.map(({ why }) => why)).toEqual(
      shops.map(() => 'The shops cannot be reached: there is no network.')
    );
  });

  it('stops when it is told to, and a newer question makes the older one silent', async () => {
    answering(() => undefined);
    const older = quotes.ask(gearIds, DAY);
    const newer = quotes.ask(gearIds.slice(0, 1), DAY);
    await Promise.all([older, newer]);
    expect(quotes.asked).toBe(shops.length);
    expect(new Set(quotes.quotes.map(({ gearId }) => gearId))).toEqual(new Set([gearIds[0]]));
    const stopped = quotes.ask(gearIds, DAY);
    quotes.stop();
    await stopped;
    expect(quotes.running).toBe(false);
    expect(quotes.quotes).toEqual([]);
  });
});
