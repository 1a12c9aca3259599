import type { GearItem } from '../model/gear';

/** A part that leads from one end to another: what can stand between two ports. */
export interface JoiningPart {
  gear: GearItem;
  /** 0 when it lies in the kit already. */
  costMinor: number;
  /** The piece of the bag; parts to buy have none and there are as many as one likes. */
  lineId?: string;
  /** Pieces of it there are, where one entry stands for several; one unless said. */
  pieces?: number;
}

/** Parts in a row that lead from one port to another. */
export interface Chain {
  parts: JoiningPart[];
  costMinor: number;
  /** What each step joins, in words a person can follow with a finger. */
  readonly steps: string[];
}
