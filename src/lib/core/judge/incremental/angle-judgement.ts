import type { FigureRecord } from '../../figures/record';
import type { FigureId } from '../../figures/table';
import type { Finding } from '../../findings/finding';
import type { Angle, Scene } from '../../model/scene';
import type { PlacedRig } from '../../rigs/placed-rig';

export interface AngleJudgement {
  scene: Scene;
  angle: Angle;
  rig: PlacedRig;
  record: FigureRecord;
}

/** An answer to a question, tried before it is known: what would the verdict be? */
export interface SupposedAnswer {
  leaf: FigureId;
  /** The part it would be stated on. */
  lineId: string | undefined;
  value: number;
}

/** A row of the finding table that could not be ruled out, by its number, for a figure it reads is unknown. */
export type OpenRow = number;

/** What judges single rows, or finds them judged already. */
export interface RowSource {
  rowReused(row: number, angle: number): Finding | OpenRow | undefined;
}
