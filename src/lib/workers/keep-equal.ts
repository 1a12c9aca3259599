type Fields = Readonly<Record<string, unknown>>;

const isPlain = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Plain data equal to `now`, of which every list and object that is equal to the one in its place in `before` is that very
 * one. Neither is changed.
 */
export function keepEqual<T>(before: unknown, now: T): T;
export function keepEqual(before: unknown, now: unknown): unknown {
  if (Object.is(before, now)) return before;
  if (Array.isArray(before) && Array.isArray(now)) {
    const kept = now.map((item, index) => keepEqual(before[index], item));
    const isSame =
      kept.length === before.length && kept.every((item, index) => Object.is(item, before[index]));
    return isSame ? before : kept;
  }
  if (!isPlain(before) || !isPlain(now)) return now;
  const keys = Object.keys(now);
  const kept = Object.fromEntries(keys.map((key) => [key, keepEqual(before[key], now[key])]));
  const isSame =
    keys.length === Object.keys(before).length &&
    keys.every((key) => key in before && Object.is(kept[key], before[key]));
  return isSame ? before : kept;
}
