import type { Scene, Angle } from '../model/scene';
import type { GearItem } from '../model/gear';
import type { Plan, PlanLine, Rig } from '../model/plan';
import type { Pocket } from '../model/pocket';
import type { Income, PriceAlert, PriceObservation } from '../model/price-observation';
import type { Project } from '../model/project';
import type { DayLog } from '../model/rehearsal';
import type { SceneLock } from '../model/scene-lock';

/** Settings of the project that change together with nothing else. */
export type ProjectSettings = Pick<
  Project,
  | 'name'
  | 'currency'
  | 'rates'
  | 'units'
  | 'mainsHz'
  | 'school'
  | 'ownWeights'
  | 'limitMinor'
  | 'reserveMinor'
  | 'inHandMinor'
  | 'savedPerMonthMinor'
  | 'itemLimitMinor'
  | 'videosPlanned'
  | 'consumablesMinor'
  | 'resaleFeePercent'
  | 'staleAfterDays'
  | 'carriedLimitKg'
  | 'setUpLimitMin'
  | 'switchLimit'
  | 'rules'
  | 'rehearsal'
>;

/**
 * One change to a project, said plainly: it can be stored, sent to a worker, shown to a person and
 * undone. Every change, by hand, by a remedy, by an import or by the packer, is one of these.
 */
export type Act =
  | { type: 'add line'; line: PlanLine; before?: string }
  | { type: 'change line'; lineId: string; patch: Partial<Omit<PlanLine, 'id'>> }
  | { type: 'step quantity'; lineId: string; by: number }
  | { type: 'remove line'; lineId: string }
  | { type: 'move line'; lineId: string; before: string | undefined }
  | {
      type: 'set rig';
      sceneId: string;
      angleId: string;
      patch: Partial<Omit<Rig, 'sceneId' | 'angleId'>>;
    }
  | { type: 'set project'; patch: Partial<ProjectSettings> }
  /** Keeps the project in another currency; what a person typed in the old one is converted. */
  | { type: 'change currency'; currency: string; perUnit: number; date: string }
  | { type: 'set pocket limit'; pocket: Pocket; limitMinor: number | undefined }
  /** Prices that were seen are written down; the plan goes on with its own. */
  | { type: 'note prices'; observations: PriceObservation[] }
  | { type: 'set price alert'; alert: Omit<PriceAlert, 'atMostMinor'> & Partial<PriceAlert> }
  | { type: 'put income'; income: Income }
  | { type: 'remove income'; incomeId: string }
  /** A real day of filming written down, or written anew. */
  | { type: 'put day log'; log: DayLog }
  | { type: 'remove day log'; logId: string }
  /** An angle that worked is locked, or locked anew; and let go of. */
  | { type: 'lock angle'; lock: SceneLock }
  | { type: 'unlock angle'; sceneId: string; angleId: string }
  | { type: 'add scene'; scene: Scene }
  | { type: 'change scene'; sceneId: string; patch: Partial<Omit<Scene, 'id' | 'angles'>> }
  | { type: 'change angle'; sceneId: string; angleId: string; patch: Partial<Omit<Angle, 'id'>> }
  | { type: 'add angle'; sceneId: string; angle: Angle }
  | { type: 'remove angle'; sceneId: string; angleId: string }
  | { type: 'remove scene'; sceneId: string }
  | { type: 'put gear'; gear: GearItem }
  | { type: 'put many gear'; gear: GearItem[] }
  | { type: 'remove gear'; gearId: string }
  | { type: 'add plan'; plan: Plan }
  | { type: 'show plan'; planId: string }
  | { type: 'rename plan'; planId: string; name: string }
  | { type: 'remove plan'; planId: string }
  | { type: 'ignore'; key: string; reason: string }
  | { type: 'bring back'; key: string }
  | { type: 'replace project'; project: Project }
  | { type: 'batch'; acts: Act[] };
