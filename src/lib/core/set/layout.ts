import { type LampInScene, type LampRole, lampsInScene } from '../acts/place-lamp';
import { lampAtFace } from '../figures/light-rows';
import { figureOf } from '../figures/record';
import { boomForwardM } from '../figures/sound-rows';
import { lengthWords } from '../figures/figure-words';
import type { AngleJudgement } from '../judge/incremental';
import { fullName } from '../model/gear';
import type { PickupPattern } from '../model/gear/microphone';
import type { LampSide, MicPlace } from '../model/plan';
import type { Angle, Scene } from '../model/scene';
import { isFlown, isHandheld, isSeated, looksDown, showsFace } from '../model/scene-facts';
import { lampsHeldBesideKey, lampStandOf } from '../rigs/lamp-stand';
import type { PlacedLamp, PlacedRig } from '../rigs/placed-rig';
import { CABLE_SLACK, hearsByComputer, soundDestinationOf, soundNeeds } from '../rigs/sound-path';
import { EYE_LEVEL_M, EYES_ABOVE_MOUTH_M, lampSideOf, TABLE_HEIGHT_M } from '../rigs/places';

/**
 * A place on the set in metres, from the floor below the face or the work: x from the camera to the background, y to
 * the right as the camera sees it, z up.
 */
export interface Spot {
  x: number;
  y: number;
  z: number;
}

/** A lamp of the scene where it stands. */
export interface LampOnSet {
  lamp: LampInScene;
  role: LampRole;
  name: string;
  spot: Spot;
  side: LampSide | undefined;
  distanceM: number;
  angleDeg: number;
  /** Of the shining disc; undefined where its sheet does not say. */
  radiusM: number | undefined;
  /** Lux at the face at full light; undefined where its sheet does not say, or where it shines past the face. */
  faceLx: number | undefined;
  /** Measured at 1 m on its axis. */
  at1mLx: number | undefined;
  stand: { name: string; footRadiusM: number | undefined } | undefined;
  /** Mains cable to the nearest wall, the way round included; undefined where it burns by battery or no wall is known. */
  mainsM: number | undefined;
}

export interface MicOnSet {
  name: string;
  place: MicPlace;
  spot: Spot;
  distanceM: number;
  pattern: PickupPattern;
  /** Foot of the stand that a boom hangs from. */
  stand: Spot | undefined;
  standRadiusM: number | undefined;
  bagKg: number | undefined;
  /** Cable from it to what records it, the way round included; undefined where none is needed. */
  cableM: number | undefined;
}

/** Another camera that films at once. */
export interface OtherCamera {
  angleId: string;
  name: string;
  spot: Spot;
  distanceM: number;
  /** Round the subject from this camera's side; to its right above zero. */
  turnDeg: number;
}

/** One angle of a scene to scale. */
export interface SetLayout {
  camera: Spot;
  looksDown: boolean;
  others: readonly OtherCamera[];
  /** Height of the lens over the support's foot is known by the support; otherwise the eye level of the scene. */
  cameraName: string | undefined;
  support: { name: string; footRadiusM: number | undefined } | undefined;
  /** Eyes, or the middle of the work. */
  subject: Spot;
  people: readonly Spot[];
  /** Held by the arm, bare or on a pole; the person films themselves. */
  held: boolean;
  showsFace: boolean;
  seated: boolean;
  /** Size of the picture in the plane of the subject; undefined without a lens. */
  picture: { widthM: number; heightM: number } | undefined;
  /** Sharp from and to, from the lens; the far end may be endless. */
  focus: { nearM: number; farM: number } | undefined;
  background: { x: number } | undefined;
  room: { xMin: number; xMax: number; yMin: number; yMax: number; heightM: number } | undefined;
  window: { y: number; widthM: number; hung: 'open' | 'curtained' | 'blocked' } | undefined;
  /** Leans so far before it falls; undefined where nobody can say. */
  tipDeg: number | undefined;
  lamps: readonly LampOnSet[];
  mic: MicOnSet | undefined;
  /** What does not fit, in sentences. */
  faults: readonly string[];
}

/** Shoulders apart: as much room as one person of a row takes. */
export const PERSON_WIDTH_M = 0.55;
/** Behind a camera nobody has measured the room behind. */
const BEHIND_CAMERA_M = 0.5;
/** A wall is no nearer to a person's back than this. */
const BEHIND_PERSON_M = 0.3;
/** Below this share of what clear glass lets through a curtain hangs before the window. */
const CURTAINED = 0.45;
const BLOCKED = 0.06;

