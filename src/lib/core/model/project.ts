import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  Matches,
  Max,
  Min,
  ValidateNested
} from 'class-validator';
import type { GearItem } from './gear';
import { GearBase } from './gear/base';
import { gearDiscriminator } from './gear/classes';
import { Plan } from './plan';
import { type Pocket, pockets } from './pocket';
import { Scene } from './scene';
import { NeededText, NeededWord, StatedNumber, StatedText, StatedYesNo } from './stated';
import { schoolIds, unitSystems } from './word-lists';

export type SchoolId = (typeof schoolIds)[number];

export type UnitSystem = (typeof unitSystems)[number];

const money = { message: 'must be a whole number of minor units, not negative' };

/** A finding a person lets be, with the reason; it comes back when the reason is taken away. */
export class Dismissal {
  /** Code, scene, angle and what it is about, as the judge names it. */
  @NeededText(200) key!: string;
  @NeededText(500) reason!: string;
}

/** Rules a person buys by. */
export class OwnRules {
  @StatedYesNo() onlyUsed?: boolean;
  /** Only from a place where one has credit, by the words of its prices' source. */
  @StatedText(200) onlyFrom?: string;
  /** No part dearer than this one. */
  @StatedText(80) noDearerThanGearId?: string;
}

/** Everything one person plans for, in one document: saved whole or not at all. */
export class Project {
  @NeededText(60) id!: string;
  @NeededText(200) name!: string;
  @Matches(/^[A-Z]{3}$/, { message: 'must be a three-letter currency code such as GBP' })
  currency!: string;
  @NeededWord(unitSystems) units!: UnitSystem;
  @IsIn([50, 60], { message: 'must be 50 or 60 Hz' }) mainsHz!: 50 | 60;
  @NeededWord(schoolIds) school!: SchoolId;
  @IsInt(money) @Min(0, money) @Max(1e12, money) limitMinor!: number;
  @IsInt(money) @Min(0, money) @Max(1e12, money) reserveMinor!: number;
  /** Limits per pocket a person has set by hand; a pocket left out has none. */
  @IsOptional()
  @IsObject({ message: 'must be an object of pocket names and minor units' })
  pocketLimitsMinor?: Partial<Record<Pocket, number>>;
  /** No single part may cost more. */
  @IsOptional() @IsInt(money) @Min(0, money) itemLimitMinor?: number;
  /** What one is willing to carry in a day, cases and computer not counted. */
  @StatedNumber('kg', 0.1, 100) carriedLimitKg?: number;
  /** Longest wait before the first take. */
  @StatedNumber('min', 0.5, 240) setUpLimitMin?: number;
  /** Most switches one trusts oneself to remember. */
  @StatedNumber('count', 1, 40) switchLimit?: number;
  /** Weights of one's own for the seven axes, in place of the school's. */
  @IsOptional()
  @IsObject({ message: 'must be an object of axis names and weights' })
  ownWeights?: Record<string, number>;
  /** The day prices and deals are looked at; the app puts in today. Left out, none is called stale. */
  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'must be a day written as YYYY-MM-DD' })
  pricesAsOf?: string;
  @IsOptional()
  @IsObject({ message: 'must be an object' })
  @ValidateNested()
  @Type(() => OwnRules)
  rules?: OwnRules;
  @IsOptional()
  @IsArray({ message: 'must be a list of findings let be' })
  @ArrayMaxSize(500, { message: 'holds at most five hundred findings let be' })
  @IsObject({ each: true, message: 'must hold objects only' })
  @ValidateNested({ each: true })
  @Type(() => Dismissal)
  dismissed?: Dismissal[];
  @IsArray({ message: 'must be a list of scenes' })
  @ArrayMaxSize(40, { message: 'holds at most forty scenes' })
  @IsObject({ each: true, message: 'must hold objects only' })
  @ValidateNested({ each: true })
  @Type(() => Scene)
  scenes!: Scene[];
  @IsArray({ message: 'must be a list of plans' })
  @ArrayMinSize(1, { message: 'needs at least one plan' })
  @IsObject({ each: true, message: 'must hold objects only' })
  @ValidateNested({ each: true })
  @Type(() => Plan)
  plans!: Plan[];
  @NeededText(60) activePlanId!: string;
  /** Parts of one's own, and changed copies of shelf parts; they stand before the shelf. */
  @IsArray({ message: 'must be a list of parts' })
  @IsObject({ each: true, message: 'must hold objects only' })
  @ValidateNested({ each: true })
  @Type(() => GearBase, gearDiscriminator)
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
        says: `is no pocket; the pockets are ${pockets.join(', ')}`
      });
    } else if (!Number.isInteger(limit) || limit < 0) {
      faults.push({ field: `pocketLimitsMinor.${pocket}`, says: money.message });
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
  }
  for (const [list, ids] of [
    ['scenes', project.scenes.map((scene) => scene.id)],
    ['plans', project.plans.map((plan) => plan.id)],
    ['ownGear', project.ownGear.map((gear) => gear.id)],
    ...project.plans.map(
      (plan) => [`plan "${plan.name}" lines`, plan.lines.map((line) => line.id)] as const
    )
  ] as const) {
    const twice = ids.find((id, at) => ids.indexOf(id) !== at);
    if (twice !== undefined)
      faults.push({ field: list, says: `uses the id "${twice}" twice; ids must differ` });
  }
  return faults;
}
