import { IsInt, Max, Min } from 'class-validator';
import { MOST_PIECES } from './limits';
import {
  CurrencyCode,
  Day,
  Id,
  MayBeLeftOut,
  MinorUnits,
  NeededText,
  NeededWord,
  StatedText
} from './stated';
import { pieceStates } from './word-lists';

export type PieceState = (typeof pieceStates)[number];

/** What a person knows of something they own: it belongs to the person, whatever projects count on it. */
export class OwnedPiece {
  @Id() id!: string;
  @Id(80) gearId!: string;
  /** As the shelf called it when this was written, should the part leave the shelf. */
  @NeededText(200) name!: string;
  @IsInt({ message: 'must be a whole number of pieces' })
  @Min(1, { message: 'must be at least one piece' })
  @Max(MOST_PIECES, { message: `must be at most ${MOST_PIECES} pieces` })
  quantity!: number;
  @NeededWord(pieceStates) state!: PieceState;
  @MayBeLeftOut() @Day() boughtOn?: string;
  @MayBeLeftOut() @MinorUnits() paidMinor?: number;
  /** Of what was paid and what it was sold for. */
  @MayBeLeftOut() @CurrencyCode() currency?: string;
  @MayBeLeftOut() @Day() checkedOn?: string;
  @StatedText(120) lentTo?: string;
  @MayBeLeftOut() @Day() lentUntil?: string;
  @MayBeLeftOut() @MinorUnits() soldMinor?: number;
  @MayBeLeftOut() @Day() soldOn?: string;
  @StatedText(500) note?: string;
}
