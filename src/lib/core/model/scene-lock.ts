import { MOST_LOG_NOTES } from './limits';
import { Rig } from './plan';
import { Angle } from './scene';
import { Day, Holds, HoldsList, Id, NeededText } from './stated';

/** A setting, a part or a place, as it was when it worked. */
export class LockedFigure {
  @NeededText(120) name!: string;
  @NeededText(300) value!: string;
}

/** A take that showed that it works. */
export class LockEvidence {
  @Id() takeId!: string;
  @NeededText(200) name!: string;
  @NeededText(120) word!: string;
}

/** Settings and places of one angle that worked, with the day and what proved it. */
export class SceneLock {
  @Id() sceneId!: string;
  @Id() angleId!: string;
  @Day() lockedOn!: string;
  /** All that it rests on: when one of these differs, it holds no more. */
  @HoldsList(() => LockedFigure, { what: 'locked figures', max: MOST_LOG_NOTES })
  figures!: LockedFigure[];
  @HoldsList(() => LockEvidence, { what: 'takes', max: MOST_LOG_NOTES })
  evidence!: LockEvidence[];
  /** The angle as it was described, and as it was rigged by hand: what it is put back to. */
  @Holds(() => Angle) angle?: Angle;
  @Holds(() => Rig) rig?: Rig;
}
