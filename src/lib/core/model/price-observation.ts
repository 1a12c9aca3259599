import type { PriceBasis } from './plan';
import { CurrencyCode, Day, Id, MayBeLeftOut, MinorUnits, NeededText, NeededWord } from './stated';
import { priceBases } from './word-lists';

/** A price as it was seen, on a day, somewhere. It changes nothing until a person plans with it. */
export class PriceObservation {
  @Id(80) gearId!: string;
  @NeededWord(priceBases) basis!: PriceBasis;
  @MinorUnits() priceMinor!: number;
  @CurrencyCode() currency!: string;
  @Day() date!: string;
  @NeededText(200) source!: string;
  /** Last day this price holds. */
  @MayBeLeftOut() @Day() dealEnds?: string;
}

/** Asks to be told once a part is seen for so little. */
export class PriceAlert {
  @Id(80) gearId!: string;
  @NeededWord(priceBases) basis!: PriceBasis;
  /** In the project's currency. */
  @MinorUnits() atMostMinor!: number;
}

/** Money that comes in once: a commission, a part sold. */
export class Income {
  @Id() id!: string;
  @NeededText(120) label!: string;
  @Day() date!: string;
  /** In the project's currency. */
  @MinorUnits() amountMinor!: number;
}
