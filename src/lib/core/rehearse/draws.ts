/**
 * Chance that can be had again: every draw is found from the seed and from what it is about, not from how many
 * were drawn before it. Two rehearsals that differ in one part therefore meet the same luck everywhere else, and
 * the same seed gives the same day on every machine: only whole numbers of 32 bits are reckoned with.
 */

/** Spreads the bits of a whole number over all 32 places. */
function mixed(bits: number): number {
  let hash = bits;
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return hash ^ (hash >>> 16);
}

/** A whole number that stands for a text, so that it is spelt out once and not at every draw. */
export function keyOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let index = 0; index < text.length; index++)
    hash = Math.imul(hash ^ text.charCodeAt(index), 0x01000193);
  return mixed(hash);
}

/**
 * A number from 0 up to 1, 1 not reached, that depends on nothing but what it is asked with.
 *
 * @param key what could happen and to whom, by `keyOf`
 * @param at which time it could happen: the number of a take, a scene, a piece
 */
export function drawn(seed: number, day: number, key: number, index: number): number {
  let hash = mixed(seed + 0x9e3779b9);
  hash = mixed(hash ^ (day + 0x7f4a7c15));
  hash = mixed(hash ^ key);
  hash = mixed(hash ^ (index + 0x1b873593));
  return (hash >>> 0) / 2 ** 32;
}

/**
 * How far off a middle value comes out, in standard deviations: nearly a normal spread, never past three. The sum
 * of three even draws, for it is exact on every machine.
 */
export function deviation(seed: number, day: number, key: number, index: number): number {
  const sum =
    drawn(seed, day, key, 3 * index) +
    drawn(seed, day, key, 3 * index + 1) +
    drawn(seed, day, key, 3 * index + 2);
  return (sum - 1.5) * 2;
}
