import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsInt,
  IsOptional,
  Max,
  Min,
  ValidateNested,
  IsObject
} from 'class-validator';
import {
  NeededNumber,
  NeededText,
  NeededWord,
  StatedNumber,
  StatedText,
  StatedWord,
  StatedYesNo
} from './stated';
import { priceBases, lineStates, steps, micPlaces } from './word-lists';

export type PriceBasis = (typeof priceBases)[number];
export type LineState = (typeof lineStates)[number];
export type Step = (typeof steps)[number];

const money = { message: 'must be a whole number of minor units, not negative' };

/** One chosen part, in the order of choosing. */
export class PlanLine {
  @NeededText(60) id!: string;
  @NeededText(80) gearId!: string;
  @IsInt({ message: 'must be a whole number of pieces' })
  @Min(1, { message: 'must be at least one piece' })
  @Max(999, { message: 'must be at most 999 pieces' })
  quantity!: number;
  @NeededWord(priceBases) basis!: PriceBasis;
  @NeededWord(lineStates) state!: LineState;
  @NeededWord(steps) step!: Step;
  @IsBoolean({ message: 'must be true or false' }) locked!: boolean;
  @IsOptional() @IsInt(money) @Min(0, money) shippingMinor?: number;
  /** Taken off by the seller at once, in percent of the line's price. */
  @StatedNumber('%', 0, 100) discountPercent?: number;
  /** Paid back later by the maker; shown beside the firm total, never counted in it. */
  @IsOptional() @IsInt(money) @Min(0, money) cashBackMinor?: number;
  /** Hoped for when it is sold again. */
  @IsOptional() @IsInt(money) @Min(0, money) resaleMinor?: number;
  /** Weak legs, tired cells: it works until it does not. */
  @StatedYesNo() worn?: boolean;
}

export type MicPlace = (typeof micPlaces)[number];

/** A lamp where a person has put it. */
export class LampPlacing {
  @NeededText(60) lineId!: string;
  @NeededNumber('m', 0.1, 30) distanceM!: number;
  @NeededNumber('°', 0, 180) angleDeg!: number;
}

/**
 * How one angle is rigged, as far as the person has said so. Whatever is left out is placed by the
 * rules in `rigs/`, anew for every kit, so that a swapped part finds its own place.
 */
export class Rig {
  @NeededText(60) sceneId!: string;
  @NeededText(60) angleId!: string;
  @StatedText(60) bodyLineId?: string;
  @StatedText(60) lensLineId?: string;
  @StatedText(60) micLineId?: string;
  @StatedText(60) supportLineId?: string;
  @StatedText(60) filterLineId?: string;
  @StatedNumber('mm', 1, 2000) focalLengthMm?: number;
  @StatedNumber('f/', 0.7, 64) apertureN?: number;
  @StatedNumber('s', 0.0001, 2) shutterS?: number;
  /** Picture profile by its name on the body; the ordinary one unless said. */
  @StatedText(60) profile?: string;
  @StatedWord(micPlaces) micPlace?: MicPlace;
  @IsOptional() @IsBoolean({ message: 'must be true or false' }) boostOn?: boolean;
  @IsOptional()
  @IsArray({ message: 'must be a list of lamp places' })
  @IsObject({ each: true, message: 'must hold objects only' })
  @ValidateNested({ each: true })
  @Type(() => LampPlacing)
  lamps?: LampPlacing[];
}

export class Plan {
  @NeededText(60) id!: string;
  @NeededText(120) name!: string;
  @IsArray({ message: 'must be a list of lines' })
  @IsObject({ each: true, message: 'must hold objects only' })
  @ValidateNested({ each: true })
  @Type(() => PlanLine)
  lines!: PlanLine[];
  @IsArray({ message: 'must be a list of rigs' })
  @IsObject({ each: true, message: 'must hold objects only' })
  @ValidateNested({ each: true })
  @Type(() => Rig)
  rigs!: Rig[];
}
