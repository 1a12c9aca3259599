/** What no sentence may hold: a value that leaked, or a figure that says nothing. */
const broken: readonly [RegExp, string][] = [
  [/undefined|\bnull\b|NaN|Infinity|\[object|\$\{/, 'a value that leaked'],
  [/\s{2}|\.\.| ,|,,| \.(?!\d)/, 'doubled signs'],
  [/[£€$]0(?:\.00)?\b(?!\.)/, 'no money at all'],
  [/\bunlimited\b(?!$)/, 'an endless figure'],
  [/(\d[\d .,]*\s?\S+) to \1(?!\S)/, 'a range with equal ends'],
  [/(?<!just (?:under|over)) (\d[\d.]*\s\S+) \([^)\d]*\1\)/, 'the same figure twice'],
  [/(?<![.\d])1 (?:stops|days|frames|batteries)\b/, 'one of many'],
  [/-\d[\d.]* dB (?:over|above|under|below)/, 'a sign where a word says it'],
  [/\bof the kit\?/, 'a question nobody can be asked']
];

/** What is wrong with the form of a sentence. */
export const faultsOfForm = (words: string): string[] =>
  broken.flatMap(([pattern, what]) => (pattern.test(words) ? `${what}: ${words}` : []));

/**
 * Lengths, masses, speeds and temperatures for a person who measures in feet and pounds: metric ones stand beside them
 * at most. Millimetres of lenses and threads are the same everywhere.
 */
export const metricIn = (words: string): string[] =>
  words
    // Every data sheet states what a lamp gives at 1 m.
    .replace(/lux does .* give at 1 m/, '')
    .replace(/20 °C \(68 °F\)|\([^)]*\)/g, '')
    .match(/(?<![\w./])\d[\d.,]*\s(?:m|cm|kg|g|m\/s|°C)(?![\w/²])/g) ?? [];
