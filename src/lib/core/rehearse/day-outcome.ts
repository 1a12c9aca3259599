import type { Books, DayState } from './day-state';

/** Why a take is lost, by what was to blame first. */
export const causes = [
  'no camera',
  'no power',
  'no card',
  'battery empty',
  'card full',
  'overheated',
  'clip limit',
  'switch left off',
  'setting left wrong',
  'radio drop-out',
  'gust',
  'file lost',
  'no time left'
] as const;
export type Cause = (typeof causes)[number];

/** A take that is not in the can. */
export interface LostTake {
  /** Which day away, from 0. */
  day: number;
  scene: number;
  take: number;
  cause: Cause;
  /** The part to blame, by its line; none of chance and of time. */
  lineId: string | undefined;
  name: string | undefined;
  atMin: number;
}

export type SegmentKind =
  | 'carried'
  | 'set-up'
  | 'take'
  | 'pause'
  | 'lunch'
  | 'waiting'
  | 'cooling'
  | 'charging'
  | 'tear-down'
  | 'night'
  | 'evening';

/** Something worth telling of a day, at its minute. */
export interface DayEvent {
  atMin: number;
  kind:
    | 'swap'
    | 'empty'
    | 'card swapped'
    | 'card full'
    | 'hot'
    | 'left on'
    | 'noticed'
    | 'too late'
    | 'not full'
    | 'not emptied';
  /** The part it is about, by its line; of a fault that is noticed, none. */
  lineId: string | undefined;
  name: string;
}

/** Told of a day as it runs, for those who want to see it. */
export interface Witness {
  segment(kind: SegmentKind, fromMin: number, toMin: number, scene: number, take: number): void;
  event(event: DayEvent): void;
  /** Every level as it stands now. */
  levels(atMin: number, state: DayState): void;
  /** One body, in the middle of a take: it warms along a curve. */
  heat(atMin: number, warming: number, celsius: number): void;
}

/** What a day came to. */
export interface DayOutcome {
  takes: number;
  lost: readonly LostTake[];
  endsAtMin: number;
  startWh: number;
  /** In the bag when one is home again, before anything is charged. */
  homeWh: number;
  endWh: number;
  startFreeGb: number;
  endFreeGb: number;
  books: Readonly<Books>;
}

/** The luck of one day; without it the day goes as it is planned, and nothing happens by chance. */
export interface Luck {
  seed: number;
  day: number;
}
