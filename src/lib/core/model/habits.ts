import type { ChanceId, HabitId } from './rehearsal';

/** What a line on the pre-roll list leaves of a chance. */
export interface Habit {
  /** As it stands on the list. */
  line: string;
  /** Where it stands: the evening before, or before a take. */
  when: 'evening' | 'pre-roll';
  /** Chances it makes rarer, and the share of them that is left. */
  leaves: Partial<Record<ChanceId, number>>;
}

/** A list that is read out still misses one in ten. */
const STILL_MISSED = 0.1;

export const habits: Readonly<Record<HabitId, Habit>> = {
  'batteries counted in the evening': {
    line: 'Count the batteries and feel each one sit in its bay',
    when: 'evening',
    leaves: { 'battery not charged': STILL_MISSED }
  },
  'cards emptied in the evening': {
    line: 'Copy every card, then format it in the camera',
    when: 'evening',
    leaves: { 'card not emptied': STILL_MISSED }
  },
  'battery checked before each take': {
    line: 'Battery: does it last through this take?',
    when: 'pre-roll',
    leaves: { 'battery not checked': STILL_MISSED }
  },
  'switches checked at each scene': {
    line: 'Touch every switch: microphone, recorder, lamp',
    when: 'pre-roll',
    leaves: { 'switch left off': STILL_MISSED }
  },
  'switched off in between': {
    line: 'Microphone, recorder and lamp off after the last take of a scene',
    when: 'pre-roll',
    leaves: { 'left on in between': STILL_MISSED }
  },
  'settings checked at each scene': {
    line: 'Settings card beside the camera: focus, white balance, shutter',
    when: 'pre-roll',
    leaves: { 'setting left wrong': STILL_MISSED }
  },
  'first take played back': {
    line: 'Play back the first take with headphones, to its end',
    when: 'pre-roll',
    leaves: {}
  },
  'charged while there is a socket': {
    line: 'Charger into the socket on arrival, empty batteries into it',
    when: 'pre-roll',
    leaves: {}
  }
};
