import { figureOf } from '../figures/record';
import type { FigureId } from '../figures/table';
import type { Judgement } from '../judge/judgement';
import { type Pocket, pockets } from '../model/pocket';
import type { PackFrame } from './pack-rules';

/** What a person may limit beside the budget: a pocket, the price of one part, mass carried, minutes to set up, switches. */
export type LimitName = Pocket | 'one part' | 'carriedMass' | 'setUp' | 'switches';

/** A limit that is set, and what a kit takes of it. */
export interface LimitTaken {
  limit: LimitName;
  most: number;
  takes: number;
}

/** Every limit that is set, with what a kit takes of it. What stays whatever is packed breaks none of those on money. */
export function limitsTaken(
  { project, isFixed }: PackFrame,
  { money, angles, kit }: Judgement
): LimitTaken[] {
  const taken: LimitTaken[] = [];
  const note = (limit: LimitName, most: number | undefined, takes: () => number) => {
    if (most !== undefined) taken.push({ limit, most, takes: takes() });
  };
  const chosen = money.lines.filter(({ line }) => !isFixed(line));
  for (const pocket of pockets)
    if (chosen.some((statement) => statement.pocket === pocket))
      note(pocket, money.pockets[pocket].limitMinor, () => money.pockets[pocket].firmMinor);
  note('one part', project.itemLimitMinor, () =>
    Math.max(0, ...chosen.map(({ unitMinor = 0, firmMinor }) => (firmMinor > 0 ? unitMinor : 0)))
  );
  const most = (figure: FigureId) => () =>
    Math.max(0, ...angles.map(({ record }) => figureOf(record, figure) ?? 0));
  if (kit.parts.length > 0) note('carriedMass', project.carriedLimitKg, most('carriedMass'));
  note('setUp', project.setUpLimitMin, most('setUp'));
  note('switches', project.switchLimit, most('switches'));
  return taken;
}

/** What the person has set beside the budget is kept to. */
export const keepsLimits = (frame: PackFrame, judgement: Judgement): boolean =>
  limitsTaken(frame, judgement).every(({ most, takes }) => takes <= most);

/** Every limit is kept to, or passed by no more than before. */
export function isNoFurtherPast(
  frame: PackFrame,
  judgement: Judgement,
  before: Judgement
): boolean {
  const then = new Map(limitsTaken(frame, before).map(({ limit, takes }) => [limit, takes]));
  return limitsTaken(frame, judgement).every(
    ({ limit, most, takes }) => takes <= Math.max(most, then.get(limit) ?? most)
  );
}
