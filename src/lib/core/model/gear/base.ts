import { Type } from 'class-transformer';
import { IsArray, IsOptional, ValidateNested, IsObject } from 'class-validator';
import { NeededText, StatedNumber, StatedText, StatedYesNo } from '../stated';
import { Port } from '../ports';
import { Price } from './price';

/** Outer size with the part folded or retracted, as carried. */
export class SizeMm {
  @StatedNumber('mm', 0.1, 5000) width?: number;
  @StatedNumber('mm', 0.1, 5000) height?: number;
  @StatedNumber('mm', 0.1, 5000) depth?: number;
}

/** What every part has, whatever it is. Every specification may be unsaid. */
export abstract class GearBase {
  @NeededText(80) id!: string;
  abstract kind: string;
  @NeededText(120) maker!: string;
  @NeededText(200) model!: string;
  @IsOptional()
  @IsObject({ message: 'must be an object' })
  @ValidateNested()
  @Type(() => Price)
  priceNew?: Price;
  @IsOptional()
  @IsObject({ message: 'must be an object' })
  @ValidateNested()
  @Type(() => Price)
  priceUsed?: Price;
  @StatedNumber('g', 0.1, 60_000) massG?: number;
  @IsOptional()
  @IsObject({ message: 'must be an object' })
  @ValidateNested()
  @Type(() => SizeMm)
  sizeMm?: SizeMm;
  @IsArray({ message: 'must be a list of ports' })
  @IsObject({ each: true, message: 'must hold objects only' })
  @ValidateNested({ each: true })
  @Type(() => Port)
  ports!: Port[];
  /** Made or rebuilt at home. */
  @StatedYesNo() ownMade?: boolean;
  @StatedText() note?: string;
}