/** Where everything of one angle stands, from what was measured, placed and said. */
export function layOut({ rig, record }: AngleJudgement): SetLayout {
  const { scene, angle } = rig;
  const above = looksDown(angle) || isFlown(angle);
  const face = showsFace(angle);
  const subject: Spot = { x: 0, y: 0, z: subjectHeightM(rig) };
  const camera: Spot = above
    ? { x: 0, y: 0, z: subject.z + angle.distanceM }
    : { x: -angle.distanceM, y: 0, z: cameraHeightM(rig, subject.z) };
  const widthM = figureOf(record, 'pictureWidth');
  const heightM = figureOf(record, 'pictureHeight');
  const picture = widthM !== undefined && heightM !== undefined ? { widthM, heightM } : undefined;
  const nearM = figureOf(record, 'nearLimit');
  const farM = figureOf(record, 'farLimit');
  const room = roomAround(rig, above);
  const lamps = lampsOnSet(rig, subject, above, room);
  const layout: SetLayout = {
    camera,
    looksDown: above,
    others: above ? [] : otherCameras(rig, subject),
    cameraName: rig.body && fullName(rig.body.gear),
    support: rig.support && {
      name: fullName(rig.support.gear),
      footRadiusM: rig.support.gear.footRadiusM
    },
    subject,
    people: face ? row(angle.people, subject) : [],
    held: isHandheld(angle),
    showsFace: face,
    seated: isSeated(scene),
    picture,
    focus: nearM === undefined ? undefined : { nearM, farM: farM ?? Infinity },
    background: angle.backgroundM === undefined || above ? undefined : { x: angle.backgroundM },
    room,
    window: scene.window && {
      y: scene.window.distanceM,
      widthM: Math.sqrt(scene.window.areaM2),
      hung:
        scene.window.transmittance < BLOCKED
          ? 'blocked'
          : scene.window.transmittance < CURTAINED
            ? 'curtained'
            : 'open'
    },
    tipDeg: figureOf(record, 'tipAngle'),
    lamps,
    mic: micOnSet({ rig, record }, subject, camera),
    faults: []
  };
  return { ...layout, faults: faultsOf(layout, rig) };
}

/** Where the other cameras stand: round the subject as far as somebody has said, else a little beside. */
function otherCameras({ scene, angle }: PlacedRig, subject: Spot): OtherCamera[] {
  const own = turnOf(scene, angle);
  return scene.angles.flatMap((other): OtherCamera[] => {
    if (other === angle || looksDown(other) || isFlown(other)) return [];
    const turnDeg = turnOf(scene, other) - own;
    const turn = (turnDeg * Math.PI) / 180;
    return [
      {
        angleId: other.id,
        name: other.name,
        spot: {
          x: -other.distanceM * Math.cos(turn),
          y: other.distanceM * Math.sin(turn),
          z: subject.z
        },
        distanceM: other.distanceM,
        turnDeg
      }
    ];
  });
}

/** A camera nobody has placed stands so far round from the one before. */
const USUAL_TURN_DEG = 35;
export const turnOf = ({ angles }: Scene, angle: Angle): number =>
  angle.turnDeg ?? USUAL_TURN_DEG * angles.indexOf(angle);

function subjectHeightM({ scene, angle }: PlacedRig): number {
  if (isFlown(angle)) return 0;
  if (!showsFace(angle) && angle.framing !== 'stage' && angle.framing !== 'landscape')
    return TABLE_HEIGHT_M;
  return isSeated(scene) ? EYE_LEVEL_M.seated : EYE_LEVEL_M.standing;
}

/** At the height of the eyes as far as what holds it rises so high. */
function cameraHeightM({ angle, support }: PlacedRig, subjectM: number): number {
  const risesM = support?.gear.heightMaxM;
  if (angle.cameraPlace === 'tripod') return Math.min(risesM ?? subjectM, subjectM);
  if (angle.cameraPlace === 'tabletop')
    return Math.min(TABLE_HEIGHT_M + (risesM ?? 0.2), Math.max(subjectM, TABLE_HEIGHT_M + 0.1));
  return subjectM;
}

function row(people: number, { z }: Spot): Spot[] {
  return Array.from({ length: people }, (_, index) => ({
    x: 0,
    y: (index - (people - 1) / 2) * PERSON_WIDTH_M,
    z
  }));
}

