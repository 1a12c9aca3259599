import { habits } from '../model/habits';
import type { ChanceId, Rehearsal } from '../model/rehearsal';

/** One thing that can go wrong by chance, or that varies from day to day. */
export interface Chance {
  /** Usual figure, in percent; a person may know better, and a logbook learns. */
  percent: number;
  /** What one percent is of: every time it could happen. */
  per: string;
  /** What comes of it. */
  does: string;
  /** Why this figure, until one's own days say otherwise. */
  reason: string;
  /** A spread of a figure, not something that happens or not. */
  isSpread?: true;
}

/** Engineering estimates, all of them, each to be changed by hand or by one's own logbook. */
export const chances: Readonly<Record<ChanceId, Chance>> = {
  'battery not charged': {
    percent: 2,
    per: 'battery and day',
    does: 'a battery leaves home three quarters empty',
    reason: 'one evening in fifty a battery sits askew in its bay or is overlooked'
  },
  'battery not checked': {
    percent: 8,
    per: 'take a battery will not last through',
    does: 'the take begins with it all the same, and breaks off',
    reason: 'one forgets in about one of twelve cases, talking at the same time'
  },
  'card not emptied': {
    percent: 5,
    per: 'card and day',
    does: 'two fifths of the card are still full of the last shoot',
    reason: 'one card in twenty goes back into the bag with its files'
  },
  'switch left off': {
    percent: 3,
    per: 'switch and scene',
    does: 'takes are silent or dark until somebody notices',
    reason: 'one set-up in thirty for each switch there is'
  },
  'left on in between': {
    percent: 20,
    per: 'microphone, recorder or lamp on batteries, and scene',
    does: 'it drains on through pauses and on the way to the next scene',
    reason: 'one scene in five when hands are full'
  },
  'setting left wrong': {
    percent: 4,
    per: 'scene',
    does: 'takes are out of focus or of the wrong colour until somebody notices',
    reason: 'one scene in twenty-five begins with the settings of the one before'
  },
  'radio drop-out': {
    percent: 1,
    per: 'take with a radio microphone',
    does: 'words are missing in one take',
    reason: 'one take in a hundred well within reach, one in two at its edge; towns are worse'
  },
  gust: {
    percent: 1.5,
    per: 'outdoor take, for every 5 m/s of wind',
    does: 'a gust covers the voice or shakes the camera in one take',
    reason: 'gusts reach half as much again as the wind told'
  },
  'file lost': {
    percent: 0.2,
    per: 'take, where it is recorded once',
    does: 'a file cannot be read in the evening',
    reason: 'one file in five hundred; recording twice all but rules it out'
  },
  'battery spread': {
    percent: 6,
    per: 'battery and day, one standard deviation',
    does: 'a battery holds a little more or less than it says',
    reason: 'pieces of one make differ by some percent, and age apart',
    isSpread: true
  },
  'set-up spread': {
    percent: 25,
    per: 'scene, one standard deviation',
    does: 'setting up takes longer or shorter than reckoned',
    reason: 'people time themselves badly',
    isSpread: true
  }
};

/** Within this share of its reach a radio drops out as rarely as it ever does. */
const SURE_REACH_SHARE = 0.5;

/**
 * The chance of a drop-out in a take: as stated well within reach, one in two at its edge, certain at twice it. In
 * between it grows by the same factor with every step, as signal falls away by decibels; an estimate.
 *
 * @example dropOutShare(0.01, 0.75) // 0.07
 */
export function dropOutShare(statedShare: number, stretch: number): number {
  if (statedShare === 0 || stretch <= SURE_REACH_SHARE) return statedShare;
  if (stretch >= 1) return Math.max(statedShare, Math.min(1, stretch / 2));
  const near = (1 - stretch) / (1 - SURE_REACH_SHARE);
  return Math.max(statedShare, statedShare ** near * 0.5 ** (1 - near));
}

/** Share of each chance as it stands for a rehearsal, 0 to 1: by hand, else by the logbook, else as usual; less by habit. */
export function chancesOf(
  rehearsal: Rehearsal | undefined,
  learned: Partial<Record<ChanceId, number>> = {}
): Record<ChanceId, number> {
  const kept = rehearsal?.habits ?? [];
  const shares = {} as Record<ChanceId, number>;
  for (const id of Object.keys(chances) as ChanceId[]) {
    const byHand = rehearsal?.chances?.find(({ chance }) => chance === id)?.percent;
    const percent = learned[id] ?? byHand ?? chances[id].percent;
    shares[id] = kept.reduce(
      (share, habit) => share * (habits[habit].leaves[id] ?? 1),
      percent / 100
    );
  }
  return shares;
}
