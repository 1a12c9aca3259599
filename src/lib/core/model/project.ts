import { IsIn, IsObject } from 'class-validator';
import type { GearItem } from './gear';
import { ExchangeRate } from './exchange-rate';
import { Plan } from './plan';
import { type Pocket, pockets } from './pocket';
import { Income, PriceAlert, PriceObservation } from './price-observation';
import { DayLog, Rehearsal } from './rehearsal';
import { Scene } from './scene';
import { SceneLock } from './scene-lock';
import {
  CurrencyCode,
  Day,
  Holds,
  HoldsList,
  Id,
  ListOf,
  MayBeLeftOut,
  MinorUnits,
  NeededText,
  NeededWord,
  StatedNumber,
  StatedText,
  StatedYesNo
} from './stated';
import {
  MOST_ALERTS,
  MOST_DAY_LOGS,
  MOST_DISMISSED,
  MOST_INCOMES,
  MOST_MINOR,
  MOST_OBSERVATIONS,
  MOST_OWN_PARTS,
  MOST_PLANS,
  MOST_RATES,
  MOST_RIGS,
  MOST_SCENES
} from './limits';
import { schoolIds, unitSystems } from './word-lists';

export type SchoolId = (typeof schoolIds)[number];

export type UnitSystem = (typeof unitSystems)[number];

/** A finding a person lets be, with the reason; it comes back when the reason is taken away. */
export class Ignored {
  /** Code, scene, angle and what it is about, as the judge names it. */
  @NeededText(200) key!: string;
  @NeededText(500) reason!: string;
}

/** Rules a person buys by. */
export class OwnRules {
  @StatedYesNo() onlyUsed?: boolean;
  /** What is proposed is bought used where it has a used price. */
  @StatedYesNo() preferUsed?: boolean;
  /** Only from a place where one has credit, by the words of its prices' source. */
  @StatedText(200) onlyFrom?: string;
  /** No part dearer than this one. */
  @StatedText(80) noDearerThanGearId?: string;
}

/** Everything one person plans for, in one document: saved whole or not at all. */
export class Project {
  @Id() id!: string;
  @NeededText(200) name!: string;
  @CurrencyCode() currency!: string;
  /** Rates of one's own for prices in other currencies; the rough ones that ship stand for the rest. */
  @MayBeLeftOut()
  @HoldsList(() => ExchangeRate, { what: 'exchange rates', max: MOST_RATES })
  rates?: ExchangeRate[];
  @NeededWord(unitSystems) units!: UnitSystem;
  @IsIn([50, 60], { message: 'must be 50 or 60 Hz' }) mainsHz!: 50 | 60;
  @NeededWord(schoolIds) school!: SchoolId;
  @MinorUnits() limitMinor!: number;
  @MinorUnits() reserveMinor!: number;
  /** Limits per pocket a person has set by hand; a pocket left out has none. */
  @MayBeLeftOut()
  @IsObject({ message: 'must be an object of pocket names and minor units' })
  pocketLimitsMinor?: Partial<Record<Pocket, number>>;
  /** Money that is there for the kit today, and what is put aside for it each month. */
  @MayBeLeftOut() @MinorUnits() inHandMinor?: number;
  @MayBeLeftOut() @MinorUnits() savedPerMonthMinor?: number;
  /** Money that comes in once, beside what is put aside. */
  @MayBeLeftOut()
  @HoldsList(() => Income, { what: 'incomes', max: MOST_INCOMES })
  incomes?: Income[];
  /** Finished videos this kit is to make, what they use up in all, and what a sale costs: for the cost of one video. */
  @StatedNumber('count', 1, 100_000) videosPlanned?: number;
  @MayBeLeftOut() @MinorUnits() consumablesMinor?: number;
  @StatedNumber('%', 0, 100) resaleFeePercent?: number;
  /** Prices seen, oldest first by the time they were written down. */
  @MayBeLeftOut()
  @HoldsList(() => PriceObservation, { what: 'price observations', max: MOST_OBSERVATIONS })
  priceObservations?: PriceObservation[];
  @MayBeLeftOut()
  @HoldsList(() => PriceAlert, { what: 'price alerts', max: MOST_ALERTS })
  priceAlerts?: PriceAlert[];
  /** A price older than this is looked up again; 90 days unless said. */
  @StatedNumber('days', 1, 1000) staleAfterDays?: number;
  /** No single part may cost more. */
  @MayBeLeftOut() @MinorUnits() itemLimitMinor?: number;
  /** What one is willing to carry in a day, cases and computer not counted. */
  @StatedNumber('kg', 0.1, 100) carriedLimitKg?: number;
  /** Longest wait before the first take. */
  @StatedNumber('min', 0.5, 240) setUpLimitMin?: number;
  /** Most switches one trusts oneself to remember. */
  @StatedNumber('count', 1, 40) switchLimit?: number;
  /** Weights of one's own for the seven axes, in place of the school's. */
  @MayBeLeftOut()
  @IsObject({ message: 'must be an object of axis names and weights' })
  ownWeights?: Record<string, number>;
  /** The day prices and deals are looked at; the app puts in today. Left out, none is called stale. */
  @MayBeLeftOut() @Day() pricesAsOf?: string;
  /** How its days are rehearsed, and how they really went. */
  @Holds(() => Rehearsal)
  rehearsal?: Rehearsal;
  @MayBeLeftOut()
  @HoldsList(() => DayLog, { what: 'days in the logbook', max: MOST_DAY_LOGS })
  logbook?: DayLog[];
  /** Angles whose settings and places worked. */
  @MayBeLeftOut()
  @HoldsList(() => SceneLock, { what: 'locks', max: MOST_RIGS })
  locks?: SceneLock[];
  @Holds(() => OwnRules)
  rules?: OwnRules;
  @MayBeLeftOut()
  @HoldsList(() => Ignored, { what: 'ignored', max: MOST_DISMISSED })
  ignored?: Ignored[];
  @HoldsList(() => Scene, { what: 'scenes', max: MOST_SCENES })
  scenes!: Scene[];
  @HoldsList(() => Plan, { what: 'plans', min: 1, max: MOST_PLANS })
  plans!: Plan[];
  @Id() activePlanId!: string;
  /** Parts of one's own, and changed copies of shelf parts; they stand before the shelf; each is checked by its own kind. */
  @ListOf('parts', MOST_OWN_PARTS)
  ownGear!: GearItem[];
}

