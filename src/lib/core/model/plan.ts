import { IsBoolean, IsInt, Max, Min } from 'class-validator';
import { MOST_LAMPS, MOST_LINES, MOST_PIECES, MOST_RIGS } from './limits';
import {
  Day,
  HoldsList,
  Id,
  MayBeLeftOut,
  MinorUnits,
  NeededNumber,
  NeededText,
  NeededWord,
  SignedMinorUnits,
  StatedNumber,
  StatedText,
  StatedWord,
  StatedYesNo
} from './stated';
import {
  furtherLampRoles,
  lampSides,
  priceBases,
  lineStates,
  steps,
  micPlaces
} from './word-lists';

export type PriceBasis = (typeof priceBases)[number];
export type LineState = (typeof lineStates)[number];
export type Step = (typeof steps)[number];

/** One chosen part, in the order of choosing. */
export class PlanLine {
  @Id() id!: string;
  @Id(80) gearId!: string;
  @IsInt({ message: 'must be a whole number of pieces' })
  @Min(1, { message: 'must be at least one piece' })
  @Max(MOST_PIECES, { message: `must be at most ${MOST_PIECES} pieces` })
  quantity!: number;
  @NeededWord(priceBases) basis!: PriceBasis;
  @NeededWord(lineStates) state!: LineState;
  @NeededWord(steps) step!: Step;
  @IsBoolean({ message: 'must be true or false' }) locked!: boolean;
  @MayBeLeftOut() @MinorUnits() shippingMinor?: number;
  /** What the whole line really cost once it was paid, shipping and discount included; it stands in place of the price. */
  @MayBeLeftOut() @MinorUnits() paidMinor?: number;
  @MayBeLeftOut() @Day() paidOn?: string;
  /** What came back of a returned line; the rest of what was paid is lost. */
  @MayBeLeftOut() @MinorUnits() refundMinor?: number;
  /** Taken off by the seller at once, in percent of the line's price. */
  @StatedNumber('%', 0, 100) discountPercent?: number;
  /** Tax on the price and its shipping, in percent: in them already, or added when it is paid. */
  @StatedNumber('%', 0, 100) taxPercent?: number;
  @StatedYesNo() taxAdded?: boolean;
  /** Paid back later by the maker; shown beside the firm total, never counted in it. */
  @MayBeLeftOut() @MinorUnits() cashBackMinor?: number;
  /** The last day the cash-back can be claimed. */
  @MayBeLeftOut() @Day() cashBackUntil?: string;
  /** What is left after this line by a sum that somebody did by hand; below zero where it is over. */
  @MayBeLeftOut() @SignedMinorUnits() handRemainingMinor?: number;
  /** Hoped for when it is sold again. */
  @MayBeLeftOut() @MinorUnits() resaleMinor?: number;
  /** Weak legs, tired batteries: it works until it does not. */
  @StatedYesNo() worn?: boolean;
}

export type MicPlace = (typeof micPlaces)[number];

export type FurtherLampRole = (typeof furtherLampRoles)[number];
export type LampSide = (typeof lampSides)[number];

/** A lamp where a person has put it: the key or fill lamp, or one more with a role of its own. */
export class LampPlacing {
  @Id() lineId!: string;
  @NeededNumber('m', 0.1, 30, [0.3, 4]) distanceM!: number;
  @NeededNumber('°', 0, 180) angleDeg!: number;
  /** Left out for key and fill, which the rig names or the judge chooses. */
  @StatedWord(furtherLampRoles) role?: FurtherLampRole;
  /** As the camera sees it; left out where nobody has said. No figure depends on it. */
  @StatedWord(lampSides) side?: LampSide;
  /** What holds it; left out where the lightest that carries it well is taken. */
  @StatedText(60) standLineId?: string;
}

/**
 * How one angle is rigged, as far as the person has said so, each part by its line or `NO_PART`. Whatever is left
 * out is placed by the rules in `rigs/`, anew for every kit, so that a swapped part finds its own place.
 */
export class Rig {
  @Id() sceneId!: string;
  @Id() angleId!: string;
  @StatedText(60) bodyLineId?: string;
  @StatedText(60) lensLineId?: string;
  @StatedText(60) micLineId?: string;
  @StatedText(60) supportLineId?: string;
  @StatedText(60) filterLineId?: string;
  @StatedText(60) keyLampLineId?: string;
  @StatedText(60) fillLampLineId?: string;
  /** What the voice is recorded in: a recorder, or none, that is the camera. */
  @StatedText(60) recorderLineId?: string;
  @StatedNumber('mm', 1, 2000) focalLengthMm?: number;
  @StatedNumber('f/', 0.7, 64) apertureN?: number;
  @StatedNumber('s', 0.0001, 2) shutterS?: number;
  /** Picture profile by its name on the body; the ordinary one unless said. */
  @StatedText(60) profile?: string;
  @StatedWord(micPlaces) micPlace?: MicPlace;
  @MayBeLeftOut() @IsBoolean({ message: 'must be true or false' }) boostOn?: boolean;
  @MayBeLeftOut()
  @HoldsList(() => LampPlacing, { what: 'lamp places', max: MOST_LAMPS })
  lamps?: LampPlacing[];
}

export class Plan {
  @Id() id!: string;
  @NeededText(120) name!: string;
  @HoldsList(() => PlanLine, { what: 'lines', max: MOST_LINES })
  lines!: PlanLine[];
  @HoldsList(() => Rig, { what: 'rigs', max: MOST_RIGS })
  rigs!: Rig[];
}
