import { CurrencyCode, Day, MayBeLeftOut, MinorUnits, NeededText } from '../stated';

/** What a part was seen for, on a day, somewhere. `low` and `high` stand for the spread of offers. */
export class Price {
  @MinorUnits() likely!: number;
  @MayBeLeftOut() @MinorUnits() low?: number;
  @MayBeLeftOut() @MinorUnits() high?: number;
  @CurrencyCode() currency!: string;
  @Day() date!: string;
  @NeededText(200) source!: string;
  /** Last day this price holds. */
  @MayBeLeftOut() @Day() dealEnds?: string;
}
