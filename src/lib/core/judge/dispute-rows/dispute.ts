import type { Act } from '../../acts/act';
import type { Pocket } from '../../model/pocket';
import type { Project } from '../../model/project';
import type { Shelf } from '../../model/shelf';
import type { Judgement } from '../judgement';

/** One of the ways practitioners go, and what they say for it. */
export interface Side {
  name: string;
  says: string;
}

export interface DisputeContext {
  project: Project;
  shelf: Shelf;
  judgement: Judgement;
}

/** Something on which practitioners disagree, each with reason. */
export interface DisputeRow {
  question: string;
  sides: readonly Side[];
  /** Where it is decided: in the brief, or in the pocket the part goes into. */
  where: 'brief' | Pocket;
  /** True when something of the project turns on it. */
  arises: (context: DisputeContext) => boolean;
  /** Sides the kit is on; several where its scenes differ or it serves both. */
  standing: (context: DisputeContext) => readonly boolean[];
  /** Where only some of it is on a side, the rest can go over. A part that is of one side needs no other of it. */
  byDegrees?: true;
  /** Ways to go over to a side; the best of them for the whole kit is told. */
  ways: (context: DisputeContext, side: number) => readonly Act[];
}
