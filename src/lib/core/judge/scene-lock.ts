import type { Act } from '../acts/act';
import { lengthWords } from '../model/measure-words';
import type { Project } from '../model/project';
import type { LockedFigure, LockEvidence, SceneLock } from '../model/scene-lock';
import { activePlan } from '../model/active-plan';
import type { PlacedLamp } from '../rigs/placed-rig';
import type { AngleJudgement } from './incremental';
import { settingsOf } from './settings';

/** Everything that an angle's settings rest on: the parts and where they stand, what is set, and the place itself. */
export function lockedFiguresOf(judged: AngleJudgement): LockedFigure[] {
  const { rig, scene, angle } = judged;
  const { units } = rig.project;
  const length = (metres: number) => lengthWords(metres, units);
  const figures: LockedFigure[] = [];
  const tell = (name: string, value: string | undefined) => {
    if (value !== undefined && value !== '') figures.push({ name, value: value.slice(0, 300) });
  };
  tell('camera', rig.body?.gear.model);
  tell('lens', rig.lens?.name);
  tell('camera to subject', length(angle.distanceM));
  tell('support', rig.support?.gear.model);
  tell('filter', rig.filter?.gear.model);
  if (rig.index === 0 && rig.mic) {
    tell('microphone', rig.mic.gear.model);
    tell('place of the microphone', rig.micPlace);
    tell('windscreen', rig.cover);
  }
  const lamp = (role: string, placed: PlacedLamp | undefined) => {
    if (placed)
      tell(
        `${role} lamp`,
        `${placed.part.gear.model}, ${length(placed.distanceM)}, ${Math.round(placed.angleDeg)}°`
      );
  };
  lamp('key', rig.keyLamp);
  lamp('fill', rig.fillLamp);
  for (const [index, further] of rig.furtherLamps.entries())
    lamp(`${further.role} ${index + 1}`, further);
  tell('light of the place', `${scene.lightDimLx} to ${scene.lightBrightLx} lx`);
  tell('noise of the place', `${scene.noiseDbA} dB(A)`);
  tell('room', scene.room?.feel);
  tell('voice', scene.voice);
  for (const { name, set } of settingsOf(judged)) tell(name, set);
  return figures;
}

/** A lock on an angle as it stands. */
export function lockOf(
  project: Project,
  judged: AngleJudgement,
  lockedOn: string,
  evidence: readonly LockEvidence[]
): SceneLock {
  const { scene, angle } = judged;
  const rig = activePlan(project).rigs.find(
    (rig) => rig.sceneId === scene.id && rig.angleId === angle.id
  );
  return {
    sceneId: scene.id,
    angleId: angle.id,
    lockedOn,
    figures: lockedFiguresOf(judged),
    evidence: [...evidence],
    angle: structuredClone(angle),
    ...(rig ? { rig: structuredClone(rig) } : {})
  };
}

/** Something a lock rests on that is not as it was. */
export interface LockChange {
  name: string;
  was: string | undefined;
  is: string | undefined;
}

/** What has changed since an angle was locked; nothing while the lock holds. */
export function changesSinceLock(lock: SceneLock, judged: AngleJudgement): LockChange[] {
  const now = new Map(lockedFiguresOf(judged).map(({ name, value }) => [name, value]));
  const changes: LockChange[] = lock.figures.flatMap(({ name, value }) =>
    now.get(name) === value ? [] : [{ name, was: value, is: now.get(name) }]
  );
  const locked = new Set(lock.figures.map(({ name }) => name));
  for (const [name, is] of now) if (!locked.has(name)) changes.push({ name, was: undefined, is });
  return changes;
}

/**
 * Puts the angle and its rig back to what they were. What was changed elsewhere (another part, another light) stays:
 * `changesSinceLock` still names it then.
 */
export function backToLock(lock: SceneLock): Act {
  const { sceneId, angleId, ...rig } = lock.rig ?? { sceneId: lock.sceneId, angleId: lock.angleId };
  const acts: Act[] = [{ type: 'set rig', sceneId, angleId, patch: { ...noRig, ...rig } }];
  if (lock.angle?.id === lock.angleId) {
    const { id: angleId, ...patch } = lock.angle;
    acts.unshift({ type: 'change angle', sceneId: lock.sceneId, angleId, patch });
  }
  return { type: 'batch', acts };
}

/** Everything a rig can fix, let go of: what the lock did not fix is not fixed. */
const noRig = {
  bodyLineId: undefined,
  lensLineId: undefined,
  micLineId: undefined,
  supportLineId: undefined,
  filterLineId: undefined,
  keyLampLineId: undefined,
  fillLampLineId: undefined,
  recorderLineId: undefined,
  focalLengthMm: undefined,
  apertureN: undefined,
  shutterS: undefined,
  profile: undefined,
  micPlace: undefined,
  boostOn: undefined,
  lamps: undefined
};
