import { greatest } from 'd3-array';
import { applyAct } from '../acts/apply-act';
import { type TrackedJudgement, trackJudgement } from '../judge/incremental';
import type { PlanLine } from '../model/plan';
import type { Project } from '../model/project';
import { type SceneBounds, worthOf } from './bound/kit-bound';
import type { BodyBound, RigBound } from './bound/scene-bound';
import { onBoomArm } from './on-boom-arm';
import { bareProject, type PackFrame } from './pack-rules';
import { judged } from './packed-kit';

/**
 * The rigs may take all of the money, or less by steps of this ratio down to a share of it: what joins, powers and
 * stores takes the rest. The steps are the same amounts whatever the budget, so that who has more begins with all that
 * who has less begins with.
 */
const RATIO_OF_SPENDS = 1.3;
const LEAST_SHARE = 0.2;
/** Of each spend so many bodies. */
const BODIES_OF_A_SPEND = 6;

function spendsUpTo(mostMinor: number): number[] {
  const spends = [mostMinor];
  const least = Math.max(1, LEAST_SHARE * mostMinor);
  for (let step = Math.ceil(Math.log(mostMinor) / Math.log(RATIO_OF_SPENDS)) - 1; ; step--) {
    const spend = RATIO_OF_SPENDS ** step;
    if (spend < least) return spends.reverse();
    spends.push(spend);
  }
}

/**
 * Kits to begin with, by what the bound rests on: for several spends and the bodies a kit can be worth most
 * with, the lens, support, microphone and lamps that are best together. A lens and a lamp, or a body and its lens, are
 * often worth their place only at once: no kit one change away shows it. A microphone on a boom arm comes with the arm.
 */
export function promisingKits(frame: PackFrame, perScene: SceneBounds): Project[] {
  const bare = bareProject(frame);
  const bodies = [...new Set(perScene.flat().map(({ bodyLineId }) => bodyLineId))];
  const kits = new Map<string, Project>();
  let tracked: TrackedJudgement | undefined;
  for (const spend of spendsUpTo(frame.mostMinor)) {
    const best = (bounds: readonly BodyBound[]) =>
      greatest(
        bounds.flatMap(({ alone }) => rigWithin(alone, spend) ?? []),
        ({ merit }) => merit
      );
    const withOne = bodies
      .map((id) => perScene.map((all) => best(all.filter(({ bodyLineId }) => bodyLineId === id))))
      .map((rigs) => ({
        rigs,
        worth: worthOf(
          frame.project,
          rigs.map((rig) => rig?.merit ?? 0)
        )
      }))
      .sort((a, b) => b.worth - a.worth)
      .slice(0, BODIES_OF_A_SPEND)
      .map(({ rigs }) => rigs);
    for (const rigs of [...withOne, perScene.map(best)]) {
      const pieces = piecesOf(frame, rigs);
      const key = [...pieces].map(([{ id }, quantity]) => `${id} ${quantity}`).join();
      if (pieces.size === 0 || kits.has(key)) continue;
      const kit = withPieces(bare, pieces);
      const hung = rigs.find((rig) => rig?.onBoomArm !== undefined)?.onBoomArm;
      tracked ??= trackJudgement(bare, judged(bare, frame.shelf));
      kits.set(key, (hung !== undefined && onBoomArm(tracked, kit, frame, hung)?.project) || kit);
    }
  }
  return [...kits.values()];
}

/** The best rig for at most so much. */
const rigWithin = (rigs: readonly RigBound[], mostMinor: number): RigBound | undefined =>
  greatest(
    rigs.filter(({ priceMinor }) => priceMinor <= mostMinor),
    ({ merit }) => merit
  );

/** What the rigs take beside what stays, and how many of each: what one scene uses another can use as well. */
function piecesOf(
  frame: PackFrame,
  rigs: readonly (RigBound | undefined)[]
): Map<PlanLine, number> {
  const pieces = new Map<PlanLine, number>();
  for (const rig of rigs)
    for (const line of rig?.lines ?? [])
      if (!frame.isFixed(line)) {
        const inRig = rig!.lines.filter(({ id }) => id === line.id).length;
        const known = [...pieces.keys()].find(({ id }) => id === line.id) ?? line;
        pieces.set(known, Math.max(pieces.get(known) ?? 0, inRig));
      }
  return pieces;
}

const withPieces = (bare: Project, pieces: ReadonlyMap<PlanLine, number>): Project =>
  [...pieces].reduce(
    (now, [line, quantity]) => applyAct(now, { type: 'add line', line: { ...line, quantity } }),
    bare
  );
