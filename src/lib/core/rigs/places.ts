import type { MicrophoneForm } from '../model/gear/microphone';
import type { SupportForm } from '../model/gear/support';
import type { MicPlace } from '../model/plan';
import type { CameraPlace, SceneStyle } from '../model/scene';

/** Distances a microphone has from the mouth where the place itself fixes them, in metres. */
export const micPlaceDistanceM = { lapel: 0.2, desk: 0.35, hand: 0.1 } as const;

/** Where each form of microphone can go, the usual place first. */
export const micPlacesByForm = {
  shoe: ['shoe', 'side arm', 'boom'],
  'short shotgun': ['shoe', 'side arm', 'boom'],
  'lapel wired': ['lapel'],
  'lapel wireless': ['lapel'],
  desk: ['desk'],
  dynamic: ['desk', 'hand', 'boom'],
  condenser: ['desk', 'boom']
} as const satisfies Record<MicrophoneForm, readonly MicPlace[]>;

/** Places that make sense while moving, while sitting and while filming from above. */
export const micPlacesByStyle = {
  walk: ['shoe', 'side arm', 'lapel', 'hand'],
  seated: ['shoe', 'side arm', 'boom', 'lapel', 'desk'],
  hands: ['shoe', 'side arm', 'boom', 'lapel', 'desk'],
  'live call': ['shoe', 'side arm', 'boom', 'lapel', 'desk'],
  evening: ['shoe', 'side arm', 'lapel', 'hand']
} as const satisfies Record<SceneStyle, readonly MicPlace[]>;

/** Supports that hold the camera at each place, the usual one first. */
export const supportsByPlace = {
  hand: ['gimbal', 'grip', 'flexible legs', 'table legs'],
  stick: ['pole', 'grip', 'gimbal'],
  bench: ['table legs', 'flexible legs', 'clamp', 'floor legs'],
  floor: ['floor legs', 'clamp'],
  above: ['overhead arm']
} as const satisfies Record<CameraPlace, readonly SupportForm[]>;

/** A lamp nobody has placed stands here: near, to the side, a little in front. */
export const lampPlaces = {
  key: { distanceM: 0.8, angleDeg: 45 },
  fill: { distanceM: 1.2, angleDeg: 45 }
} as const;

/** Height of a face one films at eye level. */
export const EYE_LEVEL_M = { seated: 1.1, standing: 1.5 } as const;

/** Eyes above the mouth, with the eyes on the upper third of the picture. */
export const EYES_ABOVE_MOUTH_M = 0.07;

/** Minutes to set a part up on the spot; estimates a person may time for themselves. */
export const setUpMinutes = {
  body: 0.5,
  lens: 0.5,
  microphone: 0.5,
  'lapel microphone': 1,
  'boomed microphone': 1,
  lamp: 2,
  head: 0.3,
  'floor legs': 1,
  'table legs': 0.5,
  'flexible legs': 0.7,
  grip: 0.3,
  pole: 0.5,
  gimbal: 3,
  'light stand': 0.7,
  boom: 1.5,
  'overhead arm': 2.5,
  clamp: 0.7,
  filter: 0.3,
  recorder: 1,
  'mains block': 0.7
} as const;