/** Sentences for what decorators cannot see across fields. */
export function projectFaults(project: Project): { field: string; says: string }[] {
  const faults: { field: string; says: string }[] = [];
  if (!project.plans.some((plan) => plan.id === project.activePlanId)) {
    faults.push({
      field: 'activePlanId',
      says: `names no plan of this project: "${project.activePlanId}"`
    });
  }
  for (const [pocket, limit] of Object.entries(project.pocketLimitsMinor ?? {})) {
    if (!pockets.includes(pocket as Pocket)) {
      faults.push({
        field: `pocketLimitsMinor.${pocket}`,
        says: `is not a pocket; the pockets are ${pockets.join(', ')}`
      });
    } else if (!Number.isInteger(limit) || limit < 0 || limit > MOST_MINOR) {
      faults.push({
        field: `pocketLimitsMinor.${pocket}`,
        says: `must be a whole number of minor units, not negative, at most ${MOST_MINOR}`
      });
    }
  }
  for (const [axis, weight] of Object.entries(project.ownWeights ?? {}))
    if (!Number.isFinite(weight) || weight < 0 || weight > 100)
      faults.push({ field: `ownWeights.${axis}`, says: 'must be a weight from 0 to 100' });
  for (const [index, scene] of project.scenes.entries()) {
    if (scene.lightDimLx > scene.lightBrightLx) {
      faults.push({
        field: `scenes[${index}].lightDimLx`,
        says: 'must not be brighter than lightBrightLx'
      });
    }
    if (scene.longestTakeMin > scene.recordedMin) {
      faults.push({
        field: `scenes[${index}].longestTakeMin`,
        says: 'must not be longer than recordedMin, the whole day'
      });
    }
    for (const [position, { longestTakeMin, recordedMin }] of scene.angles.entries())
      if ((longestTakeMin ?? 0) > (recordedMin ?? scene.recordedMin))
        faults.push({
          field: `scenes[${index}].angles[${position}].longestTakeMin`,
          says: 'must not be longer than what this camera records in a day'
        });
  }
  for (const [list, ids] of [
    ['scenes', project.scenes.map((scene) => scene.id)],
    ['rates', (project.rates ?? []).map(({ currency }) => currency)],
    ['plans', project.plans.map((plan) => plan.id)],
    ['ownGear', project.ownGear.map((gear) => gear.id)],
    ['logbook', (project.logbook ?? []).map(({ id }) => id)],
    ['rehearsal.chances', (project.rehearsal?.chances ?? []).map(({ chance }) => chance)],
    [
      'locks',
      (project.locks ?? []).map(({ sceneId, angleId }) => JSON.stringify([sceneId, angleId]))
    ],
    ['incomes', (project.incomes ?? []).map(({ id }) => id)],
    ['priceAlerts', (project.priceAlerts ?? []).map(({ gearId, basis }) => `${gearId} ${basis}`)],
    ['ignored', (project.ignored ?? []).map(({ key }) => key)],
    ...project.scenes.map(
      (scene) => [`scene "${scene.name}" angles`, scene.angles.map((angle) => angle.id)] as const
    ),
    ...project.plans.flatMap((plan) => [
      [`plan "${plan.name}" lines`, plan.lines.map((line) => line.id)] as const,
      [
        `plan "${plan.name}" rigs`,
        plan.rigs.map(({ sceneId, angleId }) => JSON.stringify([sceneId, angleId]))
      ] as const
    ])
  ] as const) {
    const seen = new Set<string>();
    const twice = ids.find((id) => seen.size === seen.add(id).size);
    if (twice !== undefined)
      faults.push({ field: list, says: `uses the id "${twice}" twice; ids must differ` });
  }
  return faults;
}
