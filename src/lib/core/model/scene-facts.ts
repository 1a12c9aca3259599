import type { Angle, Scene } from './scene';

/** What follows from the words a scene and an angle are described in; each stated here and nowhere else. */

/** The person sits: at a desk, in a chair, before a call. */
export const isSeated = ({ style }: Pick<Scene, 'style'>): boolean =>
  style === 'seated' || style === 'live call' || style === 'interview';

const framingsWithoutFace: ReadonlySet<Angle['framing']> = new Set([
  'hands',
  'table',
  'product',
  'detail',
  'stage',
  'landscape'
]);

/** A face is filmed near enough to judge it, not hands, a thing, a whole stage or the land. */
export const showsFace = ({ framing }: Pick<Angle, 'framing'>): boolean =>
  !framingsWithoutFace.has(framing);

/** What the light falls on and the camera looks at, in a sentence. */
export const subjectWords = (angle: Pick<Angle, 'framing'>): string =>
  showsFace(angle) ? 'the face' : 'what is filmed';

/** The camera is held by the arm while it films, bare or on a pole. */
export const isHandheld = ({ cameraPlace }: Pick<Angle, 'cameraPlace'>): boolean =>
  cameraPlace === 'hand' || cameraPlace === 'extension pole';

/** The camera writes to its cards: always, but for what only goes out live. */
export const isRecorded = ({
  live,
  liveIsRecorded
}: Pick<Scene, 'live' | 'liveIsRecorded'>): boolean => !live || liveIsRecorded === true;

/** The camera moves with a body, a vehicle or by itself, so that nothing but its own stabilisation keeps it still. */
export const isMoving = (angle: Pick<Angle, 'cameraPlace'>): boolean =>
  isHandheld(angle) || isWorn(angle) || isFlown(angle);

/** The camera is strapped to a person or to what they ride: it looks where they do, at a distance nobody chooses. */
export const isWorn = ({ cameraPlace }: Pick<Angle, 'cameraPlace'>): boolean =>
  cameraPlace === 'chest' || cameraPlace === 'handlebar';

export const isFlown = ({ cameraPlace }: Pick<Angle, 'cameraPlace'>): boolean =>
  cameraPlace === 'in the air';

/** The camera hangs over what it films. */
export const looksDown = ({ cameraPlace }: Pick<Angle, 'cameraPlace'>): boolean =>
  cameraPlace === 'overhead' || cameraPlace === 'ceiling';

/** On foot or on wheels the camera turns and shakes with every step and stone. */
export const isCarried = (
  { style }: Pick<Scene, 'style'>,
  angle: Pick<Angle, 'cameraPlace'>
): boolean =>
  (style === 'walk' && isHandheld(angle)) ||
  (style === 'ride' && (isHandheld(angle) || isWorn(angle)));

/** Voices that are to be heard at once. */
export const voicesIn = ({ style, voice }: Pick<Scene, 'style' | 'voice'>): number =>
  voice === 'none' ? 0 : style === 'interview' ? 2 : 1;

/** A window lights the place, measured or not. */
export const hasWindow = ({
  lightSource,
  window
}: Pick<Scene, 'lightSource' | 'window'>): boolean =>
  lightSource === 'window' || window !== undefined;

/** Indoors a room says how it sounds; its light can be shut out and lamps be set. */
export const isIndoors = ({ room }: Pick<Scene, 'room'>): boolean => room !== undefined;

/** Minutes one camera records in a day: its own where it films otherwise than its scene. */
export const recordedMinOf = (
  scene: Pick<Scene, 'recordedMin'>,
  angle: Pick<Angle, 'recordedMin'>
): number => angle.recordedMin ?? scene.recordedMin;

/** The longest take of one camera, never longer than all it records. */
export const longestTakeMinOf = (
  scene: Pick<Scene, 'recordedMin' | 'longestTakeMin'>,
  angle: Pick<Angle, 'recordedMin' | 'longestTakeMin'>
): number => Math.min(angle.longestTakeMin ?? scene.longestTakeMin, recordedMinOf(scene, angle));

/** One camera turns with what it films. */
export const pans = (scene: Pick<Scene, 'wantsPan'>, angle: Pick<Angle, 'wantsPan'>): boolean =>
  angle.wantsPan ?? scene.wantsPan === true;