/** The walls: the length lies along the camera's axis; what was measured to the background ends at a wall if it can. */
function roomAround({ scene, angle }: PlacedRig, above: boolean): SetLayout['room'] {
  if (!scene.room) return undefined;
  const { lengthM, widthM, heightM } = scene.room;
  const yMax = scene.window ? scene.window.distanceM : widthM / 2;
  const across = { yMin: yMax - widthM, yMax, heightM };
  if (above) return { xMin: -lengthM / 2, xMax: lengthM / 2, ...across };
  const xMax =
    angle.backgroundM !== undefined && angle.backgroundM + angle.distanceM <= lengthM
      ? angle.backgroundM
      : Math.max(BEHIND_PERSON_M, lengthM - angle.distanceM - BEHIND_CAMERA_M);
  return { xMin: xMax - lengthM, xMax, ...across };
}

const sideSign = (side: LampSide | undefined): number =>
  side === 'left' ? -1 : side === 'right' ? 1 : 0;

function spotOf(
  { distanceM, angleDeg }: PlacedLamp,
  role: LampRole,
  side: LampSide | undefined,
  subject: Spot,
  above: boolean
): Spot {
  const turn = (angleDeg * Math.PI) / 180;
  const along = -distanceM * Math.cos(turn);
  const off = distanceM * Math.sin(turn);
  // Under a lens that looks down the angle is counted from straight above.
  if (above) return { x: 0, y: off * (sideSign(side) || -1), z: subject.z - along };
  return role === 'overhead'
    ? { x: along, y: 0, z: subject.z + off }
    : { x: along, y: off * sideSign(side), z: subject.z };
}

function lampsOnSet(
  rig: PlacedRig,
  subject: Spot,
  above: boolean,
  room: SetLayout['room']
): LampOnSet[] {
  const held = lampsHeldBesideKey(rig);
  return lampsInScene(rig).flatMap((lamp): LampOnSet[] => {
    const { role, placed, part } = lamp;
    if (!role || !placed) return [];
    const side = placed.side ?? lampSideOf[role];
    const spot = spotOf(placed, role, side, subject, above);
    const holder =
      role === 'key'
        ? lampStandOf(rig)
        : held.find(
            (holding) =>
              holding.lamp === placed || (role === 'fill' && holding.lamp.role === 'fill')
          )?.holder;
    return [
      {
        lamp,
        role,
        name: fullName(part.gear),
        spot,
        side,
        distanceM: placed.distanceM,
        angleDeg: placed.angleDeg,
        radiusM: part.gear.sourceRadiusM,
        faceLx:
          role === 'key' || role === 'fill' || role === 'overhead' ? lampAtFace(placed) : undefined,
        at1mLx: part.gear.illuminanceAt1mLx,
        stand: holder && {
          name: fullName(holder.gear),
          footRadiusM: holder.gear.footRadiusM
        },
        mainsM:
          room && rig.hasSocket && part.gear.runsFromMains === true
            ? toNearestWallM(room, spot) * CABLE_SLACK
            : undefined
      }
    ];
  });
}

/** A tip angle in words, to the tenth and never rounded up: 9.96° is not the 10° it stands below. */
export const tipWords = (degrees: number): string =>
  `${(Math.floor(degrees * 10) / 10).toFixed(1)}°`;

/** Sockets are in walls; which one, nobody asks, so the nearest is counted. */
export const toNearestWallM = (room: NonNullable<SetLayout['room']>, { x, y }: Spot): number =>
  Math.max(0, Math.min(x - room.xMin, room.xMax - x, y - room.yMin, room.yMax - y));

/** Where a microphone of each place is: fixed by the place, by the camera or by the edge of the picture. */
export function micSpot(
  place: MicPlace,
  { rig, record }: Pick<AngleJudgement, 'rig' | 'record'>,
  subject: Spot,
  camera: Spot
): Spot {
  const mouthZ = subject.z - EYES_ABOVE_MOUTH_M;
  switch (place) {
    case 'shoe':
      return { ...camera, z: camera.z + 0.1 };
    case 'side arm':
      return { ...camera, y: camera.y + 0.12, z: camera.z + 0.05 };
    case 'lavalier':
      return { x: -0.1, y: 0.03, z: mouthZ - 0.17 };
    case 'hand':
      return { x: -0.09, y: 0.04, z: mouthZ - 0.03 };
    case 'desk feed':
      return { x: -0.17, y: 0.03, z: mouthZ - 0.1 };
    case 'desk':
      return { x: -0.28, y: 0.12, z: mouthZ - 0.17 };
    case 'boom arm': {
      const top = figureOf(record, 'topAboveMouth');
      const lensM = figureOf(record, 'subjectDistance') ?? rig.angle.distanceM;
      const away = figureOf(record, 'boomDistance');
      if (top === undefined || away === undefined) return { x: -0.15, y: 0, z: mouthZ + 0.4 };
      const forward = boomForwardM(top, lensM);
      return { x: -forward, y: 0, z: mouthZ + Math.sqrt(Math.max(0, away ** 2 - forward ** 2)) };
    }
  }
}

