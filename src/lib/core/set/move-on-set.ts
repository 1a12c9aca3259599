import type { Act } from '../acts/act';
import { moveLamp } from '../acts/place-lamp';
import type { AngleJudgement } from '../judge/incremental';
import { lengthWords } from '../model/measure-words';
import type { MicPlace } from '../model/plan';
import { micPlacesFor } from '../rigs/place-mic';
import {
  isInPicture,
  type LampOnSet,
  micSpot,
  type OtherCamera,
  type SetLayout,
  type Spot,
  turnOf,
  wallThrough
} from './layout';

/** What can be moved on the set, each named as it is drawn. */
export type Movable =
  | { what: 'camera' }
  | { what: 'person' }
  | { what: 'background' }
  | { what: 'window' }
  | { what: 'microphone' }
  | { what: 'lamp'; at: number }
  | { what: 'other camera'; at: number };

/** What a move comes to: an act, or why it cannot be done. */
export type Move = { act: Act } | { refused: string };

/** Nearest a lens comes to a face, a lamp to a face, and anything to a wall, in metres. */
const NEAREST_M = { camera: 0.1, lamp: 0.1, background: 0.05, window: 0.1 } as const;
/** Whole centimetres: nobody tapes finer. */
const toCentimetre = (metres: number) => Math.round(metres * 100) / 100;

/** Moves one thing of a set to a place, as far as it can go there; distances and angles of the scene follow. */
export function moveOnSet(
  judged: AngleJudgement,
  layout: SetLayout,
  movable: Movable,
  to: Spot
): Move {
  switch (movable.what) {
    case 'camera':
      return moveCamera(judged, layout, to);
    case 'person':
      return movePerson(judged, layout, to);
    case 'background':
      return moveBackground(judged, layout, to);
    case 'window':
      return moveWindow(judged, layout, to);
    case 'microphone':
      return moveMic(judged, layout, to);
    case 'other camera':
      return moveOther(judged, layout, layout.others[movable.at]!, to);
    case 'lamp':
      return moveLampTo(judged, layout, layout.lamps[movable.at]!, to);
  }
}

const changeAngle = (
  { scene, angle }: AngleJudgement,
  patch: Extract<Act, { type: 'change angle' }>['patch']
): Move => ({ act: { type: 'change angle', sceneId: scene.id, angleId: angle.id, patch } });

function moveCamera(judged: AngleJudgement, layout: SetLayout, to: Spot): Move {
  const { room, subject } = layout;
  const { units } = judged.rig.project;
  const distanceM = toCentimetre(layout.looksDown ? to.z - subject.z : subject.x - to.x);
  if (distanceM < NEAREST_M.camera)
    return { refused: `The lens stays ${lengthWords(NEAREST_M.camera, units)} off at least.` };
  if (room && layout.looksDown && to.z > room.heightM)
    return { refused: `The ceiling is at ${lengthWords(room.heightM, units)}.` };
  if (room && !layout.looksDown) {
    const behindM = toCentimetre(
      room.xMax - room.xMin - (judged.angle.backgroundM ?? room.xMax) - 0.05
    );
    if (distanceM > behindM)
      return {
        refused: `The wall behind the camera leaves ${lengthWords(behindM, units)} to the face.`
      };
  }
  return changeAngle(judged, { distanceM });
}

/** Another camera goes anywhere round the subject. */
function moveOther(
  { scene, angle, rig }: AngleJudgement,
  { room }: SetLayout,
  { angleId, name }: OtherCamera,
  to: Spot
): Move {
  const distanceM = toCentimetre(Math.hypot(to.x, to.y));
  if (distanceM < NEAREST_M.camera)
    return {
      refused: `The lens stays ${lengthWords(NEAREST_M.camera, rig.project.units)} off at least.`
    };
  const wall = room && wallThrough(room, to);
  if (wall) return { refused: `The camera ${name} would stand in ${wall}.` };
  const turn = turnOf(scene, angle) + (Math.atan2(to.y, -to.x) * 180) / Math.PI;
  return {
    act: {
      type: 'change angle',
      sceneId: scene.id,
      angleId,
      patch: { distanceM, turnDeg: Math.round(((turn + 540) % 360) - 180) }
    }
  };
}

/** The camera and the wall stay: what is nearer to one is farther from the other. */
function movePerson(judged: AngleJudgement, layout: SetLayout, to: Spot): Move {
  const { angle } = judged;
  const { units } = judged.rig.project;
  const by = toCentimetre(to.x);
  const distanceM = toCentimetre(angle.distanceM + by);
  if (layout.looksDown) return { refused: 'What lies under the lens is moved by hand.' };
  if (distanceM < NEAREST_M.camera)
    return { refused: `The lens stays ${lengthWords(NEAREST_M.camera, units)} off at least.` };
  if (angle.backgroundM === undefined) return changeAngle(judged, { distanceM });
  const backgroundM = toCentimetre(angle.backgroundM - by);
  return backgroundM < NEAREST_M.background
    ? { refused: 'The background is reached.' }
    : changeAngle(judged, { distanceM, backgroundM });
}

