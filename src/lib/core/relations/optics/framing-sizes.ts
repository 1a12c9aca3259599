import type { Framing } from '../../model/scene';
import { mustBePositive } from '../argument';

/** What each framing shows: a height for people, a width for groups, for work on a table and for what is no person. */
export const framingSizes = {
  face: { side: 'height', sizeM: 0.35, words: 'a face' },
  'head and shoulders': { side: 'height', sizeM: 0.55, words: 'head and shoulders' },
  chest: { side: 'height', sizeM: 0.75, words: 'down to the chest' },
  waist: { side: 'height', sizeM: 1.05, words: 'down to the waist' },
  'full length': { side: 'height', sizeM: 2.1, words: 'the full length' },
  hands: { side: 'width', sizeM: 0.6, words: 'hands at work' },
  table: { side: 'width', sizeM: 1.0, words: 'the table top' },
  group: { side: 'width', sizeM: undefined, words: 'everyone side by side' },
  product: { side: 'width', sizeM: 0.4, words: 'a thing on the table' },
  detail: { side: 'width', sizeM: 0.12, words: 'a detail' },
  stage: { side: 'width', sizeM: 4, words: 'the whole stage' },
  landscape: { side: 'width', sizeM: 20, words: 'the land' }
} as const satisfies Record<
  Framing,
  { side: 'height' | 'width'; sizeM: number | undefined; words: string }
>;

/** Room one person takes beside the next. */
export const PERSON_WIDTH_M = { standing: 0.55, seated: 0.65 } as const;

/**
 * Width of n people: standing 0.55·n + 0.2 m, seated 0.65·n + 0.2 m.
 *
 * @param people one or more
 *
 * @example groupWidthM(3, true) // 2.15
 */
export function groupWidthM(people: number, seated: boolean): number {
  mustBePositive('people', people);
  return (seated ? PERSON_WIDTH_M.seated : PERSON_WIDTH_M.standing) * people + 0.2;
}
