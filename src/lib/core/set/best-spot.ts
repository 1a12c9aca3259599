import { applyAct } from '../acts/apply-act';
import type { Act } from '../acts/act';
import type { Finding } from '../findings/finding';
import { type FigureId } from '../figures/table';
import { figureOf } from '../figures/record';
import { trackJudgement } from '../judge/incremental';
import type { AngleJudgement } from '../judge/incremental';
import { judgePlan } from '../judge/judge-plan';
import type { Judgement } from '../judge/judgement';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { layOut, type SetLayout } from './layout';
import { moveOnSet } from './move-on-set';

/** What the camera's distance is to be best for; whether more of the figure is better. */
export const spotGoals = {
  'smallest room': { figure: 'tapeDistance', more: false },
  'nearest microphone': { figure: 'micDistance', more: false },
  'softest background': { figure: 'backgroundBlur', more: true },
  'largest voice over noise': { figure: 'speechToNoise', more: true }
} as const satisfies Record<string, { figure: FigureId; more: boolean }>;
export type SpotGoal = keyof typeof spotGoals;

export interface BestSpot {
  goal: SpotGoal;
  distanceM: number;
  value: number;
  /** The figure where the camera stands now. */
  before: number | undefined;
  act: Act;
  /** What a centimetre more in the better direction would break; undefined where nothing better is in reach. */
  bindsBy: string | undefined;
}

/** Farthest a camera is looked for where no wall ends it, times the distance now. */
const FARTHEST_TIMES = 3;
const STEP_M = 0.01;

/**
 * The camera's distance that is best for a goal and brings no finding that weakens or blocks and is not there now:
 * every whole centimetre is judged, so that there is none better. Undefined where the figure is unknown here. It goes
 * on a centimetre at a time, for a page that has other things to do between.
 */
export function* seekBestSpot(
  project: Project,
  shelf: Shelf,
  judgement: Judgement,
  judged: AngleJudgement,
  goal: SpotGoal
): Generator<void, BestSpot | undefined, void> {
  const { figure, more } = spotGoals[goal];
  const layout = layOut(judged);
  const now = figureOf(judged.record, figure);
  const before = trackJudgement(project, judgement);
  const accepted = new Set(judgement.findings.filter(weakens).map(({ code }) => code));
  const { scene, angle } = judged;
  let best: { distanceM: number; value: number; act: Act } | undefined;
  const broken = new Map<number, string>();
  const steps = Math.round((angle.distanceM * FARTHEST_TIMES) / STEP_M);
  for (let index = 1; index <= steps; index++) {
    yield;
    const distanceM = index / 100;
    const move = moveOnSet(judged, layout, { what: 'camera' }, cameraAt(layout, distanceM));
    if ('refused' in move) {
      broken.set(index, move.refused);
      continue;
    }
    const moved = applyAct(project, move.act);
    const after = judgePlan(moved, activePlan(moved), shelf, { before });
    const breaks = after.findings.find(
      (finding) => weakens(finding) && !accepted.has(finding.code)
    );
    if (breaks) {
      broken.set(index, breaks.title());
      continue;
    }
    const there = after.angles.find(
      (judged) => judged.scene.id === scene.id && judged.angle.id === angle.id
    );
    const value = there && figureOf(there.record, figure);
    if (value === undefined || !Number.isFinite(value)) continue;
    if (!best || (more ? value > best.value + EQUAL : value < best.value - EQUAL))
      best = { distanceM, value, act: move.act };
  }
  if (!best) return undefined;
  const centimetres = Math.round(best.distanceM * 100);
  return {
    goal,
    ...best,
    before: now,
    bindsBy: broken.get(centimetres - 1) ?? broken.get(centimetres + 1)
  };
}
const EQUAL = 1e-9;

const weakens = ({ severity }: Finding): boolean => severity === 'stop' || severity === 'warn';

const cameraAt = ({ looksDown, subject }: SetLayout, distanceM: number) =>
  looksDown
    ? { x: 0, y: 0, z: subject.z + distanceM }
    : { x: subject.x - distanceM, y: 0, z: subject.z };
