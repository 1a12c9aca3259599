import { lengthWords, massWords } from '../../core/figures/figure-words';
import type { CandidateGroup } from '../../core/judge/candidates';
import { describeKind, type GearItem } from '../../core/model/gear';
import type { UnitSystem } from '../../core/model/project';
import type { Pocket } from '../../core/model/pocket';

/** The question each pocket answers. */
export const pocketQuestions: Readonly<Record<Pocket, string>> = {
  sound: 'What should carry the voice?',
  light: 'What should light the face?',
  body: 'What should record it all?',
  lens: 'What should frame it?',
  support: 'What should hold it still?',
  storage: 'What should keep the files?',
  power: 'What should keep it running?',
  accessories: 'What connects the parts?'
};

/** A part in half a line: what one asks about it first. Unsaid figures say so. */
export function partGist(gear: GearItem, units: UnitSystem = 'metric'): string {
  return describeKind(gear).gist(gear, {
    length: (metres) => lengthWords(metres, units),
    mass: (kg) => massWords(kg, units)
  });
}

/** What a group of candidates is called, with what it means. */
export const groupNames: Readonly<Record<CandidateGroup, string>> = {
  within: 'Within what is left, best first',
  over: 'Over the budget',
  blocks: 'Would block a scene',
  unusable: 'Cannot be used here'
};

/** A change of worth in whole points, with its sign; under half a point it is none. */
export function gainWords(hundredths: number): string {
  const points = Math.round(hundredths / 100);
  return points === 0 ? '±0' : points > 0 ? `+${points}` : `−${-points}`;
}
