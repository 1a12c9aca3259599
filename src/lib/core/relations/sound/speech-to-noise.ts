import { RelationError } from '../argument';

/** What a speech-to-noise figure is worth. Outdoors the place may be heard, so less is asked. */
export const speechToNoiseBands = {
  indoors: { cleanDb: 35, usableDb: 25 },
  outdoors: { cleanDb: 20, usableDb: 10 }
} as const;

/** Below this words are no longer understood without effort; an engineering estimate. */
export const UNINTELLIGIBLE_BELOW_DB = 3;

/** @example speechWord(25.9, 'indoors') // 'usable' */
export function speechWord(
  db: number,
  place: keyof typeof speechToNoiseBands
): 'clean' | 'usable' | 'poor' {
  if (Number.isNaN(db)) throw new RelationError('db', db, 'must be a number');
  const { cleanDb, usableDb } = speechToNoiseBands[place];
  return db >= cleanDb ? 'clean' : db >= usableDb ? 'usable' : 'poor';
}
