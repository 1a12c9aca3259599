/** How far a search for a first kit has come, in words; none before its first kit. */
export const kitsJudged = (judged: number): string =>
  judged > 0 ? `${judged.toLocaleString('en')} kits judged.` : '';
