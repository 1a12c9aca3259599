import type { MicrophoneForm } from '../model/gear/microphone';
import type { SupportForm } from '../model/gear/support';
import type { MicPlace } from '../model/plan';
import type { CameraPlace, SceneStyle } from '../model/scene';

/** Distances a microphone has from the mouth where the place itself fixes them, in metres. */
export const micPlaceDistanceM = {
  lavalier: 0.2,
  desk: 0.35,
  hand: 0.1,
  /** The house's own microphone, on a lectern. */
  'desk feed': 0.2
} as const;

/** Where each form of microphone can go, the usual place first. */
export const micPlacesByForm = {
  shoe: ['shoe', 'side arm', 'boom arm'],
  'short shotgun': ['shoe', 'side arm', 'boom arm'],
  'lavalier wired': ['lavalier'],
  'lavalier wireless': ['lavalier'],
  desk: ['desk'],
  dynamic: ['desk', 'hand', 'boom arm'],
  condenser: ['desk', 'boom arm'],
  'desk feed': ['desk feed']
} as const satisfies Record<MicrophoneForm, readonly MicPlace[]>;

/** Places that make sense while moving, while sitting and while filming from above. */
export const micPlacesByStyle = {
  walk: ['shoe', 'side arm', 'lavalier', 'hand'],
  seated: ['shoe', 'side arm', 'boom arm', 'lavalier', 'desk'],
  hands: ['shoe', 'side arm', 'boom arm', 'lavalier', 'desk'],
  'live call': ['shoe', 'side arm', 'boom arm', 'lavalier', 'desk'],
  evening: ['shoe', 'side arm', 'lavalier', 'hand'],
  ride: ['shoe', 'side arm', 'lavalier'],
  event: ['shoe', 'side arm', 'lavalier', 'desk', 'hand', 'desk feed'],
  interview: ['shoe', 'side arm', 'boom arm', 'lavalier', 'desk', 'hand', 'desk feed'],
  product: ['shoe', 'side arm', 'boom arm', 'lavalier', 'desk'],
  landscape: ['shoe', 'side arm', 'lavalier', 'hand'],
  flying: []
} as const satisfies Record<SceneStyle, readonly MicPlace[]>;

/** Supports that hold the camera at each place, the usual one first. */
export const supportsByPlace = {
  hand: ['gimbal', 'hand grip', 'flexible tripod', 'mini tripod'],
  'extension pole': ['extension pole', 'hand grip', 'gimbal'],
  tabletop: ['mini tripod', 'flexible tripod', 'clamp', 'tripod'],
  // What is clamped to a shelf or a table stands on the bench.
  tripod: ['tripod'],
  overhead: ['overhead arm', 'ceiling mount'],
  ceiling: ['ceiling mount', 'clamp'],
  'monitor edge': ['monitor mount', 'clamp'],
  chest: ['chest mount'],
  handlebar: ['handlebar mount', 'clamp'],
  'in the air': []
} as const satisfies Record<CameraPlace, readonly SupportForm[]>;

/** A lamp nobody has placed stands here: near, to the side, a little in front. */
export const lampPlaces = {
  key: { distanceM: 0.8, angleDeg: 45 },
  fill: { distanceM: 1.2, angleDeg: 45 },
  back: { distanceM: 1.5, angleDeg: 135 },
  background: { distanceM: 2, angleDeg: 180 },
  practical: { distanceM: 2, angleDeg: 150 },
  overhead: { distanceM: 1, angleDeg: 60 }
} as const;

/** The side of the face, as the camera sees it, on which a lamp stands that nobody has put on one; overhead is above. */
export const lampSideOf = {
  key: 'left',
  fill: 'right',
  back: 'right',
  background: 'left',
  practical: 'right',
  overhead: undefined
} as const;

/** Height of what lies on a bench or table. */
export const TABLE_HEIGHT_M = 0.75;

/** Height of a face one films at eye level. */
export const EYE_LEVEL_M = { seated: 1.1, standing: 1.5 } as const;

/** Eyes above the mouth, with the eyes on the upper third of the picture. */
export const EYES_ABOVE_MOUTH_M = 0.07;

/** Minutes to set a part up on the spot; estimates a person may time for themselves. */
export const setUpMinutes = {
  body: 0.5,
  lens: 0.5,
  microphone: 0.5,
  'lavalier microphone': 1,
  'boomed microphone': 1,
  lamp: 2,
  head: 0.3,
  tripod: 1,
  'mini tripod': 0.5,
  'flexible tripod': 0.7,
  'hand grip': 0.3,
  'extension pole': 0.5,
  gimbal: 3,
  'light stand': 0.7,
  'boom arm': 1.5,
  'overhead arm': 2.5,
  clamp: 0.7,
  'ceiling mount': 5,
  'monitor mount': 0.5,
  'chest mount': 1,
  'handlebar mount': 1,
  filter: 0.3,
  recorder: 1,
  'mains adapter': 0.7
} as const;
