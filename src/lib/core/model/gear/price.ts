import { IsInt, IsOptional, Matches, Max, Min } from 'class-validator';
import { NeededText } from '../stated';

const wholeMinor = 'must be a whole number of minor units (pence, cents), not negative';

function MinorUnits(): PropertyDecorator {
  return (target, key) => {
    IsInt({ message: wholeMinor })(target, key as string);
    Min(0, { message: wholeMinor })(target, key as string);
    Max(1e12, { message: wholeMinor })(target, key as string);
  };
}

/** What a part was seen for, on a day, somewhere. `low` and `high` stand for the spread of offers. */
export class Price {
  @MinorUnits() likely!: number;
  @IsOptional() @MinorUnits() low?: number;
  @IsOptional() @MinorUnits() high?: number;
  @Matches(/^[A-Z]{3}$/, { message: 'must be a three-letter currency code such as GBP' })
  currency!: string;
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'must be a day written as YYYY-MM-DD' })
  date!: string;
  @NeededText(200) source!: string;
  /** Last day this price holds. */
  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'must be a day written as YYYY-MM-DD' })
  dealEnds?: string;
}
