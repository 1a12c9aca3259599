/*
 * Figures of a part by the key of its sheet, which may lie in a part of it: `builtInLens.apertureWideN`. Apart from
 * the sheets, so that a view which only writes an answer does not load them.
 */

/** What a part states under a key of its sheet. */
export function valueAt(part: object, key: string): unknown {
  return key
    .split('.')
    .reduce<unknown>((node, step) => (node as Record<string, unknown> | undefined)?.[step], part);
}

/** The same part with a value under a key of its sheet; nothing else of it is touched. */
export function withValueAt<P extends object>(part: P, key: string, value: unknown): P {
  const [step, ...rest] = key.split('.') as [string, ...string[]];
  const inner = (part as Record<string, unknown>)[step] as object | undefined;
  return {
    ...part,
    [step]: rest.length === 0 ? value : withValueAt(inner ?? {}, rest.join('.'), value)
  };
}

/** States a figure of a part that is being put together. */
export function stateAt(part: Record<string, unknown>, key: string, value: unknown): void {
  const [step, ...rest] = key.split('.') as [string, ...string[]];
  if (rest.length === 0) part[step] = value;
  else stateAt((part[step] ??= {}) as Record<string, unknown>, rest.join('.'), value);
}
