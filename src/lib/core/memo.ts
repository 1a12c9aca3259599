/**
 * The one way to remember what a pure function has found, so that it is found once for each object.
 *
 * Kits and placed rigs, the short-lived values a judgement makes by the thousand, carry their memory with
 * them: a slot of a list costs a hundredth of what a weak map costs to fill. Everything else (parts,
 * shelves, judgements) is remembered from outside and let go together with the object.
 */

/** A value that carries what was found about it; `freshMemory()` for each new one. */
export interface Remembering {
  readonly memory: unknown[];
}

export interface Memo<K, V> {
  (of: K): V;
  /** What was found for one holds for another as well. */
  carry(from: K, to: K): void;
}

const UNDEFINED = Symbol('found to be undefined');

/** An empty memory of its own for a value that carries it; as long as needed from the start, so that it is never moved. */
export const freshMemory = (): unknown[] => empty.slice();
const empty: unknown[] = [];

/** Finds something once for each kit or rig. */
export function memoOn<K extends Remembering, V>(find: (of: K) => V): Memo<K, V> {
  const slot = empty.length;
  empty.push(undefined);
  const memo = (of: K): V => {
    const found = of.memory[slot];
    if (found !== undefined) return found === UNDEFINED ? (undefined as V) : (found as V);
    const value = find(of);
    of.memory[slot] = value === undefined ? UNDEFINED : value;
    return value;
  };
  memo.carry = (from: K, to: K) => {
    memo(from);
    to.memory[slot] = from.memory[slot];
  };
  return memo;
}

/** Finds something once for each object, which is not changed by it and may be forgotten. */
export function memoOf<K extends object, V>(find: (of: K) => V): (of: K) => V {
  const found = new WeakMap<K, { value: V }>();
  return (of) => {
    let memory = found.get(of);
    if (!memory) found.set(of, (memory = { value: find(of) }));
    return memory.value;
  };
}
