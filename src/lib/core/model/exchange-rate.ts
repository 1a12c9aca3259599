import { CurrencyCode, Day, NeededNumber } from './stated';

/** What one unit of another currency costs in the project's own, on a day. */
export class ExchangeRate {
  @CurrencyCode() currency!: string;
  /** Units of the project's currency for one unit of this one. */
  @NeededNumber('×', 1e-6, 1e6) perUnit!: number;
  @Day() date!: string;
}
