import { json, type RequestHandler } from '@sveltejs/kit';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { breaksAt, quoteOf, type ShopId, shops } from '$lib/core/ledger/shops';

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const refuse = (status: number, message: string) => json({ message }, { status });

/**
 * `GET /api/quotes?shop=…&gear=…&day=YYYY-MM-DD[&attempt=1]`: what a simulated shop asks for a part. Answers take as
 * long as that shop takes, and some first tries bring
 * 202, not ready, so that whoever asks has to ask again.
 */
export const GET: RequestHandler = async ({ url }) => {
  const shop = shops.find(({ id }) => id === url.searchParams.get('shop'));
  const gearId = url.searchParams.get('gear') ?? '';
  const day = url.searchParams.get('day') ?? '';
  const attempt = Number(url.searchParams.get('attempt') ?? '1');
  if (!shop) return refuse(400, `shop must be one of ${shops.map(({ id }) => id).join(', ')}.`);
  if (!DAY.test(day) || Number.isNaN(Date.parse(`${day}T00:00:00Z`)))
    return refuse(400, 'day must be a day as YYYY-MM-DD.');
  if (!Number.isInteger(attempt) || attempt < 1 || attempt > 9)
    return refuse(400, 'attempt must be a whole number from 1 to 9.');
  const gear = catalogue.byId.get(gearId);
  if (!gear) return refuse(404, 'No shop here sells a part of this id.');
  await new Promise((resolve) => setTimeout(resolve, shop.slowMs));
  if (breaksAt(gearId, shop.id as ShopId, day, attempt))
    return refuse(202, `The ${shop.name} did not answer. Ask again.`);
  return json(quoteOf(gear, shop.id as ShopId, day));
};