function micOnSet(
  judged: Pick<AngleJudgement, 'rig' | 'record'>,
  subject: Spot,
  camera: Spot
): MicOnSet | undefined {
  const { rig, record } = judged;
  const distanceM = figureOf(record, 'micDistance');
  if (!rig.mic || !rig.micPlace || distanceM === undefined) return undefined;
  const spot = micSpot(rig.micPlace, judged, subject, camera);
  const reachM = figureOf(record, 'boomReachNeeded');
  return {
    name: fullName(rig.mic.gear),
    place: rig.micPlace,
    spot,
    distanceM,
    pattern: rig.mic.gear.pattern ?? 'omni',
    stand:
      rig.micPlace === 'boom arm' && reachM !== undefined
        ? { x: spot.x, y: reachM, z: spot.z }
        : undefined,
    standRadiusM: rig.boom?.gear.footRadiusM,
    bagKg: rig.micPlace === 'boom arm' ? figureOf(record, 'boomBag') : undefined,
    cableM: cableOf(rig)
  };
}

function cableOf(rig: PlacedRig): number | undefined {
  const into = hearsByComputer(rig) ? undefined : soundDestinationOf(rig);
  const neededM = into ? soundNeeds(rig, into).lengthNeededM : 0;
  return neededM > 0 ? neededM : undefined;
}

/** True when a spot lies in what the lens sees. The eyes stand on the upper third, so the axis passes below them. */
export function isInPicture(layout: SetLayout, spot: Spot): boolean {
  const { picture, camera, subject } = layout;
  if (!picture) return false;
  const wanted = layout.looksDown
    ? { along: camera.z - spot.z, across: spot.y, up: spot.x, away: camera.z - subject.z, axis: 0 }
    : {
        along: spot.x - camera.x,
        across: spot.y,
        up: spot.z - camera.z,
        away: subject.x - camera.x,
        axis: subject.z - camera.z - (layout.showsFace ? picture.heightM / 6 : 0)
      };
  if (wanted.along <= 0.02) return false;
  const share = wanted.along / wanted.away;
  return (
    Math.abs(wanted.across) < (picture.widthM / 2) * share &&
    Math.abs(wanted.up - wanted.axis * share) < (picture.heightM / 2) * share
  );
}

function faultsOf(layout: SetLayout, rig: PlacedRig): string[] {
  const faults: string[] = [];
  const { units } = rig.project;
  const length = (metres: number) => lengthWords(metres, units);
  const { room } = layout;
  const { distanceM, backgroundM = BEHIND_PERSON_M } = rig.angle;
  if (room && !layout.looksDown && distanceM + backgroundM > room.xMax - room.xMin + 0.005)
    faults.push(
      `The room is ${length(room.xMax - room.xMin)} long; camera and background need ${length(distanceM + backgroundM)}.`
    );
  if (room && layout.camera.z > room.heightM)
    faults.push(`The camera would hang above the ceiling, which is at ${length(room.heightM)}.`);
  if (room && rig.scene.window && rig.scene.window.distanceM > room.yMax - room.yMin)
    faults.push(
      `The window is ${length(rig.scene.window.distanceM)} from the face in a room ${length(room.yMax - room.yMin)} wide.`
    );
  for (const { name, role, spot } of layout.lamps) {
    const wall = room && wallThrough(room, spot);
    if (wall) faults.push(`${name} would stand in ${wall}.`);
    if (role !== 'practical' && role !== 'background' && isInPicture(layout, spot))
      faults.push(`${name} stands in the picture.`);
  }
  if (layout.mic && layout.mic.place !== 'lavalier' && layout.mic.place !== 'hand') {
    if (isInPicture(layout, layout.mic.spot)) faults.push(`${layout.mic.name} is in the picture.`);
    if (room && layout.mic.spot.z > room.heightM)
      faults.push(`${layout.mic.name} would hang above the ceiling.`);
  }
  return faults;
}

/** The wall, floor or ceiling a spot lies in or past; undefined where it is inside the room. */
export function wallThrough(
  room: NonNullable<SetLayout['room']>,
  { x, y, z }: Spot
): string | undefined {
  if (z > room.heightM) return 'the ceiling';
  if (z < 0) return 'the floor';
  if (x < room.xMin) return 'the wall behind the camera';
  if (x > room.xMax) return 'the wall behind the background';
  if (y < room.yMin) return 'the wall on the left';
  if (y > room.yMax) return 'the wall on the right';
  return undefined;
}
