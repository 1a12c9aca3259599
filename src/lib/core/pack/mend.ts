import { applyAct } from '../acts/apply-act';
import { settlingAll } from '../judge/settle-all';
import type { Judgement } from '../judge/judgement';
import type { Shelf } from '../model/shelf';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { changedLines } from './kit-changes';
import { isNoFurtherPast } from './limits';
import { neighboursOf } from './neighbours';
import { frameOf, type PackRules } from './pack-rules';
import { compareWorth, filmsAll, judged, kitOf, type PackedKit, withKit } from './packed-kit';

/** A kit that films all that must be filmed, a few changes away from the plan. */
export interface MendedKit extends PackedKit {
  changed: number;
}

export interface Mending {
  /** Nothing has to be mended. */
  isWhole: boolean;
  fewestLines: MendedKit | undefined;
  leastMoney: MendedKit | undefined;
  /** The best that was reached where nothing unblocks all of it. */
  nearest: MendedKit;
  judged: number;
  isDone: boolean;
}

/** Changes one after the other: what takes more is a new kit rather than a mended one. */
const MOST_CHANGES = 5;
/** After each change it goes on from so many kits by money and so many by lines. */
const BEAM = 4;
/** Stops whose remedies are looked for in all. */
const LOOKED_AT = 60;
/** Once all scenes work, so many changes more are tried for a cheaper way. */
const FURTHER = 1;

/**
 * The smallest change of a plan that unblocks every scene that must work, keeping what is locked or owned: by fewest
 * lines and by least money. Begins with what the remedies of its stops come to, and looks a change further each time from the kits that come nearest; what it finds is
 * judged whole, and is the best found.
 */
export function* mending(
  given: Project,
  whole: Shelf,
  rules: PackRules
): Generator<Mending, Mending, void> {
  const frame = frameOf(given, whole, rules);
  const { project, shelf } = frame;
  const start = judged(project, shelf);
  const { lines } = activePlan(project);
  const mended = (kit: PackedKit): MendedKit => ({
    ...kit,
    changed: changedLines(lines, kit.lines, shelf)
  });
  const mayBeTaken = (kit: Project, judgement: Judgement) =>
    frame.respects(activePlan(kit).lines) && isNoFurtherPast(frame, judgement, start);
  const now: Mending = {
    isWhole: filmsAll(start.merit),
    fewestLines: undefined,
    leastMoney: undefined,
    nearest: mended(kitOf(project, start)),
    judged: 1,
    isDone: false
  };
  if (now.isWhole) return { ...now, isDone: true };
  let beam: PackedKit[] = [now.nearest];
  // What the remedies of each stop come to is often several changes at once, and the least there is.
  const settling = settlingAll(project, shelf, { mostLooked: LOOKED_AT, briefStays: true });
  let settled = settling.next();
  for (; settled.done !== true; settled = settling.next()) yield { ...now };
  const { fewestChanges, mostWorth, ...cheapest } = settled.value;
  for (const way of [cheapest, fewestChanges, mostWorth]) {
    if (!way?.act) continue;
    const kit = applyAct(project, way.act);
    const judgement = judged(kit, shelf);
    now.judged += 1;
    beam.push(kitOf(kit, judgement));
    if (filmsAll(judgement.merit) && mayBeTaken(kit, judgement)) take(now, mended(beam.at(-1)!));
  }
  let further = 0;
  for (let depth = 0; depth < MOST_CHANGES && further <= FURTHER; depth++) {
    const reached = new Map<string, PackedKit>();
    for (const kit of beam) {
      const from = withKit(project, kit);
      for (const neighbour of neighboursOf(from, judged(from, shelf), frame)) {
        now.judged += 1;
        const next = kitOf(neighbour.project, neighbour.judgement);
        reached.set(keyOf(next), next);
        if (filmsAll(next.merit) && mayBeTaken(neighbour.project, neighbour.judgement))
          take(now, mended(next));
      }
      yield { ...now };
    }
    const kits = [...reached.values()].sort(nearer);
    const changed = new Map(kits.map((kit) => [kit, changedLines(lines, kit.lines, shelf)]));
    const fewer = [...kits].sort((a, b) => unblocksMore(a, b) || changed.get(a)! - changed.get(b)!);
    beam = [...new Set([...kits.slice(0, BEAM), ...fewer.slice(0, BEAM)])];
    const best = beam[0];
    if (best && compareWorth(best.merit, now.nearest.merit) > 0) now.nearest = mended(best);
    if (now.fewestLines) further += 1;
  }
  return { ...now, isDone: true };
}

const keyOf = ({ lines }: PackedKit): string =>
  lines
    .map(({ gearId, quantity }) => `${gearId} ${quantity}`)
    .sort()
    .join('|');

/** More that works, fewer stops. */
const unblocksMore = (a: PackedKit, b: PackedKit): number =>
  b.merit.mustDoWorking - a.merit.mustDoWorking || a.merit.stops - b.merit.stops;

/** Of what unblocks as much, less money. */
const nearer = (a: PackedKit, b: PackedKit): number =>
  unblocksMore(a, b) ||
  a.priceMinor - b.priceMinor ||
  b.merit.onceSettledHundredths - a.merit.onceSettledHundredths;

function take(now: Mending, kit: MendedKit): void {
  const { fewestLines, leastMoney } = now;
  const isFewer =
    !fewestLines ||
    kit.changed < fewestLines.changed ||
    (kit.changed === fewestLines.changed &&
      (kit.priceMinor < fewestLines.priceMinor ||
        (kit.priceMinor === fewestLines.priceMinor &&
          compareWorth(kit.merit, fewestLines.merit) > 0)));
  if (isFewer) now.fewestLines = kit;
  const isCheaper =
    !leastMoney ||
    kit.priceMinor < leastMoney.priceMinor ||
    (kit.priceMinor === leastMoney.priceMinor && kit.changed < leastMoney.changed);
  if (isCheaper) now.leastMoney = kit;
}
