import {
  MOST_DAYS_IN_A_ROW,
  MOST_LOG_NOTES,
  MOST_MINUTES_OF_DAY,
  MOST_PIECES,
  MOST_SCENES
} from './limits';
import {
  Day,
  HoldsList,
  Id,
  IdList,
  MayBeLeftOut,
  NeededNumber,
  NeededText,
  NeededWord,
  StatedNumber,
  StatedText,
  WordList
} from './stated';
import { chanceIds, habitIds } from './word-lists';

export type ChanceId = (typeof chanceIds)[number];
export type HabitId = (typeof habitIds)[number];

/** A chance a person knows better than the usual figure. */
export class ChancePercent {
  @NeededWord(chanceIds) chance!: ChanceId;
  @NeededNumber('%', 0, 100) percent!: number;
}

/** How the days of a project are run before they happen; whatever is left out takes its usual value. */
export class Rehearsal {
  /** Minutes after midnight. */
  @StatedNumber('min', 0, MOST_MINUTES_OF_DAY) startsAtMin?: number;
  /** No take begins later: the light is gone, the room is let. */
  @StatedNumber('min', 0, MOST_MINUTES_OF_DAY) endsAtMin?: number;
  @StatedNumber('min', 0, MOST_MINUTES_OF_DAY) lunchAtMin?: number;
  @StatedNumber('min', 0, 240) lunchMin?: number;
  /** Filmed so many days in a row, with a socket every night. */
  @StatedNumber('count', 1, MOST_DAYS_IN_A_ROW) daysInARow?: number;
  /** The same number gives the same days. */
  @StatedNumber('count', 0, 999_999) seed?: number;
  @MayBeLeftOut() @WordList(habitIds, 'habits') habits?: HabitId[];
  @MayBeLeftOut()
  @HoldsList(() => ChancePercent, { what: 'chances', max: chanceIds.length })
  chances?: ChancePercent[];
  /** In which order the scenes of a day are filmed, by id; those not named follow in the order of the brief. */
  @MayBeLeftOut() @IdList('scenes in their order', MOST_SCENES) sceneOrder?: string[];
}

/** How often something could have happened on a real day, and how often it did. */
export class ChanceTally {
  @NeededWord(chanceIds) chance!: ChanceId;
  @NeededNumber('count', 0, 10_000) opportunities!: number;
  @NeededNumber('count', 0, 10_000) happened!: number;
}

/** How long a battery really lasted, beside what was reckoned of it when new. */
export class BatteryTime {
  @Id() lineId!: string;
  /** Left out where nobody looked. */
  @StatedNumber('min', 0.1, 10_000) minutes?: number;
  @NeededNumber('min', 0.1, 10_000) reckonedMin!: number;
}

/** How long a part was in use on a day. */
export class PartUse {
  @Id(80) gearId!: string;
  @NeededText(200) name!: string;
  @NeededNumber('count', 1, MOST_PIECES) pieces!: number;
  @NeededNumber('min', 0, 100_000) minutes!: number;
}

/** A real day of filming, written down afterwards. */
export class DayLog {
  @Id() id!: string;
  @Day() date!: string;
  /** The scenes' names as they were then. */
  @NeededText(500) scenes!: string;
  @NeededNumber('count', 0, 10_000) takes!: number;
  @NeededNumber('count', 0, 10_000) takesLost!: number;
  /** Minutes all set-ups took together, and what was reckoned for them. */
  @StatedNumber('min', 0, 10_000) setUpMin?: number;
  @StatedNumber('min', 0, 10_000) setUpReckonedMin?: number;
  @HoldsList(() => ChanceTally, { what: 'chances', max: chanceIds.length })
  tallies!: ChanceTally[];
  @HoldsList(() => BatteryTime, { what: 'batteries', max: MOST_LOG_NOTES })
  batteries!: BatteryTime[];
  @HoldsList(() => PartUse, { what: 'parts used', max: MOST_LOG_NOTES })
  used!: PartUse[];
  @StatedText(2000) note?: string;
}
