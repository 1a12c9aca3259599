import type { Act } from '../acts/act';
import { ActError, applyAct } from '../acts/apply-act';
import { compareKits } from '../merit/kit-merit';
import type { Pocket } from '../model/pocket';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import {
  type DisputeContext,
  type DisputeId,
  type DisputeRow,
  disputes,
  type Side
} from './dispute-table';
import type { Judgement } from './judgement';
import { completeKit } from './complete-kit';
import { trackJudgement } from './incremental';
import { type FindingChange, whatChanges } from './what-changes';

/** What going the other way would do to this kit, accessories included. */
export interface OtherWay {
  act: Act;
  /** Parts that would come in. */
  takes: string[];
  costMinor: number;
  /** Merit of the kit once unblocked, in hundredths of a point, before and after. */
  meritBeforeHundredths: number;
  meritAfterHundredths: number;
  settles: FindingChange[];
  breaks: FindingChange[];
}

export interface DisputeView {
  id: DisputeId;
  question: string;
  where: 'brief' | Pocket;
  sides: (Side & { stands: boolean; otherWay: OtherWay | undefined })[];
}

function otherWay(context: DisputeContext, row: DisputeRow, side: number): OtherWay | undefined {
  const { project, shelf, judgement: before } = context;
  const had = new Set(before.money.lines.map(({ line }) => line.id));
  let best: { way: OtherWay; after: Judgement } | undefined;
  for (const act of row.ways(context, side)) {
    let changed: Project;
    try {
      changed = applyAct(project, act);
    } catch (error) {
      if (error instanceof ActError) continue;
      throw error;
    }
    const { acts, judgement: after } = completeKit(trackJudgement(project, before), changed, shelf);
    const costMinor = after.money.firmMinor - before.money.firmMinor;
    const better =
      best === undefined ||
      (compareKits(after.merit, best.after.merit) ||
        after.merit.onceSettledHundredths - best.after.merit.onceSettledHundredths ||
        best.way.costMinor - costMinor) > 0;
    if (!better) continue;
    best = {
      after,
      way: {
        act: acts.length > 0 ? { type: 'batch', acts: [act, ...acts] } : act,
        takes: after.money.lines.flatMap(({ line, gear }) =>
          had.has(line.id) || !gear ? [] : [gear.model]
        ),
        costMinor,
        meritBeforeHundredths: before.merit.onceSettledHundredths,
        meritAfterHundredths: after.merit.onceSettledHundredths,
        ...whatChanges(before, after)
      }
    };
  }
  return best?.way;
}

/**
 * Where practitioners disagree and something of this project turns on it: what each side says, on
 * which side the kit is, and what going the other way would do to it.
 *
 * @param where only what is decided there
 */
export function disputesOf(
  project: Project,
  shelf: Shelf,
  judgement: Judgement,
  where?: 'brief' | Pocket
): DisputeView[] {
  const context = { project, shelf, judgement };
  const views: DisputeView[] = [];
  for (const [id, row] of Object.entries(disputes) as [DisputeId, DisputeRow][]) {
    if ((where !== undefined && row.where !== where) || !row.arises(context)) continue;
    const standing = row.standing(context);
    const alone = standing.filter(Boolean).length === 1;
    const gone = (index: number) => standing[index]! && (alone || row.byDegrees !== true);
    views.push({
      id,
      question: row.question,
      where: row.where,
      sides: row.sides.map((side, index) => ({
        ...side,
        stands: standing[index]!,
        otherWay: gone(index) ? undefined : otherWay(context, row, index)
      }))
    });
  }
  return views;
}