function moveBackground(judged: AngleJudgement, { room }: SetLayout, to: Spot): Move {
  const { units } = judged.rig.project;
  const backgroundM = toCentimetre(to.x);
  if (backgroundM < NEAREST_M.background)
    return {
      refused: `The background stays ${lengthWords(NEAREST_M.background, units)} behind at least.`
    };
  if (room) {
    const mostM = toCentimetre(room.xMax - room.xMin - judged.angle.distanceM);
    if (backgroundM > mostM)
      return { refused: `The room leaves ${lengthWords(mostM, units)} behind the face.` };
  }
  return changeAngle(judged, { backgroundM });
}

function moveWindow({ scene }: AngleJudgement, { room }: SetLayout, to: Spot): Move {
  const distanceM = toCentimetre(to.y);
  if (distanceM < NEAREST_M.window) return { refused: 'The window stays beside the face.' };
  if (room && distanceM > room.yMax - room.yMin) return { refused: 'The room is not so wide.' };
  return {
    act: {
      type: 'change scene',
      sceneId: scene.id,
      patch: { window: { ...scene.window!, distanceM } }
    }
  };
}

function moveLampTo(
  { rig }: AngleJudgement,
  layout: SetLayout,
  moved: LampOnSet,
  wanted: Spot
): Move {
  const { room, subject, looksDown } = layout;
  const { lamp, role, name } = moved;
  const to = outOfPicture(layout, moved, wanted);
  const up = to.z - subject.z;
  const beside = to.y - subject.y;
  // Under a lens that looks down the angle is counted from straight above, and any way off it is beside.
  const off = looksDown
    ? Math.hypot(to.x - subject.x, beside) * (beside > 0 ? 1 : -1)
    : role === 'overhead'
      ? up
      : beside;
  const along = looksDown ? up : subject.x - to.x;
  const distanceM = toCentimetre(Math.hypot(off, along));
  if (distanceM < NEAREST_M.lamp)
    return { refused: `${name} stays ${lengthWords(NEAREST_M.lamp, rig.project.units)} off.` };
  const wall = room && wallThrough(room, to);
  if (wall) return { refused: `${name} would stand in ${wall}.` };
  return {
    act: moveLamp(rig, lamp, {
      distanceM,
      angleDeg: Math.round((Math.atan2(Math.abs(off), along) * 180) / Math.PI),
      ...(role === 'overhead' && !looksDown
        ? {}
        : { side: off < 0 ? ('left' as const) : ('right' as const) })
    })
  };
}

/** A lamp that lights the face is kept just beside the picture; one that is meant to be seen may stand in it. */
function outOfPicture(layout: SetLayout, { role, radiusM = 0 }: LampOnSet, to: Spot): Spot {
  if (layout.looksDown || !layout.picture) return to;
  if (role === 'practical' || role === 'background' || role === 'overhead') return to;
  if (!isInPicture(layout, to)) return to;
  const share = (to.x - layout.camera.x) / (layout.subject.x - layout.camera.x);
  const edge = (layout.picture.widthM / 2) * share + radiusM + BESIDE_PICTURE_M;
  return { ...to, y: to.y < 0 ? -edge : edge };
}
/** Clear of the edge by so much. */
const BESIDE_PICTURE_M = 0.03;

/** Places open to the microphone in use, and where each is. */
export function micSpots(
  judged: AngleJudgement,
  { subject, camera }: SetLayout
): { place: MicPlace; spot: Spot }[] {
  const { rig } = judged;
  if (!rig.mic) return [];
  return micPlacesFor(rig.kit, rig.scene, rig.mic.gear).map((place) => ({
    place,
    spot: micSpot(place, judged, subject, camera)
  }));
}

/** A microphone goes where it can be held: to the nearest of its places. */
function moveMic(judged: AngleJudgement, layout: SetLayout, to: Spot): Move {
  let nearest: { place: MicPlace; offM: number } | undefined;
  for (const { place, spot } of micSpots(judged, layout)) {
    const offM = Math.hypot(to.x - spot.x, to.y - spot.y, to.z - spot.z);
    if (!nearest || offM < nearest.offM) nearest = { place, offM };
  }
  const { rig } = judged;
  if (!nearest || !rig.mic) return { refused: 'Nothing here holds it anywhere else.' };
  return {
    act: {
      type: 'set rig',
      sceneId: rig.scene.id,
      angleId: rig.angle.id,
      patch: { micLineId: rig.mic.line.id, micPlace: nearest.place }
    }
  };
}
