/** The eight pockets of the satchel, in the order a list of parts is sorted when no school rules. */
export const pockets = [
  'body',
  'lens',
  'sound',
  'light',
  'support',
  'storage',
  'power',
  'accessories'
] as const;
export type Pocket = (typeof pockets)[number];

export const isPocket = (word: string): word is Pocket =>
  (pockets as readonly string[]).includes(word);
