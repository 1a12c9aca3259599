import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { swapFor } from '../findings/part-candidates';
import { completeKit } from '../judge/complete-kit';
import { type HowToPlace, trackJudgement } from '../judge/incremental';
import type { Judgement } from '../judge/judgement';
import { remediesFor } from '../judge/settle';
import { keepsBrief } from '../judge/settle-all';
import { activePlan } from '../model/active-plan';
import { describeKind, type GearItem, pocketOf } from '../model/gear';
import { newLine } from '../model/new-line';
import type { PlanLine } from '../model/plan';
import { type Pocket, pockets } from '../model/pocket';
import type { Project } from '../model/project';
import { hangs, hangsFromBoom, isBoomArm, onBoomArm } from './on-boom-arm';
import type { PackFrame } from './pack-rules';

/** A kit one change away, with what joins it. */
export interface Neighbour {
  project: Project;
  judgement: Judgement;
  /** The part that came in; undefined where only something went. */
  gearId: string | undefined;
  /** The part whose place it took; undefined where it came beside the rest. */
  replaced: string | undefined;
}

/** Of this finding's remedies so many are tried. */
const MOST_REMEDIED = 3;

/** Pockets of what is counted, or does two jobs at once, as a lamp that is key and fill. */
const inPieces: ReadonlySet<Pocket> = new Set(['power', 'storage', 'light']);

const jobOf = (gear: GearItem): string => describeKind(gear).job?.(gear) ?? gear.kind;

/** Lines that do the job a part would do, and may go. */
function rivals(lines: readonly PlanLine[], gear: GearItem, frame: PackFrame): PlanLine[] {
  const job = jobOf(gear);
  return lines.filter((line) => {
    if (frame.isFixed(line)) return false;
    const there = frame.shelf.byId.get(line.gearId);
    return there !== undefined && jobOf(there) === job;
  });
}

/**
 * Every kit one change away: a part in the place of each that does its job, or beside them; a part gone; a piece more
 * or fewer of what is counted; and what would mend the worst that stops it. Each comes with its joining parts, and a
 * microphone that can hang from a boom arm also with the arm.
 *
 * @param isWanted leaves out parts that are not worth trying again
 * @param howToPlace whether all parts are put where they are best, or only what is new; the first takes several times as long
 */
export function* neighboursOf(
  project: Project,
  before: Judgement,
  frame: PackFrame,
  isWanted: (gear: GearItem) => boolean = () => true,
  howToPlace: HowToPlace = 'as before'
): Generator<Neighbour, void, void> {
  const plan = activePlan(project);
  const { shelf } = frame;
  const tracked = trackJudgement(project, before);
  const spent = before.money.firmMinor;
  const costOf = (line: PlanLine) =>
    before.money.lines.find((statement) => statement.line.id === line.id)?.firmMinor ?? 0;
  const made = (act: Act, gearId?: string, replaced?: string): Neighbour => {
    const { project: after, judgement } = completeKit(tracked, applyAct(project, act), shelf, {
      howToPlace
    });
    return { project: after, judgement, gearId, replaced };
  };
  function* hung(act: Act, micLineId: string, gearId: string, replaced?: string) {
    const kit = onBoomArm(tracked, applyAct(project, act), frame, micLineId);
    if (kit) yield { ...kit, gearId, replaced };
  }
  /** A microphone put in, and hung from a boom arm where it does not hang yet. */
  function* madeOrHung(act: Act, line: PlanLine, gear: GearItem, replaced?: string) {
    const neighbour = made(act, gear.id, replaced);
    yield neighbour;
    if (hangsFromBoom(gear) && !hangs(neighbour.judgement, line.id))
      yield* hung(act, line.id, gear.id, replaced);
  }
  for (const line of plan.lines)
    if (!frame.isFixed(line)) {
      yield made({ type: 'remove line', lineId: line.id });
      const gear = shelf.byId.get(line.gearId);
      const pocket = gear && pocketOf(gear);
      if (!pocket || !inPieces.has(pocket)) continue;
      yield made({ type: 'step quantity', lineId: line.id, by: 1 }, line.gearId);
      if (line.quantity > 1) yield made({ type: 'step quantity', lineId: line.id, by: -1 });
    }
  const there = new Set(plan.lines.map(({ gearId }) => gearId));
  for (const pocket of pockets)
    for (const gear of frame.parts[pocket]) {
      if (there.has(gear.id) || !isWanted(gear)) continue;
      const price = frame.priceOf(gear)!;
      const line = { ...newLine(plan, gear), basis: frame.basisOf(gear) };
      for (const rival of rivals(plan.lines, gear, frame))
        if (spent - costOf(rival) + price <= frame.mostMinor) {
          const swap = swapFor(rival.id)({ ...line, quantity: rival.quantity });
          yield* madeOrHung(swap, line, gear, rival.gearId);
        }
      if (spent + price > frame.mostMinor) continue;
      const add: Act = { type: 'add line', line };
      yield* madeOrHung(add, line, gear);
      if (isBoomArm(gear))
        for (const { id, gearId } of plan.lines)
          if (hangsFromBoom(shelf.byId.get(gearId))) yield* hung(add, id, gear.id);
    }
  const stop = before.findings.find(({ severity }) => severity === 'stop');
  if (!stop) return;
  for (const { act } of remediesFor(project, shelf, before, stop).slice(0, MOST_REMEDIED)) {
    const after = applyAct(project, act);
    // A remedy may also change the brief: that is the person's to do.
    if (!keepsBrief(project, after)) continue;
    const { project: whole, judgement } = completeKit(tracked, after, shelf);
    yield { project: whole, judgement, gearId: undefined, replaced: undefined };
  }
}
