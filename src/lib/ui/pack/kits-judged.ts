/** How many of something, in digits that are told apart by thousands. */
export const countWords = (count: number | undefined): string => (count ?? 0).toLocaleString('en');

/** How far a search for a first kit has come, in words; none before its first kit. */
export const kitsJudged = (judged: number): string =>
  judged > 0 ? `${countWords(judged)} kits judged.` : '';
