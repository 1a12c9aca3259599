import { axes, type Axis } from '../merit/axis-curves';
import type { KitMerit } from '../merit/kit-merit';
import { activePlan } from '../model/active-plan';
import { type GearItem, pocketOf } from '../model/gear';
import { type Pocket, pockets } from '../model/pocket';
import type { Project } from '../model/project';
import { neighboursOf } from './neighbours';
import type { PackFrame } from './pack-rules';
import { spendableOf } from './front-steps';
import { compareWorth, judged, type PackedKit, withKit } from './packed-kit';

/** The next best part of a pocket, and what the kit loses by it. */
export interface RunnerUp {
  pocket: Pocket;
  gear: GearItem;
  replaces: GearItem;
  priceMinor: number;
  /** Below zero where the kit is worse with it. */
  gainHundredths: number;
  /** It stops a scene that works now. */
  loses: string | undefined;
  /** What falls furthest: an axis of a scene. */
  most: { axis: Axis; scene: string; points: number } | undefined;
}

/** Where a kit is weaker than another, by the axis that falls furthest. */
function largestFall(before: KitMerit, after: KitMerit, { scenes }: Project): RunnerUp['most'] {
  let most: RunnerUp['most'];
  for (const [index, scene] of before.scenes.entries())
    for (const axis of axes) {
      const had = scene.axes[axis]?.low;
      const has = after.scenes[index]?.axes[axis]?.low;
      if (had === undefined || has === undefined) continue;
      if (had - has > (most?.points ?? 0.5))
        most = { axis, scene: scenes[index]?.name ?? '', points: had - has };
    }
  return most;
}

/** Pocket by pocket the best other part within the budget, and what the kit would lose by it. */
export function runnersUp(frame: PackFrame, kit: Pick<PackedKit, 'lines' | 'rigs'>): RunnerUp[] {
  const { shelf } = frame;
  const project = withKit(frame.project, kit);
  const before = judged(project, shelf);
  const best = new Map<Pocket, { runnerUp: RunnerUp; merit: KitMerit }>();
  for (const { project: next, judgement, gearId, replaced } of neighboursOf(
    project,
    before,
    frame
  )) {
    if (!frame.respects(activePlan(next).lines)) continue;
    const gear = gearId === undefined ? undefined : shelf.byId.get(gearId);
    const replaces = replaced === undefined ? undefined : shelf.byId.get(replaced);
    if (!gear || !replaces || judgement.money.firmMinor > spendableOf(project)) continue;
    const pocket = pocketOf(gear);
    const known = best.get(pocket);
    const { merit } = judgement;
    if (known && compareWorth(merit, known.merit) <= 0) continue;
    const lost = merit.scenes.findIndex(
      ({ works }, index) => !works && before.merit.scenes[index]!.works
    );
    best.set(pocket, {
      merit,
      runnerUp: {
        pocket,
        gear,
        replaces,
        priceMinor: judgement.money.firmMinor,
        gainHundredths: merit.onceSettledHundredths - before.merit.onceSettledHundredths,
        loses: lost < 0 ? undefined : project.scenes[lost]?.name,
        most: largestFall(before.merit, merit, project)
      }
    });
  }
  return pockets.flatMap((pocket) => best.get(pocket)?.runnerUp ?? []);
}
