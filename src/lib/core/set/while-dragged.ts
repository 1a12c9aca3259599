import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { judgePlan } from '../judge/judge-plan';
import type { Judgement } from '../judge/judgement';
import type { AngleJudgement } from '../judge/incremental';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { NO_PART } from '../model/word-lists';

/**
 * One angle while something of its set is being moved: its scene judged by itself, with the parts it has now, so that
 * a frame has time for it. Which parts are best there is chosen again once it is let go.
 */
export function judgeWhileDragged(
  project: Project,
  shelf: Shelf,
  { angles }: Pick<Judgement, 'angles'>,
  { scene, angle }: AngleJudgement,
  act: Act
): AngleJudgement | undefined {
  const kept = angles.flatMap((angle) => (angle.scene.id === scene.id ? keepParts(angle) : []));
  const moved = applyAct(applyAct(project, { type: 'batch', acts: kept }), act);
  const alone = { ...moved, scenes: moved.scenes.filter(({ id }) => id === scene.id) };
  return judgePlan(alone, activePlan(alone), shelf).angles.find(
    (other) => other.angle.id === angle.id
  );
}

const keepParts = ({ rig, scene, angle }: AngleJudgement): Act => ({
  type: 'set rig',
  sceneId: scene.id,
  angleId: angle.id,
  patch: {
    bodyLineId: rig.body?.line.id,
    lensLineId: rig.lens?.builtIn ? undefined : rig.lens?.lineId,
    supportLineId: rig.support?.line.id ?? NO_PART,
    keyLampLineId: rig.keyLamp?.part.line.id,
    fillLampLineId: rig.keyLamp ? (rig.fillLamp?.part.line.id ?? NO_PART) : undefined,
    ...(rig.mic ? { micLineId: rig.mic.line.id, micPlace: rig.micPlace } : {})
  }
});
