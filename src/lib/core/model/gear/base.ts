import { Holds, HoldsList, Id, NeededText, StatedNumber, StatedText, StatedYesNo } from '../stated';
import { MOST_PORTS } from '../limits';
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
  @Id(80) id!: string;
  abstract kind: string;
  @NeededText(120) maker!: string;
  @NeededText(200) model!: string;
  @Holds(() => Price)
  priceNew?: Price;
  @Holds(() => Price)
  priceUsed?: Price;
  @StatedNumber('g', 0.1, 60_000) massG?: number;
  @Holds(() => SizeMm)
  sizeMm?: SizeMm;
  @HoldsList(() => Port, { what: 'ports', max: MOST_PORTS })
  ports!: Port[];
  /** Made or rebuilt at home. */
  @StatedYesNo() ownMade?: boolean;
  @StatedText() note?: string;
}
