import Fuse from 'fuse.js';

/** Letters without their marks, so that “Cote” finds “Côte”. */
export const plainWords = (text: string) =>
  text
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase();

/** Words and figures apart, so that “50mm” and “50 mm”, “f1.8” and “f/1.8” are the same. */
export const tokensOf = (text: string): string[] =>
  plainWords(text).match(/\d+(?:\.\d+)?|\p{L}+/gu) ?? [];

/** Asked for in passing; they tell nothing apart. */
const passing = new Set(['a', 'an', 'and', 'for', 'in', 'of', 'on', 'or', 'the', 'to', 'with']);

/** Shorter words differ by one letter from too many others to be guessed at. */
const SHORTEST_GUESSED = 4;
/** How unlike a guessed word may be, in the terms of the search library (0 same, 1 unlike). */
const MOST_UNLIKE = 0.34;
/** Guesses this much worse than the best one are not shown beside it. */
const UNLIKE_BEST = 0.1;

interface SearchOptions {
  /** Where nothing fits every word, take what fits the most of them. */
  passOver?: boolean;
}

export interface WordSearch<T> {
  /** Those that every word fits, the best by name first; `undefined` where no word was typed. */
  (typed: string, options?: SearchOptions): T[] | undefined;
}

/**
 * A search by words: every one must begin a word of the item, in any order. A word that fits nothing
 * is tried without its plural and then as a typing error of a word that does occur.
 */
export function makeWordSearch<T>(
  items: readonly T[],
  nameOf: (item: T) => string,
  moreOf: (item: T) => string
): WordSearch<T> {
  /** Built at the first word: a long list that is only looked through must not wait for it. */
  let index: ReturnType<typeof indexWords> | undefined;
  let guesses: Fuse<string> | undefined;

  function indexWords() {
    const names = items.map((item) => new Set(tokensOf(nameOf(item))));
    const byToken = new Map<string, number[]>();
    items.forEach((item, index) => {
      for (const token of new Set([...names[index]!, ...tokensOf(moreOf(item))])) {
        const found = byToken.get(token);
        if (found) found.push(index);
        else byToken.set(token, [index]);
      }
    });
    return { names, byToken, vocabulary: [...byToken.keys()] };
  }

  const beginning = (word: string) => {
    const { byToken, vocabulary } = (index ??= indexWords());
    return byToken.has(word) && /^\d/.test(word)
      ? [word]
      : vocabulary.filter((token) => token.startsWith(word));
  };

  const singularOf = (word: string) =>
    word.endsWith('ies') ? `${word.slice(0, -3)}y` : word.replace(/(?<=[sxh])es$|s$/, '');

  function guessed(word: string): string[] {
    if (word.length < SHORTEST_GUESSED || /^\d/.test(word)) return [];
    const { vocabulary } = (index ??= indexWords());
    guesses ??= new Fuse(
      vocabulary.filter((token) => token.length >= SHORTEST_GUESSED),
      { includeScore: true, threshold: MOST_UNLIKE, ignoreFieldNorm: true, distance: 12 }
    );
    const found = guesses.search(word);
    const best = found[0]?.score ?? 0;
    return found
      .filter(
        ({ score, item }) =>
          (score ?? 0) <= best + UNLIKE_BEST && Math.abs(item.length - word.length) <= 3
      )
      .map(({ item }) => item);
  }

  function tokensFor(word: string): string[] {
    const exact = beginning(word);
    if (exact.length > 0) return exact;
    const singular = singularOf(word);
    const single = singular === word || singular.length < 2 ? [] : beginning(singular);
    return single.length > 0 ? single : guessed(word);
  }

  return (typed, { passOver = false } = {}) => {
    const all = tokensOf(typed);
    if (all.length === 0) return undefined;
    const telling = all.filter((word) => !passing.has(word));
    const words = telling.length > 0 ? telling : all;
    const { names, byToken } = (index ??= indexWords());
    const scores = new Map<number, { words: number; worth: number }>();
    for (const word of words) {
      const here = new Map<number, number>();
      for (const token of tokensFor(word))
        for (const item of byToken.get(token)!) {
          // A word of the name counts more than one beside it, a whole word more than its beginning.
          const worth = (names[item]!.has(token) ? 3 : 1) + (token === word ? 1 : 0);
          here.set(item, Math.max(here.get(item) ?? 0, worth));
        }
      for (const [item, worth] of here) {
        const before = scores.get(item);
        scores.set(item, { words: (before?.words ?? 0) + 1, worth: (before?.worth ?? 0) + worth });
      }
    }
    const most = [...scores.values()].reduce((top, score) => Math.max(top, score.words), 0);
    const needed = passOver ? Math.max(1, most) : words.length;
    return [...scores]
      .filter(([, score]) => score.words >= needed)
      .sort(([a, scoreA], [b, scoreB]) => scoreB.worth - scoreA.worth || a - b)
      .map(([item]) => items[item]!);
  };
}
