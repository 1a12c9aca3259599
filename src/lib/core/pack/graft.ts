import { least } from 'd3-array';
import { applyAct } from '../acts/apply-act';
import { completeKit } from '../judge/complete-kit';
import type { AngleJudgement, TrackedJudgement } from '../judge/incremental';
import type { Judgement } from '../judge/judgement';
import { activePlan } from '../model/active-plan';
import type { GearItem } from '../model/gear';
import { newLine } from '../model/new-line';
import type { PlanLine } from '../model/plan';
import type { Project } from '../model/project';
import { carries, holdsItself, lampStandOf } from '../rigs/lamp-stand';
import type { BodyBound, RigBound } from './bound/scene-bound';
import { onBoomArm } from './on-boom-arm';
import { settled } from './beginnings';
import { spendableOf } from './front-steps';
import type { PackFrame } from './pack-rules';
import { filmsAll, judged } from './packed-kit';

/** Lines of a rig beside its body. */
const linesOf = ({ rig }: AngleJudgement) => {
  const { lens, support, boom, mic, keyLamp, fillLamp } = rig;
  return [
    lens?.lineId,
    support?.line.id,
    boom?.line.id,
    mic?.line.id,
    keyLamp?.part.line.id,
    fillLamp?.part.line.id,
    lampStandOf(rig)?.line.id
  ].filter((id) => id !== undefined);
};

/**
 * A kit in which one scene is filmed by other parts with the same body: lens, support, microphone and lamps at once, each
 * with what joins it; what other scenes use stays, and so does what powers, records and copies. Several parts often
 * pay only together, so no kit one change away shows it.
 *
 * @param tracked the judgement of the kit
 */
export function grafted(
  tracked: TrackedJudgement,
  project: Project,
  { angles }: Judgement,
  frame: PackFrame,
  angle: AngleJudgement,
  rig: RigBound
): Project {
  const elsewhere = new Set(angles.filter((other) => other !== angle).flatMap(linesOf));
  const wanted = new Map<string, number>();
  for (const { gearId } of rig.lines) wanted.set(gearId, (wanted.get(gearId) ?? 0) + 1);
  let now = project;
  for (const id of new Set(linesOf(angle))) {
    const line = activePlan(now).lines.find((line) => line.id === id);
    if (line && !elsewhere.has(id) && !frame.isFixed(line) && !wanted.has(line.gearId))
      now = applyAct(now, { type: 'remove line', lineId: id });
  }
  for (const [gearId, quantity] of wanted) {
    const there = activePlan(now).lines.find((line) => line.gearId === gearId);
    const gear = frame.shelf.byId.get(gearId)!;
    if (!there) {
      const line = newLine(activePlan(now), gear, quantity);
      now = applyAct(now, { type: 'add line', line: { ...line, basis: frame.basisOf(gear) } });
    } else if (there.quantity < quantity && !frame.isFixed(there))
      now = applyAct(now, { type: 'change line', lineId: there.id, patch: { quantity } });
  }
  for (const line of standsFor(now, frame, wanted.keys()))
    now = applyAct(now, { type: 'add line', line });
  const hangs = rig.lines.find(({ id }) => id === rig.onBoomArm);
  const mic = hangs && activePlan(now).lines.find(({ gearId }) => gearId === hangs.gearId);
  const hung = mic && onBoomArm(tracked, now, frame, mic.id);
  const { project: kit, judgement } = hung ?? completeKit(tracked, now, frame.shelf);
  // A lamp may be too heavy for the stand that is there.
  return judgement.merit.stops > 0 ? settled(frame, kit) : kit;
}

/** The cheapest stand that bears the lamps well, where none that is there does. */
function standsFor(project: Project, frame: PackFrame, gearIds: Iterable<string>): PlanLine[] {
  const plan = activePlan(project);
  const lamps = [...gearIds].flatMap((id) => {
    const gear = frame.shelf.byId.get(id);
    return gear?.kind === 'lamp' && !holdsItself(gear) ? gear : [];
  });
  const bears = (gear: GearItem | undefined) =>
    gear?.kind === 'support' &&
    gear.form === 'light stand' &&
    lamps.every((lamp) => carries(gear, lamp) === 'fine');
  if (lamps.length === 0 || plan.lines.some(({ gearId }) => bears(frame.shelf.byId.get(gearId))))
    return [];
  const cheapest = least(frame.parts.support.filter(bears), (gear) => frame.priceOf(gear)!);
  return cheapest ? [{ ...newLine(plan, cheapest), basis: frame.basisOf(cheapest) }] : [];
}

/** Past the budget by more than this share nothing is taken out of a kit to bring it within. */
const MOST_PAST = 1.15;
const MOST_TAKEN_OUT = 5;

/**
 * A kit brought within the budget: what it is as good without goes, then what costs most for what it brings.
 *
 * @returns undefined where that takes more than a few parts
 */
export function broughtWithin(project: Project, frame: PackFrame): Project | undefined {
  const mostMinor = spendableOf(frame.project);
  let now = project;
  let judgement = judged(now, frame.shelf);
  if (judgement.money.firmMinor > MOST_PAST * mostMinor) return undefined;
  for (let out = 0; judgement.money.firmMinor > mostMinor; out++) {
    if (out === MOST_TAKEN_OUT) return undefined;
    const { meritHundredths } = judgement.merit;
    const spent = judgement.money.firmMinor;
    const without = activePlan(now)
      .lines.filter((line) => !frame.isFixed(line))
      .map((line) => applyAct(now, { type: 'remove line', lineId: line.id }))
      .map((kit) => ({ kit, judgement: judged(kit, frame.shelf) }))
      .filter(
        ({ judgement: { merit, money } }) =>
          filmsAll(merit) && merit.stops === 0 && money.firmMinor < spent
      );
    const lossPerMinor = ({ judgement: { merit, money } }: (typeof without)[number]) =>
      Math.max(0, meritHundredths - merit.meritHundredths) /
      (spent - Math.max(mostMinor, money.firmMinor));
    const next = least(without, (a, b) => lossPerMinor(a) - lossPerMinor(b));
    if (!next) return undefined;
    ({ kit: now, judgement } = next);
  }
  return now;
}

/** So many rigs of a scene are put into the best kit, and the best rig of so many other bodies. */
const MOST_GRAFTS = 30;
const MOST_OTHER_BODIES = 4;

/** Rigs of a scene that may be worth more than it is now: with its body, then the best with each of some others. */
export function pairsAbove(
  merit: number,
  bounds: readonly BodyBound[],
  bodyId: string | undefined
): readonly RigBound[] {
  const better = ({ pairs }: BodyBound) => pairs.filter((pair) => pair.merit > merit);
  const own = bounds.filter((bound) => bound.bodyId === bodyId).flatMap(better);
  const others = bounds
    .filter((bound) => bound.bodyId !== bodyId)
    .flatMap((bound) => better(bound).slice(0, 1))
    .sort((a, b) => b.merit - a.merit);
  return [...own.slice(0, MOST_GRAFTS), ...others.slice(0, MOST_OTHER_BODIES)];
}
